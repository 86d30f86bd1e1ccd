// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/run/RunState.h"
#include "core/run/Findings.h"
#include "support/FixedLineup.h"
#include "support/Text.h"
#include <gtest/gtest.h>
#include <rapidcheck/gtest.h>

namespace mivanta {
namespace {

RunState run(RunState state, const FixedLineup& lineup, int takes) {
    for (int i = 0; i < takes; ++i)
        state = taken(state, lineup);
    return state;
}

TEST(RunState, NothingIsOnScreenBeforeTheFirstTake) {
    const FixedLineup lineup(2);
    const RunState state = startedRun(lineup);
    EXPECT_FALSE(state.onScreen);
    EXPECT_EQ(state.next, lineup.cue(0, 0));
    EXPECT_EQ(scenesFor(state, lineup, lineup.outputs)[0].curtain, Curtain::Black);
}

TEST(RunState, TakesGoThroughEveryStepOfEveryItem) {
    const FixedLineup lineup(2);
    RunState state = startedRun(lineup);
    for (int item = 0; item < 2; ++item)
        for (int step = 0; step < int(lineup.slides(item).steps.size()); ++step) {
            state = taken(state, lineup);
            EXPECT_EQ(state.onScreen, lineup.cue(item, step));
        }
    EXPECT_FALSE(state.next);
    EXPECT_EQ(taken(state, lineup), state); // at the end the key does nothing
}

TEST(RunState, LookingNeverChangesTheScreen) {
    const FixedLineup lineup(3);
    RunState state = run(startedRun(lineup), lineup, 2);
    const auto before = state.onScreen;
    state = lookedAhead(state, lineup, 3);
    state = lookedAtItem(state, lineup, 2);
    EXPECT_EQ(state.onScreen, before);
    EXPECT_EQ(state.next, lineup.cue(2, 0));
    EXPECT_EQ(lookedBack(state, lineup).next, lineup.cue(0, 2));
    EXPECT_EQ(taken(state, lineup).onScreen, lineup.cue(2, 0));
}

TEST(RunState, BackGoesAcrossItems) {
    const FixedLineup lineup(2);
    RunState state = taken(lookedAtItem(startedRun(lineup), lineup, 1), lineup);
    state = takenBack(state, lineup);
    EXPECT_EQ(state.onScreen, lineup.cue(0, int(lineup.slides(0).steps.size()) - 1));
    EXPECT_EQ(state.next, lineup.cue(1, 0));
}

TEST(RunState, AnItemTakenOutWhileOnScreenStaysThereAndWhatStoodBehindItIsNext) {
    FixedLineup lineup(3);
    RunState state = taken(lookedAtItem(startedRun(lineup), lineup, 1), lineup);
    const ItemId third = lineup.itemId(2);
    lineup.takeOut(1);
    const auto before = state.onScreen;
    state = reconciled(state, lineup);
    EXPECT_EQ(state.onScreen, before);
    EXPECT_EQ(state.next->item, third);
    EXPECT_EQ(takenBack(state, lineup).onScreen->item, lineup.itemId(0));
}

TEST(RunState, WhatComesBackOrComesBetweenIsFollowedUnlessSomebodyLooksElsewhere) {
    FixedLineup lineup(3);
    const FixedLineup whole = lineup;
    RunState state = taken(lookedAtItem(startedRun(lineup), lineup, 1), lineup);
    const auto inside = state.next;
    EXPECT_EQ(inside->item, lineup.itemId(1));
    lineup.takeOut(1);
    state = reconciled(state, lineup);
    EXPECT_EQ(reconciled(state, whole).next, inside); // its removal was undone
    const RunState looking = lookedAtItem(state, lineup, 0);
    EXPECT_EQ(reconciled(looking, whole).next, looking.next);
    state = run(startedRun(whole), whole, int(whole.slides(0).steps.size())); // the last step of the first
    EXPECT_EQ(state.next, whole.cue(1, 0));
    FixedLineup more = whole;
    const FixedLineup another(1);
    more.ids.insert(more.ids.begin() + 1, another.ids[0]);
    more.items.insert(more.items.begin() + 1, another.items[0]);
    EXPECT_EQ(reconciled(state, more).next->item, another.ids[0]);
}

TEST(RunState, AnEmptyServiceDoesNothing) {
    const FixedLineup lineup(0);
    const RunState state = startedRun(lineup);
    EXPECT_EQ(taken(state, lineup), state);
    EXPECT_EQ(takenBack(state, lineup), state);
    EXPECT_EQ(lookedAhead(state, lineup, 5), state);
    EXPECT_EQ(lookedAtItem(state, lineup, 0), state);
}

RC_GTEST_PROP(RunState, AnyKeysInAnyOrderLeaveMarksThatPointIntoThePlan, ()) {
    const FixedLineup lineup(*rc::gen::inRange(0, 4));
    RunState state = startedRun(lineup);
    for (const int key : *rc::gen::container<std::vector<int>>(rc::gen::inRange(0, 7))) {
        const auto onScreen = state.onScreen;
        switch (key) {
        case 0:
            state = taken(state, lineup);
            break;
        case 1:
            state = takenBack(state, lineup);
            break;
        case 2:
            state = lookedAhead(state, lineup, 1);
            break;
        case 3:
            state = lookedAhead(state, lineup, -1);
            break;
        case 4:
            state = lookedAtItem(state, lineup, *rc::gen::inRange(-1, 6));
            break;
        case 5:
            state = lookedBack(state, lineup);
            break;
        default:
            state = reconciled(state, lineup);
            break;
        }
        if (key > 1)
            RC_ASSERT(state.onScreen == onScreen);
        for (const auto& cue : {state.onScreen, state.next})
            if (cue) {
                const int item = lineup.indexOf(cue->item);
                RC_ASSERT(item >= 0);
                RC_ASSERT(lineup.cue(item, lineup.slides(item).stepAt(cue->position)) == *cue);
            }
    }
}

RC_GTEST_PROP(RunState, BackUndoesATake, ()) {
    const FixedLineup lineup(3);
    const RunState state = run(startedRun(lineup), lineup, *rc::gen::inRange(1, 8));
    RC_ASSERT(takenBack(taken(state, lineup), lineup) == state);
}

TEST(Findings, SayWhatIsMissingWorstFirst) {
    Service service;
    service.theme = samples::theme();
    Song silent = samples::song(u"Silent"_s, {});
    silent.copyright = u"someone"_s;
    silent.licenceNumber = u"1"_s;
    service.items = {{ItemId::create(), songItem(samples::harbourSong())},
                     {ItemId::create(), songItem(silent)}};
    FixedLineup lineup(2);
    lineup.ids = {service.items[0].id, service.items[1].id};
    EvenMeasures measures;
    lineup.items[1] = slidesFor(contentOf(silent), lineup.outputs, plainChain(service.theme, {}), measures);
    const auto findings = findingsOf(service, lineup);
    ASSERT_EQ(findings.size(), 3u);
    EXPECT_EQ(findings[0].severity, Severity::Doubt);
    EXPECT_EQ(findings[0].item, service.items[1].id);
    EXPECT_EQ(findings[1].title, u"No author or copyright"_s);
}

} // namespace
} // namespace mivanta
