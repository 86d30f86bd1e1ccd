// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/run/RunState.h"
#include "core/run/Findings.h"
#include "support/FixedPlan.h"
#include "support/Text.h"
#include <gtest/gtest.h>
#include <rapidcheck/gtest.h>

namespace mivanta {
namespace {

RunState run(RunState state, const FixedPlan& plan, int takes) {
    for (int i = 0; i < takes; ++i)
        state = taken(state, plan);
    return state;
}

TEST(RunState, NothingIsOnScreenBeforeTheFirstTake) {
    const FixedPlan plan(2);
    const RunState state = startedRun(plan);
    EXPECT_FALSE(state.onScreen);
    EXPECT_EQ(state.next, plan.cue(0, 0));
    EXPECT_EQ(scenesFor(state, plan, plan.outputs)[0].curtain, Curtain::Black);
}

TEST(RunState, TakesGoThroughEveryStepOfEveryItem) {
    const FixedPlan plan(2);
    RunState state = startedRun(plan);
    for (int item = 0; item < 2; ++item)
        for (int step = 0; step < int(plan.slides(item).steps.size()); ++step) {
            state = taken(state, plan);
            EXPECT_EQ(state.onScreen, plan.cue(item, step));
        }
    EXPECT_FALSE(state.next);
    EXPECT_EQ(taken(state, plan), state); // at the end the key does nothing
}

TEST(RunState, LookingNeverChangesTheScreen) {
    const FixedPlan plan(3);
    RunState state = run(startedRun(plan), plan, 2);
    const auto before = state.onScreen;
    state = lookedAhead(state, plan, 3);
    state = lookedAtItem(state, plan, 2);
    EXPECT_EQ(state.onScreen, before);
    EXPECT_EQ(state.next, plan.cue(2, 0));
    EXPECT_EQ(lookedBack(state, plan).next, plan.cue(0, 2));
    EXPECT_EQ(taken(state, plan).onScreen, plan.cue(2, 0));
}

TEST(RunState, BackGoesAcrossItems) {
    const FixedPlan plan(2);
    RunState state = taken(lookedAtItem(startedRun(plan), plan, 1), plan);
    state = takenBack(state, plan);
    EXPECT_EQ(state.onScreen, plan.cue(0, int(plan.slides(0).steps.size()) - 1));
    EXPECT_EQ(state.next, plan.cue(1, 0));
}

TEST(RunState, AnItemTakenOutWhileOnScreenStaysThereAndWhatStoodBehindItIsNext) {
    FixedPlan plan(3);
    RunState state = taken(lookedAtItem(startedRun(plan), plan, 1), plan);
    const ItemId third = plan.itemId(2);
    plan.takeOut(1);
    const auto before = state.onScreen;
    state = reconciled(state, plan);
    EXPECT_EQ(state.onScreen, before);
    EXPECT_EQ(state.next->item, third);
    EXPECT_EQ(takenBack(state, plan).onScreen->item, plan.itemId(0));
}

TEST(RunState, AnEmptyServiceDoesNothing) {
    const FixedPlan plan(0);
    const RunState state = startedRun(plan);
    EXPECT_EQ(taken(state, plan), state);
    EXPECT_EQ(takenBack(state, plan), state);
    EXPECT_EQ(lookedAhead(state, plan, 5), state);
    EXPECT_EQ(lookedAtItem(state, plan, 0), state);
}

RC_GTEST_PROP(RunState, AnyKeysInAnyOrderLeaveMarksThatPointIntoThePlan, ()) {
    const FixedPlan plan(*rc::gen::inRange(0, 4));
    RunState state = startedRun(plan);
    for (const int key : *rc::gen::container<std::vector<int>>(rc::gen::inRange(0, 7))) {
        const auto onScreen = state.onScreen;
        switch (key) {
        case 0:
            state = taken(state, plan);
            break;
        case 1:
            state = takenBack(state, plan);
            break;
        case 2:
            state = lookedAhead(state, plan, 1);
            break;
        case 3:
            state = lookedAhead(state, plan, -1);
            break;
        case 4:
            state = lookedAtItem(state, plan, *rc::gen::inRange(-1, 6));
            break;
        case 5:
            state = lookedBack(state, plan);
            break;
        default:
            state = reconciled(state, plan);
            break;
        }
        if (key > 1)
            RC_ASSERT(state.onScreen == onScreen);
        for (const auto& cue : {state.onScreen, state.next})
            if (cue) {
                const int item = plan.indexOf(cue->item);
                RC_ASSERT(item >= 0);
                RC_ASSERT(plan.cue(item, plan.slides(item).stepAt(cue->position)) == *cue);
            }
    }
}

RC_GTEST_PROP(RunState, BackUndoesATake, ()) {
    const FixedPlan plan(3);
    const RunState state = run(startedRun(plan), plan, *rc::gen::inRange(1, 8));
    RC_ASSERT(takenBack(taken(state, plan), plan) == state);
}

TEST(Findings, SayWhatIsMissingWorstFirst) {
    Service service;
    service.theme = samples::theme();
    Song silent = samples::song(u"Silent"_s, {});
    silent.copyright = u"someone"_s;
    silent.licenceNumber = u"1"_s;
    service.items = {{ItemId::create(), songItem(samples::harbourSong())},
                     {ItemId::create(), songItem(silent)}};
    FixedPlan plan(2);
    plan.ids = {service.items[0].id, service.items[1].id};
    EvenMeasures measures;
    plan.items[1] = slidesFor(contentOf(silent), plan.outputs, plainChain(service.theme, {}), measures);
    const auto findings = findingsOf(service, plan);
    ASSERT_EQ(findings.size(), 3u);
    EXPECT_EQ(findings[0].severity, Severity::Doubt);
    EXPECT_EQ(findings[0].item, service.items[1].id);
    EXPECT_EQ(findings[1].title, u"No author or copyright"_s);
}

} // namespace
} // namespace mivanta
