// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/run/Findings.h"

namespace mivanta {

class Session;

/// Media of the service that cannot be shown or heard here, and films that are too much for this computer, as
/// far as that is known.
[[nodiscard]] std::vector<Finding> mediaFindings(Session& session);

} // namespace mivanta
