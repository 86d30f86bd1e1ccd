// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/theme/Theme.h"
#include <vector>

namespace mivanta {

/// The themes that ship with the program. The first one is the usual theme of a new service.
[[nodiscard]] std::vector<Theme> shippedThemes();

} // namespace mivanta
