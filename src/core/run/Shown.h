// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/run/Scene.h"

namespace mivanta {

enum class ShownKind {
    Nothing, ///< the ground: nothing was taken yet
    Black,   ///< covered
    TestCard,
    HouseCard,
    Backdrop,   ///< without words
    PlainWords, ///< without a backdrop
    Words,
    Picture, ///< without words
    Film,    ///< of an item
    Live,    ///< a live input, without words
};

/// What an output shows, as people say it. The player tells it of what it has really painted.
struct Shown {
    ShownKind kind = ShownKind::Nothing;
    bool hasCallOut = false;
    SceneOrigin origin;

    /// A curtain hides what was taken: neither its words nor its picture are to be seen.
    [[nodiscard]] bool isCovered() const {
        return origin.curtain != Curtain::Open && origin.curtain != Curtain::Plain &&
               kind != ShownKind::Picture && kind != ShownKind::Film && kind != ShownKind::Live;
    }
    /// Something is to be seen that somebody has put there.
    [[nodiscard]] bool isSeen() const {
        return (kind != ShownKind::Nothing && kind != ShownKind::Black) || hasCallOut;
    }
};

[[nodiscard]] Shown shownOf(const Scene& scene);

} // namespace mivanta
