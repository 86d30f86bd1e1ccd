// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <QString>

namespace mivanta {

class Figures;

/// How late live inputs are on an output's window, what they cost beside ffmpeg, what a dead one costs, and
/// whether 50 losses leave anything behind.
void benchLive(Figures& figures, const QString& folder);

} // namespace mivanta
