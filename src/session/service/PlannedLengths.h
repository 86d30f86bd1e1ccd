// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "session/service/ServiceDocument.h"

namespace mivanta {

/// How long items take by the order's timetable, which is worked out once for every change: for what asks
/// every half second. The document has to stay.
[[nodiscard]] inline UsualLengths plannedLengths(const ServiceDocument& document) {
    return [&document](const Item& item) -> std::optional<int> {
        const int at = document.service().indexOf(item.id);
        return at < 0 ? std::nullopt : std::optional(document.timetable().rows[size_t(at)].seconds);
    };
}

} // namespace mivanta
