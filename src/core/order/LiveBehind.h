// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/order/Service.h"

namespace mivanta {

/// The live item whose picture stays behind an item that follows it; null = none does, or the item is not in
/// the order. Items that are not run (left out today), or have no input yet, show nothing behind others. A
/// later live item takes the place of an earlier one.
[[nodiscard]] const Item* liveBehind(const ItemId& item, const Service& service);

/// The same for every item of the order.
[[nodiscard]] std::vector<const Item*> liveBehindEach(const Service& service);

/// What it says of the looks of what follows: its picture as their backdrop.
[[nodiscard]] LookChoice backdropOf(const LiveItem& live);

/// The items that a live item is behind, in their order, itself not among them.
[[nodiscard]] std::vector<const Item*> itemsOver(const ItemId& live, const Service& service);

} // namespace mivanta
