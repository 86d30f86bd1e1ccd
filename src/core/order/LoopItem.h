// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/base/Id.h"
#include "core/timing/LoopTimeline.h"
#include "core/timing/Season.h"
#include <QString>
#include <QTime>

namespace mivanta {

/// What ends a loop.
enum class LoopUntil { Take, Time, Rounds, Length, Music };
/// What comes at its end.
enum class LoopThen { NextItem, Item, HouseCard, Stays };

inline constexpr int kMostLoopRounds = 10'000;

/// Goes round through its members, by a rule. They are the items that stand behind it in its group; music
/// among them sounds under all of it.
struct LoopItem {
    QString title;
    int seconds = 7; ///< of each still; 1 to kLongestItem
    bool isShuffled = false;
    LoopUntil until = LoopUntil::Take;
    QTime untilTime{}; ///< for Time
    int rounds = 3;    ///< for Rounds; 1 to kMostLoopRounds
    int length = 600;  ///< for Length, seconds; 1 to kLongestItem
    LoopEnding ending = LoopEnding::WholeRounds;
    LoopThen then = LoopThen::NextItem;
    ItemId thenItem{};           ///< for Item
    bool beginsByItself = false; ///< at the time of day that its plan says, once the operator has armed it
    bool isArmedAtStart = false; ///< it is armed by itself where the computer opens its service at start
    QString folder{}; ///< of this computer: new pictures there join, removed ones leave; empty = none
    friend bool operator==(const LoopItem&, const LoopItem&) = default;
};

/// How a member stands in its loop; of items elsewhere it says nothing.
struct LoopPart {
    int seconds = 0;     ///< of each still; 0 = as the loop has it
    int everyRounds = 1; ///< n = once behind every n rounds; 1 to kMostLoopRounds
    Season season{};
    friend bool operator==(const LoopPart&, const LoopPart&) = default;
};

} // namespace mivanta
