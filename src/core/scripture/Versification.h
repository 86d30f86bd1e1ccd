// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/scripture/Reference.h"

namespace mivanta {

/// How a translation counts psalms and verses where translations commonly differ.
enum class Numbering {
    English, ///< titles of psalms are not counted; Joel has 3 chapters, Malachi 4
    Hebrew,  ///< as the Masoretic text: titles are verses, Joel has 4 chapters, Malachi 3
    Greek,   ///< psalms as in the Septuagint (titles are verses, most psalms one less); else as English
};

/// What the outline's chapters and verses tell of its numbering: by Malachi, Joel and the psalms that differ.
/// English when they tell nothing.
[[nodiscard]] Numbering numberingOf(const Outline& outline);

/// A verse's place in another numbering. Unchanged where both count alike.
/// The differing places are the ones that docs/scripture.md lists; they follow the verse division of the
/// Masoretic text (BHS), the usual English division, and the psalm numbers of the Septuagint (Rahlfs).
struct VersePlace {
    BookCode book;
    int chapter = 1;
    int verse = 1;
    friend bool operator==(const VersePlace&, const VersePlace&) = default;
};
[[nodiscard]] VersePlace inNumbering(const VersePlace& place, Numbering from, Numbering to);

/// The reference with both ends of every range in another numbering. Whole chapters stay whole where the
/// numberings agree on what they hold; `outline` is that of the reference.
[[nodiscard]] Reference inNumbering(const Reference& reference, Numbering from, Numbering to,
                                    const Outline& outline);

/// The table as text, a line a place: "GEN 31:55 = 32:1 Hebrew", for the documentation.
[[nodiscard]] QStringList numberingTable();

} // namespace mivanta
