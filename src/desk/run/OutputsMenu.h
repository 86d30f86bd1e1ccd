// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "session/Session.h"
#include <QMenu>

namespace mivanta {

/// What is done with single outputs while running: frozen, or with a curtain of its own. With one output
/// named, of that one; else a submenu for each.
class OutputsMenu : public QMenu {
    Q_OBJECT
public:
    OutputsMenu(Session& session, const QString& output, QWidget* parent = nullptr);

private:
    void fill(QMenu& menu, const QString& output);
    Session& m_session;
};

/// "frozen", "black", "frozen, house card"; empty when the output shows what all show.
[[nodiscard]] QString outputStateText(const RunState& state, const QString& output);

} // namespace mivanta
