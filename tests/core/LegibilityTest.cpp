// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/legibility/Legibility.h"
#include "support/Text.h"
#include <gtest/gtest.h>
#include <rapidcheck/gtest.h>

namespace mivanta {
namespace {

TEST(Legibility, AnglesAreThoseOfTheTable) {
    // A height of 1 at a distance of 3437.75 is one minute of arc.
    EXPECT_NEAR(arcMinutes(1, 3437.75), 1, 1e-3);
    EXPECT_NEAR(arcMinutes(0.1, 20), 17.19, 0.01);
    EXPECT_EQ(arcMinutes(0.1, 0), 0);
}

TEST(Legibility, TheStricterOfBothRulesDecides) {
    // x-height 5 cm: 10 m by the two-hundredth; capitals of 7 cm: 15 m by the angle.
    EXPECT_NEAR(readsTo({0.05, 0.07}, 1), 10, 1e-9);
    // Capitals of 4 cm: 8.59 m by the angle.
    EXPECT_NEAR(readsTo({0.05, 0.04}, 1), 0.04 / (16 * M_PI / 180 / 60), 0.01);
    EXPECT_NEAR(readsTo({0.05, 0.07}, 2), 20, 1e-9);
}

TEST(Legibility, LuminanceAndContrastAreThoseOfWcag) {
    EXPECT_NEAR(relativeLuminance({255, 255, 255, 255}), 1, 1e-9);
    EXPECT_NEAR(relativeLuminance({0, 0, 0, 255}), 0, 1e-9);
    EXPECT_NEAR(relativeLuminance({255, 0, 0, 255}), 0.2126, 1e-6);
    EXPECT_NEAR(contrastRatio(1, 0), 21, 1e-9);
    const double grey =
        relativeLuminance({0x76, 0x76, 0x76, 255}); // the known lightest grey that passes on white
    EXPECT_NEAR(contrastRatio(grey, 1), 4.54, 0.01);
}

TEST(Legibility, LightInTheRoomTakesContrast) {
    EXPECT_GT(contrastRatio(1, 0, RoomLight::Dark), contrastRatio(1, 0, RoomLight::Dimmed));
    EXPECT_GT(contrastRatio(1, 0, RoomLight::Dimmed), contrastRatio(1, 0, RoomLight::Daylight));
    EXPECT_NEAR(contrastRatio(1, 0, RoomLight::Daylight), 1.17 / 0.17, 1e-9);
}

TEST(Legibility, TheWorstTwentiethIsLeftOut) {
    std::vector<double> ratios(100, 10.0);
    for (int i = 0; i < 5; ++i)
        ratios[size_t(i)] = 1.0;
    EXPECT_EQ(contrastReached(ratios), 10.0);
    ratios[5] = 2.0;
    EXPECT_EQ(contrastReached(ratios), 2.0);
    EXPECT_EQ(contrastReached({}), 21.0);
}

TEST(Legibility, IsSaidInWords) {
    Output hall;
    hall.pictureHeight = 2;
    hall.backRow = 12;
    const Legibility clear = legibilityOf({0.035, 0.05}, hall);
    EXPECT_TRUE(clear.isLargeEnough());
    EXPECT_EQ(legibilityText(clear), u"reads to 14 m \u2713 back row 12 m"_s);
    hall.backRow = 24;
    EXPECT_EQ(legibilityText(legibilityOf({0.035, 0.05}, hall)),
              u"reads to 14 m only, the back row is at 24 m"_s);
}

RC_GTEST_PROP(Legibility, LargerLettersReadFurther, ()) {
    const double x = *rc::gen::inRange(1, 200) / 1000.0;
    const double height = *rc::gen::inRange(1, 60) / 10.0;
    RC_ASSERT(readsTo({x * 1.1, x * 1.5}, height) > readsTo({x, x * 1.4}, height));
    RC_ASSERT(std::abs(arcMinutes(x * height, readsTo({x * 9, x}, height)) - 16) < 0.01);
}

RC_GTEST_PROP(Legibility, ContrastIsBetweenOneAndTwentyOne, ()) {
    const double a = *rc::gen::inRange(0, 1001) / 1000.0;
    const double b = *rc::gen::inRange(0, 1001) / 1000.0;
    for (const RoomLight light : {RoomLight::Dark, RoomLight::Dimmed, RoomLight::Daylight}) {
        RC_ASSERT((contrastRatio(a, b, light) >= 1 && contrastRatio(a, b, light) <= 21));
        RC_ASSERT(contrastRatio(a, b, light) == contrastRatio(b, a, light));
    }
}

} // namespace
} // namespace mivanta
