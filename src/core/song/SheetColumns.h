// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/song/PasteCleanup.h"

namespace mivanta {

/// Two columns that a copy has put beside each other ("words of verse 1        words of verse 3") below each
/// other: the left one, a blank line, the right one. Lines of chords are no columns. A text without columns
/// comes back as it is.
[[nodiscard]] NumberedLines withColumnsApart(const QStringList& lines);

} // namespace mivanta
