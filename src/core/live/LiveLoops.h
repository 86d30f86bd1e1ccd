// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/live/LiveInput.h"
#include "core/run/Monitors.h"

namespace mivanta {

/// An input that shows what an output shows cannot be shown there: the picture would stand in itself, again
/// and again. `place`: of the output's window, px on the desktop; empty = it has none.
[[nodiscard]] bool wouldShowItself(const LiveInput& input, const QString& output, const QRect& place,
                                   const std::vector<Monitor>& monitors);

} // namespace mivanta
