// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/order/Templates.h"

namespace mivanta {

namespace {

constexpr int kDaysAWeek = 7;

} // namespace

bool becomeSlot(Item& item) {
    const auto kind = kindOf(item.words);
    if (kind != ItemKind::Song && kind != ItemKind::Passage && kind != ItemKind::Text)
        return false;
    item.words = SlotItem{{}, kind};
    item.look = {};
    item.edits = {};
    return true;
}

Service serviceLike(const Service& service, const QDate& notBefore, bool choosesAnew) {
    Service next = service;
    next.id = ServiceId::create();
    if (const QDate day = next.start.date(); next.start.isValid() && day < notBefore) {
        const auto weeks = (day.daysTo(notBefore) + kDaysAWeek - 1) / kDaysAWeek;
        next.start.setDate(day.addDays(weeks * kDaysAWeek)); // the time of day stays in summer and winter
    }
    for (Item& item : next.items) {
        item.id = ItemId::create();
        item.plan.skipped = false; // that was for the other day
        if (choosesAnew && (item.song() || item.passage()))
            becomeSlot(item);
    }
    return next;
}

} // namespace mivanta
