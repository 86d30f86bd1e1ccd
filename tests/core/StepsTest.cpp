// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/run/Cards.h"
#include "core/run/RunState.h"
#include "support/Samples.h"
#include "support/Text.h"
#include <gtest/gtest.h>
#include <rapidcheck/gtest.h>
#include <set>

namespace mivanta {
namespace {

Output output(const QString& name, int lines, bool ownSteps = true) {
    Output result;
    result.name = name;
    result.linesAtMost = lines;
    result.ownSteps = ownSteps;
    return result;
}

rc::Gen<Song> anySong() {
    const auto anyPart = rc::gen::apply(
        [](int lines, bool bandOnly, int longLine) {
            Part part{PartId::create(), PartKind::Verse, 0, {}, bandOnly, {}, {}};
            for (int i = 0; i < lines; ++i)
                part.lines.push_back(
                    {i == longLine ? u"many words "_s.repeated(12).trimmed() : u"a line,"_s, {}, i == 5, {}});
            return part;
        },
        rc::gen::inRange(0, 9), rc::gen::map(rc::gen::inRange(0, 5), [](int i) { return i == 0; }),
        rc::gen::inRange(0, 20));
    return rc::gen::map(rc::gen::container<std::vector<Part>>(anyPart), [](std::vector<Part> parts) {
        for (size_t i = 0; i < parts.size(); ++i) {
            parts[i].id = PartId::create();
            parts[i].number = int(i) + 1;
        }
        Song song = samples::song(u"Any"_s, std::move(parts));
        for (size_t i = 0; i < song.parts.size(); ++i)
            song.singingOrder.push_back({song.parts[(i * 7) % song.parts.size()].id, int(i % 3) + 1});
        return song;
    });
}

rc::Gen<std::vector<Output>> anyOutputs() {
    return rc::gen::map(rc::gen::nonEmpty(rc::gen::container<std::vector<std::pair<int, bool>>>(
                            rc::gen::pair(rc::gen::inRange(1, 8), rc::gen::arbitrary<bool>()))),
                        [](const std::vector<std::pair<int, bool>>& settings) {
                            std::vector<Output> outputs;
                            for (const auto& [lines, own] : settings)
                                outputs.push_back(output(u"o%1"_s.arg(outputs.size()), lines, own));
                            return outputs;
                        });
}

ItemSlides split(const Song& song, const std::vector<Output>& outputs) {
    EvenMeasures measures;
    return slidesFor(contentOf(song), outputs, plainChain(samples::theme(), {}), measures);
}

RC_GTEST_PROP(Steps, AreTheSortedUnionOfTheSlideStartsOfOutputsWithStepsOfTheirOwn, ()) {
    const auto outputs = *anyOutputs();
    const ItemSlides slides = split(*anySong(), outputs);
    std::set<Position> wanted;
    std::set<Position> all;
    for (const OutputSlides& o : slides.outputs)
        for (const Slide& slide : o.slides) {
            all.insert(slide.start);
            if (o.output.ownSteps)
                wanted.insert(slide.start);
        }
    if (wanted.empty())
        wanted = all;
    if (wanted.empty())
        wanted.insert(Position{});
    std::vector<Position> got;
    for (const Step& step : slides.steps)
        got.push_back(step.position);
    RC_ASSERT(got == std::vector<Position>(wanted.begin(), wanted.end()));
}

RC_GTEST_PROP(Steps, EveryOutputShowsTheSlideThatHoldsTheStep, ()) {
    const ItemSlides slides = split(*anySong(), *anyOutputs());
    for (const Step& step : slides.steps)
        for (const OutputSlides& o : slides.outputs) {
            const auto shown = o.slideAt(step.position);
            bool hasEntry = false;
            for (const Slide& slide : o.slides)
                hasEntry = hasEntry || slide.start.entry == step.position.entry;
            RC_ASSERT(shown.has_value() == hasEntry);
            if (!shown)
                continue;
            RC_ASSERT(o.slides[size_t(*shown)].start.entry == step.position.entry);
            if (o.slides[size_t(*shown)].start <= step.position && size_t(*shown) + 1 < o.slides.size())
                RC_ASSERT(o.slides[size_t(*shown) + 1].start > step.position);
        }
}

RC_GTEST_PROP(Steps, CardsHoldEveryStepOnce, ()) {
    const ItemSlides slides = split(*anySong(), *anyOutputs());
    const auto cards = cardsFor(slides);
    int next = 0;
    for (const Card& card : cards) {
        RC_ASSERT(card.firstStep == next);
        RC_ASSERT(card.lastStep >= card.firstStep);
        next = card.lastStep + 1;
    }
    RC_ASSERT(next == int(slides.steps.size()));
}

TEST(Steps, ALowerThirdOfTwoLinesAddsItsOwnStepsInsideASlideOfFour) {
    const ItemSlides slides = split(samples::harbourSong(), {output(u"hall"_s, 4), output(u"stream"_s, 2)});
    EXPECT_EQ(slides.outputs[0].slides.size(), 4u);
    EXPECT_EQ(slides.outputs[1].slides.size(), 6u);
    ASSERT_EQ(slides.steps.size(), 6u);
    EXPECT_EQ(slides.outputs[0].slideAt(slides.steps[1].position), 0);
    EXPECT_EQ(slides.outputs[1].slideAt(slides.steps[1].position), 1);
    const auto cards = cardsFor(slides);
    ASSERT_EQ(cards.size(), 4u);
    EXPECT_EQ(cards[0].lastStep, 1);
    EXPECT_EQ(cards[0].lines.size(), 4);
}

TEST(Steps, ABandOnlyPartShowsNothingInTheHallAndItsChordsOnStage) {
    Song song = samples::harbourSong();
    Part intro{
        PartId::create(), PartKind::Intro, 0, {}, true, {}, {{{}, {{0, u"G"_s}, {0, u"Em"_s}}, false, {}}}};
    song.parts.insert(song.parts.begin(), intro);
    song.singingOrder.insert(song.singingOrder.begin(), {intro.id, 1});
    Output stage = output(u"stage"_s, 6);
    stage.showsBandOnly = stage.showsChords = true;
    const ItemSlides slides = split(song, {output(u"hall"_s, 4), stage});
    EXPECT_FALSE(slides.outputs[0].slideAt(slides.steps[0].position).has_value());
    const Scene scene =
        sceneOf(slides, slides.outputs[1], slides.outputs[1].slideAt(slides.steps[0].position));
    EXPECT_EQ(scene.rows[0].text, u"G   Em"_s);
    const auto scenes = scenesAt(slides, slides.steps[0].position);
    EXPECT_TRUE(scenes[0].rows.empty());
}

TEST(Steps, RepeatedPartsComeAsOftenAsTheyAreSung) {
    Song song = samples::harbourSong();
    song.singingOrder = {{song.parts[1].id, 3}};
    const ItemSlides slides = split(song, {output(u"hall"_s, 4)});
    EXPECT_EQ(slides.steps.size(), 3u);
    const auto cards = cardsFor(slides);
    EXPECT_EQ(cards[2].place, u"\u00d73: 3"_s);
    EXPECT_EQ(partChips(slides.content)[0].label, u"C \u00d73"_s);
}

TEST(Steps, AnItemWithoutWordsStillHasOneStep) {
    const ItemSlides slides = split(samples::song(u"Silent"_s, {}), {output(u"hall"_s, 4)});
    EXPECT_EQ(slides.steps.size(), 1u);
    EXPECT_EQ(cardsFor(slides).size(), 1u);
    EXPECT_TRUE(scenesAt(slides, slides.steps[0].position)[0].rows.empty());
}

TEST(Steps, ChordsFollowTheirLettersIntoAWrappedRow) {
    Song song = samples::song(
        u"Wrapped"_s, {samples::part(PartKind::Verse, 1, {u"first half of it, second half of it"_s})});
    song.parts[0].lines[0].chords = {{0, u"G"_s}, {18, u"D"_s}, {35, u"C"_s}};
    Output stage = output(u"stage"_s, 6);
    stage.showsChords = true;
    stage.size = {800, 1080};
    const ItemSlides slides = split(song, {stage});
    const Scene scene = sceneOf(slides, slides.outputs[0], 0);
    ASSERT_EQ(scene.rows.size(), 2u);
    EXPECT_EQ(scene.rows[0].chords, (std::vector<ChordMark>{{0, u"G"_s}}));
    EXPECT_EQ(scene.rows[1].chords, (std::vector<ChordMark>{{0, u"D"_s}, {17, u"C"_s}}));
}

TEST(Steps, AnEmptySlideIsAStepOfItsOwnWithNothingOnIt) {
    Song song = samples::harbourSong();
    song.singingOrder = {{song.parts[1].id, 1, {}}, {{}, 1, {}}, {song.parts[1].id, 1, {}}};
    const ItemSlides slides = split(song, {output(u"hall"_s, 4), output(u"stream"_s, 2)});
    ASSERT_EQ(slides.steps.size(), 3u);
    for (const Scene& scene : scenesAt(slides, slides.steps[1].position))
        EXPECT_TRUE(scene.rows.empty());
    for (const Scene& scene : scenesAt(slides, slides.steps[2].position))
        EXPECT_EQ(scene.rows.size(), 2u);
    EXPECT_EQ(cardsFor(slides)[1].label, u"Empty"_s);
}

TEST(Steps, AStageNoteIsForTheStageAlone) {
    Song song = samples::harbourSong();
    song.singingOrder = {{song.parts[1].id, 1, u"half time"_s}, {song.parts[0].id, 1, {}}};
    Output stage = output(u"stage"_s, 4);
    stage.kind = OutputKind::Stage;
    const ItemSlides slides = split(song, {output(u"hall"_s, 4), stage});
    const auto scenes = scenesAt(slides, slides.steps[0].position);
    EXPECT_EQ(scenes[0].stageNote, QString());
    EXPECT_EQ(scenes[1].stageNote, u"half time"_s);
    EXPECT_EQ(scenesAt(slides, slides.steps.back().position)[1].stageNote, QString());
}

TEST(Steps, EmphasisGoesWithItsWordsOntoWrappedRows) {
    Song song = samples::song(
        u"Wide"_s, {samples::part(PartKind::Verse, 1, {QString(u"word "_s).repeated(60).trimmed()})});
    song.parts[0].lines[0].emphasis = {{0, 299, false, true}};
    const ItemSlides slides = split(song, {output(u"hall"_s, 6)});
    int rows = 0;
    for (int s = 0; s < int(slides.outputs[0].slides.size()); ++s)
        for (const SceneRow& row : sceneOf(slides, slides.outputs[0], s).rows) {
            ++rows;
            EXPECT_EQ(row.emphasis, (std::vector<Emphasis>{{0, int(row.text.size()), false, true}}));
        }
    EXPECT_GT(rows, 1);
}

TEST(Steps, ASongsOwnThemeGoesBeforeTheServices) {
    Theme own = samples::theme();
    own.id = u"own"_s;
    own.look.words.size = 99;
    Song song = samples::harbourSong();
    Service service;
    service.theme = samples::theme();
    const auto sizeOf = [&](const Item& item, const std::vector<Theme>& themes) {
        return lookOn(usualOutputs()[0], lookChainOf(item, service, themes)).look.words.size;
    };
    EXPECT_EQ(sizeOf({{}, songItem(song)}, {own}), 72);
    song.usualTheme = u"own"_s;
    Item item{{}, songItem(song)};
    EXPECT_EQ(sizeOf(item, {own}), 99);
    EXPECT_EQ(sizeOf(item, {}), 72);    // a theme that is gone
    item.look.choice.theme = u"test"_s; // chosen for the item in this service
    EXPECT_EQ(sizeOf(item, {own, samples::theme()}), 72);
}

TEST(Steps, TheCreditLineStandsWhereTheThemeSays) {
    Song song = samples::harbourSong(u"Harbour"_s);
    Theme theme = samples::theme();
    theme.look.credit.fields = u"{title} \u00b7 {authors}"_s;
    EvenMeasures measures;
    const auto credits = [&](CreditWhen when) {
        theme.look.credit.when = when;
        QStringList result;
        const ItemSlides slides =
            slidesFor(contentOf(song), {output(u"hall"_s, 4)}, plainChain(theme, {}), measures);
        for (const Slide& slide : slides.outputs[0].slides)
            result << slide.credit;
        return result;
    };
    EXPECT_EQ(credits(CreditWhen::Last), (QStringList{{}, {}, {}, u"Harbour"_s}));
    EXPECT_EQ(credits(CreditWhen::First), (QStringList{u"Harbour"_s, {}, {}, {}}));
    EXPECT_EQ(credits(CreditWhen::Every).count(u"Harbour"_s), 4);
    EXPECT_EQ(credits(CreditWhen::Never).count(u"Harbour"_s), 0);
}

} // namespace
} // namespace mivanta
