// SPDX-License-Identifier: GPL-3.0-or-later
#include "session/service/ItemClipboard.h"
#include "support/AnyLook.h"
#include "support/Samples.h"
#include "support/Text.h"
#include <QMimeData>
#include <gtest/gtest.h>
#include <memory>

namespace mivanta {
namespace {

std::vector<Item> someItems() {
    std::vector<Item> items{
        {ItemId::create(), Heading{u"Gathering"_s}},
        {ItemId::create(), songItem(samples::harbourSong(u"One"_s))},
        {ItemId::create(), UnknownItem{u"hologram"_s, u"Boat"_s, R"({"kind":"hologram"})"}}};
    items[1].plan = {200, QTime(9, 5), u"Petra"_s, u"softly"_s, true};
    items[1].look.choice.own.set(*lookProperty(u"words.size"_s), 44);
    items[1].look.setSlide({u"Chorus"_s, 1, 0, 1}, {u"plain-paper"_s, {}, {}});
    return items;
}

TEST(ItemClipboard, ItemsComeBackWithEverythingButTheirIds) {
    const auto items = someItems();
    const std::unique_ptr<QMimeData> data(itemsToMime(items));
    EXPECT_TRUE(holdsItems(*data));
    const auto read = itemsFromMime(*data);
    ASSERT_TRUE(read);
    ASSERT_EQ(read->size(), items.size());
    for (size_t i = 0; i < items.size(); ++i) {
        EXPECT_FALSE((*read)[i].id == items[i].id);
        EXPECT_EQ((*read)[i].title(), i == 2 ? u"hologram"_s : items[i].title());
        EXPECT_EQ((*read)[i].plan, items[i].plan);
        EXPECT_EQ((*read)[i].look, items[i].look);
    }
    EXPECT_TRUE((*read)[2].isUnknown());
}

TEST(ItemClipboard, TwoPastesAreTwoDifferentItems) {
    const std::unique_ptr<QMimeData> data(itemsToMime(someItems()));
    EXPECT_FALSE((*itemsFromMime(*data))[1].id == (*itemsFromMime(*data))[1].id);
}

TEST(ItemClipboard, OtherProgramsReadTitles) {
    const std::unique_ptr<QMimeData> data(itemsToMime(someItems()));
    EXPECT_EQ(data->text(), u"# Gathering\nOne\nBoat"_s);
}

TEST(ItemClipboard, WhatIsNoneOfOursIsNotTaken) {
    QMimeData text;
    text.setText(u"One\nTwo"_s);
    EXPECT_FALSE(holdsItems(text));
    QMimeData broken;
    broken.setData(u"application/x-mivanta-order+json"_s, "[{\"kind\":");
    ASSERT_TRUE(itemsFromMime(broken));
    EXPECT_TRUE(itemsFromMime(broken)->empty());
}

} // namespace
} // namespace mivanta
