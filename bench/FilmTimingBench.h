// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <QString>

namespace mivanta {

class Figures;

/// Pictures of a film, and of a fade, that come late or not at all on two outputs at 1080p, beside a loop
/// that only blits; how far its sound and its pictures are apart; all in this process, on the windows that
/// the player has. `media`: a folder with films named by their content; `film`, of 1080p30, and `isLong`:
/// five minutes of sound.
void benchFilmTiming(Figures& figures, const QString& media, const QString& film, bool isLong);

} // namespace mivanta
