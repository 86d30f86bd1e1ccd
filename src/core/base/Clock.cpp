// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/base/Clock.h"
#include <QElapsedTimer>
#include <algorithm>
#include <limits>

namespace mivanta {

Clock& Clock::the() {
    static Clock clock;
    return clock;
}

QDateTime Clock::now() const {
    return QDateTime::currentDateTime().addMSecs(m_ahead);
}

qint64 Clock::steady() const {
    static const QElapsedTimer begun = [] {
        QElapsedTimer timer;
        timer.start();
        return timer;
    }();
    return begun.elapsed() + m_ahead;
}

void Clock::jump(qint64 milliseconds) {
    m_ahead += milliseconds;
    Q_EMIT jumped();
}

DueTimer::DueTimer(QObject* parent) : QObject(parent) {
    m_timer.setSingleShot(true);
    m_timer.setTimerType(Qt::PreciseTimer);
    connect(&m_timer, &QTimer::timeout, this, &DueTimer::look);
    connect(&Clock::the(), &Clock::jumped, this, [this] {
        if (isActive())
            look();
    });
}

void DueTimer::start(qint64 milliseconds) {
    m_at = Clock::the().steady() + milliseconds;
    m_timer.start(int(std::clamp<qint64>(milliseconds, 0, std::numeric_limits<int>::max())));
}

void DueTimer::stop() {
    m_timer.stop();
}

void DueTimer::look() {
    m_timer.stop();
    const qint64 left = m_at - Clock::the().steady();
    if (left > 0)
        start(left);
    else
        Q_EMIT due();
}

} // namespace mivanta

#include "moc_Clock.cpp"
