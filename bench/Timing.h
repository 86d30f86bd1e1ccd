// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <QCoreApplication>
#include <QElapsedTimer>
#include <QEventLoop>
#include <QTimer>

namespace mivanta {

inline double msOf(const QElapsedTimer& time) {
    return double(time.nsecsElapsed()) / 1e6;
}

/// Handles events for so long.
inline void passFor(int milliseconds) {
    QEventLoop loop;
    QTimer::singleShot(milliseconds, Qt::PreciseTimer, &loop, &QEventLoop::quit);
    loop.exec();
}

/// Handles what happens, and waits for it that long at most: processEvents() with a time does not wait.
inline void waitForEvents(int milliseconds) {
    QTimer latest;
    latest.setSingleShot(true);
    latest.start(milliseconds);
    QCoreApplication::processEvents(QEventLoop::WaitForMoreEvents);
}

/// Handles events until the condition holds, and says whether it does.
template <typename Condition>
bool waitUntil(Condition condition, int milliseconds = 20'000) {
    QElapsedTimer time;
    time.start();
    while (!condition() && time.elapsed() < milliseconds)
        waitForEvents(5);
    return condition();
}

} // namespace mivanta
