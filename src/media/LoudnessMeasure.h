// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/base/Result.h"
#include "core/media/Loudness.h"

namespace mivanta {

/// Measures how loud a sound or the sound of a film is, by ffmpeg in a process of its own. Any thread but the
/// GUI's; takes about a second for three minutes, and ten minutes at most.
[[nodiscard]] Result<Loudness> measuredLoudness(const QString& path);

} // namespace mivanta
