// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <QByteArray>

namespace mivanta {

/// A WAV file of two soft tones, the left loudspeaker first, then the right one: a second and a half.
[[nodiscard]] QByteArray testTone();

} // namespace mivanta
