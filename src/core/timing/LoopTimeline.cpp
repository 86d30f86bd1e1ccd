// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/timing/LoopTimeline.h"
#include <algorithm>
#include <numeric>

namespace mivanta {

namespace {

/// What is shown or left out as one: a film, a still, or all stills of a text.
struct Unit {
    int member = 0;
    int still = 0; ///< the first one
    int stills = 1;
    qint64 each = 0;
    [[nodiscard]] qint64 length() const { return each * stills; }
};

qint64 lengthOf(const std::vector<Unit>& units) {
    return std::accumulate(units.begin(), units.end(), qint64(0),
                           [](qint64 length, const Unit& unit) { return length + unit.length(); });
}

constexpr int kMostRounds = int(kLongestLoop / kShortestStill);

void addUnits(std::vector<Unit>& units, const LoopMemberTimes& times, int member) {
    const qint64 each = std::clamp(times.each, kShortestStill, kLongestLoop);
    const int stills = std::clamp(times.stills, 1, kMostStills);
    if (times.isWhole) {
        units.push_back({member, 0, stills, each});
        return;
    }
    for (int still = 0; still < stills; ++still)
        units.push_back({member, still, 1, each});
}

/// Numbers that look like chance, the same ones everywhere for the same seed: SplitMix64, public domain
/// (Vigna, 2015).
class Chance {
public:
    Chance(quint32 seed, int round) : m_state(quint64(seed) << 32 | quint32(round)) {}
    /// 0 to below `count`.
    size_t below(size_t count) {
        m_state += 0x9e3779b97f4a7c15;
        quint64 mixed = m_state;
        mixed = (mixed ^ (mixed >> 30)) * 0xbf58476d1ce4e5b9;
        mixed = (mixed ^ (mixed >> 27)) * 0x94d049bb133111eb;
        return size_t((mixed ^ (mixed >> 31)) % count);
    }

private:
    quint64 m_state;
};

/// A loop on its way.
class Walk {
public:
    Walk(const std::vector<LoopMemberTimes>& members, const LoopRule& rule,
         const std::optional<LoopPlace>& from)
        : m_members(members),
          m_rule(rule),
          m_from(from),
          m_until(std::clamp(rule.length.value_or(kLongestLoop), qint64(0), kLongestLoop)) {
        m_timeline.isEndless = !rule.length && !rule.rounds;
        const bool hasRounds = std::any_of(members.begin(), members.end(), [](const LoopMemberTimes& each) {
            return !each.isLeftOut && each.everyRounds <= 1;
        });
        for (size_t i = 0; i < members.size(); ++i) {
            if (members[i].isLeftOut)
                continue;
            if (members[i].everyRounds <= 1 || !hasRounds) {
                addUnits(m_units, members[i], int(i));
            } else {
                m_behind.push_back({members[i].everyRounds, {}});
                addUnits(m_behind.back().units, members[i], int(i));
            }
        }
    }

    LoopTimeline walk() {
        if (m_from)
            m_from->round = std::clamp(m_from->round, 0, kMostRounds);
        while (!m_units.empty() && (m_from || roundFollows()))
            if (!showRound())
                break;
        stretch();
        if (m_rule.length)
            m_timeline.gap = m_until - m_timeline.ends();
        return std::move(m_timeline);
    }

private:
    struct Behind {
        int everyRounds;
        std::vector<Unit> units;
    };

    [[nodiscard]] bool roundFollows() const { return !m_rule.rounds || m_timeline.rounds < *m_rule.rounds; }
    [[nodiscard]] bool fits(qint64 length) const { return m_now + length <= m_until; }

    /// What comes before the place to go on from is passed over.
    void show(const Unit& unit) {
        for (int still = unit.still; still < unit.still + unit.stills; ++still) {
            const int round = m_timeline.rounds - 1;
            qint64 length = unit.each;
            m_before = {unit.member, still};
            if (m_from) {
                if (m_from->round != round || m_from->member != unit.member || m_from->still != still)
                    continue;
                length = std::max<qint64>(1, unit.each - std::max<qint64>(0, m_from->shown));
                m_from.reset();
            }
            m_timeline.showings.push_back({unit.member, still, round, m_now, m_now + length});
            m_now += length;
        }
    }

    std::vector<Unit> ordered() {
        std::vector<Unit> units = m_units;
        if (!m_rule.isShuffled)
            return units;
        Chance chance(m_rule.seed, m_timeline.rounds);
        for (size_t i = units.size() - 1; i > 0; --i)
            std::swap(units[i], units[chance.below(i + 1)]);
        const auto wasJustShown = [&](const Unit& unit) {
            return m_before == std::pair(unit.member, unit.still + unit.stills - 1);
        };
        if (units.size() > 1 && wasJustShown(units.front()))
            std::swap(units.front(), units[1 + chance.below(units.size() - 1)]);
        return units;
    }

    /// False when it was the last one.
    bool showRound() {
        const std::vector<Unit> units = ordered();
        const bool isBegun = m_from.has_value();
        if (!isBegun && !fits(lengthOf(units)) && m_rule.ending == LoopEnding::WholeRounds)
            return false;
        const size_t before = m_timeline.showings.size();
        ++m_timeline.rounds;
        bool isWhole = true;
        for (const Unit& unit : units) {
            if (m_from || fits(unit.length()))
                show(unit);
            else
                isWhole = false;
        }
        if (!isWhole) {
            if (!isBegun && m_timeline.showings.size() == before)
                --m_timeline.rounds;
            return false;
        }
        for (const Behind& behind : m_behind)
            if (m_timeline.rounds % behind.everyRounds == 0)
                showBehind(behind.units);
        if (m_from && m_timeline.rounds > m_from->round)
            m_from.reset(); // what was shown there is not there any more
        return true;
    }

    /// Whole or not at all.
    void showBehind(const std::vector<Unit>& units) {
        if (m_from || fits(lengthOf(units)))
            for (const Unit& unit : units)
                show(unit);
    }

    void stretch() {
        if (m_rule.ending != LoopEnding::Stretched || !m_rule.length || m_timeline.showings.empty())
            return;
        LoopShowing& last = m_timeline.showings.back();
        if (!m_members[size_t(last.member)].isFilm)
            last.ends = m_until;
    }

    const std::vector<LoopMemberTimes>& m_members;
    const LoopRule& m_rule;
    std::optional<LoopPlace> m_from;      ///< while it has not been come to
    std::pair<int, int> m_before{-1, -1}; ///< the member and its still before
    const qint64 m_until;
    std::vector<Unit> m_units; ///< of a round
    std::vector<Behind> m_behind;
    qint64 m_now = 0;
    LoopTimeline m_timeline;
};

} // namespace

LoopTimeline loopTimeline(const std::vector<LoopMemberTimes>& members, const LoopRule& rule,
                          const std::optional<LoopPlace>& from) {
    return Walk(members, rule, from).walk();
}

int LoopTimeline::at(qint64 ms) const {
    const auto behind =
        std::upper_bound(showings.begin(), showings.end(), ms,
                         [](qint64 now, const LoopShowing& showing) { return now < showing.begins; });
    if (behind == showings.begin() || std::prev(behind)->ends <= ms)
        return -1;
    return int(behind - showings.begin()) - 1;
}

} // namespace mivanta
