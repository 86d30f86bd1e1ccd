// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "session/Session.h"
#include <QWidget>

class QComboBox;
class QLineEdit;
class QPushButton;
class QToolButton;

namespace mivanta {

class Prompts;

/// What an item is sung to: a backing track, the slide with whose take it begins, and where in it.
class TrackInService : public QWidget {
    Q_OBJECT
public:
    TrackInService(Session& session, Prompts& prompts, QWidget* parent = nullptr);
    void setItem(const ItemId& id);
    void refresh();

private:
    [[nodiscard]] const Item* item() const;
    void change(const QString& what, const std::function<void(std::optional<ItemTrack>&)>& work);
    void choose();
    void takeFrom();
    void fillSlides(const Item& item);

    Session& m_session;
    Prompts& m_prompts;
    ItemId m_item;
    QPushButton* m_choose;
    QToolButton* m_remove;
    QWidget* m_details; ///< while there is a track
    QComboBox* m_slide;
    QLineEdit* m_from;
    std::vector<SlidePlace> m_places; ///< of the slides in m_slide, from its second entry on
};

} // namespace mivanta
