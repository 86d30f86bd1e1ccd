// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/timing/LoopPlan.h"
#include "core/order/Groups.h"
#include "core/timing/Timetable.h"
#include "support/Text.h"
#include <QTimeZone>
#include <gtest/gtest.h>

namespace mivanta {
namespace {

/// A service of one loop until 10:25: six pictures, a film every three rounds; then a countdown.
struct Morning {
    Service service;
    ItemId loop = ItemId::create();

    Morning() {
        service.start = QDateTime(QDate(2026, 10, 4), QTime(10, 30));
        LoopItem rule;
        rule.title = u"Harbour notices"_s;
        rule.until = LoopUntil::Time;
        rule.untilTime = QTime(10, 25);
        PictureItem set;
        for (int i = 0; i < 6; ++i)
            set.pictures.push_back({QString(64, u'a'), u"Notice %1"_s.arg(i + 1)});
        FilmItem film;
        film.title = u"harbour at seven"_s;
        film.seconds = 42;
        service.items = {{loop, rule},
                         {ItemId::create(), set},
                         {ItemId::create(), film},
                         {ItemId::create(), CountdownItem{u"We begin in"_s, QTime(10, 30)}}};
        service.items[0].plan.at = QTime(10, 0);
        service.items[2].inLoop.everyRounds = 3;
        for (size_t i = 0; i < 3; ++i)
            service.items[i].group = GroupId::fromNumber(7);
        settleGroups(service.items);
    }

    Item& header() { return service.items[0]; }
    LoopItem& rule() { return std::get<LoopItem>(header().words); }
    PictureItem& set() { return std::get<PictureItem>(service.items[1].words); }
    LoopPlan plan(const QTime& begins = {10, 0}) {
        return loopPlanOf(header(), service, QDateTime(QDate(2026, 10, 4), begins));
    }
};

TEST(LoopPlan, EndsInTimeForTheCountdown) {
    Morning morning;
    const LoopPlan plan = morning.plan();
    EXPECT_EQ(plan.roundSize(), 6);
    EXPECT_EQ(plan.roundLength(), 42'000);
    EXPECT_EQ(plan.ends().time(), QTime(10, 24, 30)); // half a minute before
    EXPECT_EQ(plan.until.time(), QTime(10, 25));
    EXPECT_EQ(plan.timeline.gap, 30'000);
    EXPECT_EQ(plan.stillOf(plan.timeline.showings[5]), (LoopStill{morning.service.items[1].id, 5}));
    EXPECT_EQ(plan.stillOf(plan.timeline.showings[18]), (LoopStill{morning.service.items[2].id, 0}));
    EXPECT_EQ(morning.plan(QTime(10, 12)).ends().time(), QTime(10, 24, 36)); // begun late, it ends as early
    EXPECT_EQ(followsLoop(morning.header(), morning.service), &morning.service.items[3]);
}

TEST(LoopPlan, TheSheetKnowsItsTimes) {
    Morning morning;
    const Timetable table = timetableOf(morning.service);
    EXPECT_EQ(table.rows[0].begins.time(), QTime(10, 0));
    EXPECT_EQ(table.rows[0].seconds, 24 * 60 + 30);
    EXPECT_EQ(table.rows[1].seconds, 0); // in the loop's time
    EXPECT_EQ(table.rows[3].begins.time(), QTime(10, 24, 30));
    EXPECT_EQ(table.rows[3].seconds, 5 * 60 + 30);
}

TEST(LoopPlan, MembersComeInTheirSeasonAndForTheirTime) {
    Morning morning;
    morning.set().pictures[0].season.to = QDate(2026, 10, 3);
    morning.set().pictures[1].season = {QDate(2026, 10, 4), QDate(2026, 10, 4), 64}; // this Sunday
    morning.set().pictures[2].season.weekdays = 63;                                  // not on Sundays
    morning.set().pictures[3].seconds = 20;
    morning.service.items[1].inLoop.seconds = 5;
    morning.service.items[2].plan.skipped = true;
    const LoopPlan plan = morning.plan();
    EXPECT_EQ(plan.roundSize(), 4);
    EXPECT_EQ(plan.roundLength(), 3 * 5000 + 20'000);
    ASSERT_EQ(plan.leftOut.size(), 3u);
    EXPECT_EQ(plan.leftOut[0].what.still, 0);
    EXPECT_EQ(plan.leftOut[0].why, u"until 3 Oct"_s);
    EXPECT_EQ(plan.leftOut[1].what.still, 2);
    EXPECT_EQ(plan.leftOut[2].title, u"harbour at seven"_s);
    EXPECT_EQ(plan.stillOf(plan.timeline.showings[0]), (LoopStill{morning.service.items[1].id, 1}));
    const QDate monday(2026, 10, 5);
    LoopMembersKnown tomorrow;
    tomorrow.day = monday;
    EXPECT_EQ(
        loopPlanOf(morning.header(), morning.service, QDateTime(monday.addDays(-1), QTime(23, 0)), tomorrow)
            .roundSize(),
        4); // the third comes back, the second is out
}

TEST(LoopPlan, WhatCannotBeShownIsLeftOutAndSaid) {
    Morning morning;
    LoopMembersKnown known;
    known.problem = [](const Item&, int still) { return still == 2 ? u"its file is gone"_s : QString(); };
    const LoopPlan plan = loopPlanOf(morning.header(), morning.service, {}, known);
    EXPECT_EQ(plan.roundSize(), 5);
    ASSERT_EQ(plan.leftOut.size(), 1u);
    EXPECT_EQ(plan.leftOut[0].why, u"its file is gone"_s);
    EXPECT_EQ(plan.leftOut[0].title, u"Notice 3"_s);
}

TEST(LoopPlan, SaysWhatItsRuleAsksForAndCannotBe) {
    Morning morning;
    morning.rule().untilTime = QTime(9, 45);
    EXPECT_EQ(morning.plan().problem, u"its end, 09:45, is over when it begins"_s);
    EXPECT_TRUE(morning.plan().timeline.isEndless); // as in a rehearsal on another day
    morning.rule().until = LoopUntil::Music;
    EXPECT_EQ(morning.plan().problem, u"there is no music in it that could end"_s);
    MusicItem music;
    music.pieces = {{u"a"_s, u"A"_s, 100}, {u"b"_s, u"B"_s, 20}};
    morning.service.items.insert(morning.service.items.begin() + 1, {ItemId::create(), music});
    morning.service.items[1].group = morning.header().group;
    EXPECT_EQ(morning.plan().rule.length, 120'000);
    EXPECT_EQ(morning.plan().roundSize(), 6); // music is underneath
    std::get<MusicItem>(morning.service.items[1].words).end = MusicEnd::Again;
    EXPECT_FALSE(morning.plan().problem.isEmpty());
    morning.service.items.resize(1);
    EXPECT_TRUE(morning.plan().timeline.showings.empty()); // an empty loop
}

TEST(LoopPlan, TheTimeOfDayCountsThroughTheNightsWhenClocksAreChanged) {
    Morning morning;
    morning.rule().untilTime = QTime(4, 0);
    const QTimeZone berlin("Europe/Berlin");
    const auto length = [&](QDate day) {
        const QDateTime begins(day, QTime(1, 0), berlin);
        const LoopPlan plan = loopPlanOf(morning.header(), morning.service, begins);
        return plan.begins.msecsTo(plan.until);
    };
    EXPECT_EQ(length(QDate(2026, 10, 4)), 3 * 3600'000);
    EXPECT_EQ(length(QDate(2026, 10, 25)), 4 * 3600'000); // an hour comes twice
    EXPECT_EQ(length(QDate(2026, 3, 29)), 2 * 3600'000);  // and one does not come
    morning.rule().untilTime = QTime(0, 10);              // over midnight
    EXPECT_EQ(morning.plan(QTime(23, 50)).until, QDateTime(QDate(2026, 10, 5), QTime(0, 10)));
}

TEST(LoopPlan, GoesOnFromAPlaceAndStillEndsInTime) {
    Morning morning;
    const LoopPlan plan = morning.plan();
    const LoopStill third{morning.service.items[1].id, 2};
    const QDateTime later(QDate(2026, 10, 4), QTime(10, 20)); // it stood still meanwhile
    const LoopPlan rest = continued(plan, *plan.placeOf(third, 4), later);
    EXPECT_EQ(rest.stillOf(rest.timeline.showings.front()), third);
    EXPECT_LE(rest.ends(), plan.until);
    EXPECT_FALSE(plan.placeOf({ItemId::create(), 0}, 0));
}

TEST(LoopPlan, KnowsWhatItShowsFirst) {
    Morning morning;
    const QDateTime now(QDate(2026, 10, 4), QTime(10, 0));
    EXPECT_EQ(firstOf(morning.header(), morning.service, now), (LoopStill{morning.service.items[1].id, 0}));
    morning.rule().isShuffled = true;
    const LoopPlan plan = morning.plan();
    EXPECT_EQ(firstOf(morning.header(), morning.service, now), plan.stillOf(plan.timeline.showings.front()));
    EXPECT_NE(plan.rule.seed, loopPlanOf(morning.header(), morning.service, now.addDays(7))
                                  .rule.seed); // another Sunday, another order
}

TEST(Loops, KnowTheirMembersAndWhatFollows) {
    Morning morning;
    const Service& service = morning.service;
    EXPECT_EQ(loopOf(service.items[1], service), &service.items[0]);
    EXPECT_EQ(loopOf(service.items[0], service), nullptr);
    EXPECT_EQ(loopOf(service.items[3], service), nullptr);
    EXPECT_EQ(loopOf(ItemId::create(), service), nullptr);
    EXPECT_EQ(membersOf(service.items[0], service).size(), 2u);
    EXPECT_EQ(membersOfLoops(service), (std::vector<bool>{false, true, true, false}));
    morning.rule().then = LoopThen::Item;
    EXPECT_EQ(followsLoop(service.items[0], service), nullptr);
    morning.rule().thenItem = service.items[3].id;
    EXPECT_EQ(followsLoop(service.items[0], service), &service.items[3]);
    morning.rule().then = LoopThen::Stays;
    EXPECT_EQ(followsLoop(service.items[0], service), nullptr);
}

TEST(Loops, AreTheFirstOfTheirGroupAlways) {
    Morning morning;
    std::vector<Item> items = morning.service.items;
    std::swap(items[0], items[1]); // a picture came above it
    settleGroups(items);
    EXPECT_TRUE(items[0].group.isNull());
    EXPECT_EQ(items[1].group, items[2].group);
    EXPECT_FALSE(items[1].group.isNull());
    Item inner{ItemId::create(), LoopItem{}, {}, {}, {},
               items[1].group}; // a loop among the members of another
    items.insert(items.begin() + 2, inner);
    settleGroups(items);
    EXPECT_FALSE(items[1].group == items[2].group);
    EXPECT_EQ(items[2].group, items[3].group);
    for (Item& item : items)
        item.group = {};
    settleGroups(items);
    EXPECT_FALSE(items[1].group.isNull()); // an empty one has a group, to be put into
}

TEST(Season, SaysOnWhichDays) {
    const QDate sunday(2026, 10, 4);
    EXPECT_TRUE(Season().isOn(sunday));
    EXPECT_TRUE(Season().isOn({}));
    EXPECT_FALSE((Season{sunday.addDays(1), {}, 0}.isOn(sunday)));
    EXPECT_TRUE((Season{sunday, sunday, 0}.isOn(sunday)));
    EXPECT_TRUE((Season{{}, {}, 64}.isOn(sunday)));
    EXPECT_FALSE((Season{{}, {}, 32}.isOn(sunday)));
    EXPECT_EQ(seasonText({sunday, sunday.addDays(3), 96}), u"4 Oct to 7 Oct, Sat, Sun"_s);
    EXPECT_EQ(seasonText({}), QString());
}

TEST(Season, IsTheDayThatAFileNameBeginsWith) {
    EXPECT_EQ(datedName(u"2026-10-04 Bread on Friday"_s).day, QDate(2026, 10, 4));
    EXPECT_EQ(datedName(u"2026-10-04 Bread on Friday"_s).name, u"Bread on Friday"_s);
    EXPECT_EQ(datedName(u"2026-10-04_nets"_s).name, u"nets"_s);
    EXPECT_EQ(datedName(u"2026-10-04"_s).name, u"2026-10-04"_s);
    EXPECT_FALSE(datedName(u"2026-13-04 x"_s).day.isValid());
    EXPECT_FALSE(datedName(u"2026-10-045"_s).day.isValid());
    EXPECT_FALSE(datedName(u"Choir 2026-10-04"_s).day.isValid());
}

} // namespace
} // namespace mivanta
