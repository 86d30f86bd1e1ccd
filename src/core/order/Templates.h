// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/order/Service.h"

namespace mivanta {

/// A song, passage or text becomes a place to fill that is named by its kind; its plan stays, what was done
/// with its slides and its look go. False for what is chosen for no single service.
bool becomeSlot(Item& item);

/// A service to be used again for a day to come: an id of its own, items with ids of their own, and the start
/// on the same weekday and time, on `notBefore` or later. With `choosesAnew` its songs and passages are
/// places to fill.
[[nodiscard]] Service serviceLike(const Service& service, const QDate& notBefore, bool choosesAnew);

} // namespace mivanta
