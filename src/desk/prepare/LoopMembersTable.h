// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/timing/LoopPlan.h"
#include "session/Session.h"
#include <QWidget>

class QGridLayout;
class QLabel;
class QSpinBox;
class QToolButton;

namespace mivanta {

/// The members of a loop: how long the stills of each are shown, and in which rounds they come.
class LoopMembersTable : public QWidget {
    Q_OBJECT
public:
    explicit LoopMembersTable(Session& session, QWidget* parent = nullptr);
    void setLoop(const Item& loop, const LoopPlan& plan);

Q_SIGNALS:
    void memberWanted(const mivanta::ItemId& member);

private:
    struct Row {
        ItemId member;
        QToolButton* name = nullptr;
        QSpinBox* seconds = nullptr;
        QSpinBox* rounds = nullptr;
        QLabel* facts = nullptr;
    };
    void addRow();
    void fill(Row& row, const Item& member, const LoopItem& loop, const LoopPlan& plan);

    Session& m_session;
    QGridLayout* m_grid;
    QLabel* m_none;
    std::vector<Row> m_rows;
    int m_visit = 0;
};

} // namespace mivanta
