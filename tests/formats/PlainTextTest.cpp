// SPDX-License-Identifier: GPL-3.0-or-later
#include "Reading.h"

namespace mivanta {
namespace {

TEST(PlainText, UnderstandsEveryFormOfHeading) {
    const ReadSong read = readOne("Title: Tide\n\nVerse 1\none\n\n[Chorus]\ntwo\n\n# Bridge\nthree\n\nVerse "
                                  "2:\nfour\n\n[Ending]\nfive\n");
    EXPECT_EQ(read.song.title, u"Tide"_s);
    EXPECT_EQ(labels(read.song),
              (QStringList{u"Verse 1"_s, u"Chorus"_s, u"Bridge"_s, u"Verse 2"_s, u"Ending"_s}));
}

TEST(PlainText, WithoutHeadingsWordsThatComeAgainAreTheChorus) {
    const ReadSong read = readOne("Tide\n\none\ntwo\n\nsing it\n\nthree\nfour\n\nSing it\n");
    EXPECT_EQ(read.song.title, u"Tide"_s);
    EXPECT_EQ(labels(read.song), (QStringList{u"Verse 1"_s, u"Chorus"_s, u"Verse 2"_s}));
    EXPECT_EQ(singingOrderText(read.song), u"V1 C V2 C"_s);
}

TEST(PlainText, AHeadingWithoutWordsRepeatsItsPart) {
    const ReadSong read = readOne("Verse 1\none\n\nChorus\nsing\n\nVerse 2\ntwo\n\nChorus\n");
    EXPECT_EQ(singingOrderText(read.song), u"V1 C V2 C"_s);
    EXPECT_TRUE(read.warnings.empty());
}

TEST(PlainText, TheTitleMayStandBeforeTheDetailsOrBeMissing) {
    const ReadSong read = readOne("Every Tide\n\nWords: I. T.\nKey: D\n\nVerse 1\none\n");
    EXPECT_EQ(read.song.title, u"Every Tide"_s);
    EXPECT_EQ(read.song.key, u"D"_s);
    EXPECT_EQ(readOne("one\ntwo\n\nthree\nfour\n", u"from the file.txt"_s).song.title, u"from the file"_s);
}

TEST(PlainText, SlideBreaksByRuleAndByBlankLineUnderAHeading) {
    const ReadSong read = readOne("Verse 1\none\n---\ntwo\n\nthree\n\nChorus\nfour\n");
    EXPECT_EQ(words(read.song.parts[0]), (QStringList{u"one"_s, u"/ two"_s, u"/ three"_s}));
    EXPECT_EQ(words(read.song.parts[1]), QStringList{u"four"_s});
}

TEST(PlainText, ChordsInBracketsAreChordsAndOtherBracketsAreWords) {
    const Line line = readOne("Verse 1\n[G]shine [softly] on [Em]us\n").song.parts[0].lines[0];
    EXPECT_EQ(line.words, u"shine [softly] on us"_s);
    EXPECT_EQ(line.chords.size(), 2u);
}

TEST(PlainText, TheSameHeadingWithOtherWordsIsKeptAndSaid) {
    const ReadSong read = readOne("Verse 1\none\n\nVerse 1\nother\n");
    EXPECT_EQ(labels(read.song), (QStringList{u"Verse 1"_s, u"Verse 2"_s}));
    ASSERT_EQ(read.warnings.size(), 1u);
    EXPECT_EQ(read.warnings[0].line, 4);
}

TEST(PlainText, AnOrderLineWithAnUnknownPartSaysItsLine) {
    const ReadSong read = readOne("Title: T\nOrder: V1 Q C\n\nVerse 1\none\n\nChorus\ntwo\n");
    EXPECT_EQ(singingOrderText(read.song), u"V1 C"_s);
    ASSERT_EQ(read.warnings.size(), 1u);
    EXPECT_EQ(read.warnings[0].line, 2);
}

TEST(PlainText, AWordThatIsAlsoAHeadingStaysAWordInsideABlock) {
    const ReadSong read = readOne("Verse 1\nbuild a\nbridge\nto the end\n");
    EXPECT_EQ(words(read.song.parts[0]), (QStringList{u"build a"_s, u"bridge"_s, u"to the end"_s}));
}

} // namespace
} // namespace mivanta
