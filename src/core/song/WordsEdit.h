// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/song/Song.h"

namespace mivanta {

/// Where a caret stands in the words of a song.
struct WordsPlace {
    int part = 0;
    int line = 0;
    int column = 0; ///< UTF-16, 0 to the line's length
    friend auto operator<=>(const WordsPlace&, const WordsPlace&) = default;
};

/// Gives parts without lines an empty one, so that a caret can stand in them.
void giveEveryPartALine(std::vector<Part>& parts);

/// The lines of all parts, joined by '\n'. Every part must have a line.
[[nodiscard]] QString flatText(const std::vector<Part>& parts);
/// The place of an offset into the flat text; past the end is the end.
[[nodiscard]] WordsPlace placeAt(const std::vector<Part>& parts, int offset);
[[nodiscard]] int offsetOf(const std::vector<Part>& parts, const WordsPlace& place);

/// Replaces a stretch of the flat text as typing does. Chords stay over their letters, slide breaks and
/// comments before their lines, emphasis on its words; text typed inside emphasised words is emphasised. A
/// part whose first line is joined to the line before it ends there: its lines go to the part before.
/// A word that is replaced keeps its chords at about the same place; removed lines take theirs with them.
/// Offsets beyond the text are brought into it.
void replaceText(std::vector<Part>& parts, int at, int removed, const QString& inserted);

} // namespace mivanta
