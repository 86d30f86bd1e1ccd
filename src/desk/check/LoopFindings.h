// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/run/Findings.h"

namespace mivanta {

class Session;

/// Loops that would show nothing, whose end cannot be, or that lead to an item that is gone; and what is left
/// out of them on the day of the service.
[[nodiscard]] std::vector<Finding> loopFindings(Session& session);

} // namespace mivanta
