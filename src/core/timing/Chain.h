// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/timing/LoopPlan.h"

namespace mivanta {

/// An item that comes by itself, or that others come behind by themselves.
struct ChainLink {
    ItemId item;
    QDateTime begins;    ///< invalid = not known
    QDateTime ends;      ///< when what follows comes; invalid = with a take, or not known
    bool goesOn = false; ///< what follows comes by itself
};

inline constexpr int kMostLinks = 50;

/// What comes by itself from an item on: loops to what their rule says, countdowns, films, music and slides
/// that go on. The last one waits for a take; it is that item alone when nothing follows it by itself. An
/// item that has been in it ends it.
[[nodiscard]] std::vector<ChainLink> chainFrom(const Item& first, const Service& service,
                                               const QDateTime& begins, const LoopMembersKnown& known = {});

} // namespace mivanta
