// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/song/Song.h"
#include <functional>

namespace mivanta {

enum class Weight : unsigned char { Bold = 1, Italic = 2 };

/// The emphasis of each character of the line's words: bits of Weight.
[[nodiscard]] std::vector<unsigned char> weightsOf(const Line& line);
/// Sets the line's emphasis from one value a character.
void setWeights(Line& line, const std::vector<unsigned char>& weights);
/// Takes the weight off when all of [from, to) has it, else gives it to all.
void toggleWeight(Line& line, int from, int to, Weight weight);

/// Words with their emphasis as marks: *italic*, __bold__; the signs "*", "_", "[" and "\" themselves behind
/// a "\". `marks` are put in before the character at their place (0 to words.size()), such as "[G]".
[[nodiscard]] QString markedWords(const Line& line, const std::vector<std::pair<int, QString>>& marks = {});

/// How a format writes words with weights.
struct WeightMarks {
    QString open[4];  ///< by bits of Weight
    QString close[4]; ///< by bits of Weight
    /// What stands for a character; `before` is the text so far.
    std::function<QString(QChar c, const QString& before)> written;
};
/// The line's words as that format writes them. `marks` as in markedWords().
[[nodiscard]] QString writtenWords(const Line& line, const std::vector<std::pair<int, QString>>& marks,
                                   const WeightMarks& as);
/// The line's chords in brackets, each at its place.
[[nodiscard]] std::vector<std::pair<int, QString>> chordMarks(const Line& line);

} // namespace mivanta
