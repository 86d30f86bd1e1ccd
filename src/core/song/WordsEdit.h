// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/song/Emphasis.h"

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

/// Sets the chord over a character of the line, in place of one that is there; an empty name takes it away.
void setChord(Line& line, int column, const QString& name);
/// The first "[Em]" among the words of the line at the offset becomes a chord; other brackets stay words.
void takeChordOutOfBrackets(std::vector<Part>& parts, int offset);
/// A slide break at the place, or none when it is there. Inside a line, the line is parted there; behind a
/// line, the break is before the next one. A part's first line has none.
void toggleBreak(std::vector<Part>& parts, const WordsPlace& place);
/// Gives or takes weight as toggleWeight() does, line by line between two places.
void toggleWeight(std::vector<Part>& parts, const WordsPlace& from, const WordsPlace& to, Weight weight);

} // namespace mivanta
