// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/order/Service.h"

namespace mivanta {

/// What an item is, in a line: "Song · Ivo Tarnwell · key G".
[[nodiscard]] QString kindFacts(const Item& item);
/// What it has beyond the usual, in plain words: "begins at 10:40 · left out today · 2 slides hidden". Empty
/// when there is nothing. `themes`: where themes have their names from.
[[nodiscard]] QString unusualFacts(const Item& item, const std::vector<Theme>& themes);

/// The bench's tabs on which something is set.
struct SetTabs {
    bool words = false;
    bool look = false;
    bool when = false;
    bool stage = false;
    bool sound = false;
};
[[nodiscard]] SetTabs setTabsOf(const Item& item);

/// What the first tab holds of this item: "Words", "Verses", "Pictures", …
[[nodiscard]] QString wordsTabName(const Item& item);

} // namespace mivanta
