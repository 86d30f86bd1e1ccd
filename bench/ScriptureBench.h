// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "Figures.h"

namespace mivanta {

/// A whole translation brought in; references understood and fitted; words searched in ten translations.
void benchScripture(Figures& figures, const QString& folder);

} // namespace mivanta
