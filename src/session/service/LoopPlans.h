// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/timing/LoopPlan.h"
#include "session/service/SlideBook.h"

namespace mivanta {

/// Loops with the slides that their members have on the screens. GUI thread.

/// What the book knows of members: how many slides they are, and what of them is not on this computer.
[[nodiscard]] LoopMembersKnown knownMembers(const SlideBook& book);

/// What shows a still; nothing when no slide does, as of a picture that was left out.
[[nodiscard]] std::optional<Cue> cueOf(const LoopStill& still, const SlideBook& book);
/// The still that a cue shows, of whatever item.
[[nodiscard]] LoopStill stillOf(const Cue& cue, const SlideBook& book);

/// The picture of a set that a still is; an empty one for anything else.
[[nodiscard]] OrderPicture pictureOf(const LoopStill& still, const Service& service);
/// Where a still stands that was this picture: by its file, or, where that was replaced, by its name. A place
/// that there is not when it is gone.
[[nodiscard]] LoopStill whereNow(const LoopStill& still, const OrderPicture& was, const Service& service);

} // namespace mivanta
