// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/timing/LoopTimeline.h"
#include <algorithm>
#include <gtest/gtest.h>
#include <map>
#include <rapidcheck/gtest.h>
#include <set>

namespace mivanta {
namespace {

using Stills = std::vector<std::pair<int, int>>; ///< member and still

Stills stillsOf(const LoopTimeline& timeline) {
    Stills all;
    for (const LoopShowing& showing : timeline.showings)
        all.emplace_back(showing.member, showing.still);
    return all;
}

LoopMemberTimes pictures(int count, qint64 each = 7000) {
    return {count, each};
}

LoopMemberTimes film(qint64 length, int everyRounds = 1) {
    LoopMemberTimes times{1, length};
    times.isFilm = true;
    times.everyRounds = everyRounds;
    return times;
}

TEST(LoopTimeline, SixPicturesAndAFilmEveryThreeRoundsUntilTheCountdown) {
    LoopRule rule;
    rule.length = 25 * 60'000;
    const LoopTimeline timeline = loopTimeline({pictures(6), film(42'000, 3)}, rule);
    // Three rounds of 42 s and the film take 168 s: that fits eight times, and three rounds more do.
    EXPECT_EQ(timeline.rounds, 27);
    EXPECT_EQ(timeline.ends(), 8 * 168'000 + 3 * 42'000);
    EXPECT_EQ(timeline.gap, 25 * 60'000 - timeline.ends());
    EXPECT_EQ(std::count_if(timeline.showings.begin(), timeline.showings.end(),
                            [](const LoopShowing& showing) { return showing.member == 1; }),
              8);
    EXPECT_EQ(timeline.showings[18], (LoopShowing{1, 0, 2, 126'000, 168'000}));
    EXPECT_FALSE(timeline.isEndless);
}

TEST(LoopTimeline, WhatWouldNotEndInTimeIsLeftOutOrTheLastStillStays) {
    LoopRule rule;
    rule.length = 30'000;
    const std::vector<LoopMemberTimes> members{pictures(1), film(12'000), pictures(1, 5000)};
    EXPECT_EQ(loopTimeline(members, rule).ends(), 24'000); // one whole round
    rule.ending = LoopEnding::WholeShowings;
    const LoopTimeline showings = loopTimeline(members, rule); // a still of 5 s still fits, the others do not
    EXPECT_EQ(showings.ends(), 29'000);
    EXPECT_EQ(showings.gap, 1000);
    EXPECT_EQ(stillsOf(showings), (Stills{{0, 0}, {1, 0}, {2, 0}, {2, 0}}));
    rule.ending = LoopEnding::Stretched;
    EXPECT_EQ(loopTimeline(members, rule).ends(), 30'000);
    EXPECT_EQ(loopTimeline({film(12'000)}, rule).ends(), 24'000); // a film ends when it ends
}

TEST(LoopTimeline, ATextIsShownWholeAndASetStillByStill) {
    LoopMemberTimes text = pictures(3, 4000);
    text.isWhole = true;
    LoopRule rule;
    rule.length = 10'000;
    rule.ending = LoopEnding::WholeShowings;
    EXPECT_TRUE(loopTimeline({text}, rule).showings.empty());
    text.isWhole = false;
    EXPECT_EQ(loopTimeline({text}, rule).showings.size(), 2u);
}

TEST(LoopTimeline, HasAnEndOfRoundsALengthOrNone) {
    LoopRule rule;
    EXPECT_TRUE(loopTimeline({pictures(2)}, rule).isEndless);
    rule.rounds = 3;
    EXPECT_EQ(loopTimeline({pictures(2)}, rule).ends(), 42'000);
    EXPECT_EQ(loopTimeline({pictures(2), film(10'000, 3)}, rule).ends(), 52'000);
    rule.rounds = 0;
    EXPECT_TRUE(loopTimeline({pictures(2)}, rule).showings.empty());
    rule.rounds = -5;
    EXPECT_TRUE(loopTimeline({pictures(2)}, rule).showings.empty());
    rule.rounds.reset();
    rule.length = -1;
    EXPECT_TRUE(loopTimeline({pictures(2)}, rule).showings.empty());
}

TEST(LoopTimeline, NothingIsEndlessButTime) {
    LoopRule rule;
    EXPECT_TRUE(loopTimeline({}, rule).showings.empty());
    LoopMemberTimes gone = pictures(1);
    gone.isLeftOut = true;
    EXPECT_TRUE(loopTimeline({gone}, rule).showings.empty());
    const LoopTimeline zero = loopTimeline({pictures(1, 0)}, rule); // brought into its range
    EXPECT_EQ(zero.showings[0].ends, kShortestStill);
    EXPECT_EQ(zero.ends(), kLongestLoop);
    EXPECT_EQ(loopTimeline({pictures(1, kLongestLoop * 5)}, rule).showings.size(), 1u);
    EXPECT_EQ(loopTimeline({film(9000, 4)}, LoopRule{.rounds = 2}).showings.size(),
              2u); // nothing else is there
    EXPECT_EQ(loopTimeline({film(9000, 0)}, LoopRule{.rounds = 2}).showings.size(), 2u);
}

LoopMemberTimes anyMember() {
    LoopMemberTimes times;
    times.stills = *rc::gen::inRange(1, 4);
    times.each = *rc::gen::inRange(1, 20) * 500;
    times.isWhole = *rc::gen::arbitrary<bool>();
    times.isFilm = times.stills == 1 && *rc::gen::arbitrary<bool>();
    times.everyRounds = *rc::gen::inRange(1, 4);
    times.isLeftOut = *rc::gen::inRange(0, 5) == 0;
    return times;
}

LoopRule anyRule() {
    LoopRule rule;
    rule.isShuffled = *rc::gen::arbitrary<bool>();
    rule.seed = *rc::gen::arbitrary<quint32>();
    if (*rc::gen::arbitrary<bool>())
        rule.rounds = *rc::gen::inRange(0, 9);
    rule.length = *rc::gen::inRange(0, 200'000);
    rule.ending = LoopEnding(*rc::gen::inRange(0, 3));
    return rule;
}

/// What an operator with a stop watch would do, one still after the other.
Stills byHand(const std::vector<LoopMemberTimes>& members, const LoopRule& rule) {
    Stills shown;
    qint64 left = *rule.length;
    const auto isEach = [&](const LoopMemberTimes& member) {
        return !member.isLeftOut && member.everyRounds == 1;
    };
    const bool hasEach = std::any_of(members.begin(), members.end(), isEach);
    const auto isInRound = [&](const LoopMemberTimes& member) {
        return !member.isLeftOut && (member.everyRounds == 1 || !hasEach);
    };
    const auto showStill = [&](size_t member, int still) {
        shown.emplace_back(int(member), still);
        left -= members[member].each;
    };
    for (int round = 1; !rule.rounds || round <= *rule.rounds; ++round) {
        qint64 roundTakes = 0;
        for (const LoopMemberTimes& member : members)
            roundTakes += isInRound(member) ? member.each * member.stills : 0;
        const bool fits = roundTakes > 0 && roundTakes <= left;
        if (roundTakes == 0 || (!fits && rule.ending == LoopEnding::WholeRounds))
            break;
        for (size_t i = 0; i < members.size(); ++i) {
            if (!isInRound(members[i]))
                continue;
            if (members[i].isWhole && members[i].each * members[i].stills > left)
                continue;
            for (int still = 0; still < members[i].stills; ++still)
                if (members[i].each <= left)
                    showStill(i, still);
        }
        if (!fits)
            break;
        for (size_t i = 0; i < members.size(); ++i)
            if (hasEach && !members[i].isLeftOut && members[i].everyRounds > 1 &&
                round % members[i].everyRounds == 0 && members[i].each * members[i].stills <= left)
                for (int still = 0; still < members[i].stills; ++still)
                    showStill(i, still);
    }
    return shown;
}

RC_GTEST_PROP(LoopTimeline, IsWhatOneWouldDoByHand, ()) {
    const auto members = *rc::gen::container<std::vector<LoopMemberTimes>>(rc::gen::exec(anyMember));
    LoopRule rule = anyRule();
    rule.isShuffled = false;
    RC_ASSERT(stillsOf(loopTimeline(members, rule)) == byHand(members, rule));
}

RC_GTEST_PROP(LoopTimeline, HasNoHolesAndEndsInTime, ()) {
    const auto members = *rc::gen::container<std::vector<LoopMemberTimes>>(rc::gen::exec(anyMember));
    const LoopRule rule = anyRule();
    const LoopTimeline timeline = loopTimeline(members, rule);
    qint64 now = 0;
    for (size_t i = 0; i < timeline.showings.size(); ++i) {
        const LoopShowing& showing = timeline.showings[i];
        RC_ASSERT(showing.begins == now);
        RC_ASSERT(showing.ends > now);
        RC_ASSERT(!members[size_t(showing.member)].isLeftOut);
        RC_ASSERT(timeline.at(showing.begins) == int(i));
        RC_ASSERT(timeline.at(showing.ends - 1) == int(i));
        now = showing.ends;
    }
    RC_ASSERT(now <= *rule.length);
    RC_ASSERT(timeline.gap == *rule.length - now);
    RC_ASSERT(timeline.at(now) == -1);
    RC_ASSERT(timeline.at(-1) == -1);
}

RC_GTEST_PROP(LoopTimeline, ShuffledEveryRoundHasEverythingOnceAndNothingComesTwiceInARow, ()) {
    std::vector<LoopMemberTimes> members(size_t(*rc::gen::inRange(1, 6)));
    for (LoopMemberTimes& member : members)
        member = pictures(*rc::gen::inRange(1, 4), 1000);
    LoopRule rule;
    rule.isShuffled = true;
    rule.seed = *rc::gen::arbitrary<quint32>();
    rule.rounds = *rc::gen::inRange(1, 8);
    const LoopTimeline timeline = loopTimeline(members, rule);
    RC_ASSERT(timeline == loopTimeline(members, rule)); // joined late, it is the same
    std::map<int, std::set<std::pair<int, int>>> rounds;
    int all = 0;
    for (const LoopMemberTimes& member : members)
        all += member.stills;
    for (size_t i = 0; i < timeline.showings.size(); ++i) {
        const LoopShowing& now = timeline.showings[i];
        RC_ASSERT(rounds[now.round].insert({now.member, now.still}).second);
        if (i > 0 && all > 1) {
            const LoopShowing& before = timeline.showings[i - 1];
            RC_ASSERT(before.member != now.member || before.still != now.still);
        }
    }
    for (const auto& [round, shown] : rounds)
        RC_ASSERT(int(shown.size()) == all);
}

TEST(LoopTimeline, ShuffledRoundsDiffer) {
    LoopRule rule;
    rule.isShuffled = true;
    rule.rounds = 2;
    const Stills stills = stillsOf(loopTimeline({pictures(12)}, rule));
    EXPECT_NE(Stills(stills.begin(), stills.begin() + 12), Stills(stills.begin() + 12, stills.end()));
}

/// The timeline's tail from a showing on, with its times from there.
std::vector<LoopShowing> tailOf(const LoopTimeline& timeline, size_t from, qint64 shown) {
    std::vector<LoopShowing> tail(timeline.showings.begin() + std::ptrdiff_t(from), timeline.showings.end());
    const qint64 now = tail.front().begins + shown;
    for (LoopShowing& showing : tail) {
        showing.begins = std::max<qint64>(0, showing.begins - now);
        showing.ends -= now;
    }
    return tail;
}

/// What of its round was shown before it.
std::ptrdiff_t shownBefore(const LoopTimeline& timeline, const LoopShowing& of) {
    const auto isIt = [&](const LoopShowing& showing) {
        return showing.round == of.round && showing.member == of.member && showing.still == of.still;
    };
    const auto end = std::find_if(timeline.showings.begin(), timeline.showings.end(), isIt);
    return std::count_if(timeline.showings.begin(), end,
                         [&](const LoopShowing& showing) { return showing.round == of.round; });
}

RC_GTEST_PROP(LoopTimeline, GoesOnFromAnyPlaceAsIfNothingHadBeen, ()) {
    const auto members = *rc::gen::container<std::vector<LoopMemberTimes>>(rc::gen::exec(anyMember));
    LoopRule rule = anyRule();
    const LoopTimeline whole = loopTimeline(members, rule);
    RC_PRE(!whole.showings.empty());
    const auto from = *rc::gen::inRange<size_t>(0, whole.showings.size());
    const LoopShowing& now = whole.showings[from];
    LoopRule unhurried = rule;
    unhurried.length.reset();
    unhurried.rounds = now.round + 1;
    RC_PRE(shownBefore(whole, now) == shownBefore(loopTimeline(members, unhurried), now)); // nothing left out
    const qint64 shown = *rc::gen::inRange<qint64>(0, now.ends - now.begins);
    rule.length = *rule.length - now.begins - shown;
    const LoopTimeline rest = loopTimeline(members, rule, LoopPlace{now.round, now.member, now.still, shown});
    RC_ASSERT(rest.showings == tailOf(whole, from, shown));
    RC_ASSERT(rest.gap == whole.gap);
    RC_ASSERT(rest.rounds == whole.rounds);
}

TEST(LoopTimeline, WhatIsShownIsShownToItsEndThoughTheTimeIsOver) {
    LoopRule rule;
    rule.length = 0;
    const LoopTimeline rest = loopTimeline({pictures(6)}, rule, LoopPlace{2, 0, 3, 3000});
    EXPECT_EQ(stillsOf(rest), (Stills{{0, 3}}));
    EXPECT_EQ(rest.ends(), 4000);
}

TEST(LoopTimeline, APlaceThatIsGoneIsTheEndOfItsRound) {
    LoopRule rule;
    rule.rounds = 3;
    for (const LoopPlace& gone : {LoopPlace{1, 7, 0, 0}, LoopPlace{1, -1, 0, 0}, LoopPlace{1, 0, 9, 0}}) {
        const LoopTimeline rest = loopTimeline({pictures(2)}, rule, gone);
        EXPECT_EQ(stillsOf(rest), (Stills{{0, 0}, {0, 1}}));
        EXPECT_EQ(rest.showings.front().round, 2);
    }
    EXPECT_EQ(loopTimeline({pictures(2)}, rule, LoopPlace{1 << 30, 0, 0, 0}).showings.size(),
              2u); // and no more
    EXPECT_EQ(stillsOf(loopTimeline({pictures(2)}, rule, LoopPlace{-5, 0, 1, -7})).size(), 5u);
}

} // namespace
} // namespace mivanta
