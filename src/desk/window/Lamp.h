// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/run/Shown.h"
#include "desk/window/Header.h"

namespace mivanta {

/// What the header's lamp says of what the outputs show. `otherService`: the service that it is from, when
/// that is not the one that is open; `withoutScreen`: how many outputs have no screen.
[[nodiscard]] LampState lampOf(const std::vector<Shown>& outputs, const QString& otherService = {},
                               int withoutScreen = 0);

} // namespace mivanta
