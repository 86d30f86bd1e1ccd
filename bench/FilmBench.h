// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <QString>

namespace mivanta {

class Figures;

/// A film of 1080p and 30 pictures a second with words over it, in the real player on one, two and three
/// outputs; beside it what ffmpeg takes to decode it; takes over and of films; their timing
/// (FilmTimingBench), with `isLong` five minutes of sound. On the virtual display.
/// `which`: "film" or empty for all of it, else "film-cores", "film-takes" or "film-timing".
void benchFilm(Figures& figures, const QString& folder, const QString& which, bool isLong);

} // namespace mivanta
