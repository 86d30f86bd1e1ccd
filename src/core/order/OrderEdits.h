// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/order/Service.h"
#include <QMap>
#include <functional>
#include <span>
#include <vector>

namespace mivanta {

// What is done to the order of a service. Each says whether (or how much) it changed; items that are not
// there are passed over. Groups may be left with one member: settleGroups() tidies up behind any of these.

/// `at` is an index in items; past the end means at the end.
void insertItems(Service& service, int at, std::vector<Item> items);

/// Once more behind the last of them, with ids of their own, which are returned in that order.
std::vector<ItemId> duplicateItems(Service& service, std::span<const ItemId> ids);

/// How many there were.
int removeItems(Service& service, std::span<const ItemId> ids);

/// In their order, to stand before what is at `to` now. Whoever goes without the others leaves their group.
bool moveItems(Service& service, std::span<const ItemId> ids, int to);

/// One behind the other, where the first of them is, to stay together; at least two.
bool groupItems(Service& service, std::span<const ItemId> ids);
/// Dissolves the groups that any of them is in.
bool ungroupItems(Service& service, std::span<const ItemId> ids);

/// A place to fill becomes what was chosen for it; its plan stays.
bool fillSlot(Service& service, const ItemId& slot, ItemWords words);
/// What was chosen becomes places to fill again, named by what it was. How many did.
int makeSlots(Service& service, std::span<const ItemId> ids);

/// Other words of the same kind.
bool setWords(Service& service, const ItemId& id, ItemWords words);
/// Items without a plan, such as headings, are passed over.
bool changePlans(Service& service, std::span<const ItemId> ids, const std::function<void(ItemPlan&)>& change);
/// These items become the last members of a loop; loops among them stay where they are.
bool putIntoLoop(Service& service, std::span<const ItemId> ids, const ItemId& loop);
/// How members stand in their loops.
bool changeLoopParts(Service& service, std::span<const ItemId> ids,
                     const std::function<void(LoopPart&)>& change);
bool changeEdits(Service& service, std::span<const ItemId> ids,
                 const std::function<void(SlideEdits&)>& change);

/// The service's copies of this theme become as it is.
bool updateTheme(Service& service, const Theme& theme);
/// Other files of the media (old name, new name) wherever these are shown. How many were in use.
int replaceMedia(Service& service, const QMap<QString, QString>& instead);

} // namespace mivanta
