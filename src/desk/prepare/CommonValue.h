// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/order/Service.h"
#include <algorithm>
#include <optional>

namespace mivanta {

/// The value that all of the items have, of which there is at least one; nothing when they differ.
template <typename Read>
auto commonValue(const std::vector<const Item*>& items, Read read)
    -> std::optional<std::decay_t<decltype(read(*items.front()))>> {
    const auto first = read(*items.front());
    for (const Item* item : items)
        if (!(read(*item) == first))
            return std::nullopt;
    return first;
}

/// The chosen items that `has` is true of; only the current one when it is not among them.
inline std::vector<ItemId> chosenThat(bool (Item::*has)() const, const Service& service,
                                      std::vector<ItemId> chosen, const ItemId& current) {
    if (std::find(chosen.begin(), chosen.end(), current) == chosen.end())
        chosen = {current};
    std::erase_if(chosen, [&](const ItemId& id) {
        const Item* item = service.item(id);
        return !item || !(item->*has)();
    });
    return chosen;
}

} // namespace mivanta
