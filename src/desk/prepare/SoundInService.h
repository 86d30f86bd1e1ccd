// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "session/Session.h"
#include <QWidget>

class QCheckBox;
class QPushButton;
class QToolButton;

namespace mivanta {

class Prompts;

/// What sounds when the chosen items are taken. Of several items, what they have in common. Takes sound files
/// that are dropped on it.
class SoundInService : public QWidget {
    Q_OBJECT
public:
    SoundInService(Session& session, Prompts& prompts, QWidget* parent = nullptr);
    /// What "these items" are when several are chosen.
    void setSelection(std::function<std::vector<ItemId>()> selection) { m_selection = std::move(selection); }
    void setItem(const ItemId& id);
    void refresh();

protected:
    void dragEnterEvent(QDragEnterEvent* event) override;
    void dropEvent(QDropEvent* event) override;

private:
    void take(const QString& path);
    [[nodiscard]] std::vector<ItemId> items() const;

    Session& m_session;
    Prompts& m_prompts;
    std::function<std::vector<ItemId>()> m_selection;
    ItemId m_item;
    QPushButton* m_choose;
    QToolButton* m_remove;
    QCheckBox* m_goesOn;
};

} // namespace mivanta
