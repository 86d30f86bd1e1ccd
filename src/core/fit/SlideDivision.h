// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/fit/Fit.h"
#include <vector>

namespace mivanta {

/// What the division needs to know of one line of words.
struct DivisionLine {
    int rows = 1;   ///< rows that the line takes at this size; at least 1
    int breath = 0; ///< as breathAfter() of its words
};

/// A range of lines that share a slide; for a line with more rows than a slide holds, a range of its rows.
struct DivisionSlide {
    int firstLine = 0;
    int lastLine = 0; ///< inclusive
    int firstRow = 0; ///< of firstLine; 0 unless that line is parted
    int lastRow = -1; ///< inclusive, when the line is parted; -1 = every row
};

/// What one slide holds.
struct SlideRoom {
    int rows = 1;      ///< at most, and at least 1; a line of more rows is parted
    double height = 0; ///< in rows; at least 1
    double gap = 0;    ///< between two lines, in rows

    /// Room for so many rows and no limit to the gaps between them.
    SlideRoom(int rowsAtMost) : rows(rowsAtMost), height(rowsAtMost) {}
    SlideRoom(int rowsAtMost, double heightRows, double gapRows)
        : rows(rowsAtMost),
          height(heightRows),
          gap(gapRows) {}

    /// The room that the limits leave at a font size, px.
    [[nodiscard]] static SlideRoom of(const FitLimits& limits, int size);
    [[nodiscard]] bool holds(int rowsUsed, int lines) const {
        return rowsUsed <= rows && (lines < 2 || rowsUsed + gap * (lines - 1) <= height + 1e-9);
    }
};

/// The fewest slides. A line is parted only when it alone is more than a slide; it then shares its slides
/// with no other line. So the count never falls when a line takes more rows or a slide holds fewer.
[[nodiscard]] int slideCount(const std::vector<DivisionLine>& lines, const SlideRoom& room);

/// That many slides, balanced, breaking where a singer breathes, and leaving no line alone when that can
/// be avoided: the division of least cost.
[[nodiscard]] std::vector<DivisionSlide> divideIntoSlides(const std::vector<DivisionLine>& lines,
                                                          const SlideRoom& room);

} // namespace mivanta
