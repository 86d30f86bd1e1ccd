// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/order/UsedMedia.h"

namespace mivanta {

/// The files that fonts come from on this computer: of each, those of its weight and of bold letters, upright
/// and slanted. A font that is not installed has none. Whether a file may be carried along is what its own
/// embedding permissions say (the fsType field of its OS/2 table, OpenType 1.9): installable and editable
/// embedding may, anything less may not.
///
/// Asks the system; takes some milliseconds. Any thread.
[[nodiscard]] std::vector<FontFile> fontFilesOf(const std::vector<UsedFont>& fonts);

/// Why the embedding permissions forbid it; empty when they do not.
[[nodiscard]] QString embeddingRefusal(unsigned fsType);

} // namespace mivanta
