// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/order/Service.h"
#include "core/run/RunState.h"

namespace mivanta {

enum class Severity {
    Blocks, ///< the congregation would see something wrong
    Doubt,  ///< it will show, but perhaps not as wished
    Note,   ///< good to know
};

/// Something about one item that is better known before Sunday.
struct Finding {
    Severity severity = Severity::Note;
    ItemId item;
    QString title;  ///< what, in a few words
    QString detail; ///< what it means on Sunday and what to do
    friend bool operator==(const Finding&, const Finding&) = default;
};

/// Everything worth saying about the service, worst first, then in the order of the items.
[[nodiscard]] std::vector<Finding> findingsOf(const Service& service, const Lineup& lineup);

} // namespace mivanta
