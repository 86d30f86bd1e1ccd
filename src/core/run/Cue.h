// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/base/Id.h"
#include <compare>

namespace mivanta {

/// A place in an item's words: the entry in its order, the line, and the character where a wrapped line goes
/// on.
struct Position {
    int entry = 0;
    int line = 0;
    int offset = 0;
    friend auto operator<=>(const Position&, const Position&) = default;
};

/// One place in the service: what a press of the key would show.
struct Cue {
    ItemId item;
    Position position;
    friend bool operator==(const Cue&, const Cue&) = default;
};

} // namespace mivanta
