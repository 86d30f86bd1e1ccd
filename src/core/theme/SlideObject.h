// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/base/Colour.h"
#include <QRectF>
#include <QString>
#include <QTime>
#include <optional>
#include <utility>
#include <variant>

namespace mivanta {

enum class HorizontalAlign { Left, Centre, Right };

// Lengths of objects are px on a picture 1080 px high.

/// How the letters of an object stand in its box.
struct ObjectLetters {
    int size = 48; ///< px: the largest; they shrink to fit
    int weight = 700;
    HorizontalAlign align = HorizontalAlign::Centre;
    Colour colour{255, 255, 255, 255};
    friend bool operator==(const ObjectLetters&, const ObjectLetters&) = default;
};

/// Along the inside of a shape.
struct ObjectEdge {
    Colour colour{0, 0, 0, 0};
    double width = 0; ///< px
    friend bool operator==(const ObjectEdge&, const ObjectEdge&) = default;
};

struct PictureObject {
    QString name; ///< a file of the library's media
    friend bool operator==(const PictureObject&, const PictureObject&) = default;
};

/// A film of the library's media, silent and going round; what its box has not the shape for is cut off. It
/// stands behind the words, over the other objects there.
struct FilmObject {
    QString name;         ///< of its file
    double from = 0;      ///< seconds
    double to = 0;        ///< 0 = its end
    double roundness = 0; ///< px, of its corners
    friend bool operator==(const FilmObject&, const FilmObject&) = default;
};

/// A live input; what its box has not the shape for is cut off. It stands where films do.
struct LiveObject {
    QString input{}; ///< the id of a live input of this computer; may be empty
    ObjectEdge edge{};
    double roundness = 0; ///< px, of its corners; half of its height and more: its sides are round
    friend bool operator==(const LiveObject&, const LiveObject&) = default;
};

struct TextObject {
    QString text{};
    ObjectLetters letters{};
    friend bool operator==(const TextObject&, const TextObject&) = default;
};

/// Along the middle of its box.
struct LineObject {
    Colour colour{255, 255, 255, 255};
    double width = 4; ///< px
    friend bool operator==(const LineObject&, const LineObject&) = default;
};

struct RectangleObject {
    Colour fill{255, 255, 255, 255};
    ObjectEdge edge{};
    double roundness = 0; ///< px, of its corners
    friend bool operator==(const RectangleObject&, const RectangleObject&) = default;
};

struct EllipseObject {
    Colour fill{255, 255, 255, 255};
    ObjectEdge edge{};
    friend bool operator==(const EllipseObject&, const EllipseObject&) = default;
};

struct ClockObject {
    QString format = QStringLiteral("HH:mm");
    ObjectLetters letters{};
    friend bool operator==(const ClockObject&, const ClockObject&) = default;
};

/// Counts down to a time of day; or for some seconds from when it is taken; or, with neither, to the fixed
/// time of the item that comes next.
struct CountdownObject {
    std::optional<QTime> ends{};
    std::optional<int> seconds{}; ///< 0 or more
    ObjectLetters letters{};
    friend bool operator==(const CountdownObject&, const CountdownObject&) = default;
};

/// How long the item has been on screen.
struct StopwatchObject {
    std::optional<QTime> began{}; ///< set when it is shown
    ObjectLetters letters{};
    friend bool operator==(const StopwatchObject&, const StopwatchObject&) = default;
};

/// Something of the run, for stage monitors (StageField).
struct FieldObject {
    QString key{};
    ObjectLetters letters{};
    friend bool operator==(const FieldObject&, const FieldObject&) = default;
};

/// What another output shows now, in small.
struct ScreenObject {
    QString output; ///< its name; empty = the first hall screen
    friend bool operator==(const ScreenObject&, const ScreenObject&) = default;
};

using ObjectWhat =
    std::variant<PictureObject, TextObject, LineObject, RectangleObject, EllipseObject, ClockObject,
                 CountdownObject, StopwatchObject, FieldObject, ScreenObject, FilmObject, LiveObject>;

/// Something that stands on a slide besides its words.
struct SlideObject {
    ObjectWhat what = RectangleObject{};
    QRectF box{0.35, 0.4, 0.3, 0.2}; ///< shares of the picture
    double rotation = 0;             ///< degrees, clockwise around the box's centre
    double opacity = 1;              ///< 0 to 1
    bool inFront = false;            ///< before the words; else behind them
    int fadeIn = 0;                  ///< ms in which it comes, by itself; 0 = as the words do
    int fadeOut = 0;                 ///< ms in which it goes
    friend bool operator==(const SlideObject&, const SlideObject&) = default;

    /// A picture before the words.
    [[nodiscard]] static SlideObject ofPicture(const QString& name) {
        SlideObject object;
        object.what = PictureObject{name};
        object.inFront = true;
        return object;
    }
    template <typename What>
    [[nodiscard]] bool is() const {
        return std::holds_alternative<What>(what);
    }
    /// It is a layer of its own, behind the words, that is painted again and again.
    [[nodiscard]] bool moves() const { return is<FilmObject>() || is<LiveObject>(); }
    /// True when it does not come and go with the words. What moves is a layer of its own anyway.
    [[nodiscard]] bool fadesItself() const { return (fadeIn > 0 || fadeOut > 0) && !moves(); }
    /// True when its picture changes with the time of day.
    [[nodiscard]] bool isLive() const {
        return is<ClockObject>() || is<CountdownObject>() || is<StopwatchObject>();
    }
    /// The media file that it shows; null for what shows none.
    [[nodiscard]] const QString* medium() const;
    [[nodiscard]] QString* medium() { return const_cast<QString*>(std::as_const(*this).medium()); }
    /// Null for what has none.
    [[nodiscard]] const ObjectLetters* letters() const;
    [[nodiscard]] ObjectLetters* letters() {
        return const_cast<ObjectLetters*>(std::as_const(*this).letters());
    }
    [[nodiscard]] const ObjectEdge* edge() const;
    [[nodiscard]] ObjectEdge* edge() { return const_cast<ObjectEdge*>(std::as_const(*this).edge()); }
    /// Px, of its corners; null for what has none.
    [[nodiscard]] const double* roundness() const;
    [[nodiscard]] double* roundness() { return const_cast<double*>(std::as_const(*this).roundness()); }
    /// Of its letters, a line, or what fills a shape; null for what has none.
    [[nodiscard]] const Colour* colour() const;
    [[nodiscard]] Colour* colour() { return const_cast<Colour*>(std::as_const(*this).colour()); }
};

/// A countdown for so many seconds has its end from now on; anything else stays as it is.
[[nodiscard]] SlideObject startedAt(SlideObject object, const QTime& now);
/// Seconds since it began; nothing when it has not.
[[nodiscard]] std::optional<int> secondsSince(const StopwatchObject& stopwatch, const QTime& now);
/// Seconds that it has left; it runs at most half a day. Nothing when it says no time.
[[nodiscard]] std::optional<int> secondsLeft(const CountdownObject& countdown, const QTime& now);

/// What a person writes for it, and files hold: "10:30", "10:30:15.000", "+300" for seconds; empty = neither.
[[nodiscard]] QString countdownText(const CountdownObject& countdown);
/// The same, read; what is no time is neither.
void setCountdownText(CountdownObject& countdown, const QString& text);

} // namespace mivanta
