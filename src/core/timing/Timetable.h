// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/order/Service.h"
#include <functional>

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

/// How long an item usually takes, seconds, when that is known from earlier services.
using UsualLengths = std::function<std::optional<int>(const Item&)>;

/// What an item is about, the same in every service: a song, a text, a passage, or its kind and title.
[[nodiscard]] QString subjectOf(const Item& item);
/// "4 min", or "about 4 min" for what is only guessed.
[[nodiscard]] QString lengthText(const TimetableRow& row);

/// How long an item takes that begins at `begins` (may be invalid): as planned, else as usual, else as
/// guessed. Headings, notes, members of loops and what is left out today take no time.
[[nodiscard]] int secondsOf(const Item& item, const Service& service, const QDateTime& begins,
                            const UsualLengths& usual = {});

/// When an item begins that could begin at `now`: it waits for its fixed time.
[[nodiscard]] QDateTime beginOf(const Item& item, const QDateTime& now);

/// The times down the order. The first item begins at the service's start, or at its own fixed time; each
/// begins when the one before it ends, or waits for its fixed time; one that is late begins late. Fixed times
/// earlier than half a day before where the order stands are of the next day. What is skipped takes no time,
/// and the members of a loop take its time.
[[nodiscard]] Timetable timetableOf(const Service& service, const UsualLengths& usual = {});

/// How long an item takes, when nobody has planned it: by its lines that are sung or its words that are read.
[[nodiscard]] int guessedSeconds(const Item& item, const Service& service);

} // namespace mivanta
