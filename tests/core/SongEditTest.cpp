// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/song/PasteCleanup.h"
#include "core/song/SongDifference.h"
#include "core/song/WholeText.h"
#include "support/AnySong.h"
#include "support/Samples.h"
#include "support/Text.h"
#include <gtest/gtest.h>
#include <rapidcheck/gtest.h>

namespace mivanta {
namespace {

std::vector<Part> twoLines() {
    auto parts = std::vector{samples::part(PartKind::Verse, 1, {u"the harbour bell"_s, u"is ringing"_s}),
                             samples::part(PartKind::Chorus, 0, {u"shine on"_s})};
    parts[0].lines[0].chords = {{4, u"G"_s}, {16, u"D"_s}};
    parts[0].lines[1].chords = {{0, u"Em"_s}};
    return parts;
}

RC_GTEST_PROP(WordsEdit, TheTextBecomesWhatWasTyped, ()) {
    auto parts = *samples::anyParts();
    const QString before = flatText(parts);
    const int at = *rc::gen::inRange(0, int(before.size()) + 1);
    const int removed = *rc::gen::inRange(0, int(before.size()) - at + 1);
    const QString typed = *rc::gen::map(rc::gen::element("", "x", "\n", "a b", "one\ntwo\n", " "),
                                        [](const char* t) { return QString::fromLatin1(t); });
    replaceText(parts, at, removed, typed);
    QString wanted = before;
    RC_ASSERT(flatText(parts) == wanted.replace(at, removed, typed));
    for (const Part& part : parts) {
        RC_ASSERT(!part.lines.empty());
        for (const Line& line : part.lines) {
            for (const ChordMark& chord : line.chords)
                RC_ASSERT((chord.position >= 0 && chord.position <= line.words.size()));
            for (const Emphasis& e : line.emphasis)
                RC_ASSERT((e.from >= 0 && e.from < e.to && e.to <= line.words.size()));
        }
    }
}

RC_GTEST_PROP(WordsEdit, WhatIsTypedAndTakenOutAgainLeavesEverythingAsItWas, ()) {
    auto parts = *samples::anyParts();
    const auto before = parts;
    const int at = *rc::gen::inRange(0, int(flatText(parts).size()) + 1);
    const QString typed = *rc::gen::map(rc::gen::element("x", "ab c", "\n", "one\ntwo"),
                                        [](const char* t) { return QString::fromLatin1(t); });
    replaceText(parts, at, 0, typed);
    replaceText(parts, at, int(typed.size()), {});
    RC_ASSERT(parts.size() == before.size());
    for (size_t p = 0; p < parts.size(); ++p) {
        RC_ASSERT(parts[p].id == before[p].id);
        RC_ASSERT(parts[p].lines == before[p].lines);
    }
}

TEST(WordsEdit, AChordAtTheEndOfALineOutlivesLinesTypedBehindItAndTakenOut) {
    auto parts = twoLines();
    const int end = int(parts[0].lines[0].words.size());
    parts[0].lines[0].chords.push_back({end, u"Em"_s});
    const auto before = parts;
    replaceText(parts, end, 0, u"one\ntwo"_s);
    replaceText(parts, end, 7, {});
    EXPECT_EQ(parts[0].lines, before[0].lines);
}

TEST(WordsEdit, ChordsStayOverTheirLetters) {
    auto parts = twoLines();
    replaceText(parts, 0, 0, u"When "_s);
    EXPECT_EQ(parts[0].lines[0].chords, (std::vector<ChordMark>{{9, u"G"_s}, {21, u"D"_s}}));
    replaceText(parts, 0, 5, {});
    replaceText(parts, 4, 7, u"port"_s); // another word under the same chord
    EXPECT_EQ(parts[0].lines[0].words, u"the port bell"_s);
    EXPECT_EQ(parts[0].lines[0].chords, (std::vector<ChordMark>{{4, u"G"_s}, {13, u"D"_s}}));
    replaceText(parts, 13, 0, u"s"_s); // behind the last letter, a chord for the end of the line stays
    EXPECT_EQ(parts[0].lines[0].chords[1].position, 13);
}

TEST(WordsEdit, EnterPartsALineAndBackspaceAtAPartsHeadJoinsTheParts) {
    auto parts = twoLines();
    replaceText(parts, 4, 0, u"\n"_s);
    ASSERT_EQ(parts[0].lines.size(), 3u);
    EXPECT_EQ(parts[0].lines[1].words, u"harbour bell"_s);
    EXPECT_EQ(parts[0].lines[1].chords, (std::vector<ChordMark>{{0, u"G"_s}, {12, u"D"_s}}));
    const int head = offsetOf(parts, {1, 0, 0});
    replaceText(parts, head - 1, 1, {});
    ASSERT_EQ(parts.size(), 1u);
    EXPECT_EQ(parts[0].lines.back().words, u"is ringingshine on"_s);
}

TEST(WordsEdit, ABreakIsSetAndTakenAwayAtTheCaret) {
    auto parts = twoLines();
    toggleBreak(parts, {0, 1, 0}); // before a line
    EXPECT_TRUE(parts[0].lines[1].breakBefore);
    toggleBreak(parts, {0, 0, 16}); // behind the line before it
    EXPECT_FALSE(parts[0].lines[1].breakBefore);
    toggleBreak(parts, {0, 0, 0}); // a part's first line has none
    toggleBreak(parts, {0, 1, 10});
    EXPECT_FALSE(parts[0].lines[0].breakBefore);
    EXPECT_EQ(parts[0].lines.size(), 2u);
    toggleBreak(parts, {0, 0, 3}); // inside: the space at the break goes
    ASSERT_EQ(parts[0].lines.size(), 3u);
    EXPECT_EQ(parts[0].lines[0].words, u"the"_s);
    EXPECT_EQ(parts[0].lines[1].words, u"harbour bell"_s);
    EXPECT_TRUE(parts[0].lines[1].breakBefore);
    EXPECT_EQ(parts[0].lines[1].chords, (std::vector<ChordMark>{{0, u"G"_s}, {12, u"D"_s}}));
}

RC_GTEST_PROP(WordsEdit, ABreakLosesNoLetter, ()) {
    auto parts = *samples::anyParts();
    const QString before = flatText(parts).remove(u' ').remove(u'\n');
    const int at = *rc::gen::inRange(0, int(flatText(parts).size()) + 1);
    toggleBreak(parts, placeAt(parts, at));
    RC_ASSERT(flatText(parts).remove(u' ').remove(u'\n') == before);
}

TEST(WordsEdit, ChordsAreSetReplacedTakenAndReadFromBrackets) {
    Line line;
    line.words = u"shine on"_s;
    setChord(line, 6, u"G"_s);
    setChord(line, 0, u"C"_s);
    setChord(line, 6, u"Am"_s);
    EXPECT_EQ(line.chords, (std::vector<ChordMark>{{0, u"C"_s}, {6, u"Am"_s}}));
    setChord(line, 0, {});
    EXPECT_EQ(line.chords.size(), 1u);

    auto parts = std::vector{samples::part(PartKind::Verse, 1, {u"[oh] shine [G]on"_s})};
    takeChordOutOfBrackets(parts, 3);
    EXPECT_EQ(parts[0].lines[0].words, u"[oh] shine on"_s); // a word in brackets before it is no hindrance
    EXPECT_EQ(parts[0].lines[0].chords, (std::vector<ChordMark>{{11, u"G"_s}}));
}

TEST(WordsEdit, WeightGoesOverLinesAndParts) {
    auto parts = twoLines();
    toggleWeight(parts, {0, 0, 4}, {1, 0, 5}, Weight::Bold);
    EXPECT_EQ(parts[0].lines[0].emphasis, (std::vector<Emphasis>{{4, 16, true, false}}));
    EXPECT_EQ(parts[0].lines[1].emphasis, (std::vector<Emphasis>{{0, 10, true, false}}));
    EXPECT_EQ(parts[1].lines[0].emphasis, (std::vector<Emphasis>{{0, 5, true, false}}));
    toggleWeight(parts, {0, 0, 4}, {1, 0, 5}, Weight::Bold);
    EXPECT_TRUE(parts[1].lines[0].emphasis.empty());
}

TEST(WordsEdit, PlacesAndOffsetsAgree) {
    const auto parts = twoLines();
    for (int offset = 0; offset <= flatText(parts).size(); ++offset)
        EXPECT_EQ(offsetOf(parts, placeAt(parts, offset)), offset);
    EXPECT_EQ(placeAt(parts, 999), (WordsPlace{1, 0, 8}));
}

TEST(WordsEdit, EmphasisGrowsWithWhatIsTypedInsideIt) {
    auto parts = twoLines();
    toggleWeight(parts[0].lines[0], 4, 11, Weight::Italic);
    replaceText(parts, 6, 0, u"XX"_s);
    EXPECT_EQ(parts[0].lines[0].emphasis, (std::vector<Emphasis>{{4, 13, false, true}}));
    replaceText(parts, 13, 0, u"s"_s);
    EXPECT_EQ(parts[0].lines[0].emphasis.front().to, 13);
    toggleWeight(parts[0].lines[0], 0, 4, Weight::Bold);
    toggleWeight(parts[0].lines[0], 4, 13, Weight::Italic);
    EXPECT_EQ(parts[0].lines[0].emphasis, (std::vector<Emphasis>{{0, 4, true, false}}));
}

RC_GTEST_PROP(WholeText, WrittenAndReadAgainIsTheSame, ()) {
    const Song song = *samples::anySong();
    const auto read = readWholeText(wholeText(song.parts), song.parts);
    RC_ASSERT(read.size() == song.parts.size());
    for (size_t p = 0; p < read.size(); ++p) {
        RC_ASSERT(read[p].label() == song.parts[p].label());
        if (read[p].lines != song.parts[p].lines)
            RC_LOG() << wholeText(song.parts).toStdString() << "--- came back as\n"
                     << wholeText(read).toStdString();
        RC_ASSERT(read[p].lines == song.parts[p].lines);
        RC_ASSERT(read[p].bandOnly == song.parts[p].bandOnly);
        RC_ASSERT(read[p].comment == song.parts[p].comment);
        RC_ASSERT(read[p].id == song.parts[p].id);
    }
}

TEST(WholeText, PartsKeepTheirIdsWhileTheyAreRecognisable) {
    const auto parts = twoLines();
    const auto moved =
        readWholeText(u"# Chorus\nshine on\n\n# Verse 2\nthe harbour bell\nis singing\n"_s, parts);
    ASSERT_EQ(moved.size(), 2u);
    EXPECT_EQ(moved[0].id, parts[1].id);
    EXPECT_EQ(moved[1].id, parts[0].id);
    const auto other =
        readWholeText(u"# Verse 1\nall is new here\n# Bridge\nthe harbour bell\nis ringing"_s, parts);
    EXPECT_EQ(other[1].id, parts[0].id); // its words moved under another heading
    EXPECT_FALSE(other[0].id == parts[0].id);
}

TEST(WholeText, WordsBeforeAnyHeadingAreAVerse) {
    const auto parts = readWholeText(u"just words\n---\nand more"_s, {});
    ASSERT_EQ(parts.size(), 1u);
    EXPECT_EQ(parts[0].label(), u"Verse 1"_s);
    EXPECT_TRUE(parts[0].lines[1].breakBefore);
}

QStringList labelsOf(const Song& song) {
    QStringList labels;
    for (const Part& part : song.parts)
        labels << part.label();
    return labels;
}

TEST(PartEdits, NumbersFollowAndOrdersToo) {
    Song song = samples::harbourSong(); // V1 C V2, sung V1 C V2 C
    splitPart(song, {0, 2, 0});
    EXPECT_EQ(labelsOf(song), (QStringList{u"Verse 1"_s, u"Verse 2"_s, u"Chorus"_s, u"Verse 3"_s}));
    EXPECT_EQ(song.parts[1].lines.front().words, u"three lines here,"_s);
    EXPECT_EQ(singingOrderText(song), u"V1 V2 C V3 C"_s);
    mergeWithNext(song, 0);
    EXPECT_EQ(singingOrderText(song), u"V1 C V2 C"_s);
    EXPECT_TRUE(sameContent(song, [&] {
        Song before = samples::harbourSong();
        return before;
    }()));
    duplicatePart(song, 1);
    EXPECT_EQ(labelsOf(song)[1], u"Chorus 1"_s);
    EXPECT_EQ(labelsOf(song)[2], u"Chorus 2"_s);
    removePart(song, 1);
    EXPECT_EQ(singingOrderText(song), u"V1 V2"_s);
    setPartKind(song, 1, PartKind::Interlude);
    EXPECT_TRUE(song.parts[1].bandOnly);
    setPartKind(song, 1, PartKind::Other, u"Prayer"_s);
    EXPECT_EQ(song.parts[1].label(), u"Prayer"_s);
    EXPECT_FALSE(song.parts[1].bandOnly);
    movePart(song, 0, 3);
    EXPECT_EQ(labelsOf(song), (QStringList{u"Prayer"_s, u"Verse 2"_s, u"Verse 1"_s}));
    removePart(song, 99);
    EXPECT_EQ(song.parts.size(), 3u);
}

TEST(PartEdits, SplittingInsideALinePartsIt) {
    Song song = samples::harbourSong();
    song.parts[0].lines[1].chords = {{4, u"G"_s}};
    splitPart(song, {0, 1, 4});
    EXPECT_EQ(song.parts[0].lines.back().words, u"two "_s);
    EXPECT_EQ(song.parts[1].lines.front().words, u"lines here;"_s);
    EXPECT_EQ(song.parts[1].lines.front().chords.front().position, 0);
}

TEST(PartEdits, TidiedSongsHaveNoEmptyLines) {
    Song song = samples::song(
        u"  A   title "_s, {samples::part(PartKind::Verse, 1, {u" one  two "_s, u""_s, u"three"_s, u""_s})});
    song.parts[0].lines[0].chords = {{6, u"G"_s}};
    const Song clean = tidied(song);
    EXPECT_EQ(clean.title, u"A title"_s);
    ASSERT_EQ(clean.parts[0].lines.size(), 2u);
    EXPECT_EQ(clean.parts[0].lines[0].words, u"one two"_s);
    EXPECT_EQ(clean.parts[0].lines[0].chords[0].position, 4);
    EXPECT_TRUE(clean.parts[0].lines[1].breakBefore);
}

TEST(SongDifference, SaysWhatDiffersInWords) {
    const Song song = samples::harbourSong();
    const auto after = [&](const std::function<void(Song&)>& work) {
        Song other = song;
        work(other);
        return differencesOf(song, other).join(u", "_s);
    };
    EXPECT_EQ(after([](Song& s) { s.revision = 9; }), QString());
    EXPECT_EQ(after([](Song& s) { s.parts[0].lines[0].words += u"!"_s; }), u"words"_s);
    EXPECT_EQ(after([](Song& s) { s.parts[0].lines[0].chords = {{0, u"G"_s}}; }), u"chords"_s);
    EXPECT_EQ(after([](Song& s) { s.parts[0].lines[2].breakBefore = true; }), u"slide breaks"_s);
    EXPECT_EQ(after([](Song& s) {
                  s.singingOrder.pop_back();
                  s.key = u"D"_s;
                  s.capo = 2;
              }),
              u"singing order, key, capo"_s);
    EXPECT_EQ(after([](Song& s) { s.notes = u"n"_s; }), u"details"_s);
}

TEST(PartEdits, AnotherOrderBecomesTheUsualOne) {
    Song song = samples::harbourSong();
    song.otherOrders = {{u"Short"_s, {{song.parts[0].id, 1, {}}}}};
    useOtherOrder(song, 0);
    EXPECT_EQ(song.orderName, u"Short"_s);
    EXPECT_EQ(singingOrderText(song), u"V1"_s);
    EXPECT_EQ(song.otherOrders[0].entries.size(), 4u);
    EXPECT_EQ(song.otherOrders[0].name, u"Usual"_s);
    useOtherOrder(song, 7);
    EXPECT_EQ(song.orderName, u"Short"_s);
}

TEST(Paste, AnEmailWithChordsOverWordsBecomesPartsWithChords) {
    const CleanedText text = cleanedUp(
        u"\n> Verse 1\n>       G            Em\n> When the harbour bell is ringing  \n>\n>\n"
        "> Chorus:\n> C       G\n> Shine on, shine on\n> \n> Verse 2\n> The \u201cwind\u201d has turned\n> \n> Chorus\n\n"_s);
    ASSERT_EQ(text.parts.size(), 4u);
    EXPECT_TRUE(text.hasHeadings);
    EXPECT_EQ(text.chordLines, 2);
    EXPECT_EQ(text.parts[0].lines[0].words, u"When the harbour bell is ringing"_s);
    EXPECT_EQ(text.parts[0].lines[0].chords, (std::vector<ChordMark>{{6, u"G"_s}, {19, u"Em"_s}}));
    EXPECT_EQ(text.parts[2].lines[0].words, u"The \"wind\" has turned"_s);
    Song song = samples::song(u"New"_s, {});
    pasteInto(song, {}, 0, text);
    EXPECT_EQ(labelsOf(song), (QStringList{u"Verse 1"_s, u"Chorus"_s, u"Verse 2"_s}));
    EXPECT_EQ(singingOrderText(song), u"V1 C V2 C"_s);
    EXPECT_TRUE(text.summary().contains(u"chords put over 2 lines"_s)) << text.summary().toStdString();
}

TEST(Paste, ABlockWithoutHeadingGoesIntoTheWords) {
    Song song = samples::harbourSong();
    const CleanedText text = cleanedUp(u"  \u2022 [G]new words\n\u2022 more  of them\n"_s);
    EXPECT_EQ(text.bullets, 2);
    EXPECT_EQ(text.blankLines, 0);
    const WordsPlace end = pasteInto(song, {0, 1, 4}, 5, text); // over "lines"
    EXPECT_EQ(song.parts[0].lines[1].words, u"two new words"_s);
    EXPECT_EQ(song.parts[0].lines[1].chords, (std::vector<ChordMark>{{4, u"G"_s}}));
    EXPECT_EQ(song.parts[0].lines[2].words, u"more of them here;"_s);
    EXPECT_EQ(end, (WordsPlace{0, 2, 12}));
    EXPECT_EQ(song.parts.size(), 3u);
}

TEST(Paste, RepeatedBlocksBecomeTheChorus) {
    Song song = samples::song(u"New"_s, {});
    pasteInto(song, {}, 0, cleanedUp(u"1. one\nline\n\nsing it\n\n2. two\nline\n\nsing it\n"_s));
    EXPECT_EQ(singingOrderText(song), u"V1 C V2 C"_s) << wholeText(song.parts).toStdString();
}

RC_GTEST_PROP(Paste, NoWordIsLost, ()) {
    const QString text = *samples::anyWords(12);
    QString joined;
    for (const Part& part : cleanedUp(text).parts) {
        joined += part.label() + part.name;
        for (const Line& line : part.lines) {
            joined += line.words;
            for (const ChordMark& chord : line.chords)
                joined += chord.name;
        }
    }
    for (const QString& word : text.split(u' ', Qt::SkipEmptyParts))
        if (word.size() > 2 && word[0].isLetter() && word.back().isLetterOrNumber() && !word.contains(u'\\'))
            RC_ASSERT(joined.contains(word, Qt::CaseInsensitive));
}

} // namespace
} // namespace mivanta
