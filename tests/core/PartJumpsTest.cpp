// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/run/PartJumps.h"
#include "support/FixedLineup.h"
#include "support/Text.h"
#include <gtest/gtest.h>
#include <rapidcheck/gtest.h>

namespace mivanta {
namespace {

/// The songs are sung V1 C V2 C, in steps of one slide a part: 0 to 3.
class PartJumps : public ::testing::Test {
protected:
    /// "item.step" of what is next.
    QString next() const {
        if (!state.next)
            return u"end"_s;
        const int item = lineup.indexOf(state.next->item);
        return u"%1.%2"_s.arg(item).arg(lineup.slides(item).stepAt(state.next->position));
    }
    void take(int times = 1) {
        for (int i = 0; i < times; ++i)
            state = taken(state, lineup);
    }
    QString jump(char letter, std::optional<int> number = std::nullopt) {
        state = lookedAtPart(state, lineup, QLatin1Char(letter), number);
        return next();
    }
    FixedLineup lineup{3};
    RunState state = startedRun(lineup);
};

TEST_F(PartJumps, TheSameLetterGoesOnToTheNextOneAndRound) {
    ASSERT_EQ(lineup.slides(0).steps.size(), 4u);
    take(); // verse 1
    EXPECT_EQ(jump('c'), u"0.1"_s);
    EXPECT_EQ(jump('c'), u"0.3"_s);
    EXPECT_EQ(jump('C'), u"0.1"_s);
    take();                         // the first chorus
    EXPECT_EQ(jump('C'), u"0.3"_s); // not the one that is on screen
    EXPECT_EQ(jump('B'), u"0.3"_s); // there is no bridge: nothing happens
}

TEST_F(PartJumps, ANumberNamesTheVerse) {
    take(2);
    EXPECT_EQ(jump('V'), u"0.2"_s);
    EXPECT_EQ(jump('V', 1), u"0.0"_s);
    EXPECT_EQ(jump('V', 2), u"0.2"_s);
    EXPECT_EQ(jump('V', 3), u"0.2"_s);
}

TEST_F(PartJumps, AtTheLastStepTheSongOnScreenIsMeantAndAnotherOnceItIsLookedAt) {
    take(4);
    EXPECT_EQ(next(), u"1.0"_s); // the next item, as it follows
    EXPECT_EQ(jump('V', 1), u"0.0"_s);
    state = lookedAtItem(state, lineup, 2);
    EXPECT_EQ(jump('C'), u"2.1"_s);
    EXPECT_EQ(state.onScreen, lineup.cue(0, 3)); // looking is not taking
}

TEST_F(PartJumps, ThePartOnScreenAndTheFirstSlideComeAgain) {
    take(3); // verse 2
    state = lookedAtPartAgain(state, lineup);
    EXPECT_EQ(next(), u"0.2"_s);
    state = lookedAtFirst(state, lineup);
    EXPECT_EQ(next(), u"0.0"_s);
}

TEST_F(PartJumps, ItemsOnAndBack) {
    state = lookedAtItemsOn(state, lineup, 1);
    EXPECT_EQ(next(), u"1.0"_s);
    state = lookedAtItemsOn(state, lineup, 1);
    EXPECT_EQ(next(), u"2.0"_s);
    state = lookedAtItemsOn(state, lineup, 1);
    EXPECT_EQ(next(), u"2.0"_s); // there is no other
    state = lookedAtItemsOn(state, lineup, -2);
    EXPECT_EQ(next(), u"0.0"_s);
    state = taken(lookedAt(state, lineup.cue(2, 3)), lineup);
    EXPECT_EQ(next(), u"end"_s);
    state = lookedAtItemsOn(state, lineup, -1);
    EXPECT_EQ(next(), u"1.0"_s);
}

TEST_F(PartJumps, OfAnEmptyServiceNothingIsMeant) {
    lineup = FixedLineup(0);
    state = startedRun(lineup);
    const RunState before = state;
    EXPECT_EQ(lookedAtPart(state, lineup, u'C'), before);
    EXPECT_EQ(lookedAtPartAgain(state, lineup), before);
    EXPECT_EQ(lookedAtFirst(state, lineup), before);
    EXPECT_EQ(lookedAtItemsOn(state, lineup, 1), before);
    EXPECT_FALSE(itemMeant(state, lineup));
}

RC_GTEST_PROP(PartJumpsProperty, LookingFindsTheBeginOfAPartAndNeverTakes, ()) {
    const FixedLineup lineup(3);
    RunState state = startedRun(lineup);
    const auto keys = *rc::gen::container<std::vector<int>>(rc::gen::inRange(0, 9));
    for (const int key : keys) {
        const RunState before = state;
        switch (key) {
        case 0:
        case 1:
            state = taken(state, lineup);
            continue;
        case 2:
            state = takenBack(state, lineup);
            continue;
        case 3:
            state = lookedAtPartAgain(state, lineup);
            break;
        case 4:
            state = lookedAtFirst(state, lineup);
            break;
        case 5:
            state = lookedAtItemsOn(state, lineup, 1);
            break;
        case 6:
            state = lookedAtItemsOn(state, lineup, -1);
            break;
        default:
            state = lookedAtPart(state, lineup, key == 7 ? u'c' : u'v');
        }
        RC_ASSERT(state.onScreen == before.onScreen);
        RC_ASSERT((!state.next || lineup.indexOf(state.next->item) >= 0));
        if (key >= 7 && !(state == before) && state.next) {
            const ItemSlides& slides = lineup.slides(lineup.indexOf(state.next->item));
            const int step = slides.stepAt(state.next->position);
            RC_ASSERT(slides.steps[size_t(step)].position == state.next->position);
            const QString name = slides.content.parts[size_t(slides.steps[size_t(step)].part)].shortLabel;
            RC_ASSERT(name.startsWith(key == 7 ? u'C' : u'V'));
        }
    }
}

} // namespace
} // namespace mivanta
