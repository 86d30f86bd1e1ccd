// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/order/Service.h"
#include <span>

namespace mivanta {

/// The items that stand together with this one, itself among them, top to bottom; only itself when it is in
/// no group.
[[nodiscard]] std::vector<ItemId> groupOf(const std::vector<Item>& items, const ItemId& id);

/// Brings groups back to what they are: at least two items one behind the other. What came to stand between
/// two members belongs to them; members that others came between are groups of their own; a last one alone is
/// in none. A loop is always the first of its group, and has one also while it is empty.
void settleGroups(std::vector<Item>& items);

/// These items, with all that is in the loops among them: what is done to a loop is done to its members. In
/// the order of the items.
[[nodiscard]] std::vector<ItemId> withLoopMembers(const std::vector<Item>& items,
                                                  std::span<const ItemId> ids);

/// Copies get groups of their own, so that they never belong to those that they were made from.
void renewGroups(std::vector<Item>& copies);

} // namespace mivanta
