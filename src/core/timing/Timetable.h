// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/order/Service.h"

namespace mivanta {

/// When an item of the order begins and how long it takes.
struct TimetableRow {
    QDateTime begins;       ///< invalid when the service's start is not said
    int seconds = 0;        ///< of a heading: of everything under it
    bool isGuessed = false; ///< nobody planned how long it takes
    /// Before an item with a fixed time: seconds left over (positive) or missing (negative).
    std::optional<int> slack;
};

struct Timetable {
    std::vector<TimetableRow> rows; ///< one an item of the service, headings too
    QDateTime ends;                 ///< invalid when the start is not said
    int seconds = 0;                ///< of all items, without the waiting for fixed times
};

/// The times down the order. The first item begins at the service's start, or at its own fixed time; each
/// begins when the one before it ends, or waits for its fixed time; one that is late begins late. Fixed times
/// earlier than half a day before where the order stands are of the next day. What is skipped takes no time.
[[nodiscard]] Timetable timetableOf(const Service& service);

/// How long an item takes, when nobody has planned it: by its lines that are sung or its words that are read.
[[nodiscard]] int guessedSeconds(const Item& item, const Service& service);

} // namespace mivanta
