// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <QString>

namespace mivanta {

class Figures;

/// A loop: working out its line of time, and eight hours of it on the real window with the real player, by a
/// clock that is let jump; what it costs while nothing else happens.
void benchLoop(Figures& figures, const QString& folder);

} // namespace mivanta
