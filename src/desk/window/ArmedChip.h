// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "session/Session.h"
#include <QTimer>
#include <QToolButton>

namespace mivanta {

/// The loop that is armed, with the time to go, on every desk; a click disarms. Hidden while there is none.
class ArmedChip : public QToolButton {
    Q_OBJECT
public:
    explicit ArmedChip(Session& session, QWidget* parent = nullptr);

private:
    void refresh();

    Session& m_session;
    QTimer m_ticks;
};

} // namespace mivanta
