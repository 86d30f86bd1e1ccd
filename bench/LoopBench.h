// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <QString>

namespace mivanta {

class Figures;

enum class LoopBench { All, Changes };

/// A loop: working out its line of time, and eight hours of it on the real window with the real player, by a
/// clock that is let jump; what it costs while nothing else happens. `Changes`: only how evenly its pictures
/// become the next ones, beside what does nothing but blit.
void benchLoop(Figures& figures, const QString& folder, LoopBench which);

} // namespace mivanta
