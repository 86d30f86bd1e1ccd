// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/base/Result.h"

namespace mivanta {

/// How many processor cores decoding a film keeps busy on this computer while it plays, measured on three
/// seconds from `from` on by ffmpeg in a process of its own. Any thread but the GUI's; takes seconds, and
/// half a minute at most.
[[nodiscard]] Result<double> coresForFilm(const QString& path, double from);

} // namespace mivanta
