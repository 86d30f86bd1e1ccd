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
    return QDateTime::currentDateTime().addMSecs(m_ahead + m_set);
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

void Clock::set(qint64 milliseconds) {
    m_set += milliseconds;
    Q_EMIT jumped();
}

namespace {

constexpr int kLookAtClockMs = 1000;
constexpr qint64 kApart = 500; // ms: less is how clocks are kept right

qint64 apart() {
    return Clock::the().now().toMSecsSinceEpoch() - Clock::the().steady();
}

} // namespace

ClockWatch::ClockWatch(QObject* parent) : QObject(parent), m_apart(apart()) {
    connect(&m_timer, &QTimer::timeout, this, &ClockWatch::look);
    connect(&Clock::the(), &Clock::jumped, this, &ClockWatch::look);
    m_timer.start(kLookAtClockMs);
}

void ClockWatch::look() {
    const qint64 now = apart();
    if (const qint64 by = now - m_apart; std::abs(by) > kApart) {
        m_apart = now;
        Q_EMIT wasSet(by);
    }
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

qint64 DueTimer::left() const {
    return isActive() ? std::max<qint64>(0, m_at - Clock::the().steady()) : 0;
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
