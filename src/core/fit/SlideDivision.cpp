// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/fit/SlideDivision.h"
#include <algorithm>
#include <cmath>
#include <limits>

namespace mivanta {

namespace {

constexpr double kLoneLine = 20; // in squared rows, as all costs here
constexpr double kNoBreath = 4;
constexpr double kCommaBreath = 2.5;
constexpr size_t kLargestTable = 2'000'000; // cells; beyond that (absurd input) slides are filled in order

/// Slides of lines [from, to) filled one after the other: the fewest there can be.
std::vector<DivisionSlide> filled(const std::vector<DivisionLine>& lines, int from, int to,
                                  const SlideRoom& room) {
    std::vector<DivisionSlide> slides;
    int used = 0;
    for (int i = from; i < to; ++i) {
        if (slides.empty() || !room.holds(used + lines[size_t(i)].rows, i - slides.back().firstLine + 1)) {
            slides.push_back({i, i});
            used = 0;
        }
        slides.back().lastLine = i;
        used += lines[size_t(i)].rows;
    }
    return slides;
}

double breakCost(int breath) {
    return breath == 2 ? 0 : breath == 1 ? kCommaBreath : kNoBreath;
}

/// Lines [from, to), none larger than a slide, in the fewest slides at least cost.
std::vector<DivisionSlide> balanced(const std::vector<DivisionLine>& lines, int from, int to,
                                    const SlideRoom& room) {
    std::vector<DivisionSlide> fewest = filled(lines, from, to, room);
    const size_t slides = fewest.size();
    const size_t count = size_t(to - from);
    if (slides <= 1 || slides * count > kLargestTable)
        return fewest;
    double total = 0;
    for (int i = from; i < to; ++i)
        total += lines[size_t(i)].rows;
    const double mean = total / double(slides);

    constexpr double kNever = std::numeric_limits<double>::infinity();
    std::vector<double> best(count + 1, kNever);
    best[0] = 0;
    std::vector<std::vector<int>> startOf(slides, std::vector<int>(count + 1, -1));
    for (size_t slide = 0; slide < slides; ++slide) {
        std::vector<double> next(count + 1, kNever);
        for (size_t first = slide; first < count; ++first) {
            if (best[first] == kNever)
                continue;
            int rows = 0;
            for (size_t last = first; last < count; ++last) {
                const DivisionLine& line = lines[size_t(from) + last];
                rows += line.rows;
                if (!room.holds(rows, int(last - first) + 1))
                    break;
                const double off = rows - mean;
                const double cost = best[first] + off * off + (first == last ? kLoneLine : 0) +
                                    (last + 1 < count ? breakCost(line.breath) : 0);
                if (cost < next[last + 1]) {
                    next[last + 1] = cost;
                    startOf[slide][last + 1] = int(first);
                }
            }
        }
        best = std::move(next);
    }
    size_t end = count;
    for (size_t slide = slides; slide-- > 0;) {
        const size_t first = size_t(startOf[slide][end]);
        fewest[slide] = {from + int(first), from + int(end) - 1};
        end = first;
    }
    return fewest;
}

int partedInto(int rows, int rowsPerSlide) {
    return (rows + rowsPerSlide - 1) / rowsPerSlide;
}

/// Calls run(from, to) for each stretch of lines that fit a slide and parted(i) for each line that does not.
template <typename Run, typename Parted>
void stretches(const std::vector<DivisionLine>& lines, int rowsPerSlide, Run run, Parted parted) {
    int from = 0;
    const int count = int(lines.size());
    for (int i = 0; i <= count; ++i) {
        const bool large = i < count && lines[size_t(i)].rows > rowsPerSlide;
        if (i < count && !large)
            continue;
        if (i > from)
            run(from, i);
        if (large)
            parted(i);
        from = i + 1;
    }
}

} // namespace

SlideRoom SlideRoom::of(const FitLimits& limits, int size) {
    const double rowPx = limits.rowHeight * size;
    const int most = std::max(1, limits.linesAtMost);
    const double height = rowPx > 0 ? limits.box.height() / rowPx - limits.rowsKept : most;
    const double gap = limits.rowHeight > 0 ? limits.lineGap / limits.rowHeight : 0;
    return {std::clamp(int(std::floor(height + 1e-9)), 1, most), std::max(1.0, height), gap};
}

int slideCount(const std::vector<DivisionLine>& lines, const SlideRoom& room) {
    int count = 0;
    stretches(
        lines, room.rows, [&](int from, int to) { count += int(filled(lines, from, to, room).size()); },
        [&](int i) { count += partedInto(lines[size_t(i)].rows, room.rows); });
    return count;
}

std::vector<DivisionSlide> divideIntoSlides(const std::vector<DivisionLine>& lines, const SlideRoom& room) {
    std::vector<DivisionSlide> slides;
    stretches(
        lines, room.rows,
        [&](int from, int to) {
            const auto run = balanced(lines, from, to, room);
            slides.insert(slides.end(), run.begin(), run.end());
        },
        [&](int i) {
            const int rows = lines[size_t(i)].rows;
            const int parts = partedInto(rows, room.rows);
            for (int p = 0; p < parts; ++p)
                slides.push_back({i, i, rows * p / parts, rows * (p + 1) / parts - 1});
        });
    return slides;
}

} // namespace mivanta
