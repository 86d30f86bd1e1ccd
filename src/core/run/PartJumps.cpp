// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/run/PartJumps.h"
#include <algorithm>

namespace mivanta {

namespace {

/// The entry that a step of the item begins; nothing when the step goes on with the entry before.
std::optional<int> entryBegun(const ItemSlides& slides, size_t step) {
    const int entry = slides.steps[step].position.entry;
    const bool begins = step == 0 || slides.steps[step - 1].position.entry != entry;
    return begins ? std::optional(entry) : std::nullopt;
}

bool isMeant(const ContentPart& part, QChar letter, const std::optional<int>& number) {
    const QString& name = part.shortLabel;
    if (name.isEmpty() || name.front().toUpper() != letter.toUpper())
        return false;
    if (!number)
        return true;
    const QString digits = QString::number(*number);
    return name.endsWith(digits) &&
           (name.size() == digits.size() || !name[name.size() - digits.size() - 1].isDigit());
}

} // namespace

std::optional<ItemId> itemMeant(const RunState& state, const Lineup& lineup) {
    if ((state.isLooking && state.next) || !state.onScreen || !lineup.slidesOf(state.onScreen->item))
        return state.next ? std::optional(state.next->item) : std::nullopt;
    return state.onScreen->item;
}

namespace {

/// Where parts that are meant begin in the item that is meant, in their order.
std::vector<Cue> beginsOf(const RunState& state, const Lineup& lineup, QChar letter,
                          const std::optional<int>& number) {
    const auto item = itemMeant(state, lineup);
    const ItemSlides* slides = item ? lineup.slidesOf(*item) : nullptr;
    std::vector<Cue> begins;
    for (size_t step = 0; slides && step < slides->steps.size(); ++step)
        if (entryBegun(*slides, step) &&
            isMeant(slides->content.parts[size_t(slides->steps[step].part)], letter, number))
            begins.push_back({*item, slides->steps[step].position});
    return begins;
}

} // namespace

bool hasPart(const RunState& state, const Lineup& lineup, QChar letter, std::optional<int> number) {
    return !beginsOf(state, lineup, letter, number).empty();
}

RunState lookedAtPart(const RunState& state, const Lineup& lineup, QChar letter, std::optional<int> number) {
    const std::vector<Cue> begins = beginsOf(state, lineup, letter, number);
    if (begins.empty())
        return state;
    // With a number the part is named; without one, the next of its kind is meant.
    std::optional<int> from;
    if (!number) {
        if (state.isLooking && state.next)
            from = state.next->position.entry;
        else if (state.onScreen && state.onScreen->item == begins.front().item)
            from = state.onScreen->position.entry;
    }
    const auto behind = std::find_if(begins.begin(), begins.end(),
                                     [&](const Cue& cue) { return !from || cue.position.entry > *from; });
    return lookedAt(state, behind == begins.end() ? begins.front() : *behind);
}

RunState lookedAtPartAgain(const RunState& state, const Lineup& lineup) {
    const ItemSlides* slides = state.onScreen ? lineup.slidesOf(state.onScreen->item) : nullptr;
    if (!slides)
        return state;
    size_t step = size_t(slides->stepAt(state.onScreen->position));
    while (!entryBegun(*slides, step))
        --step;
    return lookedAt(state, {state.onScreen->item, slides->steps[step].position});
}

RunState lookedAtFirst(const RunState& state, const Lineup& lineup) {
    const auto item = itemMeant(state, lineup);
    const ItemSlides* slides = item ? lineup.slidesOf(*item) : nullptr;
    return slides ? lookedAt(state, {*item, slides->steps.front().position}) : state;
}

RunState lookedAtItemsOn(const RunState& state, const Lineup& lineup, int items) {
    const auto item = itemMeant(state, lineup);
    const int at = item ? lineup.indexOf(*item) : -1;
    if (at >= 0)
        return lookedAtItem(state, lineup, at + items);
    if (lineup.itemCount() == 0)
        return state;
    // At the end nothing is meant; an unplanned item stands where the lineup was left.
    const int left = state.lineupOnScreen ? lineup.indexOf(state.lineupOnScreen->item) : state.itemHint;
    return lookedAtItem(state, lineup, items > 0 ? left + items : left + items + 1);
}

} // namespace mivanta
