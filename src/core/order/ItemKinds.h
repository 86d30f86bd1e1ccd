// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/order/ItemWords.h"

namespace mivanta {

/// What there is to know of a kind of item; its fields are those of its struct.
struct ItemKindFacts {
    const char* key;              ///< in files and in the history of takes; never changes
    std::optional<ItemKind> look; ///< what its looks are chosen with; nothing = it has no slides
    bool takesTime = false;       ///< it has a plan: a length, a time of day, who leads
};

/// Of the alternative of ItemWords that this is.
[[nodiscard]] const ItemKindFacts& factsOf(const ItemWords& words);

} // namespace mivanta
