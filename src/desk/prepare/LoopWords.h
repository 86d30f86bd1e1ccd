// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/timing/Chain.h"

namespace mivanta {

/// What is said of a loop in plain words.

/// By member of the plan.
[[nodiscard]] QStringList memberNames(const LoopPlan& plan, const Service& service);
/// "27 rounds of 6, 42 s each, and harbour at seven 8 times".
[[nodiscard]] QString roundsText(const LoopPlan& plan, const Service& service);
/// "Loop · begins by itself at 10:00 · ends at 10:24:30, 30 s before the countdown".
[[nodiscard]] QString loopFacts(const Item& loop, const LoopPlan& plan);
/// "10:00 Harbour notices → 10:24:30 Countdown → 10:30 harbour at seven, then a take".
[[nodiscard]] QString chainText(const std::vector<ChainLink>& chain, const Service& service);
/// What comes at its end: "Countdown to the service, by itself"; empty = its last picture stays.
[[nodiscard]] QString thenText(const Item& loop, const Service& service);

} // namespace mivanta
