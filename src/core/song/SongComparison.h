// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/song/Song.h"

namespace mivanta {

/// A stretch of a text, in UTF-16 units.
struct TextSpan {
    int from = 0;
    int length = 0;
    friend bool operator==(const TextSpan&, const TextSpan&) = default;
};

/// One row of two songs side by side.
struct ComparedRow {
    enum class Kind { Same, Changed, OnlyLeft, OnlyRight };
    enum class What { Detail, Heading, Words, Break };
    Kind kind = Kind::Same;
    What what = What::Words;
    QString name; ///< of a detail: "Key"
    QString left; ///< empty when the row is only on the right
    QString right;
    std::vector<TextSpan> leftMarks; ///< words that differ, for Kind::Changed
    std::vector<TextSpan> rightMarks;
};

/// Two songs side by side: details that either has, singing orders, then headings, words and slide breaks,
/// lines paired so that as much as can be faces its like (alignment of sequences, Needleman and Wunsch 1970).
/// Chords and emphasis are shown as in whole text where a line differs in nothing else. Songs whose lines
/// multiply to more than four millions are paired at their beginnings and ends only.
[[nodiscard]] std::vector<ComparedRow> compareSongs(const Song& left, const Song& right);

/// One song in the same rows, all of them on the left; chords and emphasis as in whole text.
[[nodiscard]] std::vector<ComparedRow> rowsOf(const Song& song);

} // namespace mivanta
