// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/order/OrderEdits.h"
#include "core/order/Groups.h"
#include "core/order/Templates.h"
#include "core/order/UsedMedia.h"
#include <QSet>
#include <algorithm>

namespace mivanta {

namespace {

Item* itemIn(Service& service, const ItemId& id) {
    const int at = service.indexOf(id);
    return at < 0 ? nullptr : &service.items[size_t(at)];
}

/// Of items that have a plan, and so slides.
template <typename Part>
bool changePart(Service& service, Part Item::*member, std::span<const ItemId> ids,
                const std::function<void(Part&)>& change) {
    bool isChanged = false;
    for (const ItemId& id : ids) {
        Item* item = itemIn(service, id);
        if (!item || !item->hasPlan())
            continue;
        const Part before = item->*member;
        change(item->*member);
        isChanged = isChanged || !(item->*member == before);
    }
    return isChanged;
}

} // namespace

void insertItems(Service& service, int at, std::vector<Item> items) {
    service.items.insert(service.items.begin() + std::clamp(at, 0, int(service.items.size())),
                         std::make_move_iterator(items.begin()), std::make_move_iterator(items.end()));
}

std::vector<ItemId> duplicateItems(Service& service, std::span<const ItemId> ids) {
    std::vector<Item> copies;
    std::vector<ItemId> made;
    int last = -1;
    for (const ItemId& id : withLoopMembers(service.items, ids))
        if (const int at = service.indexOf(id); at >= 0) {
            copies.push_back(service.items[size_t(at)]);
            copies.back().id = ItemId::create();
            made.push_back(copies.back().id);
            last = std::max(last, at);
        }
    renewGroups(copies);
    insertItems(service, last + 1, std::move(copies));
    return made;
}

int removeItems(Service& service, std::span<const ItemId> ids) {
    const std::vector<ItemId> all = withLoopMembers(service.items, ids);
    const QSet<ItemId> gone(all.begin(), all.end());
    return int(std::erase_if(service.items, [&](const Item& item) { return gone.contains(item.id); }));
}

bool moveItems(Service& service, std::span<const ItemId> ids, int to) {
    const std::vector<ItemId> all = withLoopMembers(service.items, ids);
    const QSet<ItemId> moving(all.begin(), all.end());
    const auto isMoving = [&](const Item& item) { return moving.contains(item.id); };
    std::vector<Item> items = service.items;
    for (Item& item : items) {
        const std::vector<ItemId> members = groupOf(service.items, item.id);
        if (isMoving(item) && !std::all_of(members.begin(), members.end(),
                                           [&](const ItemId& id) { return moving.contains(id); }))
            item.group = {};
    }
    const auto border = items.begin() + std::clamp(to, 0, int(items.size()));
    std::stable_partition(items.begin(), border, [&](const Item& item) { return !isMoving(item); });
    std::stable_partition(border, items.end(), isMoving);
    if (std::equal(items.begin(), items.end(), service.items.begin(),
                   [](const Item& a, const Item& b) { return a.id == b.id; }))
        return false;
    service.items = std::move(items);
    return true;
}

bool groupItems(Service& service, std::span<const ItemId> ids) {
    if (ids.size() < 2)
        return false;
    const std::vector<ItemId> all = withLoopMembers(service.items, ids);
    const QSet<ItemId> joining(all.begin(), all.end());
    const auto joins = [&](const Item& item) { return joining.contains(item.id); };
    const GroupId group = GroupId::create();
    for (Item& item : service.items)
        if (joins(item))
            item.group = group;
    const auto first = std::find_if(service.items.begin(), service.items.end(), joins);
    std::stable_partition(first, service.items.end(), joins);
    return true;
}

bool ungroupItems(Service& service, std::span<const ItemId> ids) {
    bool isChanged = false;
    for (const ItemId& id : ids)
        for (const ItemId& member : groupOf(service.items, id))
            if (Item* item = itemIn(service, member); item && !item->group.isNull()) {
                item->group = {};
                isChanged = true;
            }
    return isChanged;
}

bool fillSlot(Service& service, const ItemId& slot, ItemWords words) {
    Item* item = itemIn(service, slot);
    if (!item || !item->isSlot())
        return false;
    item->words = std::move(words);
    return true;
}

int makeSlots(Service& service, std::span<const ItemId> ids) {
    int made = 0;
    for (const ItemId& id : ids)
        if (Item* item = itemIn(service, id))
            made += becomeSlot(*item) ? 1 : 0;
    return made;
}

bool setWords(Service& service, const ItemId& id, ItemWords words) {
    Item* item = itemIn(service, id);
    if (!item || item->words.index() != words.index() || isSame(item->words, words))
        return false;
    item->words = std::move(words);
    return true;
}

bool changePlans(Service& service, std::span<const ItemId> ids,
                 const std::function<void(ItemPlan&)>& change) {
    return changePart(service, &Item::plan, ids, change);
}

bool putIntoLoop(Service& service, std::span<const ItemId> ids, const ItemId& loop) {
    const QSet<ItemId> asked(ids.begin(), ids.end());
    const Item* header = service.item(loop);
    if (!header || !header->loop())
        return false;
    const GroupId group = header->group;
    std::vector<Item> joining;
    std::vector<Item> others;
    for (Item& item : service.items)
        (asked.contains(item.id) && !item.loop() ? joining : others).push_back(item);
    if (joining.empty())
        return false;
    for (Item& item : joining)
        item.group = group;
    const auto at =
        std::find_if(others.begin(), others.end(), [&](const Item& item) { return item.id == loop; });
    const auto behind =
        std::find_if(at, others.end(), [&](const Item& item) { return !(item.group == group); });
    others.insert(behind, joining.begin(), joining.end());
    service.items = std::move(others);
    return true;
}

bool changeLoopParts(Service& service, std::span<const ItemId> ids,
                     const std::function<void(LoopPart&)>& change) {
    return changePart(service, &Item::inLoop, ids, change);
}

bool changeEdits(Service& service, std::span<const ItemId> ids,
                 const std::function<void(SlideEdits&)>& change) {
    return changePart(service, &Item::edits, ids, change);
}

bool updateTheme(Service& service, const Theme& theme) {
    bool isChanged = false;
    const auto update = [&](Theme& copy) {
        if (copy.id != theme.id || copy == theme)
            return;
        copy = theme;
        isChanged = true;
    };
    update(service.theme);
    for (Theme& copy : service.themes)
        update(copy);
    return isChanged;
}

int replaceMedia(Service& service, const QMap<QString, QString>& instead) {
    const QStringList shown = mediaOf(service);
    int replaced = 0;
    for (auto it = instead.begin(); it != instead.end(); ++it)
        if (it.key() != it.value() && shown.contains(it.key())) {
            renameMedia(service, it.key(), it.value());
            ++replaced;
        }
    return replaced;
}

} // namespace mivanta
