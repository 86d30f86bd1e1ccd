// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/fit/Fit.h"
#include "core/order/Service.h"
#include "core/run/Output.h"
#include <compare>
#include <memory>
#include <optional>

namespace mivanta {

/// A place in an item's words: the entry in its order, the line, and the character where a wrapped line goes
/// on.
struct Position {
    int entry = 0;
    int line = 0;
    int offset = 0;
    friend auto operator<=>(const Position&, const Position&) = default;
};

/// One picture's worth of an item on one output.
struct Slide {
    Position start;
    int number = 1; ///< 1 to of, within its entry
    int of = 1;
    std::vector<FitRow> rows;
    QString credit;      ///< empty = no credit line on this slide
    QString besideWords; ///< the reference under the words; may be empty
};

/// An item as one output splits it.
struct OutputSlides {
    Output output;
    Look look;
    int fontSize = 0; ///< px on this output's picture
    FitReason reason;
    QString reasonText;
    std::vector<Slide> slides; ///< by rising start

    /// Index of the slide that holds the position: the last of its entry that starts at or before it (the
    /// entry's first, before its first words). Nothing when this output shows nothing of that entry, as a
    /// hall screen does of a band-only part.
    [[nodiscard]] std::optional<int> slideAt(const Position& position) const;
};

/// One press of the key.
struct Step {
    Position position;
    int part = 0; ///< index into the content's parts
};

/// Everything that running one item needs: its slides on every output, and its steps. Immutable.
struct ItemSlides {
    ItemContent content;
    std::vector<OutputSlides> outputs;
    std::vector<Step> steps; ///< never empty

    /// Index of the last step at or before the position; 0 when there is none.
    [[nodiscard]] int stepAt(const Position& position) const;
};

/// A source of text measures by font; lives on one thread.
class MeasureSource {
public:
    virtual ~MeasureSource() = default;
    [[nodiscard]] virtual const TextMeasure& measure(const QString& family, int weight) = 0;
};

/// Slides and steps of an item on the outputs.
[[nodiscard]] ItemSlides slidesFor(const ItemContent& content, const std::vector<Output>& outputs,
                                   const Theme& theme, const std::vector<Theme>& themes,
                                   MeasureSource& measures);

/// The theme that an item's song asks for, or the service's.
[[nodiscard]] const Theme& themeFor(const ItemWords& words, const Theme& ofService,
                                    const std::vector<Theme>& themes);

/// What stands before a line's words on slides of this look: its role's symbol and name, where it begins.
[[nodiscard]] QString roleMark(const ContentLine& line, const Look& look);

/// An output that has fewer lines shows only the first of two translations, and the reference of a passage in
/// the credit line.
inline constexpr int kLinesForColumns = 4;

/// The steps of slides that are there: the sorted union of the slide starts of the outputs with steps of
/// their own; of all outputs when none has any; the first position when there are no slides at all.
[[nodiscard]] std::vector<Step> stepsFor(const ItemContent& content,
                                         const std::vector<OutputSlides>& outputs);

/// Height of a chord above its words, in sizes of the words' font.
inline constexpr double kChordHeight = 0.62;

} // namespace mivanta
