// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <QtGlobal>
#include <optional>
#include <vector>

namespace mivanta {

inline constexpr qint64 kShortestStill = 500;         ///< ms
inline constexpr qint64 kLongestLoop = 24 * 3600'000; ///< ms
inline constexpr int kMostLoopMembers = 500;
inline constexpr int kMostStills = 5000; ///< of one member

/// A member of a loop, as far as times go. What is out of its range is brought into it.
struct LoopMemberTimes {
    int stills = 1;         ///< pictures that come one after the other; 1 to kMostStills
    qint64 each = 7000;     ///< ms of each of them; kShortestStill to kLongestLoop
    bool isWhole = false;   ///< they belong together in their order, as the slides of a text do
    bool isFilm = false;    ///< it ends when it ends: it cannot be stretched
    int everyRounds = 1;    ///< 1 = in each round; n = once behind every n rounds
    bool isLeftOut = false; ///< not today, or it cannot be shown
};

/// What is done where the time that is left is too short for all that would come.
enum class LoopEnding {
    WholeRounds,   ///< a round that would not end in time is not begun
    WholeShowings, ///< of the last round, what would not end in time is left out
    Stretched,     ///< the same, and the last still stays until the end
};

struct LoopRule {
    bool isShuffled = false;      ///< each round in another order, nothing twice in a row
    quint32 seed = 1;             ///< of that order: the same one makes the same
    std::optional<int> rounds;    ///< it ends behind so many of them
    std::optional<qint64> length; ///< ms: it ends then at the latest; at most kLongestLoop
    LoopEnding ending = LoopEnding::WholeRounds;
};

/// One still or film that is shown. Times are ms from the loop's begin.
struct LoopShowing {
    int member = 0; ///< index into the members
    int still = 0;  ///< of that member
    int round = 0;  ///< from 0; of what comes behind every n rounds, the round before
    qint64 begins = 0;
    qint64 ends = 0;
    friend bool operator==(const LoopShowing&, const LoopShowing&) = default;
};

struct LoopTimeline {
    std::vector<LoopShowing> showings; ///< by time, without gaps between them
    int rounds = 0;                    ///< that were begun
    bool isEndless = false;            ///< nothing ends it: it was followed for kLongestLoop
    /// Ms from the last showing to the end of the rule's length; 0 where it has none.
    qint64 gap = 0;

    friend bool operator==(const LoopTimeline&, const LoopTimeline&) = default;
    [[nodiscard]] qint64 ends() const { return showings.empty() ? 0 : showings.back().ends; }
    /// The index of what is shown then; -1 before its begin and from its end on.
    [[nodiscard]] int at(qint64 ms) const;
};

/// Where a loop stands: what is shown, in which round, and for how long already.
struct LoopPlace {
    int round = 0; ///< as LoopShowing has it
    int member = 0;
    int still = 0;
    qint64 shown = 0; ///< ms
    friend bool operator==(const LoopPlace&, const LoopPlace&) = default;
};

/// Every showing of a loop. Members that come behind every n rounds and do not fit any more are left out, and
/// rounds go on. Where all members are such ones, they come in each round. Linear in what it returns.
///
/// From a place on it is the rest: times are from there, and so is the rule's length; rounds are counted from
/// the loop's begin. What is shown there is shown to its end. A place that is not there any more is the end
/// of its round. Of the last round, what was left out before the place is not known: the time that is left
/// may hold a short still more.
[[nodiscard]] LoopTimeline loopTimeline(const std::vector<LoopMemberTimes>& members, const LoopRule& rule,
                                        const std::optional<LoopPlace>& from = std::nullopt);

} // namespace mivanta
