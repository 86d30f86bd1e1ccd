// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

class QString;

namespace mivanta {

class Figures;

/// Drawing slides, changing a service's theme, fading on two outputs, treating a photograph; each beside
/// something that does nothing but copy or scale as much.
void benchLooks(Figures& figures, const QString& folder);

} // namespace mivanta
