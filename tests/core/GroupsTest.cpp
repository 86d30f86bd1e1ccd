// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/order/Groups.h"
#include "core/order/OrderText.h"
#include "core/order/Templates.h"
#include "support/Samples.h"
#include "support/Text.h"
#include <QSet>
#include <gtest/gtest.h>
#include <rapidcheck/gtest.h>

namespace mivanta {
namespace {

/// A letter for each item: the same letter stands together; "." is in no group.
std::vector<Item> itemsOf(const QString& letters) {
    std::vector<Item> items;
    for (const QChar letter : letters) {
        items.push_back({ItemId::create(), PauseItem{}});
        if (letter != u'.')
            items.back().group = GroupId::fromNumber(letter.unicode());
    }
    return items;
}

QString lettersOf(const std::vector<Item>& items) {
    QString letters;
    std::vector<GroupId> seen;
    for (const Item& item : items) {
        const auto at = std::find(seen.begin(), seen.end(), item.group);
        if (!item.group.isNull() && at == seen.end())
            seen.push_back(item.group);
        letters += item.group.isNull()
                       ? QChar(u'.')
                       : QChar(u'a' + int(std::find(seen.begin(), seen.end(), item.group) - seen.begin()));
    }
    return letters;
}

QString settled(const QString& letters) {
    auto items = itemsOf(letters);
    settleGroups(items);
    return lettersOf(items);
}

TEST(Groups, WhatStandsBetweenMembersBelongsAndALoneOneDoesNot) {
    EXPECT_EQ(settled(u".aa.bb."_s), u".aa.bb."_s);
    EXPECT_EQ(settled(u"a.a"_s), u"aaa"_s);
    EXPECT_EQ(settled(u"aab.bb"_s), u"aabbbb"_s);
    EXPECT_EQ(settled(u"a..b"_s), u"...."_s);
    EXPECT_EQ(settled(u"aabbaa"_s), u"aabbcc"_s); // cut off by others
    EXPECT_EQ(settled(u"aaba"_s), u"aa.."_s);
    EXPECT_EQ(settled(u""_s), u""_s);
}

RC_GTEST_PROP(Groups, SettledOnesAreRunsOfTwoOrMoreAndStaySo, ()) {
    const auto letters = *rc::gen::container<std::string>(rc::gen::element('.', 'a', 'b', 'c'));
    auto items = itemsOf(QString::fromStdString(letters));
    settleGroups(items);
    const QString once = lettersOf(items);
    QSet<GroupId> done;
    for (size_t i = 0; i < items.size(); ++i) {
        const GroupId& group = items[i].group;
        const auto members = groupOf(items, items[i].id);
        if (group.isNull()) {
            RC_ASSERT(members.size() == 1u);
            continue;
        }
        RC_ASSERT(members.size() >= 2u);
        const bool begins = i == 0 || !(items[i - 1].group == group);
        RC_ASSERT((!begins || !done.contains(group))); // one run each
        done.insert(group);
    }
    settleGroups(items);
    RC_ASSERT(lettersOf(items) == once);
}

TEST(Groups, CopiesAreNoneOfThoseTheyWereMadeFrom) {
    const auto items = itemsOf(u"aab."_s);
    auto copies = items;
    renewGroups(copies);
    EXPECT_EQ(lettersOf(copies), lettersOf(items));
    for (size_t i = 0; i < 3; ++i)
        EXPECT_FALSE(copies[i].group == items[i].group);
}

TEST(Templates, LastWeeksServiceIsTheSameAtTheSameTimeOfTheNextWeek) {
    Service last;
    last.id = ServiceId::create();
    last.title = u"Sunday"_s;
    last.start = QDateTime(QDate(2026, 10, 18), QTime(10, 30));
    last.items = itemsOf(u"aa"_s);
    last.items.push_back({ItemId::create(), songItem(samples::harbourSong(u"Harbour"_s))});
    last.items.back().plan.leader = u"Maren"_s;
    last.items.back().plan.skipped = true;
    const Service next = serviceLike(last, QDate(2026, 10, 21), false);
    EXPECT_EQ(next.start, QDateTime(QDate(2026, 10, 25), QTime(10, 30))); // clocks go back that night
    EXPECT_FALSE(next.id == last.id);
    EXPECT_EQ(next.items[2].title(), u"Harbour"_s);
    EXPECT_FALSE(next.items[2].plan.skipped);
    for (size_t i = 0; i < 3; ++i)
        EXPECT_FALSE(next.items[i].id == last.items[i].id);
    EXPECT_EQ(serviceLike(last, QDate(2026, 10, 1), false).start, last.start); // still to come
    const Service anew = serviceLike(last, QDate(2026, 11, 1), true);
    EXPECT_EQ(anew.start.date(), QDate(2026, 11, 1));
    ASSERT_TRUE(anew.items[2].isSlot());
    EXPECT_EQ(anew.items[2].plan.leader, u"Maren"_s);
    EXPECT_EQ(kindText(anew.items[2].words), u"song to choose"_s);
    EXPECT_TRUE(anew.items[2].hasPlan());
    EXPECT_FALSE(anew.items[2].hasSlides());
}

TEST(Templates, PlacesToFillAreWrittenInBrackets) {
    const auto service = readOrderText(
        u"# Gathering\n[song] Opening song\n[Reading] First\n[any] More\n"
        "[note] Lights\n[pause] Quiet\n[countdown] Soon\n[what] is this"_s,
        u"a"_s, {samples::theme()},
        {[](const QString& line) -> Result<ItemWords> { return ItemWords(NoteItem{u"found "_s + line}); }});
    ASSERT_TRUE(service);
    QStringList kinds;
    for (const Item& item : service->items)
        kinds << item.title() + u"/"_s + kindText(item.words);
    EXPECT_EQ(kinds, (QStringList{u"Gathering/"_s, u"Opening song/song to choose"_s,
                                  u"First/scripture to choose"_s, u"More/to choose"_s, u"Lights/Note"_s,
                                  u"Quiet/Pause"_s, u"Soon/counts down"_s, u"found [what] is this/Note"_s}));
}

} // namespace
} // namespace mivanta
