// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "desk/app/Prompts.h"
#include "desk/app/Session.h"

namespace mivanta {

/// Loads the words of each pick, asks what a text wants to know, and hands them over one by one, in order.
/// A pick that cannot be loaded is reported and left out; so is a text whose question is given up.
void placePicks(Session& session, Prompts& prompts, QObject* asker, const std::vector<FindPick>& picks,
                const std::function<void(ItemWords)>& place);

} // namespace mivanta
