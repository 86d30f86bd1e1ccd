// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/order/ItemLook.h"
#include <QRect>
#include <QSize>
#include <vector>

namespace mivanta {

enum class OutputKind { Hall, Stage, Stream };

/// How much light of the room falls on a screen.
enum class RoomLight { Dark, Dimmed, Daylight };

enum class PlaceKind {
    Automatic, ///< the next monitor that no other output has; with none left, a window
    Monitor,   ///< the named monitor; while it is missing, as Automatic without taking another's
    Window,    ///< an ordinary window: a simulated screen
    Closed,    ///< drawn for the desks only
};

struct OutputPlace {
    PlaceKind kind = PlaceKind::Automatic;
    QString monitor; ///< for Monitor: the name the system gives it, such as "HDMI-1"
    friend bool operator==(const OutputPlace&, const OutputPlace&) = default;
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
    double pictureHeight = 1.8; ///< metres, of the picture on its screen
    double backRow = 12;        ///< metres from the screen to those who sit last
    RoomLight light = RoomLight::Dimmed;
    friend bool operator==(const Output&, const Output&) = default;

    /// "Hall" for "hall".
    [[nodiscard]] QString label() const;
};

/// Hall (six lines), stage (chords, no steps of its own) and stream (a lower third of two lines).
[[nodiscard]] std::vector<Output> usualOutputs();

/// Every group: what an output insists on that has a theme all of its own.
[[nodiscard]] std::vector<LookGroup> allLookGroups();

/// The look of an item on an output; of one of its slides, when that has a choice of its own.
[[nodiscard]] ResolvedLook lookOn(const Output& output, const LookChain& chain,
                                  const LookChoice* slide = nullptr);

struct Monitor {
    QString name;
    QRect geometry;      ///< px on the desktop
    bool isDesk = false; ///< the monitor with the desks on it
    friend bool operator==(const Monitor&, const Monitor&) = default;
};

/// Where an output's picture goes now.
struct Placement {
    enum class Kind { FullScreen, Window, Closed };
    Kind kind = Kind::Closed;
    QString monitor; ///< for FullScreen
    friend bool operator==(const Placement&, const Placement&) = default;
};

/// One placement an output, in their order. No two share a monitor and none covers the desks' monitor,
/// unless it was named for it.
[[nodiscard]] std::vector<Placement> placementsFor(const std::vector<Output>& outputs,
                                                   const std::vector<Monitor>& monitors);

} // namespace mivanta
