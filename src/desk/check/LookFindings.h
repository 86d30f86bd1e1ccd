// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/run/Findings.h"

namespace mivanta {

class Session;

/// What is too small for the back row or too weak against its backdrop, as far as it has been measured.
[[nodiscard]] std::vector<Finding> readingFindings(Session& session);

/// Fonts that are not on this computer, and letters that a font, or every font, lacks.
[[nodiscard]] std::vector<Finding> fontFindings(Session& session);

} // namespace mivanta
