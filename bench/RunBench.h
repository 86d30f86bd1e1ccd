// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <QString>

namespace mivanta {

class Figures;

// A service of 60 items run on three outputs at 1080p by the keys of the Run desk. On the virtual display,
// which gets a fourth monitor.

/// Takes, far jumps, what an idle desk costs, and memory over 10,000 takes.
void benchRun(Figures& figures, const QString& folder);
/// What it costs when a stage monitor has clocks that count seconds.
void benchClocks(Figures& figures, const QString& folder);

} // namespace mivanta
