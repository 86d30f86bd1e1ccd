// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/order/Groups.h"
#include <QHash>
#include <QSet>
#include <algorithm>

namespace mivanta {

namespace {

/// The index behind the items from `first` on that have the same group.
size_t runEnd(const std::vector<Item>& items, size_t first) {
    size_t end = first;
    while (end < items.size() && items[end].group == items[first].group)
        ++end;
    return end;
}

void takeInBetween(std::vector<Item>& items) {
    for (size_t begin = 0; begin < items.size(); begin = runEnd(items, begin)) {
        const size_t end = runEnd(items, begin);
        if (!items[begin].group.isNull() || begin == 0 || end == items.size() ||
            !(items[begin - 1].group == items[end].group))
            continue;
        for (size_t i = begin; i < end; ++i)
            items[i].group = items[end].group;
    }
}

/// A loop has a group, and one in a group of others begins its own, which goes on to that group's end.
void partAtLoops(std::vector<Item>& items) {
    for (size_t i = 0; i < items.size(); ++i) {
        const GroupId group = items[i].group;
        if (!items[i].loop())
            continue;
        if (group.isNull())
            items[i].group = GroupId::create();
        if (group.isNull() || i == 0 || !(items[i - 1].group == group))
            continue;
        const GroupId own = GroupId::create();
        for (size_t end = i; end < items.size() && items[end].group == group; ++end)
            items[end].group = own;
    }
}

} // namespace

std::vector<ItemId> groupOf(const std::vector<Item>& items, const ItemId& id) {
    const auto at = std::find_if(items.begin(), items.end(), [&](const Item& item) { return item.id == id; });
    if (at == items.end() || at->group.isNull())
        return {id};
    std::vector<ItemId> members;
    for (const Item& item : items)
        if (item.group == at->group)
            members.push_back(item.id);
    return members;
}

std::vector<ItemId> withLoopMembers(const std::vector<Item>& items, std::span<const ItemId> ids) {
    const QSet<ItemId> asked(ids.begin(), ids.end());
    QSet<GroupId> loops;
    for (const Item& item : items)
        if (item.loop() && asked.contains(item.id) && !item.group.isNull())
            loops.insert(item.group);
    std::vector<ItemId> all;
    for (const Item& item : items)
        if (asked.contains(item.id) || (!item.group.isNull() && loops.contains(item.group)))
            all.push_back(item.id);
    return all;
}

void settleGroups(std::vector<Item>& items) {
    takeInBetween(items);
    partAtLoops(items);
    QSet<GroupId> seen;
    for (size_t begin = 0, end = 0; begin < items.size(); begin = end) {
        end = runEnd(items, begin);
        GroupId group = items[begin].group;
        if (group.isNull())
            continue;
        if (end - begin == 1 && !items[begin].loop())
            group = {};
        else if (seen.contains(group))
            group = GroupId::create();
        seen.insert(items[begin].group);
        for (size_t i = begin; i < end; ++i)
            items[i].group = group;
    }
}

void renewGroups(std::vector<Item>& copies) {
    QHash<GroupId, GroupId> renewed;
    for (Item& item : copies) {
        if (item.group.isNull())
            continue;
        if (!renewed.contains(item.group))
            renewed.insert(item.group, GroupId::create());
        item.group = renewed.value(item.group);
    }
}

} // namespace mivanta
