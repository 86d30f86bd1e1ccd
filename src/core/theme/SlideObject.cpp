// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/theme/SlideObject.h"
#include <cmath>

namespace mivanta {

namespace {

constexpr int kHalfADayMs = 12 * 3600 * 1000;
const char* const kExact = "HH:mm:ss.zzz";

/// Of "+300".
std::optional<int> secondsToRun(const QString& text) {
    bool isNumber = false;
    const int seconds = text.startsWith(u'+') ? text.mid(1).toInt(&isNumber) : 0;
    return isNumber && seconds >= 0 ? std::optional(seconds) : std::nullopt;
}

} // namespace

namespace {

/// The field that `of` finds in some kinds; null for those that have none of its name.
template <typename Field, typename Of>
const Field* fieldOf(const ObjectWhat& what, const Of& of) {
    return std::visit(
        [&](const auto& object) -> const Field* {
            if constexpr (requires { of(object); })
                return &of(object);
            return nullptr;
        },
        what);
}

} // namespace

const QString* SlideObject::medium() const {
    return fieldOf<QString>(what, [](const auto& object) -> decltype((object.name)) { return object.name; });
}

const ObjectLetters* SlideObject::letters() const {
    return fieldOf<ObjectLetters>(
        what, [](const auto& object) -> decltype((object.letters)) { return object.letters; });
}

const ObjectEdge* SlideObject::edge() const {
    return fieldOf<ObjectEdge>(what,
                               [](const auto& object) -> decltype((object.edge)) { return object.edge; });
}

const double* SlideObject::roundness() const {
    return fieldOf<double>(
        what, [](const auto& object) -> decltype((object.roundness)) { return object.roundness; });
}

const Colour* SlideObject::colour() const {
    return std::visit(
        [](const auto& object) -> const Colour* {
            if constexpr (requires { object.letters; })
                return &object.letters.colour;
            else if constexpr (requires { object.fill; })
                return &object.fill;
            else if constexpr (requires { object.colour; })
                return &object.colour;
            return nullptr;
        },
        what);
}

SlideObject startedAt(SlideObject object, const QTime& now) {
    if (auto* countdown = std::get_if<CountdownObject>(&object.what); countdown && countdown->seconds) {
        countdown->ends = now.addSecs(*countdown->seconds);
        countdown->seconds.reset();
    }
    return object;
}

std::optional<int> secondsSince(const StopwatchObject& stopwatch, const QTime& now) {
    if (!stopwatch.began)
        return std::nullopt;
    const int since = stopwatch.began->msecsTo(now);
    return (since < 0 ? since + 2 * kHalfADayMs : since) / 1000; // it began before midnight
}

std::optional<int> secondsLeft(const CountdownObject& countdown, const QTime& now) {
    if (countdown.seconds)
        return countdown.seconds;
    if (!countdown.ends)
        return std::nullopt;
    int left = now.msecsTo(*countdown.ends);
    if (left > kHalfADayMs) // it ended before midnight
        left -= 2 * kHalfADayMs;
    else if (left < -kHalfADayMs) // it ends after midnight
        left += 2 * kHalfADayMs;
    return std::max(0, int(std::ceil(left / 1000.0)));
}

QString countdownText(const CountdownObject& countdown) {
    if (countdown.seconds)
        return u'+' + QString::number(*countdown.seconds);
    if (!countdown.ends)
        return {};
    const bool isWholeMinute = countdown.ends->second() == 0 && countdown.ends->msec() == 0;
    return countdown.ends->toString(isWholeMinute ? QStringLiteral("HH:mm") : QString::fromLatin1(kExact));
}

void setCountdownText(CountdownObject& countdown, const QString& text) {
    countdown.seconds = secondsToRun(text);
    countdown.ends.reset();
    for (const QString& form :
         {QStringLiteral("H:mm:ss.zzz"), QStringLiteral("H:mm:ss"), QStringLiteral("H:mm")})
        if (const QTime end = QTime::fromString(text.trimmed(), form); end.isValid() && !countdown.ends)
            countdown.ends = end;
}

} // namespace mivanta
