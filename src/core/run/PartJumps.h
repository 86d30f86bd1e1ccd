// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/run/RunState.h"

namespace mivanta {

/// The item that the keys for parts are about: the one that was looked at, else the one on screen.
[[nodiscard]] std::optional<ItemId> itemMeant(const RunState& state, const Lineup& lineup);

/// Looks at the next part of that item whose short name begins with the letter ("C" = chorus), and whose
/// number this is, when one is said. Behind the place that was looked at, or else is on screen; behind the
/// last one it begins with the first again. Unchanged when there is no such part.
[[nodiscard]] RunState lookedAtPart(const RunState& state, const Lineup& lineup, QChar letter,
                                    std::optional<int> number = std::nullopt);

/// Whether that would find one.
[[nodiscard]] bool hasPart(const RunState& state, const Lineup& lineup, QChar letter,
                           std::optional<int> number = std::nullopt);

/// Looks at the begin of what is sung now: the part on screen, this time of it.
[[nodiscard]] RunState lookedAtPartAgain(const RunState& state, const Lineup& lineup);

/// Looks at the first step of that item.
[[nodiscard]] RunState lookedAtFirst(const RunState& state, const Lineup& lineup);

/// Looks at the first step of the item so many behind (negative: before) that one. Beyond the ends:
/// unchanged.
[[nodiscard]] RunState lookedAtItemsOn(const RunState& state, const Lineup& lineup, int items);

} // namespace mivanta
