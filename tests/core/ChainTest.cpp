// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/timing/Chain.h"
#include "core/order/Groups.h"
#include "core/order/OrderText.h"
#include "support/Samples.h"
#include "support/Text.h"
#include <gtest/gtest.h>

namespace mivanta {
namespace {

/// Until 10:25 a loop, until 10:30 a countdown, a film of 90 s, pictures of 10 s each, a song.
Service morning() {
    OrderSources sources;
    sources.findItem = [](const QString& line) -> Result<ItemWords> {
        if (line.startsWith(u"film"_s))
            return ItemWords(FilmItem{line, QString(64, u'f') + u".mp4"_s, {}, 90});
        if (line.startsWith(u"pictures"_s))
            return ItemWords(PictureItem{line, {{u"a"_s, u"A"_s}, {u"b"_s, u"B"_s}, {u"c"_s, u"C"_s}}});
        return ItemWords(songItem(samples::harbourSong(line)));
    };
    auto read = readOrderText(u"Start: 2026-10-04 10:30\n"
                              "[loop] Notices\n+ begins: 10:00, by itself\n+ each: 10 s\n+ until: 10:25\n"
                              "- pictures of the week\n- film of the boats\n+ every: 2 rounds\n"
                              "[countdown] We begin in\n+ until: 10:30\n+ then: the next item\n"
                              "film of the harbour\n+ then: the next item\n"
                              "pictures to sing to\n+ by itself: 10 s\n"
                              "The last song\n"_s,
                              u"order"_s, {samples::theme()}, sources);
    EXPECT_TRUE(read) << read.error().text().toStdString();
    return std::move(*read);
}

QStringList said(const std::vector<ChainLink>& chain, const Service& service) {
    QStringList lines;
    for (const ChainLink& link : chain)
        lines << link.begins.toString(u"HH:mm:ss "_s) + service.item(link.item)->title();
    return lines;
}

TEST(Chain, GoesFromTheLoopToWhatWaitsForATake) {
    Service service = morning();
    const QDateTime begins(QDate(2026, 10, 4), QTime(10, 0));
    // Two rounds of 30 s and the film of 90 s: ten times, and no other round fits.
    EXPECT_EQ(said(chainFrom(service.items[0], service, begins), service),
              (QStringList{u"10:00:00 Notices"_s, u"10:25:00 We begin in"_s,
                           u"10:30:00 film of the harbour"_s, u"10:31:30 pictures to sing to"_s}));
    service.items[5].plan.goesOn = true;
    const auto longer = chainFrom(service.items[0], service, begins);
    EXPECT_EQ(said(longer, service).last(), u"10:32:00 The last song"_s);
    EXPECT_TRUE(longer.front().goesOn);
    EXPECT_FALSE(longer.back().goesOn);
    service.items[3].plan.skipped = true; // the countdown is left out today
    EXPECT_EQ(said(chainFrom(service.items[0], service, begins), service)[1],
              u"10:25:00 film of the harbour"_s);
}

TEST(Chain, IsTheItemAloneWhenNothingFollowsItByItself) {
    Service service = morning();
    EXPECT_EQ(chainFrom(service.items.back(), service, {}).size(), 1u);
    auto& loop = std::get<LoopItem>(service.items[0].words);
    loop.until = LoopUntil::Take; // only a take ends it
    EXPECT_EQ(chainFrom(service.items[0], service, {}).size(), 1u);
}

TEST(Chain, EndsWhereItWouldGoRound) {
    Service service = morning();
    auto& loop = std::get<LoopItem>(service.items[0].words);
    loop.then = LoopThen::Item;
    loop.thenItem = service.items[0].id; // itself
    EXPECT_EQ(chainFrom(service.items[0], service, {}).size(), 1u);
    loop.thenItem = service.items.back().id;
    EXPECT_EQ(chainFrom(service.items[0], service, {}).size(), 2u);
}

TEST(OrderText, LoopsAndTheirMembersAreLines) {
    const Service service = morning();
    ASSERT_EQ(service.items.size(), 7u);
    const LoopItem& loop = *service.items[0].loop();
    EXPECT_EQ(loop.title, u"Notices"_s);
    EXPECT_EQ(loop.seconds, 10);
    EXPECT_TRUE(loop.beginsByItself);
    EXPECT_EQ(service.items[0].plan.at, QTime(10, 0));
    EXPECT_EQ(loop.until, LoopUntil::Time);
    EXPECT_EQ(membersOf(service.items[0], service).size(), 2u);
    EXPECT_EQ(service.items[2].inLoop.everyRounds, 2);
    EXPECT_TRUE(service.items[3].group.isNull());
    const OrderSources none;
    for (const QString& wrong :
         {u"[loop] L\n+ until: doomsday"_s, u"[loop] L\n+ begins: soon"_s, u"[loop] L\n+ each: 0 s"_s,
          u"[pause] P\n+ every: no rounds"_s, u"[countdown] C\n+ then: the end"_s}) {
        const auto refused = readOrderText(wrong, u"order"_s, {samples::theme()}, none);
        ASSERT_FALSE(refused) << wrong.toStdString();
        EXPECT_EQ(refused.error().where, u"order, line 2"_s);
        EXPECT_FALSE(refused.error().remedy.isEmpty());
    }
    const auto rules = readOrderText(u"[loop] A\n+ until: 3 rounds\n[loop] B\n+ until: 20 min\n[loop] C\n"
                                     "+ until: its music ends"_s,
                                     u"order"_s, {samples::theme()}, none);
    ASSERT_TRUE(rules);
    EXPECT_EQ(rules->items[0].loop()->rounds, 3);
    EXPECT_EQ(rules->items[1].loop()->length, 1200);
    EXPECT_EQ(rules->items[2].loop()->until, LoopUntil::Music);
}

} // namespace
} // namespace mivanta
