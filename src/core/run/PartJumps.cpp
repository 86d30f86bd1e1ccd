// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/run/PartJumps.h"

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

std::optional<ItemId> itemMeant(const RunState& state, const RunPlan& plan) {
    if ((state.isLooking && state.next) || !state.onScreen || !plan.slidesOf(state.onScreen->item))
        return state.next ? std::optional(state.next->item) : std::nullopt;
    return state.onScreen->item;
}

RunState lookedAtPart(const RunState& state, const RunPlan& plan, QChar letter, std::optional<int> number) {
    const auto item = itemMeant(state, plan);
    const ItemSlides* slides = item ? plan.slidesOf(*item) : nullptr;
    if (!slides)
        return state;
    // With a number the part is named; without one, the next of its kind is meant.
    std::optional<int> from;
    if (!number) {
        if (state.isLooking && state.next)
            from = state.next->position.entry;
        else if (state.onScreen && state.onScreen->item == *item)
            from = state.onScreen->position.entry;
    }
    std::optional<Cue> first;
    for (size_t step = 0; step < slides->steps.size(); ++step) {
        const auto entry = entryBegun(*slides, step);
        if (!entry || !isMeant(slides->content.parts[size_t(slides->steps[step].part)], letter, number))
            continue;
        const Cue cue{*item, slides->steps[step].position};
        if (!from || *entry > *from)
            return lookedAt(state, cue);
        if (!first)
            first = cue;
    }
    return first ? lookedAt(state, *first) : state;
}

RunState lookedAtPartAgain(const RunState& state, const RunPlan& plan) {
    const ItemSlides* slides = state.onScreen ? plan.slidesOf(state.onScreen->item) : nullptr;
    if (!slides)
        return state;
    size_t step = size_t(slides->stepAt(state.onScreen->position));
    while (!entryBegun(*slides, step))
        --step;
    return lookedAt(state, {state.onScreen->item, slides->steps[step].position});
}

RunState lookedAtFirst(const RunState& state, const RunPlan& plan) {
    const auto item = itemMeant(state, plan);
    const ItemSlides* slides = item ? plan.slidesOf(*item) : nullptr;
    return slides ? lookedAt(state, {*item, slides->steps.front().position}) : state;
}

RunState lookedAtItemsOn(const RunState& state, const RunPlan& plan, int items) {
    const auto item = itemMeant(state, plan);
    const int at = item ? plan.indexOf(*item) : -1;
    if (at >= 0)
        return lookedAtItem(state, plan, at + items);
    if (plan.itemCount() == 0)
        return state;
    // At the end nothing is meant; an unplanned item stands where the plan was left.
    const int left = state.planOnScreen ? plan.indexOf(state.planOnScreen->item) : state.itemHint;
    return lookedAtItem(state, plan, items > 0 ? left + items : left + items + 1);
}

} // namespace mivanta
