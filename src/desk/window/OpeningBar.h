// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "session/Session.h"
#include <QFrame>

class QLabel;

namespace mivanta {

/// Says, when a service has been opened, what differs here from where it was made; gone once it is looked at.
class OpeningBar : public QFrame {
    Q_OBJECT
public:
    explicit OpeningBar(Session& session, QWidget* parent = nullptr);

    void putAway();

Q_SIGNALS:
    void lookWanted(); ///< at the Check desk

private:
    void refresh();

    Session& m_session;
    QLabel* m_text;
    bool m_isOpening = false;
};

} // namespace mivanta
