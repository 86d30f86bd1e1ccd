// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/order/ItemLook.h"
#include "core/run/Monitors.h"
#include <QMarginsF>
#include <QSize>
#include <vector>

namespace mivanta {

enum class OutputKind { Hall, Stage, Stream };

/// What there is to know of a kind of output.
struct OutputKindFacts {
    OutputKind kind;
    const char* key;  ///< in files, and its outputs' usual name; never changes
    bool isForPeople; ///< else for the musicians: it shows stage notes, and words of their own where an item
                      ///< has some
    bool isInTheHall; ///< the people in the room look at it: it is the picture that the desks show large
};
[[nodiscard]] const OutputKindFacts& factsOf(OutputKind kind);

/// How much light of the room falls on a screen.
enum class RoomLight { Dark, Dimmed, Daylight };

enum class PlaceKind {
    Automatic, ///< the next monitor that no other output has; with none left, a window
    Monitor,   ///< the chosen monitor; nowhere while that is missing
    Window,    ///< a window
    Closed,    ///< drawn for the desks only
};

struct OutputPlace {
    PlaceKind kind = PlaceKind::Automatic;
    QString monitor;            ///< for Monitor: the name of its connector, such as "HDMI-1"
    MonitorIdentity identity{}; ///< for Monitor: what it said of itself when it was chosen
    /// For Window: where it stands on the desktop and how large it is, px, without a frame; null = an
    /// ordinary window that stands for a screen.
    QRect window{};
    friend bool operator==(const OutputPlace&, const OutputPlace&) = default;
};

/// Quarter turns, clockwise.
enum class Turn { None, Right, Half, Left };

/// How a picture stands on its monitor: mirrored and flipped first, then turned.
struct OutputShape {
    Turn turn = Turn::None;
    bool isMirrored = false; ///< left and right change places, as for projection from behind
    bool isFlipped = false;  ///< top and bottom do
    QMarginsF margins{}; ///< percent of the monitor (0 to 20) that stay black, for screens that cut edges off
    friend bool operator==(const OutputShape&, const OutputShape&) = default;
};
inline constexpr double kMostMargin = 20; ///< percent, on each side

/// What of the pictures an output shows.
struct OutputLayers {
    bool words = true;
    bool backdrop = true;
    bool objects = true;
    bool credit = true;
    bool callOuts = true;
    friend bool operator==(const OutputLayers&, const OutputLayers&) = default;
};

/// What is behind a picture where it is see-through.
enum class Ground {
    Black,
    Key,        ///< a colour that a video mixer takes out
    SeeThrough, ///< nothing: what lies under the window is seen
};

/// One output as it is set up.
struct Output {
    QString name; ///< unique; a short word such as "hall"
    OutputKind kind = OutputKind::Hall;
    QSize size{1920, 1080}; ///< px of its picture
    int linesAtMost = 6;
    bool ownSteps = true; ///< every slide start here is a step
    bool showsChords = false;
    bool showsBandOnly = false;
    LookChoice look; ///< weaker than the service's, but for what is insisted on
    std::vector<LookGroup> insists;
    OutputPlace place;
    OutputShape shape;
    OutputLayers layers;
    Ground ground = Ground::Black;
    Colour keyColour{0, 177, 64, 255}; ///< for Ground::Key
    bool isAbove = true;        ///< other windows never cover it (full screen, or a window with a place)
    bool hidesPointer = true;   ///< of the mouse, while it is over the picture (likewise)
    double pictureHeight = 1.8; ///< metres, of the picture on its screen
    double backRow = 12;        ///< metres from the screen to those who sit last
    RoomLight light = RoomLight::Dimmed;
    friend bool operator==(const Output&, const Output&) = default;

    [[nodiscard]] bool isForPeople() const { return factsOf(kind).isForPeople; }
    [[nodiscard]] bool isInTheHall() const { return factsOf(kind).isInTheHall; }
    /// "Hall" for "hall".
    [[nodiscard]] QString label() const;
    /// What is behind its picture; alpha 0 for SeeThrough.
    [[nodiscard]] Colour groundColour() const;
};

/// Hall (six lines), stage (chords, no steps of its own) and stream (a lower third of two lines).
[[nodiscard]] std::vector<Output> usualOutputs();

/// Every group: what an output insists on that has a theme all of its own.
[[nodiscard]] std::vector<LookGroup> allLookGroups();

/// The look of an item on an output; of one of its slides, when that has a choice of its own.
[[nodiscard]] ResolvedLook lookOn(const Output& output, const LookChain& chain,
                                  const LookChoice* slide = nullptr);

} // namespace mivanta
