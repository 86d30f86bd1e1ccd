// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/theme/SlideObject.h"
#include <cmath>

namespace mivanta {

namespace {

constexpr int kHalfADayMs = 12 * 3600 * 1000;

/// Of "+300".
std::optional<int> secondsToRun(const QString& text) {
    bool isNumber = false;
    const int seconds = text.startsWith(u'+') ? text.mid(1).toInt(&isNumber) : 0;
    return isNumber && seconds >= 0 ? std::optional(seconds) : std::nullopt;
}

QTime endOf(const QString& text) {
    const QTime end = QTime::fromString(text, QStringLiteral("H:mm:ss.zzz"));
    return end.isValid() ? end : QTime::fromString(text, QStringLiteral("H:mm"));
}

} // namespace

QString countdownFor(int seconds) {
    return u'+' + QString::number(seconds);
}

SlideObject startedAt(SlideObject object, const QTime& now) {
    if (object.kind == ObjectKind::Countdown)
        if (const auto seconds = secondsToRun(object.text))
            object.text = now.addSecs(*seconds).toString(QStringLiteral("HH:mm:ss.zzz"));
    return object;
}

std::optional<int> secondsSince(const SlideObject& stopwatch, const QTime& now) {
    const QTime begin = endOf(stopwatch.text);
    if (!begin.isValid())
        return std::nullopt;
    const int since = begin.msecsTo(now);
    return (since < 0 ? since + 2 * kHalfADayMs : since) / 1000; // it began before midnight
}

std::optional<int> secondsLeft(const SlideObject& countdown, const QTime& now) {
    if (const auto seconds = secondsToRun(countdown.text))
        return seconds;
    const QTime end = endOf(countdown.text);
    if (!end.isValid())
        return std::nullopt;
    int left = now.msecsTo(end);
    if (left > kHalfADayMs) // it ended before midnight
        left -= 2 * kHalfADayMs;
    else if (left < -kHalfADayMs) // it ends after midnight
        left += 2 * kHalfADayMs;
    return std::max(0, int(std::ceil(left / 1000.0)));
}

} // namespace mivanta
