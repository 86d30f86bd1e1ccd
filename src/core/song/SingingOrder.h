// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/song/Song.h"

namespace mivanta {

/// A singing order read from one line of text.
struct ReadOrder {
    std::vector<SungPart> entries;
    QStringList unknown; ///< tokens that name no part of the song, as typed
};

/// Reads "V1 C V2 C B Cx2" against the parts of a song. Initials or whole names, any case; a letter
/// without a number means the first part of that kind; "x2" repeats the part before it (2 to 99).
[[nodiscard]] ReadOrder readSingingOrder(const QString& text, const std::vector<Part>& parts);

/// The same as one line of text, such as "V1 C V2 C x2". Parts that are gone are left out.
[[nodiscard]] QString singingOrderText(const Song& song);

} // namespace mivanta
