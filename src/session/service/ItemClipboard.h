// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/base/Result.h"
#include "core/order/Service.h"

class QMimeData;

namespace mivanta {

/// Items of an order as they are copied: with everything that was chosen for them, and as lines of text for
/// other programs. The caller owns it.
[[nodiscard]] QMimeData* itemsToMime(const std::vector<Item>& items);
inline constexpr const char* kCopiesMime = "application/x-mivanta-order+json";
[[nodiscard]] bool holdsItems(const QMimeData& data);
/// With ids of their own, so that they can be put beside those that they were copied from.
[[nodiscard]] Result<std::vector<Item>> itemsFromMime(const QMimeData& data);

} // namespace mivanta
