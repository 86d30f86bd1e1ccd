// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/run/RunState.h"
#include "desk/parts/Header.h"

namespace mivanta {

/// What the header's lamp says of a running service on so many outputs.
[[nodiscard]] LampState lampOf(const RunState& state, int outputs);

} // namespace mivanta
