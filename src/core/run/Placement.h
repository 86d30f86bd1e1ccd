// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/run/Output.h"
#include <map>

namespace mivanta {

/// Where an output's picture goes now.
struct Placement {
    enum class Kind {
        FullScreen,
        Window,
        Missing, ///< its monitor is not connected; it comes back with the monitor
        Closed,
    };
    Kind kind = Kind::Closed;
    QString monitor{}; ///< for FullScreen: the connector; for Missing: the monitor's label
    friend bool operator==(const Placement&, const Placement&) = default;
};

/// The monitors that outputs without a chosen one went to first, by the output's name. Such an output goes
/// back there whenever it can, so that no other output has to move when a monitor comes or goes.
using Homes = std::map<QString, Monitor>;

/// One placement an output, in their order. No two share a monitor, nor monitors that mirror each other; none
/// covers the desks' monitor, unless that was chosen for it. Outputs that are placed for the first time are
/// added to `homes`.
[[nodiscard]] std::vector<Placement> placementsFor(const std::vector<Output>& outputs,
                                                   const std::vector<Monitor>& monitors, Homes& homes);

} // namespace mivanta
