// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/order/OrderEdits.h"
#include "core/order/Groups.h"
#include "support/Samples.h"
#include "support/Text.h"
#include <QSet>
#include <gtest/gtest.h>
#include <rapidcheck/gtest.h>

namespace mivanta {
namespace {

/// So many pauses and headings, some together in groups.
Service anyOrder() {
    Service service;
    const auto kinds =
        *rc::gen::resize(12, rc::gen::container<std::string>(rc::gen::element('.', 'h', 'a', 'b')));
    for (const char kind : kinds) {
        service.items.push_back({ItemId::create(), kind == 'h' ? ItemWords(Heading{u"H"_s}) : PauseItem{}});
        if (kind == 'a' || kind == 'b')
            service.items.back().group = GroupId::fromNumber(quint64(kind));
    }
    settleGroups(service.items);
    return service;
}

/// Some of them, in any order, and one that is not there.
std::vector<ItemId> anyOf(const Service& service) {
    std::vector<ItemId> ids{ItemId::create()};
    for (const Item& item : service.items)
        if (*rc::gen::arbitrary<bool>())
            ids.insert(ids.begin() + *rc::gen::inRange(0, int(ids.size()) + 1), item.id);
    return ids;
}

std::vector<ItemId> idsOf(const Service& service) {
    std::vector<ItemId> ids;
    for (const Item& item : service.items)
        ids.push_back(item.id);
    return ids;
}

std::vector<ItemId> among(const std::vector<ItemId>& ids, const std::vector<ItemId>& chosen, bool isChosen) {
    std::vector<ItemId> result;
    for (const ItemId& id : ids)
        if ((std::find(chosen.begin(), chosen.end(), id) != chosen.end()) == isChosen)
            result.push_back(id);
    return result;
}

RC_GTEST_PROP(OrderEdits, MovedItemsStandTogetherAndTheRestKeepsItsOrder, ()) {
    const Service before = anyOrder();
    const auto ids = anyOf(before);
    const int to = *rc::gen::inRange(-1, int(before.items.size()) + 2);
    Service after = before;
    const bool isChanged = moveItems(after, ids, to);
    const auto old = idsOf(before);
    const auto now = idsOf(after);
    RC_ASSERT(among(now, ids, false) == among(old, ids, false));
    RC_ASSERT(among(now, ids, true) == among(old, ids, true));
    RC_ASSERT(isChanged == (now != old));
    for (size_t i = 0; !isChanged && i < old.size(); ++i)
        RC_ASSERT(after.items[i].group == before.items[i].group);
    // What stood before the place still does, what stood behind it still does.
    const int border = std::clamp(to, 0, int(old.size()));
    const auto stay = among({old.begin(), old.begin() + border}, ids, false);
    RC_ASSERT(std::equal(stay.begin(), stay.end(), now.begin()));
    const auto moved = among(old, ids, true);
    RC_ASSERT(std::equal(moved.begin(), moved.end(), now.begin() + std::ssize(stay)));
}

RC_GTEST_PROP(OrderEdits, WhoGoesWithoutTheOthersLeavesTheGroup, ()) {
    const Service before = anyOrder();
    const auto ids = anyOf(before);
    Service after = before;
    if (!moveItems(after, ids, *rc::gen::inRange(0, int(before.items.size()) + 1)))
        return;
    for (const ItemId& id : among(idsOf(before), ids, true)) {
        const auto members = groupOf(before.items, id);
        const bool isWhole = among(members, ids, true).size() == members.size();
        RC_ASSERT(after.item(id)->group == (isWhole ? before.item(id)->group : GroupId()));
    }
}

RC_GTEST_PROP(OrderEdits, RemovedItemsAreGoneAndNoOthers, ()) {
    const Service before = anyOrder();
    const auto ids = anyOf(before);
    Service after = before;
    const int removed = removeItems(after, ids);
    RC_ASSERT(idsOf(after) == among(idsOf(before), ids, false));
    RC_ASSERT(removed == int(before.items.size() - after.items.size()));
}

RC_GTEST_PROP(OrderEdits, CopiesAreNewAndStandBehindTheLast, ()) {
    const Service before = anyOrder();
    const auto ids = anyOf(before);
    Service after = before;
    const auto made = duplicateItems(after, ids);
    const auto chosen = among(idsOf(before), ids, true);
    RC_ASSERT(made.size() == chosen.size());
    RC_ASSERT(among(idsOf(after), made, false) == idsOf(before));
    if (made.empty())
        return;
    const int first = after.indexOf(made.front());
    RC_ASSERT(after.items[size_t(first - 1)].id == chosen.back());
    for (size_t i = 0; i < made.size(); ++i)
        RC_ASSERT(after.indexOf(made[i]) == first + int(i));
    for (const Item& item : before.items) // of no group that was there before
        for (const ItemId& copy : made)
            RC_ASSERT((after.item(copy)->group.isNull() || !(after.item(copy)->group == item.group)));
}

RC_GTEST_PROP(OrderEdits, AGroupStandsTogetherWhereItsFirstWasAndIsDissolvedWhole, ()) {
    const Service before = anyOrder();
    const auto ids = among(idsOf(before), anyOf(before), true);
    Service after = before;
    RC_ASSERT(groupItems(after, ids) == (ids.size() >= 2));
    if (ids.size() < 2)
        return;
    const int first = before.indexOf(ids.front());
    for (size_t i = 0; i < ids.size(); ++i) {
        RC_ASSERT(after.items[size_t(first) + i].id == ids[i]);
        RC_ASSERT(after.items[size_t(first) + i].group == after.item(ids.front())->group);
    }
    RC_ASSERT(among(idsOf(after), ids, false) == among(idsOf(before), ids, false));
    const auto one = *rc::gen::elementOf(ids);
    RC_ASSERT(ungroupItems(after, std::vector{one}));
    for (const ItemId& id : ids)
        RC_ASSERT(after.item(id)->group.isNull());
    RC_ASSERT(!ungroupItems(after, ids));
}

TEST(OrderEdits, PlansAreOfItemsThatHaveOne) {
    Service service;
    insertItems(service, 9, {{ItemId::create(), Heading{u"Gathering"_s}}, {ItemId::create(), PauseItem{}}});
    const auto lead = [](ItemPlan& plan) { plan.leader = u"Maren"_s; };
    EXPECT_FALSE(changePlans(service, std::vector{service.items[0].id, ItemId::create()}, lead));
    EXPECT_TRUE(changePlans(service, idsOf(service), lead));
    EXPECT_TRUE(service.items[0].plan.leader.isEmpty());
    EXPECT_EQ(service.items[1].plan.leader, u"Maren"_s);
    EXPECT_FALSE(changePlans(service, idsOf(service), lead)); // it is so already
}

TEST(OrderEdits, APlaceIsFilledOnceAndMadeAgain) {
    Service service;
    insertItems(service, 0, {{ItemId::create(), SlotItem{u"Opening song"_s}}});
    const ItemId id = service.items[0].id;
    service.items[0].plan.leader = u"Maren"_s;
    const ItemWords song = songItem(samples::harbourSong(u"Harbour"_s));
    EXPECT_TRUE(fillSlot(service, id, song));
    EXPECT_FALSE(fillSlot(service, id, song));
    EXPECT_EQ(service.items[0].plan.leader, u"Maren"_s);
    EXPECT_FALSE(setWords(service, id, song));        // as it was
    EXPECT_FALSE(setWords(service, id, PauseItem{})); // of another kind
    EXPECT_EQ(makeSlots(service, idsOf(service)), 1);
    EXPECT_TRUE(service.items[0].isSlot());
}

} // namespace
} // namespace mivanta
