// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "session/Session.h"
#include <QWidget>

class QLineEdit;
class QPlainTextEdit;

namespace mivanta {

/// What the musicians see of the chosen items on stage monitors: a note, and words of their own in place of
/// those that are sung. Of several items, what they have in common.
class StageInService : public QWidget {
    Q_OBJECT
public:
    explicit StageInService(Session& session, QWidget* parent = nullptr);
    /// What "these items" are when several are chosen.
    void setSelection(std::function<std::vector<ItemId>()> selection) { m_selection = std::move(selection); }
    void setItem(const ItemId& id);
    void refresh();

private:
    [[nodiscard]] std::vector<ItemId> items() const;

    Session& m_session;
    std::function<std::vector<ItemId>()> m_selection;
    ItemId m_item;
    int m_visit = 0;
    QLineEdit* m_note;
    QPlainTextEdit* m_words;
};

} // namespace mivanta
