// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "session/Session.h"
#include "session/run/RunKeys.h"
#include <QWidget>

class QHBoxLayout;
class QLabel;

namespace mivanta {

class ElidedLabel;
class KeyButton;

/// The loop on screen: what is shown and what comes, its end, and what can be done with it; hidden while
/// there is none.
class LoopPanel : public QWidget {
    Q_OBJECT
public:
    LoopPanel(Session& session, const RunKeys& keys, QWidget* parent = nullptr);

private:
    KeyButton* addButton(QHBoxLayout* row, RunAction action, const char* name, const QString& words);
    void refresh();

    Session& m_session;
    const RunKeys& m_keys;
    ElidedLabel* m_now;
    QLabel* m_next;
    QLabel* m_end;
    KeyButton* m_pause;
    KeyButton* m_more;
    KeyButton* m_endHere;
};

} // namespace mivanta
