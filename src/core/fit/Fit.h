// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/fit/TextMeasure.h"
#include <QSizeF>
#include <optional>
#include <vector>

namespace mivanta {

struct FitLine {
    int line = 0; ///< the caller's number for this line, handed back in the rows
    QString words;
    bool breakBefore = false;             ///< a person's slide break, always kept
    std::vector<int> units{};             ///< for fitProse(): where verses begin inside the words, rising
    const TextMeasure* measure = nullptr; ///< of this line's font, when it is another one
    std::optional<QString> beside{};      ///< words in a second column
};

struct FitPart {
    std::vector<FitLine> lines;
};

/// The room that words have on a slide.
struct FitLimits {
    QSizeF box;             ///< px
    int size = 72;          ///< px, the theme's
    int smallestSize = 40;  ///< px; 1 to size
    int linesAtMost = 6;    ///< rows on one slide; at least 1
    double rowHeight = 1.2; ///< from row to row, in font sizes
    double lineGap = 0;     ///< more room between two lines than between rows of one, in font sizes
    bool fillsRows = false; ///< rows of a wrapped line are filled one after the other, not balanced
    double rowsKept = 0;    ///< for fitProse(): rows of the height that something else needs
};

/// One row as it is shown: a range of a line's characters.
struct FitRow {
    int line = 0;       ///< FitLine::line
    int from = 0;       ///< UTF-16, inclusive
    int to = 0;         ///< exclusive; includes the space at a wrap
    QString text;       ///< as shown, without that space
    QString beside{};   ///< what stands in the second column
    int besideFrom = 0; ///< place of that in its line
    friend bool operator==(const FitRow&, const FitRow&) = default;
};

struct FitSlide {
    std::vector<FitRow> rows;
};

enum class FitCause {
    ThemeSize,  ///< everything fits at the size that the theme wants
    Width,      ///< smaller, because a line would take one row more than the slide has
    Height,     ///< smaller, because the rows would be higher than the box
    MoreSlides, ///< even the smallest size needs more slides than lines alone would; size as large as those
                ///< allow
    TooNarrow,  ///< a letter is wider, or a row higher, than the whole box, even at the smallest size
};

struct FitReason {
    FitCause cause = FitCause::ThemeSize;
    int part = -1; ///< index of the part that decided; -1 for ThemeSize
    int line = -1; ///< FitLine::line of the line that decided; -1 when a whole part did
};

struct FitResult {
    int size = 0; ///< px, one for all parts
    FitReason reason;
    std::vector<std::vector<FitSlide>>
        parts; ///< slides of each part, in order; empty for a part without words
};

/// Words + box + font + limits -> slides. Pure; the same input gives the same result.
///
/// - The rows of a part's slides, joined, are the part's words: nothing lost, reordered or invented.
/// - Slide breaks set by a person are kept. Between them, n lines become ceil(n / linesAtMost) slides if a
///   size allows it, else as few as the smallest size allows; the size is then the largest that needs no
///   more.
/// - Lines too wide for the box wrap into rows of nearly equal width at natural places.
/// Lines without words are left out.
[[nodiscard]] FitResult fit(const std::vector<FitPart>& parts, const FitLimits& limits,
                            const TextMeasure& measure);

/// Words that are read or spoken -> slides. They keep the theme's size and take the slides that this needs;
/// the size falls only where a single word is wider than the box.
///
/// - As with fit(), nothing is lost, and slide breaks set by a person are kept.
/// - A verse (a unit, or a line without units) is parted only when it alone is more than a slide, and then
///   where a reader pauses if that can be. Otherwise slides begin with a verse, and are balanced.
/// - Verses of one line follow one another in its rows.
/// - Lines with words beside them have two columns, each half the box less `kColumnGap`; a line takes the
///   rows of the longer one, so that what follows is level.
[[nodiscard]] FitResult fitProse(const std::vector<FitPart>& parts, const FitLimits& limits,
                                 const TextMeasure& measure);

/// Distance of two columns, as a share of the box's width.
inline constexpr double kColumnGap = 0.05;

/// The reason in plain words: "the theme's size", "smaller so that line 3 of Verse 2 fits the width", …
[[nodiscard]] QString fitReasonText(const FitReason& reason, const QString& partLabel);

} // namespace mivanta
