// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/run/Covers.h"
#include "core/run/RunState.h"
#include "support/FixedLineup.h"
#include "support/Text.h"
#include <gtest/gtest.h>

namespace mivanta {
namespace {

Scene someScene() {
    const FixedLineup lineup(1);
    return scenesAt(lineup.slides(0), {})[0];
}

Output hallOf(const Scene& scene) {
    Output output;
    output.name = scene.output;
    return output;
}

TEST(Covers, AnOutputsOwnCurtainGoesBeforeThatOfAll) {
    Covers covers;
    covers.curtain = Curtain::Black;
    covers.own[u"stage"_s] = Curtain::Open;
    EXPECT_EQ(covers.on(u"hall"_s), Curtain::Black);
    EXPECT_EQ(covers.on(u"stage"_s), Curtain::Open);
}

TEST(Covers, PlainKeepsTheWordsAndTakesTheBackdropAway) {
    Covers covers;
    covers.curtain = Curtain::Plain;
    Scene scene = someScene();
    scene.look.words.colour = {255, 255, 255, 255};
    scene.look.objects = {SlideObject(), SlideObject::ofPicture(u"a.png"_s)};
    const Scene plain = covered(scene, hallOf(scene), covers, nullptr);
    EXPECT_EQ(plain.rows, scene.rows);
    EXPECT_EQ(plain.curtain, Curtain::Open);
    EXPECT_EQ(plain.look.backdrop.colour, (Colour{0, 0, 0, 255}));
    EXPECT_EQ(plain.look.objects.size(), 1u); // what stands before the words stays
    scene.look.words.colour = {20, 20, 20, 255};
    EXPECT_EQ(covered(scene, hallOf(scene), covers, nullptr).look.backdrop.colour,
              (Colour{255, 255, 255, 255}));
    scene.look.backdrop.kind = BackdropKind::None;
    EXPECT_EQ(covered(scene, hallOf(scene), covers, nullptr).look.backdrop.kind, BackdropKind::None);
}

TEST(Covers, TheHouseCardIsInPlaceOfEverythingAndBlackWithoutOne) {
    Covers covers;
    covers.curtain = Curtain::HouseCard;
    Scene card = someScene();
    card.credit = u"the card"_s;
    EXPECT_EQ(covered(someScene(), hallOf(someScene()), covers, &card), card);
    EXPECT_EQ(covered(someScene(), hallOf(someScene()), covers, nullptr).curtain, Curtain::Black);
}

TEST(Covers, ACallOutIsSeenOverEveryCurtainButBlackAndOnlyWhereItIsFor) {
    Covers covers;
    covers.callOut = CallOut{u"Hello"_s, {u"hall"_s}, std::nullopt};
    Scene card = someScene();
    for (const Curtain curtain : {Curtain::Open, Curtain::Plain, Curtain::WordsOff, Curtain::HouseCard}) {
        covers.curtain = curtain;
        EXPECT_EQ(covered(someScene(), hallOf(someScene()), covers, &card).callOut, u"Hello"_s);
    }
    Scene stage = someScene();
    stage.output = u"stage"_s;
    EXPECT_TRUE(covered(stage, hallOf(stage), covers, &card).callOut.isEmpty());
    covers.curtain = Curtain::Black;
    EXPECT_TRUE(covered(someScene(), hallOf(someScene()), covers, &card).callOut.isEmpty());
}

TEST(Covers, AnOutputWithoutCallOutsShowsNone) {
    Covers covers;
    covers.callOut = CallOut{u"Hello"_s, {}, std::nullopt};
    Output output = hallOf(someScene());
    output.layers.callOuts = false;
    EXPECT_TRUE(covered(someScene(), output, covers, nullptr).callOut.isEmpty());
}

TEST(Covers, ATestCardIsOverEverythingOnItsOutputAlone) {
    Covers covers;
    covers.curtain = Curtain::Black;
    covers.callOut = CallOut{u"Hello"_s, {}, std::nullopt};
    covers.testCards = {u"hall"_s};
    const Scene card = covered(someScene(), hallOf(someScene()), covers, nullptr);
    EXPECT_TRUE(card.isTestCard);
    EXPECT_EQ(card.output, u"hall"_s);
    EXPECT_EQ(card.size, someScene().size);
    EXPECT_TRUE(card.rows.empty());
    EXPECT_TRUE(card.callOut.isEmpty());
    Scene stage = someScene();
    stage.output = u"stage"_s;
    EXPECT_FALSE(covered(stage, hallOf(stage), covers, nullptr).isTestCard);
}

TEST(Covers, PicturesStandOnTheGroundOfTheirOutput) {
    Output output = hallOf(someScene());
    EXPECT_EQ(covered(someScene(), output, {}, nullptr).ground, (Colour{0, 0, 0, 255}));
    output.ground = Ground::Key;
    output.keyColour = {0, 255, 0, 10};
    EXPECT_EQ(covered(someScene(), output, {}, nullptr).ground, (Colour{0, 255, 0, 255}));
    output.ground = Ground::SeeThrough;
    EXPECT_EQ(covered(someScene(), output, {}, nullptr).ground.alpha, 0);
    Covers card;
    card.curtain = Curtain::HouseCard;
    const Scene house = someScene();
    EXPECT_EQ(covered(someScene(), output, card, &house).ground.alpha, 0);
}

SlideObject screenOf(const QString& output) {
    SlideObject object;
    object.what = ScreenObject{output};
    return object;
}

TEST(Screens, AStageShowsWhatTheHallShows) {
    const auto outputs = usualOutputs();
    Scene hall = someScene();
    hall.look.objects = {screenOf({})}; // its own: nothing to be seen
    Scene stage = someScene();
    stage.output = u"stage"_s;
    stage.look.objects = {screenOf({}), screenOf(u"nowhere"_s), screenOf(u"stage"_s)};
    const auto all = withScreens({hall, stage}, outputs);
    EXPECT_TRUE(all[0].look.objects.empty());
    ASSERT_EQ(all[1].look.objects.size(), 1u);
    EXPECT_EQ(std::get<ScreenObject>(all[1].look.objects[0].what).output, u"hall"_s);
    ASSERT_EQ(all[1].elsewhere.size(), 1u);
    EXPECT_EQ(all[1].elsewhere[0].rows, hall.rows);
    EXPECT_TRUE(all[1].elsewhere[0].look.objects.empty()); // no picture in a picture in a picture
}

TEST(Covers, WhatTheHouseCardSays) {
    Service service;
    service.title = u"Sea Harvest Sunday"_s;
    service.place = u"Quillhaven"_s;
    const auto linesOf = [&](const HouseCard& card) {
        QStringList lines;
        const ItemWords words = houseCardWords(card, service);
        if (const auto* text = std::get_if<TextItem>(&words))
            for (const SpokenLine& line : text->text->lines)
                lines << line.words;
        return lines;
    };
    EXPECT_EQ(linesOf({}), (QStringList{u"Sea Harvest Sunday"_s, u"Quillhaven"_s}));
    EXPECT_EQ(linesOf({u"Welcome\n\nCome in"_s, {}}), (QStringList{u"Welcome"_s, u"Come in"_s}));
    EXPECT_TRUE(std::holds_alternative<PictureItem>(houseCardWords({u"Welcome"_s, u"a.png"_s}, service)));
    service = {};
    EXPECT_TRUE(std::holds_alternative<PauseItem>(houseCardWords({}, service))); // the backdrop at least
}

TEST(Covers, BlanksAreThreeLowLinesOrMore) {
    using Blanks = std::vector<std::pair<int, int>>;
    EXPECT_EQ(blanksIn(u"no. ___ to the _____!"_s), (Blanks{{4, 3}, {15, 5}}));
    EXPECT_EQ(blanksIn(u"snake_case and __ are none"_s), Blanks());
}

TEST(Frozen, AFrozenOutputKeepsItsPictureAndTheOthersGoOn) {
    FixedLineup lineup(2);
    Output stage = lineup.outputs[0];
    stage.name = u"stage"_s;
    EvenMeasures measures;
    lineup.outputs.push_back(stage);
    for (ItemSlides& item : lineup.items)
        item = slidesFor(contentOf(samples::harbourSong()), lineup.outputs, plainChain(samples::theme(), {}),
                         measures);
    RunState state = taken(startedRun(lineup), lineup);
    const auto before = scenesFor(state, lineup, lineup.outputs);
    state.frozen[u"stage"_s] = state.onScreen;
    state = taken(taken(state, lineup), lineup);
    const auto after = scenesFor(state, lineup, lineup.outputs);
    EXPECT_FALSE(after[0] == before[0]);
    EXPECT_EQ(after[1], before[1]);
    state.frozen[u"hall"_s] = std::nullopt; // frozen before the first take
    EXPECT_EQ(scenesFor(state, lineup, lineup.outputs)[0].rows.size(), 0u);
    state.frozen.clear();
    EXPECT_EQ(scenesFor(state, lineup, lineup.outputs)[1].rows, after[0].rows);
}

} // namespace
} // namespace mivanta
