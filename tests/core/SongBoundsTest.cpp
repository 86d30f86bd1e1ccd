// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/song/SongBounds.h"
#include "core/fit/LineWrapper.h"
#include "core/song/SingingOrder.h"
#include "support/EvenMeasure.h"
#include "support/Samples.h"
#include "support/Text.h"
#include <gtest/gtest.h>

namespace mivanta {
namespace {

TEST(SongBounds, WhatAnySongHasIsFineAndWhatNoneHasIsSaid) {
    EXPECT_EQ(excessOf(samples::harbourSong()), QString());
    Song song = samples::harbourSong();
    song.singingOrder.assign(20'000, {song.parts[0].id, 99, {}});
    EXPECT_EQ(excessOf(song), u"1980000 parts in a singing order; 1000 is the most"_s);
    song = samples::harbourSong();
    song.parts[0].lines.assign(1001, Line{u"a"_s, {}, false, {}, {}});
    EXPECT_TRUE(excessOf(song).contains(u"1001 lines in Verse 1"_s)) << excessOf(song).toStdString();
    song = samples::harbourSong();
    song.parts[0].lines[0].words = QString(20'001, u'a');
    EXPECT_TRUE(excessOf(song).contains(u"letters in one line"_s));
    song = samples::harbourSong();
    song.parts.assign(301, song.parts[0]);
    EXPECT_TRUE(excessOf(song).contains(u"301 parts"_s));
}

TEST(SongBounds, AnOrderThatIsTypedEndsWhereItIsTooLong) {
    const Song song = samples::harbourSong();
    const ReadOrder read = readSingingOrder(u"V1 x99 "_s.repeated(30), song.parts);
    EXPECT_LE(sungCount(read.entries), kMostSung);
    EXPECT_FALSE(read.notUnderstood(u"V1 x99 "_s.repeated(30)).isEmpty());
    EXPECT_EQ(sungCount(readSingingOrder(u"V1 x99 C x99"_s, song.parts).entries), 198);
}

TEST(SongBounds, AWordWithoutEndTakesItsRowsInATimeThatGrowsAsItDoes) {
    const EvenMeasure measure;
    const LineWrapper wrapper(QString(10'000, u'a'), measure);
    const auto rows = wrapper.rows(10);
    EXPECT_EQ(int(rows.size()), wrapper.rowCount(10));
    EXPECT_EQ(rows.front().from, 0);
    EXPECT_EQ(rows.back().to, 10'000);
}

} // namespace
} // namespace mivanta
