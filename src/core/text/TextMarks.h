// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/text/SpokenText.h"

namespace mivanta {

/// The lines of a text as plain text, as it is written, sent out and brought in:
///
///     Leader: The sea is his, for he made it,
///     All: and his hands formed the dry land.
///     ---
///     (a line without a role goes on with the role before it)
///
/// A role is up to three words and a colon at the head of a line. ":" alone at the head ends the role. "---"
/// is a slide break. A line of words that begins like a role has a "\" before it. Emphasis as in songs:
/// *italic*, __bold__.
[[nodiscard]] QString textOf(const std::vector<SpokenLine>& lines);
[[nodiscard]] std::vector<SpokenLine> linesFrom(const QString& text);

/// The role that a typed line begins with, and where its words begin; an empty role when it has none.
struct RoleMark {
    QString role;
    int words = 0;     ///< index of the first character of the words
    bool ends = false; ///< a ":" alone: nobody in particular from here
};
[[nodiscard]] RoleMark roleMarkOf(const QString& line);

} // namespace mivanta
