// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/legibility/Mending.h"
#include "support/AnyLook.h"
#include "support/Samples.h"
#include "support/Text.h"
#include <gtest/gtest.h>
#include <rapidcheck/gtest.h>

namespace mivanta {
namespace {

MendCase smallCase() {
    MendCase slide;
    slide.fontSize = 60;
    slide.look.words.size = 60;
    slide.reading = {10, 12, 9, 15}; // reads to 10 m, the back row is at 15 m
    return slide;
}

MendCase weakCase(const Backdrop& backdrop) {
    MendCase slide;
    slide.fontSize = 80;
    slide.look.words.size = 80;
    slide.look.backdrop = backdrop;
    slide.reading = {20, 20, 2.5, 15};
    return slide;
}

const MendOffer* offerOf(const std::vector<MendOffer>& offers, Mend mend) {
    for (const MendOffer& offer : offers)
        if (offer.mend == mend)
            return &offer;
    return nullptr;
}

Look mended(const MendCase& slide, Mend mend, int strength = 1) {
    const auto offers = mendsFor(slide, strength);
    const MendOffer* offer = offerOf(offers, mend);
    EXPECT_TRUE(offer);
    Look look = slide.look;
    if (offer)
        offer->changes.applyTo(look);
    return look;
}

TEST(Mending, WhatIsFineIsLeftAlone) {
    MendCase slide = smallCase();
    slide.reading = {20, 20, 9, 15};
    EXPECT_TRUE(mendsFor(slide, 1).empty());
}

TEST(Mending, TheSizeThatTheBackRowReadsIsInProportion) {
    const MendCase slide = smallCase();
    EXPECT_EQ(slide.wantedSize(), 90);
    const Look look = mended(slide, Mend::Larger);
    EXPECT_EQ(look.words.size, 90);
    EXPECT_EQ(look.words.smallestSize, 90);                      // or the fit might shrink it again
    EXPECT_FALSE(offerOf(mendsFor(slide, 1), Mend::FewerLines)); // the theme does not want more
}

TEST(Mending, WordsThatWereMadeSmallerGetRoom) {
    MendCase slide = smallCase();
    slide.look.words.size = 100;
    slide.lines = 5;
    EXPECT_EQ(mended(slide, Mend::FewerLines, 1).words.linesAtMost, 4);
    EXPECT_EQ(mended(slide, Mend::FewerLines, 3).words.linesAtMost, 2);
    slide.lines = 1;
    EXPECT_FALSE(offerOf(mendsFor(slide, 1), Mend::FewerLines));
    const QRectF before = slide.look.words.box;
    const QRectF box = mended(slide, Mend::LargerBox).words.box;
    EXPECT_TRUE(box.contains(before));
    EXPECT_LE(box.bottom(), slide.look.credit.box.top() + 1e-9); // the credit line keeps its place
    // Also when the back row reads it: the theme's own size is wanted then.
    slide.reading = {20, 20, 9, 15};
    EXPECT_EQ(slide.wantedSize(), 100);
    EXPECT_FALSE(offerOf(mendsFor(slide, 1), Mend::Larger));
    EXPECT_TRUE(offerOf(mendsFor(slide, 1), Mend::LargerBox));
}

TEST(Mending, LightWordsGetADarkOutlineAndDarkWordsALightOne) {
    MendCase slide = weakCase(samples::plain({120, 120, 120, 255}));
    EXPECT_EQ(mended(slide, Mend::Outline).words.outlineColour, (Colour{0, 0, 0, 255}));
    EXPECT_GT(mended(slide, Mend::Outline, 2).words.outlineWidth,
              mended(slide, Mend::Outline, 1).words.outlineWidth);
    slide.look.words.colour = {20, 20, 20, 255};
    EXPECT_EQ(mended(slide, Mend::Outline).words.outlineColour, (Colour{255, 255, 255, 255}));
}

TEST(Mending, EveryKindOfBackdropGoesAwayFromTheWords) {
    MendCase plain = weakCase(samples::plain({120, 120, 120, 255}));
    EXPECT_LT(mended(plain, Mend::Backdrop).backdrop.colour.red, 120);
    plain.look.words.colour = {0, 0, 0, 255};
    EXPECT_GT(mended(plain, Mend::Backdrop).backdrop.colour.red, 120);

    const Look gradient =
        mended(weakCase(samples::gradient({{0, {200, 100, 0, 255}}, {1, {0, 100, 200, 255}}}, 0)),
               Mend::Backdrop, 4);
    EXPECT_LT(gradient.backdrop.stops[0].colour.red, 60);
    EXPECT_LT(gradient.backdrop.stops[1].colour.blue, 60);

    Backdrop picture;
    picture.kind = BackdropKind::Picture;
    picture.treatment.brightness = -90;
    EXPECT_EQ(mended(weakCase(picture), Mend::Backdrop, 4).backdrop.treatment.brightness, -100);

    Backdrop none;
    none.kind = BackdropKind::None;
    const Look panel = mended(weakCase(none), Mend::Backdrop);
    EXPECT_EQ(panel.words.panel.reach, PanelReach::Words);
    EXPECT_EQ(panel.words.panel.colour.red, 0);
    EXPECT_EQ(panel.backdrop.kind, BackdropKind::None); // a stream stays see-through
}

TEST(Mending, APanelThatIsThereBecomesStronger) {
    MendCase slide = weakCase(samples::plain({120, 120, 120, 255}));
    slide.look.words.panel.reach = PanelReach::Band;
    slide.look.words.panel.colour = {0, 0, 0, 100};
    const Look look = mended(slide, Mend::Backdrop, 2);
    EXPECT_EQ(look.words.panel.reach, PanelReach::Band);
    EXPECT_EQ(look.words.panel.colour.alpha, 220);
    EXPECT_EQ(look.backdrop, slide.look.backdrop);
}

TEST(Mending, WhatAnOutputInsistsOnIsNotTouched) {
    MendCase slide = weakCase(samples::plain({120, 120, 120, 255}));
    slide.insisted = {LookGroup::Backdrop};
    EXPECT_FALSE(offerOf(mendsFor(slide, 1), Mend::Backdrop));
    EXPECT_TRUE(offerOf(mendsFor(slide, 1), Mend::Outline));
    slide.insisted = allLookGroups();
    EXPECT_TRUE(mendsFor(slide, 1).empty());
}

RC_GTEST_PROP(MendingOfAnyLook, StaysInsideItsRangesAndItsGroups, ()) {
    MendCase slide;
    for (const LookProperty& property : lookProperties())
        property.set(slide.look, samples::anyValue(property));
    slide.fontSize = *rc::gen::inRange(5, 300);
    slide.reading = {samples::anyNumber(1, 30), 10, samples::anyNumber(1, 10), samples::anyNumber(1, 30)};
    slide.lines = *rc::gen::inRange(1, 12);
    slide.insisted = {LookGroup(*rc::gen::inRange(0, kLookGroups))};
    const int strength = *rc::gen::inRange(1, kMostMendStrength + 1);
    const auto offers = mendsFor(slide, strength);
    for (const MendOffer& offer : offers) {
        Look look = slide.look;
        offer.changes.applyTo(look);
        const LookOverrides changed = differences(slide.look, look);
        for (const LookProperty* property : changed.properties()) {
            RC_ASSERT(offer.changes.has(*property)); // nothing else
            RC_ASSERT(property->group != slide.insisted.front());
            RC_ASSERT(property->accepted(property->get(look)) == property->get(look));
        }
        RC_ASSERT(!offer.label.isEmpty());
    }
    if (slide.reading.isLargeEnough() && slide.fontSize + 1 >= slide.look.words.size &&
        slide.reading.isStrongEnough())
        RC_ASSERT(offers.empty());
}

TEST(Worse, WhatTheBackRowCannotReadComesFirst) {
    const Legibility fine{20, 20, 9, 15};
    const Legibility small{10, 10, 9, 15};
    const Legibility smaller{8, 8, 12, 15};
    const Legibility weak{20, 20, 2, 15};
    EXPECT_TRUE(isWorse(small, fine));
    EXPECT_TRUE(isWorse(smaller, small));
    EXPECT_TRUE(isWorse(small, weak));
    EXPECT_TRUE(isWorse(weak, fine));
    EXPECT_FALSE(isWorse(fine, fine));
    const Legibility unmeasured{20, 20, 0, 15};
    EXPECT_FALSE(isWorse(unmeasured, weak));
}

} // namespace
} // namespace mivanta
