// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/scripture/Reference.h"

namespace mivanta {

/// Other ways to write what was typed or said, the likeliest first, for when it is no reference as it stands:
/// without what stands around it ("see (Luke 5:1-11)", "First reading: …", the translation's name behind it),
/// and put the usual way round ("the first letter to the Corinthians 13", "verses 1 to 11 of Luke 5", "the
/// twenty-third psalm", "Luke 5:3 to the end"). Whether any of them is a reference is for the parser to say.
[[nodiscard]] QStringList plainerReferences(const QString& text, const Outline& outline);

} // namespace mivanta
