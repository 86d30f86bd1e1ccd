// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "desk/kit/Prompts.h"
#include "session/Session.h"

namespace mivanta {

/// Takes what was loaded, in the order in which it was picked; never nothing.
using PlaceWords = std::function<void(std::vector<ItemWords>)>;

/// Loads the words of what was picked, asks what the texts among them have to ask, one after the other, then
/// places all of them at once. A text whose question is given up is left out.
void placePicks(Session& session, Prompts& prompts, QObject* asker, const std::vector<FindPick>& picks,
                const PlaceWords& place);

} // namespace mivanta
