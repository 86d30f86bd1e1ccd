// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/fit/TextMeasure.h"
#include <vector>

namespace mivanta {

/// How strongly a singer breathes after a row or line: 0 no punctuation, 1 comma, 2 end of a sentence.
[[nodiscard]] int breathAfter(QStringView text);

/// One line of words that can be set in rows of any width. Measures each piece once.
/// Breaks where Unicode allows (UAX #14), or between letters when one word alone is too wide; such a word
/// has its rows for itself, so that a narrower row never needs fewer of them.
class LineWrapper {
public:
    /// A range of the line's characters (UTF-16, trailing space included). Rows cover the line without gaps.
    struct Row {
        int from = 0;
        int to = 0;
    };

    LineWrapper(const QString& text, const TextMeasure& measure);

    /// Rows needed at a width in em; at least 1. Never grows when the width does.
    [[nodiscard]] int rowCount(double widthEm) const;
    /// As few rows as rowCount() says, of nearly equal width, parted at natural places; not balanced, each as
    /// full as it can be.
    [[nodiscard]] std::vector<Row> rows(double widthEm, bool balanced = true) const;
    /// The stretch of the line between two places; rows keep the line's own places. Not empty.
    [[nodiscard]] LineWrapper between(int from, int to) const;
    /// Where the line may break inside (from, to), rising.
    [[nodiscard]] std::vector<int> breaksBetween(int from, int to) const;
    /// The widest piece that cannot be parted but between letters, in em.
    [[nodiscard]] double widestPiece() const { return m_widest; }
    /// True when a single letter is wider than the width.
    [[nodiscard]] bool overflows(double widthEm) const;
    [[nodiscard]] const QString& text() const { return m_text; }
    /// The width of the whole line, in em.
    [[nodiscard]] double width() const;

private:
    struct Piece {
        int from = 0;
        int to = 0;
        double full = 0;         ///< em, with the space behind it
        double visible = 0;      ///< em, without
        bool insideWord = false; ///< the break after this piece parts a word
        bool startsRow = false;  ///< the head of a parted word, or what follows it: always on a new row
    };

    [[nodiscard]] Piece measured(int from, int to) const;
    [[nodiscard]] std::vector<Piece> piecesFor(double widthEm) const;
    [[nodiscard]] static std::vector<Row> greedyRows(const std::vector<Piece>& pieces, double widthEm);
    [[nodiscard]] double breakCost(const Piece& last) const;

    LineWrapper(const QString& text, const TextMeasure& measure, std::vector<Piece> pieces);

    QString m_text;
    const TextMeasure& m_measure;
    std::vector<Piece> m_pieces;
    double m_widest = 0; ///< em, the widest piece
};

} // namespace mivanta
