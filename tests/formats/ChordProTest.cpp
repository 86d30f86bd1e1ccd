// SPDX-License-Identifier: GPL-3.0-or-later
#include "Reading.h"

namespace mivanta {
namespace {

ReadSong chordPro(const QByteArray& text) {
    return readOne(text, u"song.cho"_s);
}

TEST(ChordPro, ReadsSectionsInLongAndShortForms) {
    const ReadSong read =
        chordPro("{title: Tide}\n{start_of_verse: Verse 1}\n[G]One\n{end_of_verse}\n"
                 "{soc}\nTwo\n{eoc}\n{start_of_bridge}\nThree\n{end_of_bridge}\n{sov}\nFour\n{eov}\n"
                 "{start_of_verse "
                 "label=\"Pre-chorus\"}\nFive\n{end_of_verse}\n{start_of_outro}\nSix\n{end_of_outro}\n");
    EXPECT_EQ(read.song.title, u"Tide"_s);
    EXPECT_EQ(labels(read.song), (QStringList{u"Verse 1"_s, u"Chorus"_s, u"Bridge"_s, u"Verse 2"_s,
                                              u"Pre-chorus"_s, u"Ending"_s}));
    EXPECT_TRUE(read.warnings.empty());
    EXPECT_TRUE(read.song.singingOrder.empty());
}

TEST(ChordPro, KeepsChordsOverTheirLetters) {
    const ReadSong read = chordPro("{t: T}\n{sov}\n[G]When the [Em7]harbour\tbell  [D/F#]rings [C]\n{eov}\n");
    const Line& line = read.song.parts[0].lines[0];
    EXPECT_EQ(line.words, u"When the harbour bell rings"_s);
    EXPECT_EQ(line.chords,
              (std::vector<ChordMark>{{0, u"G"_s}, {9, u"Em7"_s}, {22, u"D/F#"_s}, {27, u"C"_s}}));
}

TEST(ChordPro, RecallsOfTheChorusMakeTheSingingOrder) {
    const ReadSong read = chordPro("{sov}\na\n{eov}\n{soc}\nb\n{eoc}\n{sov}\nc\n{eov}\n{chorus}\n{chorus}\n");
    EXPECT_EQ(singingOrderText(read.song), u"V1 C V2 C x2"_s);
}

TEST(ChordPro, ReadsDetails) {
    const Song song = chordPro("{title: T}\n{subtitle: Other}\n{lyricist: A. One and B. Two}\n{composer: "
                               "C}\n{copyright: 2020 X}\n"
                               "{key: G}\n{tempo: 72 bpm}\n{time: 6/8}\n{capo: 2}\n{meta: licence 55 "
                               "0}\n{meta: book Shore Hymnal 203}\n"
                               "{meta: topic sea, night}\n{sov}\nx\n{eov}\n")
                          .song;
    EXPECT_EQ(song.otherTitles, QStringList{u"Other"_s});
    EXPECT_EQ(song.authorNames(AuthorRole::Words), (QStringList{u"A. One"_s, u"B. Two"_s}));
    EXPECT_EQ(song.authorNames(AuthorRole::Music), QStringList{u"C"_s});
    EXPECT_EQ(song.tempo, 72);
    EXPECT_EQ(song.capo, 2);
    EXPECT_EQ(song.bookNumbers, (std::vector<BookNumber>{{u"Shore Hymnal"_s, u"203"_s}}));
    EXPECT_EQ(song.topics, (QStringList{u"sea"_s, u"night"_s}));
    EXPECT_EQ(song.licenceNumber, u"55 0"_s);
}

TEST(ChordPro, CommentsGoToTheMusiciansAndNeverIntoTheWords) {
    const ReadSong read = chordPro("{sov: Verse 1}\n{comment: softly}\none\n{c: louder}\ntwo\n{eov}\n");
    EXPECT_EQ(words(read.song.parts[0]), (QStringList{u"one"_s, u"two"_s}));
    EXPECT_EQ(read.song.parts[0].comment, u"softly"_s);
    EXPECT_EQ(read.song.parts[0].lines[1].comment, u"louder"_s);
}

TEST(ChordPro, ACommentThatNamesAPartIsAHeading) {
    const ReadSong read = chordPro(
        "{title: T}\n{comment: Verse 1}\n[G]one\n\n{comment: Chorus}\n\ntwo\n\n{comment: Verse 2:}\nthree\n");
    EXPECT_EQ(labels(read.song), (QStringList{u"Verse 1"_s, u"Chorus"_s, u"Verse 2"_s}));
}

TEST(ChordPro, PartsWithChordsAloneAreForTheBand) {
    const ReadSong read = chordPro("{start_of_verse: Intro}\n[G] [Em] "
                                   "[C]\n{end_of_verse}\n{sov}\nwords\n{eov}\n{sot}\ne|--3--\n{eot}\n");
    EXPECT_TRUE(read.song.parts[0].bandOnly);
    EXPECT_FALSE(read.song.parts[1].bandOnly);
    EXPECT_TRUE(read.song.parts[2].bandOnly);
    EXPECT_EQ(read.song.firstLine(), u"words"_s);
}

TEST(ChordPro, BlankLinesInsideASectionAreSlideBreaks) {
    const ReadSong read = chordPro("{sov}\n\none\n\ntwo\n\n{eov}\n");
    EXPECT_EQ(words(read.song.parts[0]), (QStringList{u"one"_s, u"/ two"_s}));
}

TEST(ChordPro, LinesOutsideSectionsFormPartsAtBlankLines) {
    const ReadSong read = chordPro("{title: T}\none\ntwo\n\nsing\n\nthree\n\nsing\n");
    EXPECT_EQ(labels(read.song), (QStringList{u"Verse 1"_s, u"Chorus"_s, u"Verse 2"_s}));
    EXPECT_EQ(singingOrderText(read.song), u"V1 C V2 C"_s);
}

TEST(ChordPro, SaysWhichLineWasNeverClosed) {
    const ReadSong brace = chordPro("{title: Tide\n{sov}\none\n{eov}\n");
    EXPECT_EQ(brace.song.title, u"Tide"_s);
    ASSERT_EQ(brace.warnings.size(), 1u);
    EXPECT_EQ(brace.warnings[0].line, 1);
    const ReadSong section = chordPro("{title: Tide}\n{soc}\none\ntwo\n");
    EXPECT_EQ(words(section.song.parts[0]), (QStringList{u"one"_s, u"two"_s}));
    ASSERT_EQ(section.warnings.size(), 1u);
    EXPECT_EQ(section.warnings[0].line, 2);
    EXPECT_TRUE(section.warnings[0].text.contains(u"never closed"_s));
}

TEST(ChordPro, AnOrderNamingAPartThatIsNotThereSaysSoAndKeepsTheRest) {
    const ReadSong read = chordPro("{title: T}\n{meta: order V1 B V1}\n{sov}\none\n{eov}\n");
    EXPECT_EQ(singingOrderText(read.song), u"V1 V1"_s);
    ASSERT_EQ(read.warnings.size(), 1u);
    EXPECT_EQ(read.warnings[0].line, 2);
    EXPECT_TRUE(read.warnings[0].text.contains(u'B'));
}

TEST(ChordPro, SeveralSongsInOneFile) {
    const auto songs =
        readBytes("{title: A}\n{sov}\nx\n{eov}\n{new_song}\n{title: B}\n{sov}\ny\n{eov}\n", u"both.cho"_s);
    ASSERT_TRUE(songs);
    ASSERT_EQ(songs->size(), 2u);
    EXPECT_EQ((*songs)[1].song.title, u"B"_s);
}

TEST(ChordPro, PrintingDirectivesAndOtherInstrumentsAreLeftOut) {
    const ReadSong read = chordPro("{title: T}\n{define: G base-fret 1}\n{textsize: "
                                   "12}\n{np}\n{comment-guitar: strum}\n# a remark\n{sov}\nx\n{eov}\n");
    EXPECT_TRUE(read.warnings.empty());
    EXPECT_EQ(words(read.song.parts[0]), QStringList{u"x"_s});
}

TEST(ChordPro, ASectionWithoutAKindIsAPart) {
    const ReadSong read = readOne("{title: T}\n{start_of_}\none\n{end_of_}\n", u"t.cho"_s);
    EXPECT_EQ(labels(read.song), QStringList{u"Part"_s});
}

} // namespace
} // namespace mivanta
