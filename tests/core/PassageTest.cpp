// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/run/RunState.h"
#include "support/EvenMeasure.h"
#include "support/Outlines.h"
#include "support/Passages.h"
#include "support/Samples.h"
#include "support/Text.h"
#include <QFile>
#include <gtest/gtest.h>
#include <rapidcheck/gtest.h>

namespace mivanta {
namespace {

ItemSlides slidesOf(const Passage& passage) {
    EvenMeasures measures;
    return slidesFor(contentOf(passage), usualOutputs(), plainChain(samples::theme(), {}), measures);
}

const QStringList kVerses{u"One morning the crowd pressed close."_s, u"He saw two boats."_s,
                          u"He stepped in."_s};

TEST(Passage, RunsOnWithRaisedNumbers) {
    const ItemContent content = contentOf(samples::passage(kVerses));
    ASSERT_EQ(content.parts.size(), 1u);
    ASSERT_EQ(content.parts[0].lines.size(), 1u);
    const ContentLine& line = content.parts[0].lines[0];
    EXPECT_EQ(
        line.words,
        u"1\u00a0One morning the crowd pressed close. 2\u00a0He saw two boats. 3\u00a0He stepped in."_s);
    ASSERT_EQ(line.numbers.size(), 3u);
    EXPECT_TRUE(line.numbers[1].raised);
    EXPECT_EQ(line.words.mid(line.numbers[1].from, 1), u"2"_s);
    EXPECT_EQ(line.units.size(), 3u);
}

TEST(Passage, LayoutsDivideTheVerses) {
    Passage passage = samples::passage(kVerses);
    passage.layout.flow = PassageFlow::VerseALine;
    EXPECT_EQ(contentOf(passage).parts[0].lines.size(), 3u);
    passage.layout.flow = PassageFlow::VerseASlide;
    EXPECT_EQ(slidesOf(passage).outputs[0].slides.size(), 3u);
    passage.layout.numbers = VerseNumbers::None;
    EXPECT_EQ(contentOf(passage).parts[1].lines[0].words, u"He saw two boats."_s);
    passage.layout.numbers = VerseNumbers::Inline;
    EXPECT_FALSE(contentOf(passage).parts[1].lines[0].numbers[0].raised);
}

TEST(Passage, PoetryKeepsItsLinesIfWanted) {
    Passage passage = samples::passage({u"Glad is the one"_s});
    passage.words[0].verses[0].pieces.push_back({VerseStart::Poetry, u"who walks the wall."_s, {}});
    EXPECT_EQ(contentOf(passage).parts[0].lines.size(), 2u);
    passage.layout.keepsPoetry = false;
    EXPECT_EQ(contentOf(passage).parts[0].lines.size(), 1u);
}

TEST(Passage, TheReferenceStandsWhereTheLayoutSays) {
    Passage passage = samples::passage(kVerses);
    passage.layout.flow = PassageFlow::VerseASlide;
    passage.layout.referencePlace = ReferencePlace::CreditLine;
    const auto credits = [&] {
        QStringList all;
        const ItemSlides slides = slidesOf(passage);
        for (const Slide& slide : slides.outputs[0].slides)
            all << slide.credit + u'/' + slide.besideWords;
        return all.join(u';');
    };
    const QString reference = u"Luke 5:1\u20133 (QST)"_s;
    EXPECT_EQ(credits(), u"%1/;%1/;%1 \u00b7 \u00a9 Quay/"_s.arg(reference));
    passage.layout.referenceOn = ReferenceOn::Last;
    passage.layout.namesTranslation = false;
    EXPECT_EQ(credits(), u"/;/;Luke 5:1\u20133 \u00b7 \u00a9 Quay/"_s);
    passage.layout.referencePlace = ReferencePlace::BesideWords;
    passage.words[0].translation.copyrightOn = CopyrightOn::Every;
    EXPECT_EQ(credits(), u"\u00a9 Quay/;\u00a9 Quay/;\u00a9 Quay/Luke 5:1\u20133"_s);
    const ItemSlides slides = slidesOf(passage); // two lines on the stream: all of them are for words
    EXPECT_EQ(slides.outputs[2].slides.back().credit, u"\u00a9 Quay \u00b7 Luke 5:1\u20133"_s);
    EXPECT_TRUE(slides.outputs[2].slides.back().besideWords.isEmpty());
    passage.layout.referenceOn = ReferenceOn::None;
    passage.words[0].translation.copyrightOn = CopyrightOn::Never;
    EXPECT_EQ(credits(), u"/;/;/"_s);
}

TEST(Passage, TwoTranslationsStandSideBySideWhereThereIsRoom) {
    const Passage passage = samples::parallel(
        kVerses, {u"Eines Morgens dr\u00e4ngte die Menge."_s, u"Er sah zwei Boote."_s, u"Er stieg ein."_s});
    const ItemSlides slides = slidesOf(passage);
    const OutputSlides& hall = slides.outputs[0];
    const Scene scene = sceneOf(slides, hall, 0);
    ASSERT_FALSE(scene.rows.empty());
    EXPECT_EQ(scene.rows[0].text.left(5), u"1\u00a0One"_s);
    ASSERT_EQ(scene.rows[0].beside.size(), 1u);
    EXPECT_EQ(scene.rows[0].beside[0].text.left(7), u"1\u00a0Eines"_s);
    EXPECT_EQ(scene.rows[0].beside[0].numbers.size(), 1u);
    const OutputSlides& stream = slides.outputs[2]; // two lines: the first translation only
    for (const Slide& slide : stream.slides)
        for (const FitRow& row : slide.rows)
            EXPECT_TRUE(row.beside.isEmpty());
}

TEST(Passage, LettersPartAVerseAtThePauseNearestItsMiddle) {
    const std::vector<Verse> verses{
        samples::verse(5, 4, u"When he had finished, he said to Simon: Put out where it is deep."_s)};
    const BookCode luke = verses[0].book;
    const auto words = [&](char from, char to) {
        return versesIn({luke, {5, 4, from}, {5, 4, to}}, verses)[0].words();
    };
    EXPECT_EQ(words('a', 'a'), u"When he had finished, he said to Simon:"_s);
    EXPECT_EQ(words('b', 'b'), u"Put out where it is deep."_s);
    EXPECT_EQ(words('a', 'b'), verses[0].words());
    EXPECT_EQ(words('c', 'c'), u"Put out where it is deep."_s);
    const std::vector<Verse> plain{samples::verse(5, 4, u"no pause at all"_s)};
    EXPECT_EQ(versesIn({luke, {5, 4, 'b'}, {5, 4, 'b'}}, plain)[0].words(), u"no pause at all"_s);
}

TEST(Passage, RangesThatTouchAreJoined) {
    const Outline outline = englishOutline();
    const BookCode luke = *BookCode::fromText(u"LUK");
    const BookCode john = *BookCode::fromText(u"JHN");
    const auto one = [](BookCode book, int chapter, int from, int to) {
        return VerseRange{book, {chapter, from, 0}, {chapter, to, 0}};
    };
    const Reference reference = joined({one(luke, 5, 4, 4), one(john, 3, 16, 16), one(luke, 5, 1, 3),
                                        one(luke, 5, 39, 39), one(luke, 6, 1, 2), one(luke, 5, 9, 9)},
                                       outline);
    EXPECT_EQ(referenceText(reference, outline), u"Luke 5:1\u20134, 9, 39\u20136:2; John 3:16"_s);
}

TEST(Numbering, DifferingPlacesAreFoundBothWays) {
    const auto place = [](const char* book, int chapter, int verse) {
        return VersePlace{*BookCode::fromText(QString::fromLatin1(book)), chapter, verse};
    };
    using N = Numbering;
    EXPECT_EQ(inNumbering(place("PSA", 51, 1), N::English, N::Hebrew), place("PSA", 51, 3));
    EXPECT_EQ(inNumbering(place("PSA", 51, 1), N::English, N::Greek), place("PSA", 50, 3));
    EXPECT_EQ(inNumbering(place("PSA", 23, 4), N::English, N::Greek), place("PSA", 22, 4));
    EXPECT_EQ(inNumbering(place("PSA", 10, 1), N::English, N::Greek), place("PSA", 9, 22));
    EXPECT_EQ(inNumbering(place("PSA", 116, 10), N::English, N::Greek), place("PSA", 115, 1));
    EXPECT_EQ(inNumbering(place("PSA", 147, 12), N::English, N::Greek), place("PSA", 147, 1));
    EXPECT_EQ(inNumbering(place("JOL", 2, 28), N::English, N::Hebrew), place("JOL", 3, 1));
    EXPECT_EQ(inNumbering(place("MAL", 4, 1), N::English, N::Hebrew), place("MAL", 3, 19));
    EXPECT_EQ(inNumbering(place("JON", 2, 1), N::Hebrew, N::English), place("JON", 1, 17));
    EXPECT_EQ(inNumbering(place("JOL", 2, 28), N::English, N::Greek), place("JOL", 2, 28));
    EXPECT_EQ(inNumbering(place("LUK", 5, 1), N::English, N::Hebrew), place("LUK", 5, 1));
}

RC_GTEST_PROP(Numbering, ThereAndBackIsTheSamePlace, ()) {
    const Outline outline = englishOutline();
    const auto& book = outline.books[*rc::gen::inRange<size_t>(0, 39)];
    const auto& chapter = book.chapters[*rc::gen::inRange<size_t>(0, book.chapters.size())];
    const VersePlace place{book.code, chapter.number, *rc::gen::inRange(1, 9)};
    // Two verses of Psalm 13 are one in Hebrew.
    RC_PRE(!(book.code.text() == u"PSA"_s && chapter.number == 13));
    for (const Numbering other : {Numbering::Hebrew, Numbering::Greek})
        RC_ASSERT(inNumbering(inNumbering(place, Numbering::English, other), other, Numbering::English) ==
                  place);
}

TEST(Numbering, IsDocumented) {
    QFile file(QStringLiteral(MIVANTA_SOURCE_DIR "/docs/scripture.md"));
    ASSERT_TRUE(file.open(QIODevice::ReadOnly));
    const QString text = QString::fromUtf8(file.readAll());
    for (const QString& place : numberingTable())
        EXPECT_TRUE(text.contains(place)) << place.toStdString();
}

TEST(Numbering, IsToldByWhatDiffers) {
    Outline outline = englishOutline();
    EXPECT_EQ(numberingOf(outline), Numbering::English);
    const auto set = [&](const char* code, int chapter, int verses) {
        for (OutlineBook& book : outline.books)
            if (book.code.text() == QLatin1String(code))
                book.chapters[size_t(chapter) - 1].lastVerse = verses;
    };
    set("PSA", 9, 21);
    set("PSA", 51, 21);
    set("JOL", 3, 5);
    EXPECT_EQ(numberingOf(outline), Numbering::Hebrew);
    set("PSA", 9, 39);
    set("PSA", 51, 11);
    set("PSA", 18, 15);
    set("JOL", 3, 21);
    EXPECT_EQ(numberingOf(outline), Numbering::Greek);
}

TEST(Unplanned, TheOrderGoesOnWhereItWasLeft) {
    class Plan : public Lineup {
    public:
        Plan() {
            EvenMeasures measures;
            for (int i = 0; i < 3; ++i) {
                ids.push_back(ItemId::create());
                made.push_back(slidesFor(contentOf(samples::harbourSong()), usualOutputs(),
                                         plainChain(samples::theme(), {}), measures));
            }
        }
        int itemCount() const override { return 2; }
        ItemId itemId(int index) const override { return ids[size_t(index)]; }
        const ItemSlides& slides(int index) const override { return made[size_t(index)]; }
        const ItemSlides* unplanned(const ItemId& id) const override {
            return id == ids[2] ? &made[2] : nullptr;
        }
        std::vector<ItemId> ids;
        std::vector<ItemSlides> made;
    } lineup;
    RunState state = taken(taken(startedRun(lineup), lineup), lineup);
    const RunState before = state;
    state = lookedAtUnplanned(state, lineup, lineup.ids[2]);
    EXPECT_EQ(state.onScreen, before.onScreen);
    EXPECT_EQ(lookedBack(state, lineup).next, before.next); // looking can be given up
    state = taken(state, lineup);
    EXPECT_EQ(state.onScreen->item, lineup.ids[2]);
    EXPECT_EQ(takenBack(state, lineup).onScreen, before.onScreen);
    EXPECT_EQ(takenBack(state, lineup).next, before.next);
    const size_t steps = lineup.made[2].steps.size();
    for (size_t i = 1; i < steps; ++i)
        state = taken(state, lineup);
    EXPECT_EQ(state.next, before.next);
    EXPECT_EQ(lookedAhead(lookedAtUnplanned(before, lineup, lineup.ids[2]), lineup, int(steps)).next,
              before.next);
    state = taken(state, lineup);
    EXPECT_EQ(state.onScreen, before.next);
    EXPECT_FALSE(state.lineupNext);
    EXPECT_EQ(lookedAtUnplanned(before, lineup, ItemId::create()), before); // one that is not there
}

} // namespace
} // namespace mivanta
