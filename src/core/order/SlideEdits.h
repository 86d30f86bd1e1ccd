// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/order/ItemContent.h"
#include "core/order/ItemLook.h"

namespace mivanta {

/// Other words in place of those of a slide.
struct SlideWords {
    SlidePlace place;
    QString words; ///< its lines
    friend bool operator==(const SlideWords&, const SlideWords&) = default;
};

/// One of the times that a part comes.
struct PartTime {
    QString part; ///< its key
    int time = 1; ///< 1 = the first time that the part comes in the item
    friend bool operator==(const PartTime&, const PartTime&) = default;
};

/// What is changed about the slides of an item for this service, beside its words: single slides are hidden,
/// say something else or come in another order, and the musicians see something of their own.
struct SlideEdits {
    std::vector<SlidePlace> hidden;
    std::vector<SlideWords> words; ///< no two of the same place
    std::vector<PartTime> order;   ///< empty = as the item has it; what it does not name comes behind
    QString stageNote;             ///< for stage monitors, on every slide
    QString stageWords;            ///< what stage monitors show in place of the words
    friend bool operator==(const SlideEdits&, const SlideEdits&) = default;

    [[nodiscard]] bool isEmpty() const { return *this == SlideEdits(); }
    void hide(const SlidePlace& place);
    void show(const SlidePlace& place);
    /// Empty words give the slide its own again.
    void setWords(const SlidePlace& place, const QString& given);
    /// What was given there; empty = its own words.
    [[nodiscard]] QString wordsAt(const SlidePlace& place) const;
};

/// The content with its slides changed. Edits that name parts or lines which are gone do nothing. When
/// everything would be hidden, nothing is, so that an item that is taken shows something.
[[nodiscard]] ItemContent withEdits(ItemContent content, const SlideEdits& edits);

/// The order of the content's entries with one of them moved by `by` places, for SlideEdits::order. Empty
/// when it cannot be moved there.
[[nodiscard]] std::vector<PartTime> movedEntry(const ItemContent& content, int entry, int by);

/// Which entry of the content this is, or -1.
[[nodiscard]] int entryOf(const PartTime& at, const ItemContent& content);
[[nodiscard]] PartTime partTimeOf(int entry, const ItemContent& content);

} // namespace mivanta
