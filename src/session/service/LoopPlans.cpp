// SPDX-License-Identifier: GPL-3.0-or-later
#include "session/service/LoopPlans.h"
#include "core/base/Said.h"
#include <algorithm>

namespace mivanta {

namespace {

bool isSet(const Item* item) {
    return item && std::holds_alternative<PictureItem>(item->words);
}

} // namespace

LoopMembersKnown knownMembers(const SlideBook& book) {
    LoopMembersKnown known;
    known.steps = [&book](const Item& item) {
        const ItemSlides* slides = book.slidesOf(item.id);
        return slides ? int(slides->steps.size()) : 1;
    };
    known.problem = [&book](const Item& item, int still) -> QString {
        if (!cueOf({item.id, still}, book))
            return Said::tr("left out on the bench");
        return book.problemOf(item, still);
    };
    return known;
}

std::optional<Cue> cueOf(const LoopStill& still, const SlideBook& book) {
    const ItemSlides* slides = book.slidesOf(still.item);
    if (!slides || still.still < 0)
        return std::nullopt;
    if (isSet(book.itemOf(still.item))) { // a part each, in their order
        for (const Step& step : slides->steps)
            if (slides->content.entries[size_t(step.position.entry)].part == still.still)
                return Cue{still.item, step.position};
        return std::nullopt;
    }
    if (still.still >= int(slides->steps.size()))
        return std::nullopt;
    return Cue{still.item, slides->steps[size_t(still.still)].position};
}

LoopStill stillOf(const Cue& cue, const SlideBook& book) {
    const ItemSlides* slides = book.slidesOf(cue.item);
    if (!slides)
        return {cue.item, 0};
    const int step = slides->stepAt(cue.position); // it may have had more of them
    if (!isSet(book.itemOf(cue.item)))
        return {cue.item, step};
    const Position& there = slides->steps[size_t(step)].position;
    return {cue.item, slides->content.entries[size_t(there.entry)].part};
}

OrderPicture pictureOf(const LoopStill& still, const Service& service) {
    const Item* item = service.item(still.item);
    const auto* set = item ? std::get_if<PictureItem>(&item->words) : nullptr;
    return set && still.still >= 0 && still.still < int(set->pictures.size())
               ? set->pictures[size_t(still.still)]
               : OrderPicture();
}

LoopStill whereNow(const LoopStill& still, const OrderPicture& was, const Service& service) {
    const Item* item = service.item(still.item);
    const auto* set = item ? std::get_if<PictureItem>(&item->words) : nullptr;
    if (!set)
        return still;
    const auto find = [&](QString OrderPicture::*field) {
        const auto at =
            std::find_if(set->pictures.begin(), set->pictures.end(), [&](const OrderPicture& picture) {
                return !(picture.*field).isEmpty() && picture.*field == was.*field;
            });
        return at == set->pictures.end() ? -1 : int(at - set->pictures.begin());
    };
    const int byFile = find(&OrderPicture::name);
    return {still.item, byFile >= 0 ? byFile : find(&OrderPicture::caption)};
}

} // namespace mivanta
