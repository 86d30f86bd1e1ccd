// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/timing/Chain.h"
#include <QSet>
#include <algorithm>
#include <cmath>

namespace mivanta {

namespace {

/// The item that is run behind this one; members of loops are passed over with their loop.
const Item* itemBehind(const Item& item, const Service& service) {
    const std::vector<bool> isMember = membersOfLoops(service);
    for (size_t i = size_t(service.indexOf(item.id)) + 1; i < service.items.size(); ++i) {
        const Item& next = service.items[i];
        if (!isMember[i] && !next.plan.skipped && (next.hasSlides() || next.loop()))
            return &next;
    }
    return nullptr;
}

QDateTime after(const QDateTime& begins, double seconds) {
    return begins.isValid() && seconds > 0 ? begins.addMSecs(std::llround(seconds * 1000)) : QDateTime();
}

QDateTime countdownEnd(const CountdownItem& countdown, const QDateTime& begins) {
    if (!countdown.to)
        return after(begins, countdown.seconds);
    if (!begins.isValid())
        return {};
    QDateTime end = begins;
    end.setTime(*countdown.to);
    return end >= begins ? end : QDateTime();
}

/// What comes behind it by itself, with when; nothing = with a take.
const Item* next(const Item& item, const Service& service, const LoopMembersKnown& known, ChainLink& link) {
    if (item.loop()) {
        const LoopPlan plan = loopPlanOf(item, service, link.begins, known);
        link.ends = plan.ends();
        return plan.timeline.isEndless ? nullptr : followsLoop(item, service);
    }
    const Item* behind = itemBehind(item, service);
    if (const auto* countdown = std::get_if<CountdownItem>(&item.words); countdown && countdown->goesOn) {
        link.ends = countdownEnd(*countdown, link.begins);
        return behind;
    }
    if (const auto* film = std::get_if<FilmItem>(&item.words); film && film->end == FilmEnd::NextItem) {
        link.ends = after(link.begins, film->length());
        return behind;
    }
    if (const auto* music = std::get_if<MusicItem>(&item.words); music && music->end == MusicEnd::NextItem) {
        link.ends = after(link.begins, music->length());
        return behind;
    }
    if (!item.plan.advance || !item.plan.goesOn)
        return nullptr;
    const int steps = known.steps ? known.steps(item) : int(contentOf(item, service).entries.size());
    link.ends = after(link.begins, double(*item.plan.advance) * std::max(1, steps));
    return behind;
}

} // namespace

std::vector<ChainLink> chainFrom(const Item& first, const Service& service, const QDateTime& begins,
                                 const LoopMembersKnown& known) {
    std::vector<ChainLink> chain;
    QSet<ItemId> seen;
    const Item* item = &first;
    QDateTime now = begins;
    while (item && !seen.contains(item->id) && int(chain.size()) < kMostLinks) {
        seen.insert(item->id);
        ChainLink link{item->id, now, {}, false};
        const Item* following = next(*item, service, known, link);
        link.goesOn = following != nullptr;
        if (!link.goesOn)
            link.ends = {};
        now = link.ends;
        chain.push_back(link);
        item = following;
    }
    return chain;
}

} // namespace mivanta
