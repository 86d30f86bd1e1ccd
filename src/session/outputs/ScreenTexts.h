// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/run/Placement.h"

namespace mivanta {

/// Where an output's picture goes, in a sentence.
[[nodiscard]] QString placeText(const Placement& placement, const Output& output);
/// "Screen 2: Seaview P-20 at HDMI-1 (1920 × 1080)"; `number` counts from 1.
[[nodiscard]] QString monitorText(int number, const Monitor& monitor);
/// How many screens there are, and which of them show the same and what is to be done about it.
[[nodiscard]] QString monitorsText(const std::vector<Monitor>& monitors);
/// Only the second: empty when no screens mirror each other.
[[nodiscard]] QString mirrorText(const std::vector<Monitor>& monitors);

} // namespace mivanta
