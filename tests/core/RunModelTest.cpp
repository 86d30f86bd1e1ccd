// SPDX-License-Identifier: GPL-3.0-or-later
// The run state beside a model that knows steps by number only, for a hundred thousand random commands.
#include "core/run/PartJumps.h"
#include "support/FixedLineup.h"
#include "support/Text.h"
#include <gtest/gtest.h>
#include <random>

namespace mivanta {
namespace {

constexpr int kCommands = 100'000;
constexpr int kItems = 7;

/// Steps numbered through the whole order.
struct Model {
    explicit Model(const FixedLineup& of) : lineup(of) {
        for (int item = 0; item < lineup.itemCount(); ++item)
            for (int step = 0; step < int(lineup.slides(item).steps.size()); ++step)
                cues.push_back(lineup.cue(item, step));
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
            if (item >= 0 && item < lineup.itemCount() && cues[size_t(i)] == lineup.cue(item, 0))
                next = i;
    }
    void stopLooking() { next = behind(onScreen); }
    [[nodiscard]] std::optional<Cue> cue(const std::optional<int>& number) const {
        return number ? std::optional(cues[size_t(*number)]) : std::nullopt;
    }

    const FixedLineup& lineup;
    std::vector<Cue> cues;
    std::optional<int> onScreen;
    std::optional<int> next;
};

TEST(RunModel, AHundredThousandCommandsDoWhatTheModelDoes) {
    const FixedLineup lineup(kItems);
    Model model(lineup);
    RunState state = startedRun(lineup);
    std::mt19937 random{23};
    for (int i = 0; i < kCommands; ++i) {
        const int amount = int(random() % 5) - 2;
        const int item = int(random() % (kItems + 2)) - 1;
        switch (random() % 6) {
        case 0:
        case 1:
            model.take();
            state = taken(state, lineup);
            break;
        case 2:
            model.back();
            state = takenBack(state, lineup);
            break;
        case 3:
            model.look(amount);
            state = lookedAhead(state, lineup, amount);
            break;
        case 4:
            model.lookAtItem(item);
            state = lookedAtItem(state, lineup, item);
            break;
        default:
            model.stopLooking();
            state = lookedBack(state, lineup);
        }
        ASSERT_EQ(state.onScreen, model.cue(model.onScreen)) << i;
        ASSERT_EQ(state.next, model.cue(model.next)) << i;
    }
}

/// Everything at once: items go and come while it runs, outputs freeze, parts are jumped to.
TEST(RunModel, WhateverIsPressedTheMarksStayOnWhatIsThere) {
    FixedLineup lineup(kItems);
    RunState state = startedRun(lineup);
    std::mt19937 random{5};
    for (int i = 0; i < kCommands; ++i) {
        const RunState before = state;
        const unsigned command = random() % 14;
        bool mayShow = false;
        switch (command) {
        case 0:
        case 1:
        case 2:
            state = taken(state, lineup);
            mayShow = true;
            break;
        case 3:
            state = takenBack(state, lineup);
            mayShow = true;
            break;
        case 4:
            state = lookedAhead(state, lineup, int(random() % 9) - 4);
            break;
        case 5:
            state = lookedAtItem(state, lineup, int(random() % kItems));
            break;
        case 6:
            state = lookedBack(state, lineup);
            break;
        case 7:
            state = lookedAtPart(state, lineup, QLatin1Char("CVBX"[random() % 4]),
                                 random() % 3 == 0 ? std::optional(int(random() % 4)) : std::nullopt);
            break;
        case 8:
            state = lookedAtPartAgain(state, lineup);
            break;
        case 9:
            state = lookedAtFirst(state, lineup);
            break;
        case 10:
            state = lookedAtItemsOn(state, lineup, int(random() % 5) - 2);
            break;
        case 11:
            if (lineup.itemCount() > 0 && random() % 20 == 0) {
                lineup.takeOut(int(random() % unsigned(lineup.itemCount())));
                state = reconciled(state, lineup);
            }
            break;
        case 12:
            if (lineup.itemCount() < kItems) {
                const FixedLineup more(1);
                const auto at = std::ptrdiff_t(random() % (lineup.ids.size() + 1));
                lineup.ids.insert(lineup.ids.begin() + at, more.ids[0]);
                lineup.items.insert(lineup.items.begin() + at, more.items[0]);
                state = reconciled(state, lineup);
            }
            break;
        default:
            if (state.frozen.empty())
                state.frozen[u"hall"_s] = state.onScreen;
            else
                state.frozen.clear();
        }
        ASSERT_TRUE(mayShow || state.onScreen == before.onScreen) << i << " command " << command;
        ASSERT_TRUE(!state.next || lineup.indexOf(state.next->item) >= 0) << i << " command " << command;
        ASSERT_TRUE(!state.next ||
                    lineup.slidesOf(state.next->item)
                            ->steps[size_t(lineup.slidesOf(state.next->item)->stepAt(state.next->position))]
                            .position == state.next->position)
            << i;
        ASSERT_EQ(scenesFor(state, lineup, lineup.outputs).size(), 1u);
    }
}

} // namespace
} // namespace mivanta
