// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/base/Colour.h"
#include <QRectF>
#include <QString>
#include <QTime>
#include <optional>

namespace mivanta {

enum class HorizontalAlign { Left, Centre, Right };

enum class ObjectKind {
    Picture,
    Text,
    Line,
    Rectangle,
    Ellipse,
    Clock,
    Countdown,
    Stopwatch, ///< how long the item has been on screen
    Field,     ///< something of the run, for stage monitors (StageField)
    Screen,    ///< what another output shows now, in small
};

/// Something that stands on a slide besides its words. Lengths are px on a picture 1080 px high.
struct SlideObject {
    ObjectKind kind = ObjectKind::Rectangle;
    QRectF box{0.35, 0.4, 0.3, 0.2}; ///< shares of the picture; a line runs along its middle
    double rotation = 0;             ///< degrees, clockwise around the box's centre
    double opacity = 1;              ///< 0 to 1
    bool inFront = false;            ///< before the words; else behind them
    QString picture;                 ///< for Picture: a file of the library's media
    /// For Text: what it says; for Clock: "HH:mm"; for Countdown: the time "10:30" or "10:30:15.000", or
    /// "+300" for so many seconds from when it is taken, or empty for the next item's fixed time; for
    /// Stopwatch: the time that it began, set when it is shown; for Field: the field's key; for Screen: the
    /// output's name, empty = the first hall screen.
    QString text;
    int size = 48; ///< px, of letters: the largest; they shrink to fit
    int weight = 700;
    HorizontalAlign align = HorizontalAlign::Centre; ///< of letters in their box
    Colour colour{255, 255, 255, 255};               ///< of letters, a line, or what fills a shape
    Colour edgeColour{0, 0, 0, 0};                   ///< of a shape's edge
    double edgeWidth = 0;                            ///< px, of a shape's edge or a line
    double roundness = 0;                            ///< px, of a rectangle's corners
    int fadeIn = 0;                                  ///< ms in which it comes, by itself; 0 = as the words do
    int fadeOut = 0;                                 ///< ms in which it goes
    friend bool operator==(const SlideObject&, const SlideObject&) = default;

    /// A picture before the words.
    [[nodiscard]] static SlideObject ofPicture(const QString& name) {
        SlideObject object;
        object.kind = ObjectKind::Picture;
        object.picture = name;
        object.inFront = true;
        return object;
    }
    /// True when it does not come and go with the words.
    [[nodiscard]] bool fadesItself() const { return fadeIn > 0 || fadeOut > 0; }
    /// True when its picture changes with the time of day.
    [[nodiscard]] bool isLive() const {
        return kind == ObjectKind::Clock || kind == ObjectKind::Countdown || kind == ObjectKind::Stopwatch;
    }
};

/// The text of a countdown that runs for so many seconds once it is taken.
[[nodiscard]] QString countdownFor(int seconds);
/// What such an object says of the time it ends; a time of day stays as it is.
[[nodiscard]] SlideObject startedAt(SlideObject object, const QTime& now);
/// Seconds since a stopwatch began; nothing when it has not.
[[nodiscard]] std::optional<int> secondsSince(const SlideObject& stopwatch, const QTime& now);
/// Seconds that it has left; it runs at most half a day. Nothing when it says no time.
[[nodiscard]] std::optional<int> secondsLeft(const SlideObject& countdown, const QTime& now);

} // namespace mivanta
