// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/timing/RunTiming.h"
#include <algorithm>

namespace mivanta {

namespace {
constexpr int kAnotherTime = 6 * 3600; // further from the plan it is no service but a rehearsal of it
}

RunTiming timingOf(const Service& service, const RunMoment& moment, const UsualLengths& usual) {
    RunTiming timing;
    if (!moment.since.isValid())
        return timing;
    timing.elapsed = std::max(0, int(moment.since.secsTo(moment.now)));
    timing.inItem = std::max(0, int(moment.itemSince.secsTo(moment.now)));
    const int at = service.indexOf(moment.item);
    if (at < 0)
        return timing;
    const Item& item = service.items[size_t(at)];
    const int length = secondsOf(item, service, moment.itemSince, usual);
    timing.usually = length;
    QDateTime end = std::max(moment.now, moment.itemSince.addSecs(length));
    for (size_t i = size_t(at) + 1; i < service.items.size(); ++i)
        if (service.items[i].isRun()) {
            end = beginOf(service.items[i], end);
            end = end.addSecs(secondsOf(service.items[i], service, end, usual));
        }
    timing.likelyEnd = end;
    const Timetable plan = timetableOf(service, usual);
    const TimetableRow& row = plan.rows[size_t(at)];
    if (!row.begins.isValid() || std::abs(row.begins.secsTo(moment.itemSince)) > kAnotherTime)
        return timing;
    const auto late = int(row.begins.secsTo(moment.itemSince));
    const auto over = int(row.begins.addSecs(row.seconds).secsTo(moment.now));
    timing.behind = std::max(late, over);
    return timing;
}

std::optional<int> medianOf(std::vector<int> lengths) {
    if (lengths.empty())
        return std::nullopt;
    const auto middle = lengths.begin() + std::ptrdiff_t((lengths.size() - 1) / 2);
    std::nth_element(lengths.begin(), middle, lengths.end());
    return *middle;
}

} // namespace mivanta
