// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/order/LiveBehind.h"

namespace mivanta {

namespace {

/// True where the picture of `live` ends at this item, which comes after it.
bool endsAt(const LiveItem& live, const Item& item) {
    switch (live.reach) {
    case LiveReach::Itself:
        return true;
    case LiveReach::ToHeading:
        return std::holds_alternative<Heading>(item.words);
    case LiveReach::ToItem:
        return item.id == live.until;
    case LiveReach::ToEnd:
        return false;
    }
    return true;
}

/// An end that is not in the order behind it (any more) is no end: then it is behind nothing, rather than
/// behind everything.
bool hasItsEnd(const LiveItem& live, const Service& service, size_t at) {
    const int end = live.reach == LiveReach::ToItem ? service.indexOf(live.until) : int(service.items.size());
    return end > int(at);
}

/// The live item that is behind each item in turn: `look(item, live)` ends the walk with false.
template <typename Look>
void eachItem(const Service& service, Look look) {
    const Item* live = nullptr;
    for (size_t i = 0; i < service.items.size(); ++i) {
        const Item& item = service.items[i];
        if (live && endsAt(std::get<LiveItem>(live->words), item))
            live = nullptr;
        const auto* begins = std::get_if<LiveItem>(&item.words);
        if (!look(item, begins ? nullptr : live))
            return;
        if (begins && item.isRun() && !begins->input.isNull())
            live = hasItsEnd(*begins, service, i) ? &item : nullptr;
    }
}

} // namespace

const Item* liveBehind(const ItemId& item, const Service& service) {
    const Item* found = nullptr;
    eachItem(service, [&](const Item& each, const Item* live) {
        if (each.id == item)
            found = live;
        return each.id != item;
    });
    return found;
}

std::vector<const Item*> liveBehindEach(const Service& service) {
    std::vector<const Item*> behind;
    eachItem(service, [&](const Item&, const Item* live) {
        behind.push_back(live);
        return true;
    });
    return behind;
}

LookChoice backdropOf(const LiveItem& live) {
    LookChoice choice;
    const auto set = [&](const char* property, const LookValue& value) {
        choice.own.set(*lookProperty(QLatin1String(property)), value);
    };
    set("backdrop.kind", LookChoiceIndex{int(BackdropKind::Live)});
    set("backdrop.live", live.input.text());
    set("backdrop.fit", LookChoiceIndex{int(live.fit)});
    set("backdrop.focus", live.focus);
    return choice;
}

std::vector<const Item*> itemsOver(const ItemId& live, const Service& service) {
    std::vector<const Item*> items;
    eachItem(service, [&](const Item& each, const Item* behind) {
        if (behind && behind->id == live && each.hasSlides())
            items.push_back(&each);
        return true;
    });
    return items;
}

} // namespace mivanta
