// SPDX-License-Identifier: GPL-3.0-or-later
// The run state beside a model that knows steps by number only, for a hundred thousand random commands.
#include "core/run/PartJumps.h"
#include "support/FixedPlan.h"
#include "support/Text.h"
#include <gtest/gtest.h>
#include <random>

namespace mivanta {
namespace {

constexpr int kCommands = 100'000;
constexpr int kItems = 7;

/// Steps numbered through the whole order.
struct Model {
    explicit Model(const FixedPlan& of) : plan(of) {
        for (int item = 0; item < plan.itemCount(); ++item)
            for (int step = 0; step < int(plan.slides(item).steps.size()); ++step)
                cues.push_back(plan.cue(item, step));
        next = cues.empty() ? std::nullopt : std::optional(0);
    }
    [[nodiscard]] std::optional<int> behind(std::optional<int> at) const {
        const int number = at ? *at + 1 : 0;
        return number < int(cues.size()) ? std::optional(number) : std::nullopt;
    }
    void show(int number) {
        onScreen = number;
        next = behind(number);
    }
    void take() {
        if (next)
            show(*next);
    }
    void back() {
        if (onScreen && *onScreen > 0)
            show(*onScreen - 1);
    }
    void look(int steps) {
        for (; steps > 0 && next && behind(next); --steps)
            next = behind(next);
        for (; steps < 0 && !cues.empty(); ++steps)
            next = next ? std::max(0, *next - 1) : int(cues.size()) - 1;
    }
    void lookAtItem(int item) {
        for (int i = 0; i < int(cues.size()); ++i)
            if (item >= 0 && item < plan.itemCount() && cues[size_t(i)] == plan.cue(item, 0))
                next = i;
    }
    void stopLooking() { next = behind(onScreen); }
    [[nodiscard]] std::optional<Cue> cue(const std::optional<int>& number) const {
        return number ? std::optional(cues[size_t(*number)]) : std::nullopt;
    }

    const FixedPlan& plan;
    std::vector<Cue> cues;
    std::optional<int> onScreen;
    std::optional<int> next;
};

TEST(RunModel, AHundredThousandCommandsDoWhatTheModelDoes) {
    const FixedPlan plan(kItems);
    Model model(plan);
    RunState state = startedRun(plan);
    std::mt19937 random{23};
    for (int i = 0; i < kCommands; ++i) {
        const int amount = int(random() % 5) - 2;
        const int item = int(random() % (kItems + 2)) - 1;
        switch (random() % 6) {
        case 0:
        case 1:
            model.take();
            state = taken(state, plan);
            break;
        case 2:
            model.back();
            state = takenBack(state, plan);
            break;
        case 3:
            model.look(amount);
            state = lookedAhead(state, plan, amount);
            break;
        case 4:
            model.lookAtItem(item);
            state = lookedAtItem(state, plan, item);
            break;
        default:
            model.stopLooking();
            state = lookedBack(state, plan);
        }
        ASSERT_EQ(state.onScreen, model.cue(model.onScreen)) << i;
        ASSERT_EQ(state.next, model.cue(model.next)) << i;
    }
}

/// Everything at once: items go and come while it runs, outputs freeze, parts are jumped to.
TEST(RunModel, WhateverIsPressedTheMarksStayOnWhatIsThere) {
    FixedPlan plan(kItems);
    RunState state = startedRun(plan);
    std::mt19937 random{5};
    for (int i = 0; i < kCommands; ++i) {
        const RunState before = state;
        const unsigned command = random() % 14;
        bool mayShow = false;
        switch (command) {
        case 0:
        case 1:
        case 2:
            state = taken(state, plan);
            mayShow = true;
            break;
        case 3:
            state = takenBack(state, plan);
            mayShow = true;
            break;
        case 4:
            state = lookedAhead(state, plan, int(random() % 9) - 4);
            break;
        case 5:
            state = lookedAtItem(state, plan, int(random() % kItems));
            break;
        case 6:
            state = lookedBack(state, plan);
            break;
        case 7:
            state = lookedAtPart(state, plan, QLatin1Char("CVBX"[random() % 4]),
                                 random() % 3 == 0 ? std::optional(int(random() % 4)) : std::nullopt);
            break;
        case 8:
            state = lookedAtPartAgain(state, plan);
            break;
        case 9:
            state = lookedAtFirst(state, plan);
            break;
        case 10:
            state = lookedAtItemsOn(state, plan, int(random() % 5) - 2);
            break;
        case 11:
            if (plan.itemCount() > 0 && random() % 20 == 0) {
                plan.takeOut(int(random() % unsigned(plan.itemCount())));
                state = reconciled(state, plan);
            }
            break;
        case 12:
            if (plan.itemCount() < kItems) {
                const FixedPlan more(1);
                const auto at = std::ptrdiff_t(random() % (plan.ids.size() + 1));
                plan.ids.insert(plan.ids.begin() + at, more.ids[0]);
                plan.items.insert(plan.items.begin() + at, more.items[0]);
                state = reconciled(state, plan);
            }
            break;
        default:
            if (state.frozen.empty())
                state.frozen[u"hall"_s] = state.onScreen;
            else
                state.frozen.clear();
        }
        ASSERT_TRUE(mayShow || state.onScreen == before.onScreen) << i << " command " << command;
        ASSERT_TRUE(!state.next || plan.indexOf(state.next->item) >= 0) << i << " command " << command;
        ASSERT_TRUE(!state.next ||
                    plan.slidesOf(state.next->item)
                            ->steps[size_t(plan.slidesOf(state.next->item)->stepAt(state.next->position))]
                            .position == state.next->position)
            << i;
        ASSERT_EQ(scenesFor(state, plan, plan.outputs).size(), 1u);
    }
}

} // namespace
} // namespace mivanta
