// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <QCoreApplication>
#include <QElapsedTimer>
#include <QEvent>
#include <QThread>
#include <QTimer>

namespace mivanta {

/// Handles what happens, and waits for it that long at most: processEvents() with a time does not wait.
inline void waitForEvents(int milliseconds) {
    QTimer latest;
    latest.setSingleShot(true);
    latest.start(milliseconds);
    QCoreApplication::processEvents(QEventLoop::WaitForMoreEvents);
}

/// Lets events happen until the condition holds; whether it did. It ends as soon as it can, so the time may
/// be generous for machines that are busy.
template <typename Condition>
bool waitUntil(Condition condition, int milliseconds = 30'000) {
    QElapsedTimer time;
    time.start();
    while (!condition()) {
        if (time.hasExpired(milliseconds))
            return false;
        QCoreApplication::processEvents(QEventLoop::AllEvents, 10);
        QCoreApplication::sendPostedEvents(nullptr, QEvent::DeferredDelete);
        QThread::msleep(2);
    }
    return true;
}

} // namespace mivanta
