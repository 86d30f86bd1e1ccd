// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/theme/Theme.h"
#include <QRect>
#include <QSize>
#include <vector>

namespace mivanta {

enum class OutputKind { Hall, Stage, Stream };

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
    QString insistedTheme; ///< id of the theme that it insists on; empty = the service's
    OutputPlace place;
    friend bool operator==(const Output&, const Output&) = default;

    /// "Hall" for "hall".
    [[nodiscard]] QString label() const;
};

/// Hall (six lines), stage (chords, no steps of its own) and stream (a lower third of two lines).
[[nodiscard]] std::vector<Output> usualOutputs();

/// The look that an output uses: the theme it insists on when `themes` has it, else the service's.
[[nodiscard]] Look lookFor(const Output& output, const Theme& service, const std::vector<Theme>& themes);

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
