// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/order/Service.h"
#include <algorithm>

namespace mivanta {

SongItem songItem(Song song) {
    return {std::make_shared<const Song>(std::move(song))};
}

const Song* Item::song() const {
    const auto* item = std::get_if<SongItem>(&content);
    return item ? item->song.get() : nullptr;
}

QString Item::title() const {
    if (const auto* heading = std::get_if<Heading>(&content))
        return heading->title;
    return song()->title;
}

int Service::indexOf(const ItemId& id) const {
    const auto at = std::find_if(items.begin(), items.end(), [&](const Item& i) { return i.id == id; });
    return at == items.end() ? -1 : int(at - items.begin());
}

const Item* Service::item(const ItemId& id) const {
    const int at = indexOf(id);
    return at < 0 ? nullptr : &items[size_t(at)];
}

} // namespace mivanta
