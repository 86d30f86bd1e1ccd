// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <QObject>
#include <QThread>

namespace mivanta {

/// Asks the system to leave the screens on and not to fall asleep: the session's screen saver (the
/// org.freedesktop.ScreenSaver interface of the Idle Inhibition Service) and the login manager
/// (org.freedesktop.login1, idle and sleep). Where either is not there, it is left alone. Lives on the GUI
/// thread; the buses are spoken to on a thread of its own, for they may take their time.
class Awake : public QObject {
    Q_OBJECT
public:
    explicit Awake(QObject* parent = nullptr);
    ~Awake() override;

    void setOn(bool on);

private:
    class Keeper;
    bool m_on = false;
    QThread m_thread;
    Keeper* m_keeper; ///< on m_thread
};

} // namespace mivanta
