// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/order/ItemWords.h"
#include "support/Text.h"
#include <gtest/gtest.h>
#include <rapidcheck/gtest.h>

namespace mivanta {
namespace {

TEST(MusicItems, LastAsLongAsTheirPiecesLessWhatGoesOverIntoTheNext) {
    MusicItem music{{}, {{u"a"_s, {}, 60}, {u"b"_s, {}, 90, 10, 40}, {u"c"_s, {}, 2}}};
    EXPECT_DOUBLE_EQ(music.length(), 92);
    music.crossfade = 4;
    EXPECT_DOUBLE_EQ(music.length(), 84);
    std::swap(music.pieces[0], music.pieces[2]); // the short one gives half of itself
    EXPECT_DOUBLE_EQ(music.length(), 92 - 1 - 4);
    music.pieces[1].to = 0;
    music.pieces[1].seconds = 0;
    EXPECT_EQ(music.length(), 0); // not known
}

RC_GTEST_PROP(MusicItems, EachPieceIsHeardByItselfForHalfOfItsLengthAtLeast, ()) {
    MusicItem music;
    music.crossfade = *rc::gen::inRange(0, int(kLongestFade * 10)) / 10.0;
    double half = 0;
    for (const int tenths :
         *rc::gen::nonEmpty(rc::gen::container<std::vector<int>>(rc::gen::inRange(1, 9000)))) {
        music.pieces.push_back({u"piece"_s, {}, tenths / 10.0});
        half += tenths / 20.0;
    }
    RC_ASSERT(music.length() >= half - 1e-6);
    RC_ASSERT(music.length() <= 2 * half + 1e-6);
}

} // namespace
} // namespace mivanta
