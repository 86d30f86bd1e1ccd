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

// Kinds have a field of this name or they have not.

template <typename Object>
auto lettersOf(Object& object) {
    return std::visit(
        [](auto& what) {
            using Letters = std::conditional_t<std::is_const_v<Object>, const ObjectLetters*, ObjectLetters*>;
            if constexpr (requires { what.letters; })
                return Letters(&what.letters);
            else
                return Letters(nullptr);
        },
        object.what);
}

template <typename Object>
auto edgeOf(Object& object) {
    return std::visit(
        [](auto& what) {
            using Edge = std::conditional_t<std::is_const_v<Object>, const ObjectEdge*, ObjectEdge*>;
            if constexpr (requires { what.edge; })
                return Edge(&what.edge);
            else
                return Edge(nullptr);
        },
        object.what);
}

template <typename Object>
auto colourOf(Object& object) {
    return std::visit(
        [](auto& what) {
            using Found = std::conditional_t<std::is_const_v<Object>, const Colour*, Colour*>;
            if constexpr (requires { what.letters; })
                return Found(&what.letters.colour);
            else if constexpr (requires { what.fill; })
                return Found(&what.fill);
            else if constexpr (requires { what.colour; })
                return Found(&what.colour);
            else
                return Found(nullptr);
        },
        object.what);
}

} // namespace

const QString* SlideObject::picture() const {
    const auto* shown = std::get_if<PictureObject>(&what);
    return shown ? &shown->name : nullptr;
}
QString* SlideObject::picture() {
    auto* shown = std::get_if<PictureObject>(&what);
    return shown ? &shown->name : nullptr;
}
const ObjectLetters* SlideObject::letters() const {
    return lettersOf(*this);
}
ObjectLetters* SlideObject::letters() {
    return lettersOf(*this);
}
const ObjectEdge* SlideObject::edge() const {
    return edgeOf(*this);
}
ObjectEdge* SlideObject::edge() {
    return edgeOf(*this);
}
const Colour* SlideObject::colour() const {
    return colourOf(*this);
}
Colour* SlideObject::colour() {
    return colourOf(*this);
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
