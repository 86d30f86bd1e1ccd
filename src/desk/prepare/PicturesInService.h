// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "session/Session.h"
#include <QWidget>

class QCheckBox;
class QComboBox;
class QLineEdit;
class QPushButton;

namespace mivanta {

class Prompts;

/// What can be changed about a picture or a set of pictures in the order.
class PicturesInService : public QWidget {
    Q_OBJECT
public:
    PicturesInService(Session& session, Prompts& prompts, QWidget* parent = nullptr);
    void setItem(const ItemId& id);
    /// This picture of the set is meant; nothing = none.
    void setPicture(const std::optional<int>& picture);
    void refresh();

    /// Moves a picture among the others. False when it cannot be moved there.
    bool move(int picture, int by);

private:
    [[nodiscard]] const PictureItem* item() const;
    void change(const QString& what, const std::function<void(PictureItem&)>& work, int visit = 0);
    void addPictures();
    void removePicture(); ///< the chosen one

    Session& m_session;
    Prompts& m_prompts;
    ItemId m_item;
    std::optional<int> m_picture;
    int m_visit = 0;
    QLineEdit* m_title;
    QComboBox* m_fit;
    QCheckBox* m_captions;
    QLineEdit* m_caption; ///< of the chosen picture
    QPushButton* m_remove;
};

} // namespace mivanta
