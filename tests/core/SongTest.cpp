// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/base/Colour.h"
#include "core/base/Fold.h"
#include "core/order/OrderText.h"
#include "core/song/Chords.h"
#include "core/song/PartHeading.h"
#include "core/song/SingingOrder.h"
#include "support/AnySong.h"
#include "support/Samples.h"
#include "support/Text.h"
#include <gtest/gtest.h>
#include <rapidcheck/gtest.h>

namespace mivanta {
namespace {

TEST(PartHeading, UnderstandsTheUsualNames) {
    const auto reads = [](const QString& words, PartKind kind, int number) {
        const auto heading = readPartHeading(words);
        return heading && heading->kind == kind && heading->number == number;
    };
    EXPECT_TRUE(reads(u"Verse 1"_s, PartKind::Verse, 1));
    EXPECT_TRUE(reads(u"VERSE2"_s, PartKind::Verse, 2));
    EXPECT_TRUE(reads(u"pre chorus"_s, PartKind::PreChorus, 0));
    EXPECT_TRUE(reads(u"Pre-Chorus 2"_s, PartKind::PreChorus, 2));
    EXPECT_TRUE(reads(u"Refrain"_s, PartKind::Chorus, 0));
    EXPECT_TRUE(reads(u"Outro"_s, PartKind::Ending, 0));
    EXPECT_TRUE(*readPartHeading(u"Intro (band only)"_s)->bandOnly);
    EXPECT_FALSE(readPartHeading(u"Verses of old"_s));
    EXPECT_FALSE(readPartHeading(u"1"_s));
    EXPECT_FALSE(readPartHeading(u""_s));
}

TEST(SingingOrder, IsReadByInitialsNamesAndRepeats) {
    const Song song = samples::harbourSong();
    const auto read = [&](const QString& text) {
        QStringList labels;
        const ReadOrder order = readSingingOrder(text, song.parts);
        for (const SungPart& sung : order.entries)
            labels << song.part(sung.part)->shortLabel() +
                          (sung.times > 1 ? u"x%1"_s.arg(sung.times) : QString());
        const QStringList wrong = order.notUnderstood(text);
        return labels.join(u' ') + (wrong.isEmpty() ? QString() : u" ?"_s + wrong.join(u','));
    };
    EXPECT_EQ(read(u"V1 C V2 C x2"_s), u"V1 C V2 Cx2"_s);
    EXPECT_EQ(read(u"v c v2 cx3"_s), u"V1 C V2 Cx3"_s);
    EXPECT_EQ(read(u"verse1, Chorus; Verse2"_s), u"V1 C V2"_s);
    EXPECT_EQ(read(u"V1 B V9 C1"_s), u"V1 C ?B,V9"_s);
    EXPECT_EQ(read(u"x2 C"_s), u"C ?x2"_s);
    EXPECT_EQ(read(u""_s), u""_s);
}

TEST(SingingOrder, WrittenAndReadAgainIsTheSame) {
    Song song = samples::harbourSong();
    song.singingOrder.back().times = 2;
    EXPECT_EQ(singingOrderText(song), u"V1 C V2 C x2"_s);
    EXPECT_EQ(readSingingOrder(singingOrderText(song), song.parts).entries, song.singingOrder);
}

TEST(SingingOrder, EmptySlidesAndNotesForTheStage) {
    const Song song = samples::harbourSong();
    const ReadOrder order = readSingingOrder(u"(slow start) V1 _ C (half time) x2 V2"_s, song.parts);
    ASSERT_EQ(order.entries.size(), 4u);
    EXPECT_EQ(order.entries[0].stageNote, u"slow start"_s);
    EXPECT_TRUE(order.entries[1].isEmptySlide());
    EXPECT_EQ(order.entries[2].stageNote, u"half time"_s);
    EXPECT_EQ(order.entries[2].times, 2);
    EXPECT_TRUE(order.notUnderstood({}).isEmpty());
    EXPECT_EQ(singingOrderText(order.entries, song.parts), u"V1 (slow start) _ C x2 (half time) V2"_s);
}

TEST(SingingOrder, WhatMayBeSeveralPartsIsAskedAndNotGuessed) {
    Song song = samples::song(u"S"_s, {samples::part(PartKind::Verse, 1, {u"a"_s}),
                                       samples::part(PartKind::Intro, 0, {u"b"_s}),
                                       samples::part(PartKind::Interlude, 0, {u"c"_s}),
                                       samples::part(PartKind::PreChorus, 0, {u"d"_s})});
    const auto token = [&](const QString& text) { return readSingingOrder(text, song.parts).tokens.front(); };
    EXPECT_EQ(token(u"I"_s).kind, OrderTokenKind::Ambiguous);
    EXPECT_EQ(token(u"I"_s).choices, (QStringList{u"Intro"_s, u"Inter"_s}));
    EXPECT_EQ(token(u"intr"_s).meaning, u"Intro"_s);
    for (const auto& text : {u"P"_s, u"pc"_s, u"Pre"_s, u"pre-chorus"_s})
        EXPECT_EQ(token(text).meaning, u"Pre-chorus"_s) << text.toStdString();
    EXPECT_EQ(token(u"v2"_s).kind, OrderTokenKind::Unknown);
    EXPECT_EQ(token(u"v2"_s).choices.front(), u"V1"_s);
    EXPECT_EQ(token(u"Vx9999"_s).kind, OrderTokenKind::Unknown);
    EXPECT_EQ(token(u"V1x99"_s).meaning, u"Verse 1, 99 times"_s);
    EXPECT_EQ(token(u"x0"_s).kind, OrderTokenKind::Unknown);
}

TEST(SingingOrder, PartsOfTheSameNameHaveTokensOfTheirOwn) {
    Song song = samples::song(
        u"S"_s, {samples::part(PartKind::Chorus, 0, {u"a"_s}), samples::part(PartKind::Chorus, 0, {u"b"_s})});
    EXPECT_EQ(orderTokens(song.parts), (QStringList{u"C"_s, u"C~2"_s}));
    song.singingOrder = {{song.parts[1].id, 1, {}}, {song.parts[0].id, 2, {}}};
    EXPECT_EQ(readSingingOrder(singingOrderText(song), song.parts).entries, song.singingOrder);
    EXPECT_EQ(readSingingOrder(u"chorus"_s, song.parts).tokens.front().kind, OrderTokenKind::Ambiguous);
}

RC_GTEST_PROP(SingingOrder, AnyOrderIsReadAsItIsWritten, ()) {
    const Song song = *samples::anySong();
    RC_ASSERT(readSingingOrder(singingOrderText(song), song.parts).entries == song.singingOrder);
}

TEST(Chords, AreCountedFromTheirKey) {
    EXPECT_EQ(chordNumber(u"G"_s, u"G"_s), u"1"_s);
    EXPECT_EQ(chordNumber(u"Em7"_s, u"G"_s), u"6m7"_s);
    EXPECT_EQ(chordNumber(u"D/F#"_s, u"G"_s), u"5/7"_s);
    EXPECT_EQ(chordNumber(u"F"_s, u"G"_s), u"b7"_s);
    EXPECT_EQ(chordNumber(u"Am"_s, u"Am"_s), u"6m"_s);
    EXPECT_EQ(chordNumber(u"riff"_s, u"G"_s), u"riff"_s);
    EXPECT_EQ(chordNumber(u"G"_s, {}), u"G"_s);
}

TEST(Chords, TheKeyIsGuessedFromThem) {
    Song song = samples::harbourSong();
    EXPECT_FALSE(guessedKey(song));
    const auto with = [&](const QStringList& chords) {
        song.parts[0].lines[0].chords.clear();
        for (const QString& chord : chords)
            song.parts[0].lines[0].chords.push_back({0, chord});
        return guessedKey(song).value_or(QString());
    };
    EXPECT_EQ(with({u"G"_s, u"Em"_s, u"C"_s, u"D"_s, u"G"_s}), u"G"_s);
    EXPECT_EQ(with({u"Am"_s, u"F"_s, u"C"_s, u"E"_s, u"Am"_s}), u"Am"_s);
    EXPECT_EQ(with({u"Bb"_s, u"Eb"_s, u"F"_s, u"Gm"_s, u"Bb/D"_s, u"F"_s, u"Bb"_s}), u"Bb"_s);
    EXPECT_EQ(semitonesBetween(u"G"_s, u"Bb"_s), 3);
    EXPECT_FALSE(semitonesBetween(u"G"_s, u"H"_s));
    song.key = u"D"_s;
    EXPECT_EQ(withCapo(song, 2).key, u"C"_s);
    EXPECT_EQ(doubtfulChords(song), QStringList());
}

TEST(Chords, AreSpelledForTheirKey) {
    EXPECT_EQ(transposedChord(u"G"_s, 2, false), u"A"_s);
    EXPECT_EQ(transposedChord(u"F#m7/C#"_s, 1, false), u"Gm7/D"_s);
    EXPECT_EQ(transposedChord(u"C"_s, -1, false), u"B"_s);
    EXPECT_EQ(transposedChord(u"A"_s, 1, true), u"Bb"_s);
    EXPECT_EQ(transposedChord(u"Dsus4"_s, 0, false), u"Dsus4"_s);
    EXPECT_EQ(transposedChord(u"N.C."_s, 3, false), u"N.C."_s);
    EXPECT_EQ(transposedChord(u"riff"_s, 3, false), u"riff"_s);
}

TEST(Chords, ASongMovesWithItsKeyAndKeepsItsPlaces) {
    Song song = samples::harbourSong();
    song.key = u"G"_s;
    song.parts[0].lines[0].chords = {{4, u"G"_s}, {9, u"D/F#"_s}};
    const Song lower = transposed(song, -2);
    EXPECT_EQ(lower.key, u"F"_s);
    EXPECT_EQ(lower.parts[0].lines[0].chords, (std::vector<ChordMark>{{4, u"F"_s}, {9, u"C/E"_s}}));
    EXPECT_EQ(transposed(song, 1).key, u"Ab"_s);
    EXPECT_TRUE(sameContent(transposed(song, 12), song));
}

RC_GTEST_PROP(Chords, TransposingThereAndBackGivesTheSamePitches, ()) {
    const QString root = QString::fromLatin1(
        *rc::gen::element("C", "C#", "D", "D#", "E", "F", "F#", "G", "G#", "A", "A#", "B"));
    const QString tail = QString::fromLatin1(*rc::gen::element("", "m", "7", "maj7", "sus4", "m7", "add9"));
    const int by = *rc::gen::inRange(-30, 30);
    RC_ASSERT(transposedChord(transposedChord(root + tail, by, *rc::gen::arbitrary<bool>()), -by, false) ==
              root + tail);
}

TEST(Fold, LeavesOutCaseAccentsAndApostrophes) {
    EXPECT_EQ(foldedForSearch(u"\u00c9toile d'\u00e9t\u00e9"_s), u"etoile dete"_s);
    EXPECT_EQ(foldedForSearch(u"there\u2019s a light\u2014on"_s), u"theres a light on"_s);
    EXPECT_EQ(searchWords(u"  Open,  the DOOR!"_s), (QStringList{u"open"_s, u"the"_s, u"door"_s}));
    EXPECT_EQ(searchWords(u"\"';--"_s), QStringList());
}

TEST(Colour, IsReadAsItIsWritten) {
    const Colour half{18, 52, 86, 128};
    EXPECT_EQ(Colour::fromText(half.text()), half);
    EXPECT_EQ(Colour::fromText(u"#0c1d2c"_s)->text(), u"#0c1d2c"_s);
    EXPECT_FALSE(Colour::fromText(u"teal"_s));
    EXPECT_FALSE(Colour::fromText(u"#12345g"_s));
}

TEST(CreditText, LeavesNoGapForEmptyFields) {
    EXPECT_EQ(creditText(u"{title} \u00b7 {authors} \u00b7 licence {licence}"_s, {u"A"_s, {}, {}, {}, {}}),
              u"A"_s);
    EXPECT_EQ(creditText(u"{title} \u00b7 {authors}"_s, {u"A"_s, u"B"_s, {}, {}, {}}), u"A \u00b7 B"_s);
}

TEST(OrderText, SaysWhichLineCouldNotBeFound) {
    const auto find = [](const QString& title) -> Result<ItemWords> {
        return title == u"Known" ? Result<ItemWords>(songItem(samples::harbourSong(title)))
                                 : failure(u"no such song"_s);
    };
    const auto service = readOrderText(u"Title: Sunday\nStart: 2026-10-04 10:30\n\n# Gathering\nKnown\n"_s,
                                       u"order"_s, {samples::theme()}, {find});
    ASSERT_TRUE(service);
    EXPECT_EQ(service->items.size(), 2u);
    EXPECT_TRUE(service->items[0].isHeading());
    const auto bad = readOrderText(u"Known\nOther\n"_s, u"order"_s, {}, {find});
    ASSERT_FALSE(bad);
    EXPECT_EQ(bad.error().where, u"order, line 2"_s);
    EXPECT_FALSE(readOrderText(u"Start: soon"_s, u"order"_s, {}, {find}));
    EXPECT_FALSE(readOrderText(u"Theme: none"_s, u"order"_s, {}, {find}));
}

TEST(OrderText, WhatIsPlannedForAnItemStandsBehindIt) {
    const OrderSources sources{
        [](const QString& line) -> Result<ItemWords> { return ItemWords(PauseItem{line}); },
        [](const QString& name) -> Result<ItemSound> {
            if (name == u"none"_s)
                return failure(u"there is no such sound"_s);
            return ItemSound{name, name, false};
        }};
    const auto read = [&](const QString& text) { return readOrderText(text, u"order"_s, {}, sources); };
    const auto service = read(u"First\n+ leader: Maren\n+ takes: 4:30\n+ at: 10:40\n+ by itself: 8 s\n"
                              "+ note: softly\n+ sound: bell\nSecond\n"_s);
    ASSERT_TRUE(service);
    EXPECT_EQ(service->items[0].plan, (ItemPlan{270, QTime(10, 40), u"Maren"_s, u"softly"_s, 8, false, false,
                                                ItemSound{u"bell"_s, u"bell"_s, false}}));
    EXPECT_EQ(service->items[1].plan, ItemPlan());
    for (const auto& wrong :
         {u"takes: long"_s, u"at: noon"_s, u"by itself: never"_s, u"colour: red"_s, u"sound: none"_s}) {
        const auto failed = read(u"First\n+ "_s + wrong);
        ASSERT_FALSE(failed) << wrong.toStdString();
        EXPECT_EQ(failed.error().where, u"order, line 2"_s);
    }
}

TEST(OrderText, ALivePictureStaysUntilWhatIsWrittenBehindIt) {
    const OrderSources sources{[](const QString& line) -> Result<ItemWords> {
        return line == u"camera"_s ? ItemWords(LiveItem{line}) : ItemWords(PauseItem{line});
    }};
    const auto read = [&](const QString& text) { return readOrderText(text, u"order"_s, {}, sources); };
    const auto live = [](const Result<Service>& service) {
        return std::get<LiveItem>(service->items[0].words);
    };
    const auto named = read(u"camera\n+ stays until: LAST\n+ leader: Maren\nFirst\nLast\n"_s);
    ASSERT_TRUE(named) << named.error().text().toStdString();
    EXPECT_EQ(live(named).reach, LiveReach::ToItem);
    EXPECT_EQ(live(named).until, named->items[2].id);
    EXPECT_EQ(named->items[0].plan.leader, u"Maren"_s);
    EXPECT_EQ(live(read(u"camera\n+ stays until: the end"_s)).reach, LiveReach::ToEnd);
    EXPECT_EQ(live(read(u"camera\n+ stays until: the next heading"_s)).reach, LiveReach::ToHeading);
    const auto gone = read(u"camera\n+ stays until: Nobody\nFirst"_s);
    ASSERT_FALSE(gone);
    EXPECT_EQ(gone.error().where, u"order, line 2"_s);
    EXPECT_FALSE(read(u"First\n+ stays until: the end"_s)); // that is no live picture
}

} // namespace
} // namespace mivanta
