// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/fit/Fit.h"
#include "core/order/Service.h"
#include "core/run/Cue.h"
#include "core/run/Output.h"
#include <memory>
#include <optional>
#include <tuple>

namespace mivanta {

/// The look of a slide that has a choice of its own.
struct OwnSlideLook {
    ResolvedLook look;
    int fontSize = 0; ///< px on this output's picture
};

/// One picture's worth of an item on one output.
struct Slide {
    Position start;
    int number = 1; ///< 1 to of, within its entry
    int of = 1;
    std::vector<FitRow> rows;
    QString credit{};      ///< empty = no credit line on this slide
    QString besideWords{}; ///< the reference under the words; may be empty
    /// Its own look, when it is not the item's.
    std::shared_ptr<const OwnSlideLook> own{};
};

/// An item as one output splits it.
struct OutputSlides {
    Output output;
    Look look;                       ///< of the item
    std::vector<LookSource> sources; ///< of that look, by the place of the property in lookProperties()
    int fontSize = 0;                ///< px on this output's picture
    FitReason reason;
    QString reasonText;
    std::vector<Slide> slides; ///< by rising start

    /// Index of the slide that holds the position: the last of its entry that starts at or before it (the
    /// entry's first, before its first words). Nothing when this output shows nothing of that entry, as a
    /// hall screen does of a band-only part.
    [[nodiscard]] std::optional<int> slideAt(const Position& position) const;
    [[nodiscard]] const Look& lookOf(const Slide& slide) const {
        return slide.own ? slide.own->look.look : look;
    }
    [[nodiscard]] const std::vector<LookSource>& sourcesOf(const Slide& slide) const {
        return slide.own ? slide.own->look.sources : sources;
    }
    [[nodiscard]] int fontSizeOf(const Slide& slide) const {
        return slide.own ? slide.own->fontSize : fontSize;
    }
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

/// What widths depend on, besides the size.
struct FontChoice {
    QString family;
    int weight = 400;
    Capitals capitals = Capitals::AsWritten;
    friend bool operator==(const FontChoice&, const FontChoice&) = default;
    friend bool operator<(const FontChoice& a, const FontChoice& b) {
        return std::tie(a.family, a.weight, a.capitals) < std::tie(b.family, b.weight, b.capitals);
    }
};
[[nodiscard]] FontChoice fontOf(const WordsLook& words);

/// A source of text measures by font; lives on one thread.
class MeasureSource {
public:
    virtual ~MeasureSource() = default;
    [[nodiscard]] virtual const TextMeasure& measure(const FontChoice& font) = 0;
};

/// Slides and steps of an item on the outputs.
[[nodiscard]] ItemSlides slidesFor(const ItemContent& content, const std::vector<Output>& outputs,
                                   const LookChain& chain, MeasureSource& measures);

/// True when another slide of the same entry has some of its lines, as in running text whose paragraphs go on
/// over several slides. Then its lines do not name the slide alone.
[[nodiscard]] bool sharesLines(const OutputSlides& output, int slide);

/// The place that a slide has for a look of its own.
[[nodiscard]] SlidePlace slidePlace(const ItemContent& content, const Slide& slide);

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
