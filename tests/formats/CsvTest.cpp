// SPDX-License-Identifier: GPL-3.0-or-later
#include "formats/Csv.h"
#include "formats/SongCsv.h"
#include "support/Text.h"
#include <gtest/gtest.h>
#include <rapidcheck/gtest.h>

namespace mivanta {
namespace {

TEST(Csv, QuotesOnlyWhatNeedsThem) {
    EXPECT_EQ(csvRow({u"plain"_s, u"a,b"_s, u"say \"so\""_s, {}}),
              u"plain,\"a,b\",\"say \"\"so\"\"\",\r\n"_s);
}

TEST(Csv, RowsKnowTheirLines) {
    const auto rows = csvRows(u"a,b\r\n\r\n\"two\nlines\",x\nlast"_s, u',');
    ASSERT_EQ(rows.size(), 3U);
    EXPECT_EQ(rows[1].line, 3);
    EXPECT_EQ(rows[1].cells, (QStringList{u"two\nlines"_s, u"x"_s}));
    EXPECT_EQ(rows[2].line, 5);
}

TEST(Csv, TheSeparatorIsWhatTheFirstLineUsesMost) {
    EXPECT_EQ(csvSeparator(u"a;b;c,d\n1,2,3,4,5"_s), u';');
    EXPECT_EQ(csvSeparator(u"a\tb\tc"_s), u'\t');
    EXPECT_EQ(csvSeparator(u"one"_s), u',');
}

TEST(Csv, ATableWithoutSongsIsRefused) {
    const auto none = songsFromCsv(u"Title,Text\r\n"_s, u"x.csv"_s);
    ASSERT_FALSE(none);
    EXPECT_TRUE(none.error().what.contains(u"no songs"_s));
}

RC_GTEST_PROP(CsvOfAnything, WhatIsWrittenIsReadAgain, ()) {
    const auto letters = rc::gen::elementOf(std::string("ab \"',;\t\n"));
    QStringList cells;
    for (int count = *rc::gen::inRange(2, 6); count > 0; --count)
        cells << QString::fromStdString(*rc::gen::container<std::string>(letters));
    const auto rows = csvRows(csvRow(cells), u',');
    RC_ASSERT(rows.size() == 1U);
    RC_ASSERT(rows[0].cells == cells);
}

} // namespace
} // namespace mivanta
