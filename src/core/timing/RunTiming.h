// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/timing/Timetable.h"

namespace mivanta {

/// Where a running service stands. Times are local.
struct RunMoment {
    ItemId item;         ///< on screen; null before the first take
    QDateTime itemSince; ///< the first take of that item, this time of it
    QDateTime since;     ///< the first take of the service
    QDateTime now;
};

/// How a running service goes against its plan. Lengths in seconds.
struct RunTiming {
    int elapsed = 0;            ///< since the first take
    int inItem = 0;             ///< since the item on screen was taken
    std::optional<int> usually; ///< how long that item takes; nothing for what is not in the order
    /// Behind the plan (ahead when negative). Nothing without a start, or when the plan is for another time,
    /// as in a rehearsal.
    std::optional<int> behind;
    QDateTime likelyEnd; ///< invalid before the first take and behind the last item
};

/// An item that goes on longer than planned puts the service behind as it does so; one that is late has it
/// behind from its begin. What comes takes as long as planned, else as long as usual, and waits for its fixed
/// time.
[[nodiscard]] RunTiming timingOf(const Service& service, const RunMoment& moment,
                                 const UsualLengths& usual = {});

/// The middle of the lengths (of two: the lower); nothing without any.
[[nodiscard]] std::optional<int> medianOf(std::vector<int> lengths);

} // namespace mivanta
