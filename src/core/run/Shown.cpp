// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/run/Shown.h"

namespace mivanta {

namespace {

ShownKind kindOf(const Scene& scene) {
    const Curtain curtain = scene.origin.curtain;
    if (scene.isTestCard)
        return ShownKind::TestCard;
    if (curtain == Curtain::HouseCard && scene.curtain != Curtain::Black)
        return ShownKind::HouseCard;
    if (!scene.origin.cue)
        return ShownKind::Nothing;
    if (scene.curtain == Curtain::Black)
        return ShownKind::Black;
    if (scene.film && !scene.film->item.isEmpty())
        return ShownKind::Film;
    if (scene.rows.empty() && scene.look.backdrop.kind == BackdropKind::Picture)
        return ShownKind::Picture;
    if (scene.rows.empty() && scene.film && !scene.film->live.isNull())
        return ShownKind::Live;
    if (scene.rows.empty() || scene.curtain == Curtain::WordsOff)
        return ShownKind::Backdrop;
    return curtain == Curtain::Plain ? ShownKind::PlainWords : ShownKind::Words;
}

} // namespace

Shown shownOf(const Scene& scene) {
    return {kindOf(scene), !scene.callOut.isEmpty() && scene.curtain != Curtain::Black, scene.origin};
}

} // namespace mivanta
