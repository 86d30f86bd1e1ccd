// SPDX-License-Identifier: GPL-3.0-or-later
#include "render/ObjectPainter.h"
#include "support/Text.h"
#include <gtest/gtest.h>

namespace mivanta {
namespace {

SlideObject countingTo(const QString& text) {
    CountdownObject countdown;
    setCountdownText(countdown, text);
    SlideObject object;
    object.what = countdown;
    return object;
}

TEST(LiveObjects, ClocksAndCountdownsSayTheTime) {
    SlideObject clock;
    clock.what = ClockObject();
    const QDateTime now({2026, 10, 4}, {9, 59, 30});
    EXPECT_EQ(liveText(clock, now), u"09:59"_s);
    const SlideObject countdown = countingTo(u"10:30"_s);
    EXPECT_EQ(liveText(countdown, now), u"30:30"_s);
    EXPECT_EQ(liveText(countdown, now.addSecs(1740)), u"1:30"_s);
    EXPECT_EQ(liveText(countdown, now.addSecs(-3600)), u"1:30:30"_s);
    EXPECT_EQ(liveText(countdown, now.addSecs(1830)), QString());
    EXPECT_EQ(liveText(countingTo(u"soon"_s), now), QString());
}

TEST(LiveObjects, APreviewOfACountdownShowsFiguresEvenWhenItWouldBeOver) {
    EXPECT_EQ(liveText(countingTo(u"10:30"_s), {}), u"5:00"_s); // what previews are drawn at
    EXPECT_EQ(liveText(countingTo(u"10:45"_s), {}), u"15:00"_s);
    EXPECT_EQ(liveText(countingTo(u"+90"_s), {}), u"1:30"_s);
    EXPECT_EQ(liveText(countingTo({}), {}), u"5:00"_s);
}

} // namespace
} // namespace mivanta
