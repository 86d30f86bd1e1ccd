// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/media/Loudness.h"
#include <gtest/gtest.h>
#include <rapidcheck/gtest.h>

namespace mivanta {
namespace {

TEST(Loudness, IsMadeEven) {
    EXPECT_DOUBLE_EQ(evenGain(Loudness{-23, -10}, 0), 5);
    EXPECT_DOUBLE_EQ(evenGain(Loudness{-9, 0}, 0), -9);
    EXPECT_DOUBLE_EQ(evenGain(Loudness{-40, -30}, 0), kMostLift);
    EXPECT_DOUBLE_EQ(evenGain(Loudness{-23, -3}, 0), 2);  // its peaks have no more room
    EXPECT_DOUBLE_EQ(evenGain(Loudness{-23, 0.5}, 0), 0); // nor here
    EXPECT_DOUBLE_EQ(evenGain(Loudness{-70, -60}, 0), 0); // silence stays so
    EXPECT_DOUBLE_EQ(evenGain(std::nullopt, -3), -3);
    EXPECT_DOUBLE_EQ(evenGain(Loudness{-9, 0}, 4), -5);
}

RC_GTEST_PROP(Loudness, NothingIsLiftedBeyondItsPeaksNorBeyondTheLimits, ()) {
    const Loudness measured{double(*rc::gen::inRange(-700, 50)) / 10,
                            double(*rc::gen::inRange(-600, 30)) / 10};
    const double gain = evenGain(measured, 0);
    RC_ASSERT(std::abs(gain) <= kMostGain);
    RC_ASSERT(gain <= std::max(0.0, kHighestPeak - measured.peak) + 1e-9);
    if (gain < 0)
        RC_ASSERT(measured.lufs > kEvenLoudness);
    RC_ASSERT(std::abs(evenGain(measured, double(*rc::gen::inRange(-12, 13)))) <= kMostGain);
}

} // namespace
} // namespace mivanta
