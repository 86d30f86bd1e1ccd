// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/order/SlideEdits.h"
#include "core/run/RunState.h"
#include "support/Samples.h"
#include "support/Text.h"
#include <gtest/gtest.h>
#include <rapidcheck/gtest.h>

namespace mivanta {
namespace {

Output outputOf(OutputKind kind) {
    Output output;
    output.name = kind == OutputKind::Stage ? u"stage"_s : u"hall"_s;
    output.kind = kind;
    output.ownSteps = kind != OutputKind::Stage;
    return output;
}

ItemSlides contentSlides(const ItemContent& content, OutputKind kind = OutputKind::Hall) {
    EvenMeasures measures;
    return slidesFor(content, {outputOf(kind)}, plainChain(samples::theme(), {}), measures);
}

QStringList wordsOf(const ItemContent& content) {
    QStringList words;
    for (const ContentEntry& entry : content.entries)
        for (const ContentLine& line : content.parts[size_t(entry.part)].lines)
            words << line.words;
    return words;
}

/// "A1 A2 A3", "B1 B2", then the first part again.
ItemContent letters() {
    ItemContent content;
    for (const auto& [label, count] : {std::pair(u"A"_s, 3), std::pair(u"B"_s, 2)}) {
        ContentPart part;
        part.key = part.label = part.shortLabel = label;
        for (int l = 1; l <= count; ++l)
            part.lines.emplace_back(Line{label + QString::number(l)});
        content.parts.push_back(part);
    }
    content.entries = {{0, 1, 1, {}}, {1, 1, 1, {}}, {0, 1, 1, {}}};
    return content;
}

TEST(SlideEdits, NoEditsChangeNothing) {
    EXPECT_EQ(wordsOf(withEdits(letters(), {})), wordsOf(letters()));
}

TEST(SlideEdits, LinesAreHiddenInTheirTimeOnly) {
    SlideEdits edits;
    edits.hide({u"A"_s, 2, 1, 2});
    EXPECT_EQ(wordsOf(withEdits(letters(), edits)).join(u' '), u"A1 A2 A3 B1 B2 A1"_s);
    edits.hide({u"A"_s, 2, 0, 0});
    EXPECT_EQ(wordsOf(withEdits(letters(), edits)).join(u' '), u"A1 A2 A3 B1 B2"_s);
    edits.show({u"A"_s, 2, 1, 2});
    EXPECT_EQ(wordsOf(withEdits(letters(), edits)).join(u' '), u"A1 A2 A3 B1 B2 A2 A3"_s);
}

TEST(SlideEdits, WhereAllWouldBeHiddenNothingIs) {
    SlideEdits edits;
    edits.hide({u"A"_s, 1, 0, 2});
    edits.hide({u"B"_s, 1, 0, 1});
    edits.hide({u"A"_s, 2, 0, 2});
    EXPECT_EQ(wordsOf(withEdits(letters(), edits)), wordsOf(letters()));
}

TEST(SlideEdits, OtherWordsStandInPlaceOfASlides) {
    SlideEdits edits;
    edits.setWords({u"A"_s, 1, 1, 2}, u"one\ntwo\nthree"_s);
    const ItemContent content = withEdits(letters(), edits);
    EXPECT_EQ(wordsOf(content).join(u' '), u"A1 one two three B1 B2 A1 A2 A3"_s);
    edits.setWords({u"A"_s, 1, 1, 2}, u" "_s);
    EXPECT_TRUE(edits.isEmpty());
}

TEST(SlideEdits, AReplacedSlideIsStillNamedByWhatItReplaced) {
    ItemContent content = letters();
    content.parts[0].lines[1].breakBefore = true; // the slide of A2 and A3
    SlideEdits edits;
    edits.setWords({u"A"_s, 1, 1, 2}, u"something else"_s);
    const ItemSlides slides = contentSlides(withEdits(content, edits));
    EXPECT_EQ(slidePlace(slides.content, slides.outputs[0].slides[1]), (SlidePlace{u"A"_s, 1, 1, 2}));
}

TEST(SlideEdits, EntriesMoveAndKeepTheirNames) {
    SlideEdits edits;
    edits.order = movedEntry(letters(), 2, -1);
    const ItemContent moved = withEdits(letters(), edits);
    EXPECT_EQ(wordsOf(moved).join(u' '), u"A1 A2 A3 A1 A2 A3 B1 B2"_s);
    EXPECT_EQ(partTimeOf(1, moved), (PartTime{u"A"_s, 2}));
    edits.order = movedEntry(moved, 1, -1); // the second time before the first
    const ItemContent again = withEdits(letters(), edits);
    EXPECT_EQ(partTimeOf(0, again), (PartTime{u"A"_s, 2}));
    edits.hide({u"A"_s, 2, 0, 0});
    EXPECT_EQ(wordsOf(withEdits(letters(), edits)).join(u' '), u"A2 A3 A1 A2 A3 B1 B2"_s);
    EXPECT_TRUE(movedEntry(letters(), 0, -1).empty());
    EXPECT_TRUE(movedEntry(letters(), 2, 1).empty());
}

TEST(SlideEdits, WhatNamesSomethingGoneDoesNothing) {
    SlideEdits edits;
    edits.hide({u"Bridge"_s, 1, 0, 3});
    edits.hide({u"A"_s, 7, 0, 0});
    edits.setWords({u"Outro"_s, 1, 0, 0}, u"x"_s);
    edits.order = {{u"Bridge"_s, 1}, {u"B"_s, 1}, {u"B"_s, 1}};
    EXPECT_EQ(wordsOf(withEdits(letters(), edits)).join(u' '), u"B1 B2 A1 A2 A3 A1 A2 A3"_s);
}

TEST(SlideEdits, TheStageSeesItsOwnWordsAndNoteAtEveryStep) {
    SlideEdits edits;
    edits.stageNote = u"watch the leader"_s;
    edits.stageWords = u"Play twice\nthen stop"_s;
    const ItemContent content = withEdits(letters(), edits);
    EvenMeasures measures;
    const ItemSlides slides = slidesFor(content, {outputOf(OutputKind::Hall), outputOf(OutputKind::Stage)},
                                        plainChain(samples::theme(), {}), measures);
    for (const Step& step : slides.steps) {
        const auto scenes = scenesAt(slides, step.position);
        EXPECT_TRUE(scenes[0].rows[0].text.startsWith(u'A') || scenes[0].rows[0].text.startsWith(u'B'));
        EXPECT_TRUE(scenes[0].stageNote.isEmpty());
        ASSERT_EQ(scenes[1].rows.size(), 2U);
        EXPECT_EQ(scenes[1].rows[0].text, u"Play twice"_s);
        EXPECT_EQ(scenes[1].stageNote, u"watch the leader"_s);
    }
}

TEST(SlideEdits, SlidesOfOneLongLineCannotBeToldApartByTheirLines) {
    ItemContent content;
    ContentPart part;
    part.key = part.label = u"Reading"_s;
    part.lines.emplace_back(Line{QString(u"the boats went out upon the water "_s).repeated(40)});
    content.parts = {part};
    content.entries = {{0, 1, 1, {}}};
    content.isProse = true;
    const ItemSlides slides = contentSlides(content);
    ASSERT_GT(slides.outputs[0].slides.size(), 1U);
    for (int s = 0; s < int(slides.outputs[0].slides.size()); ++s)
        EXPECT_TRUE(sharesLines(slides.outputs[0], s));
    const ItemSlides song = contentSlides(letters());
    for (int s = 0; s < int(song.outputs[0].slides.size()); ++s)
        EXPECT_FALSE(sharesLines(song.outputs[0], s));
}

/// Hiding any slides never loses a line that is not hidden, and never changes the order of those that stay.
RC_GTEST_PROP(SlideEditsOfAnything, WhatStaysIsTheRestInItsOrder, ()) {
    const ItemContent content = letters();
    SlideEdits edits;
    QStringList expected;
    for (size_t e = 0; e < content.entries.size(); ++e) {
        const PartTime at = partTimeOf(int(e), content);
        const auto& lines = content.parts[size_t(content.entries[e].part)].lines;
        for (size_t l = 0; l < lines.size(); ++l)
            if (*rc::gen::arbitrary<bool>())
                edits.hide({at.part, at.time, int(l), int(l)});
            else
                expected << lines[l].words;
    }
    RC_ASSERT(wordsOf(withEdits(content, edits)) == (expected.isEmpty() ? wordsOf(content) : expected));
}

/// However an entry is moved about, every entry is there once.
RC_GTEST_PROP(SlideEditsOfAnything, MovingKeepsEveryEntry, ()) {
    ItemContent content = letters();
    SlideEdits edits;
    for (int moves = *rc::gen::inRange(0, 8); moves > 0; --moves) {
        const auto order =
            movedEntry(withEdits(content, edits), *rc::gen::inRange(-1, 4), *rc::gen::inRange(-2, 3));
        if (!order.empty())
            edits.order = order;
    }
    QStringList words = wordsOf(withEdits(content, edits));
    QStringList all = wordsOf(content);
    words.sort();
    all.sort();
    RC_ASSERT(words == all);
}

} // namespace
} // namespace mivanta
