// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "store/finding/Finding.h"

namespace mivanta {

/// It cannot be anything else: a passage that the words name, or a song or a text of just this title.
[[nodiscard]] bool isSure(const FindHit& hit, const QString& words);

/// The one thing that the words name, without a person who looks: the song of this title, else the text, else
/// the passage, else the only song that they find. Fails when nothing is found, or several with no telling
/// which; then the error names them.
[[nodiscard]] Result<FindPick> surePick(Finder& finder, const QString& words, unsigned kinds = FindAll);

} // namespace mivanta
