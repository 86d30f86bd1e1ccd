// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/scripture/Reference.h"

namespace mivanta {

/// "24 chapters", or "only the chapters 2, 5–7" when there are gaps.
[[nodiscard]] QString chaptersOf(const OutlineBook& book);

/// "one verse", "12 verses".
[[nodiscard]] QString versesOf(const OutlineChapter& chapter);

} // namespace mivanta
