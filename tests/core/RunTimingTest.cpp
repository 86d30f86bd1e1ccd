// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/timing/RunTiming.h"
#include "support/Samples.h"
#include "support/Text.h"
#include <gtest/gtest.h>
#include <rapidcheck/gtest.h>

namespace mivanta {
namespace {

const QDateTime kStart(QDate(2026, 10, 4), QTime(10, 30));

/// Three items of five minutes each from half past ten.
Service threeItems() {
    Service service;
    service.start = kStart;
    for (const auto& title : {u"One"_s, u"Two"_s, u"Three"_s}) {
        service.items.push_back({ItemId::create(), songItem(samples::harbourSong(title))});
        service.items.back().plan.seconds = 300;
    }
    return service;
}

RunMoment at(const Service& service, int item, int began, int now) {
    return {service.items[size_t(item)].id, kStart.addSecs(began), kStart, kStart.addSecs(now)};
}

TEST(RunTiming, BehindAheadAndTheLikelyEnd) {
    const Service service = threeItems();
    RunTiming timing = timingOf(service, at(service, 0, 0, 100));
    EXPECT_EQ(timing.behind, 0);
    EXPECT_EQ(timing.inItem, 100);
    EXPECT_EQ(timing.usually, 300);
    EXPECT_EQ(timing.likelyEnd, kStart.addSecs(900));
    timing = timingOf(service, at(service, 0, 0, 360)); // a minute over
    EXPECT_EQ(timing.behind, 60);
    EXPECT_EQ(timing.likelyEnd, kStart.addSecs(960));
    timing = timingOf(service, at(service, 1, 200, 250)); // taken early
    EXPECT_EQ(timing.behind, -100);
    EXPECT_EQ(timing.likelyEnd, kStart.addSecs(800));
    timing = timingOf(service, at(service, 2, 700, 720));
    EXPECT_EQ(timing.behind, 100);
}

TEST(RunTiming, AFixedTimeIsWaitedForAndWhatIsLeftOutTakesNone) {
    Service service = threeItems();
    service.items[2].plan.at = QTime(10, 45);
    EXPECT_EQ(timingOf(service, at(service, 0, 0, 10)).likelyEnd, kStart.addSecs(15 * 60 + 300));
    service.items[1].plan.skipped = true;
    service.items[2].plan.at.reset();
    EXPECT_EQ(timingOf(service, at(service, 0, 0, 10)).likelyEnd, kStart.addSecs(600));
}

TEST(RunTiming, WhatIsUsualCountsWhereNothingIsPlanned) {
    Service service = threeItems();
    service.items[1].plan.seconds.reset();
    const QString subject = subjectOf(service.items[1]);
    const UsualLengths usual = [&](const Item& item) {
        return subjectOf(item) == subject ? std::optional(420) : std::nullopt;
    };
    EXPECT_EQ(timingOf(service, at(service, 1, 300, 300), usual).usually, 420);
    EXPECT_EQ(timingOf(service, at(service, 0, 0, 0), usual).likelyEnd, kStart.addSecs(300 + 420 + 300));
    EXPECT_EQ(timetableOf(service, usual).ends, kStart.addSecs(300 + 420 + 300));
}

TEST(RunTiming, ARehearsalIsNotBehindAndBeforeTheFirstTakeNothingRuns) {
    Service service = threeItems();
    RunMoment moment = at(service, 0, 0, 50);
    moment.itemSince = moment.since = kStart.addDays(-3);
    moment.now = kStart.addDays(-3).addSecs(50);
    EXPECT_FALSE(timingOf(service, moment).behind);
    EXPECT_EQ(timingOf(service, moment).inItem, 50);
    EXPECT_FALSE(timingOf(service, {}).likelyEnd.isValid());
    service.start = {};
    EXPECT_FALSE(timingOf(service, at(service, 0, 0, 50)).behind);
    moment = at(service, 0, 0, 50);
    moment.item = ItemId::create(); // unplanned
    EXPECT_FALSE(timingOf(service, moment).usually);
    EXPECT_EQ(timingOf(service, moment).elapsed, 50);
}

TEST(RunTiming, TheMiddleOfTheLengths) {
    EXPECT_FALSE(medianOf({}));
    EXPECT_EQ(medianOf({7}), 7);
    EXPECT_EQ(medianOf({9, 1, 5}), 5);
    EXPECT_EQ(medianOf({4, 2}), 2);
}

RC_GTEST_PROP(RunTimingProperty, TimeThatPassesNeverBringsTheEndNearer, ()) {
    Service service = threeItems();
    const int item = *rc::gen::inRange(0, 3);
    const int began = *rc::gen::inRange(0, 2000);
    int now = began;
    QDateTime end;
    std::optional<int> behind;
    for (const int step : *rc::gen::container<std::vector<int>>(rc::gen::inRange(0, 200))) {
        now += step;
        const RunTiming timing = timingOf(service, at(service, item, began, now));
        RC_ASSERT(timing.behind.has_value());
        RC_ASSERT((!end.isValid() || timing.likelyEnd >= end));
        RC_ASSERT((!behind || *timing.behind >= *behind));
        RC_ASSERT(timing.likelyEnd >= kStart.addSecs(now));
        end = timing.likelyEnd;
        behind = timing.behind;
    }
}

} // namespace
} // namespace mivanta
