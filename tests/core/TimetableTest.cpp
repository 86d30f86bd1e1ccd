// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/timing/Timetable.h"
#include "support/Samples.h"
#include "support/Text.h"
#include <gtest/gtest.h>
#include <rapidcheck/gtest.h>

namespace mivanta {
namespace {

Item heading(const QString& title) {
    return {ItemId::create(), Heading{title}};
}

Item planned(int minutes, std::optional<QTime> at = std::nullopt) {
    Item item{ItemId::create(), songItem(samples::harbourSong())};
    item.plan.seconds = minutes * 60;
    item.plan.at = at;
    return item;
}

Service serviceOf(std::vector<Item> items, QTime start = {10, 30}) {
    Service service;
    service.start = QDateTime(QDate(2026, 10, 4), start);
    service.items = std::move(items);
    return service;
}

QTime beginsAt(const Timetable& table, size_t row) {
    return table.rows[row].begins.time();
}

TEST(Durations, AreUnderstoodAsPeopleWriteThem) {
    EXPECT_EQ(durationFrom(u"4"_s), 240);
    EXPECT_EQ(durationFrom(u" 4 min "_s), 240);
    EXPECT_EQ(durationFrom(u"1:30"_s), 90);
    EXPECT_EQ(durationFrom(u"90 s"_s), 90);
    EXPECT_EQ(durationFrom(u"1 h"_s), 3600);
    EXPECT_EQ(durationFrom(u"1:05 h"_s), 3900);
    EXPECT_EQ(durationFrom(u"0"_s), 0);
    for (const QString& wrong :
         {u""_s, u"soon"_s, u"1:75"_s, u"-3"_s, u"13 h"_s, u"4:"_s, u"1:30 s"_s, u"99999"_s})
        EXPECT_FALSE(durationFrom(wrong)) << wrong.toStdString();
}

TEST(Durations, TimesOfDay) {
    EXPECT_EQ(timeFrom(u"10:30"_s), QTime(10, 30));
    EXPECT_EQ(timeFrom(u"1030"_s), QTime(10, 30));
    EXPECT_EQ(timeFrom(u"9.05"_s), QTime(9, 5));
    EXPECT_EQ(timeFrom(u"9"_s), QTime(9, 0));
    for (const QString& wrong : {u""_s, u"25:00"_s, u"10:60"_s, u"half past"_s, u"10:3"_s})
        EXPECT_FALSE(timeFrom(wrong)) << wrong.toStdString();
}

RC_GTEST_PROP(DurationsOfAnyLength, WhatIsWrittenIsUnderstood, ()) {
    const int seconds = *rc::gen::inRange(0, kLongestItem + 1);
    const auto read = durationFrom(durationText(seconds));
    RC_ASSERT(read);
    const int told = seconds < 3600 ? 1 : 60; // hours are told to the minute
    RC_ASSERT(std::abs(*read - seconds) < told);
}

TEST(Timetable, EachBeginsWhenTheOneBeforeItEnds) {
    const Timetable table = timetableOf(
        serviceOf({heading(u"Gathering"_s), planned(4), planned(3), heading(u"The Word"_s), planned(10)}));
    EXPECT_EQ(beginsAt(table, 1), QTime(10, 30));
    EXPECT_EQ(beginsAt(table, 2), QTime(10, 34));
    EXPECT_EQ(beginsAt(table, 4), QTime(10, 37));
    EXPECT_EQ(table.ends.time(), QTime(10, 47));
    EXPECT_EQ(table.rows[0].seconds, 7 * 60);
    EXPECT_EQ(table.rows[3].seconds, 10 * 60);
    EXPECT_EQ(beginsAt(table, 3), QTime(10, 37));
}

TEST(Timetable, AFixedTimeIsWaitedForOrMissed) {
    const Timetable early = timetableOf(serviceOf({planned(4), planned(5, QTime(10, 40)), planned(1)}));
    EXPECT_EQ(early.rows[1].slack, 6 * 60);
    EXPECT_EQ(beginsAt(early, 1), QTime(10, 40));
    EXPECT_EQ(beginsAt(early, 2), QTime(10, 45));
    const Timetable late = timetableOf(serviceOf({planned(14), planned(5, QTime(10, 40)), planned(1)}));
    EXPECT_EQ(late.rows[1].slack, -4 * 60);
    EXPECT_EQ(beginsAt(late, 1), QTime(10, 44)); // it begins late, and so does what follows
    EXPECT_EQ(beginsAt(late, 2), QTime(10, 49));
    EXPECT_FALSE(late.rows[0].slack);
}

TEST(Timetable, WhatComesBeforeTheServiceHasItsOwnTime) {
    const Timetable table =
        timetableOf(serviceOf({heading(u"Before"_s), planned(28, QTime(10, 0)), planned(2, QTime(10, 30))}));
    EXPECT_EQ(beginsAt(table, 0), QTime(10, 0));
    EXPECT_EQ(beginsAt(table, 1), QTime(10, 0));
    EXPECT_EQ(table.rows[2].slack, 2 * 60);
}

TEST(Timetable, GoesOnPastMidnight) {
    const Timetable table =
        timetableOf(serviceOf({planned(20), planned(15), planned(5, QTime(0, 15))}, {23, 30}));
    EXPECT_EQ(table.rows[1].begins.date(), QDate(2026, 10, 4));
    EXPECT_EQ(table.rows[2].begins, QDateTime(QDate(2026, 10, 5), QTime(0, 15)));
    EXPECT_EQ(table.rows[2].slack, 10 * 60);
}

TEST(Timetable, WhatIsLeftOutTodayTakesNoTime) {
    Service service = serviceOf({planned(4), planned(3), planned(2)});
    service.items[1].plan.skipped = true;
    service.items[1].plan.at = QTime(12, 0);
    const Timetable table = timetableOf(service);
    EXPECT_EQ(beginsAt(table, 2), QTime(10, 34));
    EXPECT_EQ(table.seconds, 6 * 60);
}

TEST(Timetable, WithoutAStartThereAreLengthsOnly) {
    Service service = serviceOf({planned(4), planned(3, QTime(11, 0))});
    service.start = {};
    const Timetable table = timetableOf(service);
    EXPECT_FALSE(table.rows[1].begins.isValid());
    EXPECT_FALSE(table.ends.isValid());
    EXPECT_EQ(table.seconds, 7 * 60);
}

TEST(Timetable, WhatNobodyPlannedIsGuessedFromItsWords) {
    Song longer = samples::harbourSong();
    longer.singingOrder.clear();
    const auto parts = longer.parts;
    for (Part part : parts) {
        part.id = PartId::create();
        longer.parts.push_back(part);
    }
    const Service service = serviceOf({{ItemId::create(), songItem(samples::harbourSong())},
                                       {ItemId::create(), songItem(longer)},
                                       heading(u"End"_s)});
    const Timetable table = timetableOf(service);
    EXPECT_TRUE(table.rows[0].isGuessed);
    EXPECT_GT(table.rows[0].seconds, 30);
    EXPECT_GT(table.rows[1].seconds, table.rows[0].seconds);
    EXPECT_EQ(table.rows[0].seconds % 15, 0);
    EXPECT_EQ(guessedSeconds(service.items[2], service), 0);
}

RC_GTEST_PROP(AnyTimetable, NeverGoesBackAndAddsUp, ()) {
    Service service;
    service.start = QDateTime(QDate(2026, 10, 4), QTime(*rc::gen::inRange(0, 24), *rc::gen::inRange(0, 60)));
    const int count = *rc::gen::inRange(1, 15);
    for (int i = 0; i < count; ++i) {
        if (*rc::gen::inRange(0, 5) == 0) {
            service.items.push_back(heading(u"H"_s));
            continue;
        }
        Item item = planned(*rc::gen::inRange(0, 40));
        if (i > 0 && *rc::gen::inRange(0, 4) == 0)
            item.plan.at = QTime(*rc::gen::inRange(0, 24), *rc::gen::inRange(0, 60));
        item.plan.skipped = *rc::gen::inRange(0, 5) == 0;
        service.items.push_back(item);
    }
    const Timetable table = timetableOf(service);
    RC_ASSERT(table.rows.size() == service.items.size());
    const TimetableRow* before = nullptr;
    int seconds = 0;
    for (size_t i = 0; i < table.rows.size(); ++i) {
        const Item& item = service.items[i];
        if (item.isHeading() || item.plan.skipped)
            continue;
        const TimetableRow& row = table.rows[i];
        if (before) {
            const qint64 gap = before->begins.addSecs(before->seconds).secsTo(row.begins);
            RC_ASSERT(gap >= 0);
            RC_ASSERT(gap == std::max(0, row.slack.value_or(0))); // it waits for a fixed time only
        }
        RC_ASSERT((!row.slack || item.plan.at));
        seconds += row.seconds;
        before = &row;
    }
    RC_ASSERT(table.seconds == seconds);
    if (before)
        RC_ASSERT(table.ends == before->begins.addSecs(before->seconds));
}

} // namespace
} // namespace mivanta
