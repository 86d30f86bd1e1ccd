// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/song/SongComparison.h"
#include "core/song/SongLikeness.h"
#include "support/AnySong.h"
#include "support/Text.h"
#include <gtest/gtest.h>
#include <rapidcheck/gtest.h>

namespace mivanta {
namespace {

using RowKind = ComparedRow::Kind;
using What = ComparedRow::What;

Song songOf(const QStringList& lines) {
    Song song;
    song.id = SongId::create();
    song.title = u"Song"_s;
    Part verse{PartId::create(), PartKind::Verse, 1, {}, false, {}, {}};
    for (const QString& line : lines)
        verse.lines.push_back({line, {}, false, {}, {}});
    song.parts = {verse};
    return song;
}

/// The kinds of the rows that are words: "=~<>".
QString wordKinds(const std::vector<ComparedRow>& rows) {
    QString kinds;
    for (const ComparedRow& row : rows)
        if (row.what == What::Words)
            kinds += QLatin1String("=~<>")[int(row.kind)];
    return kinds;
}

TEST(SongComparison, PairsChangedLinesAndMarksTheirWords) {
    const Song left = songOf({u"Morning over the sea"_s, u"we sing of light"_s, u"Amen"_s});
    const Song right =
        songOf({u"Morning over the deep sea"_s, u"a line that is new"_s, u"we sing of night"_s, u"Amen"_s});
    const auto rows = compareSongs(left, right);
    EXPECT_EQ(wordKinds(rows), u"~>~="_s);
    const ComparedRow& first = *std::find_if(rows.begin(), rows.end(),
                                             [](const ComparedRow& row) { return row.what == What::Words; });
    EXPECT_TRUE(first.leftMarks.empty());
    ASSERT_EQ(first.rightMarks.size(), 1u);
    EXPECT_EQ(first.right.mid(first.rightMarks[0].from, first.rightMarks[0].length), u"deep"_s);
}

TEST(SongComparison, ChordsAreShownWhereOnlyTheyDiffer) {
    Song left = songOf({u"Morning"_s});
    Song right = left;
    left.parts[0].lines[0].chords = {{0, u"G"_s}};
    right.parts[0].lines[0].chords = {{0, u"A"_s}};
    const auto rows = compareSongs(left, right);
    EXPECT_EQ(rows.back().left, u"[G]Morning"_s);
    EXPECT_EQ(rows.back().right, u"[A]Morning"_s);
    EXPECT_EQ(rows.back().kind, RowKind::Changed);
}

TEST(SongComparison, DetailsStandByName) {
    Song left = songOf({u"x"_s});
    Song right = left;
    left.key = u"D"_s;
    right.key = u"G"_s;
    right.copyright = u"Quay Press"_s;
    QStringList told;
    for (const ComparedRow& row : compareSongs(left, right))
        if (row.what == What::Detail && row.kind != RowKind::Same)
            told << row.name + u'=' + row.left + u'/' + row.right;
    EXPECT_EQ(told, (QStringList{u"Copyright=/Quay Press"_s, u"Key=D/G"_s}));
}

TEST(SongComparison, SongsBeyondMeasureAreStillCompared) {
    QStringList many;
    QStringList others;
    for (int i = 0; i < 3000; ++i) {
        many << u"line %1"_s.arg(i);
        others << u"other %1"_s.arg(i);
    }
    const auto rows = compareSongs(songOf(many), songOf(others));
    EXPECT_EQ(wordKinds(rows).count(u'<'), 3000);
    EXPECT_EQ(wordKinds(rows).count(u'>'), 3000);
}

/// What stands in one column, without what the rows leave out.
QStringList column(const std::vector<ComparedRow>& rows, bool left) {
    QStringList texts;
    for (const ComparedRow& row : rows)
        if (row.what != What::Detail && row.kind != (left ? RowKind::OnlyRight : RowKind::OnlyLeft))
            texts << (left ? row.left : row.right);
    return texts;
}

RC_GTEST_PROP(SongComparison, ASongIsLikeItself, ()) {
    const Song song = *samples::anySong();
    for (const ComparedRow& row : compareSongs(song, song))
        RC_ASSERT(row.kind == RowKind::Same);
}

RC_GTEST_PROP(SongComparison, EachSideIsComplete, ()) {
    Song a = *samples::anySong();
    Song b = *samples::anySong();
    for (Song* song : {&a, &b})
        for (Part& part : song->parts)
            for (Line& line : part.lines) { // shown only where nothing else differs
                line.chords.clear();
                line.emphasis.clear();
            }
    const auto rows = compareSongs(a, b);
    RC_ASSERT(column(rows, true) == column(compareSongs(a, a), true));
    RC_ASSERT(column(rows, false) == column(compareSongs(b, b), true));
    for (const ComparedRow& row : rows) {
        RC_ASSERT((row.kind == RowKind::Same) == (row.left == row.right));
        for (const TextSpan& mark : row.leftMarks)
            RC_ASSERT((mark.from >= 0 && mark.length > 0 && mark.from + mark.length <= row.left.size()));
        for (const TextSpan& mark : row.rightMarks)
            RC_ASSERT((mark.from >= 0 && mark.length > 0 && mark.from + mark.length <= row.right.size()));
    }
}

const QStringList kWords{u"The nets are mended on the quay"_s, u"and every boat is home from sea"_s,
                         u"the lamps are lit along the wall"_s};

TEST(SongLikeness, DivisionCaseAndOnePartMoreMakeNoOther) {
    const Song song = songOf(kWords);
    Song other = songOf({kWords.join(u' ').toUpper().replace(u"NETS"_s, u"\"nets\","_s)});
    EXPECT_GE(sharedWords(wordPairs(song), wordPairs(other)), 0.95);
    other = songOf(kWords + QStringList{u"and here is much that is not in the first"_s,
                                        u"nor anywhere else that we have ever seen"_s});
    EXPECT_GE(sharedWords(wordPairs(song), wordPairs(other)), kSameWords);
}

TEST(SongLikeness, FewWordsMustBeEqual) {
    const Song few = songOf({u"and every boat"_s});
    EXPECT_EQ(sharedWords(wordPairs(few), wordPairs(songOf(kWords))), 0);
    EXPECT_EQ(sharedWords(wordPairs(few), wordPairs(few)), 1);
    EXPECT_EQ(sharedWords(wordPairs(songOf({})), wordPairs(songOf({}))), 0);
}

TEST(SongLikeness, DetailsOfTheOtherFillGapsOnly) {
    Song song = songOf(kWords);
    song.key = u"D"_s;
    song.topics = {u"Sea"_s};
    Song other = songOf({u"x"_s});
    other.title = u"song"_s; // the same but for case
    other.otherTitles = {u"Nets"_s};
    other.key = u"G"_s;
    other.tempo = 90;
    other.topics = {u"sea"_s, u"Rest"_s};
    other.bookNumbers = {{u"Shore Hymnal"_s, u"7"_s}};
    const Song merged = withDetailsOf(song, other);
    EXPECT_EQ(merged.key, u"D"_s);
    EXPECT_EQ(merged.tempo, 90);
    EXPECT_EQ(merged.otherTitles, QStringList{u"Nets"_s});
    EXPECT_EQ(merged.topics, (QStringList{u"Sea"_s, u"Rest"_s}));
    EXPECT_EQ(merged.bookNumbers.size(), 1u);
    EXPECT_EQ(merged.parts[0].lines, song.parts[0].lines);
    EXPECT_TRUE(sameContent(withDetailsOf(merged, other), merged));
}

} // namespace
} // namespace mivanta
