// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/fit/Fit.h"
#include "core/base/Said.h"
#include "core/fit/LineWrapper.h"
#include "core/fit/SlideDivision.h"
#include <algorithm>
#include <cmath>

namespace mivanta {

namespace {

/// Lines between two slide breaks set by a person.
struct Segment {
    int part = 0;
    std::vector<LineWrapper> lines;
    std::vector<int> numbers; // FitLine::line of each
    int target = 0;           // slides that it shall have
};

std::vector<Segment> segmentsOf(const std::vector<FitPart>& parts, const TextMeasure& measure) {
    std::vector<Segment> segments;
    for (size_t p = 0; p < parts.size(); ++p) {
        bool startNew = true;
        for (const FitLine& line : parts[p].lines) {
            startNew = startNew || line.breakBefore;
            if (line.words.trimmed().isEmpty())
                continue;
            if (startNew)
                segments.push_back({int(p), {}, {}, 0});
            startNew = false;
            segments.back().lines.emplace_back(line.words, measure);
            segments.back().numbers.push_back(line.line);
        }
    }
    return segments;
}

/// The limits at one size.
struct Room {
    double widthEm;
    SlideRoom slide;
    bool balances; // rows of one line
};

Room roomAt(const FitLimits& limits, int size) {
    return {limits.box.width() / size, SlideRoom::of(limits, size), !limits.fillsRows};
}

std::vector<DivisionLine> divisionLines(const Segment& segment, double widthEm) {
    std::vector<DivisionLine> lines;
    lines.reserve(segment.lines.size());
    for (const LineWrapper& line : segment.lines)
        lines.push_back({line.rowCount(widthEm), breathAfter(line.text())});
    return lines;
}

int slidesAt(const Segment& segment, const Room& room) {
    return slideCount(divisionLines(segment, room.widthEm), room.slide);
}

bool fitsAt(const std::vector<Segment>& segments, const Room& room) {
    return std::all_of(segments.begin(), segments.end(),
                       [&](const Segment& s) { return slidesAt(s, room) <= s.target; });
}

std::vector<FitSlide> slidesOf(const Segment& segment, const Room& room) {
    std::vector<FitSlide> slides;
    for (const DivisionSlide& division : divideIntoSlides(divisionLines(segment, room.widthEm), room.slide)) {
        FitSlide slide;
        for (int i = division.firstLine; i <= division.lastLine; ++i) {
            const LineWrapper& line = segment.lines[size_t(i)];
            const auto rows = line.rows(room.widthEm, room.balances);
            const int last = division.lastRow >= 0 ? division.lastRow : int(rows.size()) - 1;
            for (int r = division.lastRow >= 0 ? division.firstRow : 0; r <= last; ++r) {
                const auto& row = rows[size_t(r)];
                slide.rows.push_back({segment.numbers[size_t(i)], row.from, row.to,
                                      line.text().mid(row.from, row.to - row.from).trimmed()});
            }
        }
        slides.push_back(std::move(slide));
    }
    return slides;
}

/// The line that wraps into most rows, or -1 when none wraps.
int mostWrapped(const Segment& segment, double widthEm) {
    int most = 1;
    int line = -1;
    for (size_t i = 0; i < segment.lines.size(); ++i) {
        const int rows = segment.lines[i].rowCount(widthEm);
        if (rows > most) {
            most = rows;
            line = segment.numbers[i];
        }
    }
    return line;
}

/// Why the next larger size would not do.
FitReason reasonFor(const std::vector<Segment>& segments, const FitLimits& limits, int size) {
    const Room larger = roomAt(limits, size + 1);
    const Room unlimited{larger.widthEm, std::max(1, limits.linesAtMost), larger.balances};
    for (const Segment& segment : segments) {
        if (slidesAt(segment, larger) <= segment.target)
            continue;
        if (slidesAt(segment, unlimited) <= segment.target)
            return {FitCause::Height, segment.part, -1};
        return {FitCause::Width, segment.part, mostWrapped(segment, larger.widthEm)};
    }
    return {};
}

} // namespace

FitResult fit(const std::vector<FitPart>& parts, const FitLimits& limits, const TextMeasure& measure) {
    const int most = std::max(1, limits.size);
    const int least = std::clamp(limits.smallestSize, 1, most);
    std::vector<Segment> segments = segmentsOf(parts, measure);
    const Room smallest = roomAt(limits, least);

    FitReason reason;
    for (Segment& segment : segments) {
        const int lines = int(segment.lines.size());
        const int ideal = (lines + limits.linesAtMost - 1) / std::max(1, limits.linesAtMost);
        segment.target = std::max(ideal, slidesAt(segment, smallest));
        if (segment.target > ideal && reason.cause == FitCause::ThemeSize)
            reason = {FitCause::MoreSlides, segment.part, mostWrapped(segment, smallest.widthEm)};
    }

    // Both rows and slides only grow with the size, so the largest size that fits is found by halving.
    int size = least;
    for (int low = least, high = most; low <= high;) {
        const int middle = (low + high) / 2;
        if (fitsAt(segments, roomAt(limits, middle))) {
            size = middle;
            low = middle + 1;
        } else {
            high = middle - 1;
        }
    }
    const Room room = roomAt(limits, size);
    if (size < most && reason.cause == FitCause::ThemeSize)
        reason = reasonFor(segments, limits, size);
    for (const Segment& segment : segments)
        for (size_t i = 0; i < segment.lines.size(); ++i)
            if (segment.lines[i].overflows(room.widthEm) || limits.rowHeight * size > limits.box.height())
                reason = {FitCause::TooNarrow, segment.part, segment.numbers[i]};

    FitResult result{size, reason, {}};
    result.parts.resize(parts.size());
    for (const Segment& segment : segments) {
        auto slides = slidesOf(segment, room);
        auto& into = result.parts[size_t(segment.part)];
        into.insert(into.end(), slides.begin(), slides.end());
    }
    return result;
}

QString fitReasonText(const FitReason& reason, const QString& partLabel) {
    const QString place = reason.line >= 0
                              ? Said::tr("line %1 of %2").arg(QString::number(reason.line + 1), partLabel)
                              : partLabel;
    switch (reason.cause) {
    case FitCause::ThemeSize:
        return Said::tr("the theme's size");
    case FitCause::Width:
        return Said::tr("smaller, so that %1 fits the width").arg(place);
    case FitCause::Height:
        return Said::tr("smaller, so that %1 fits the height").arg(place);
    case FitCause::MoreSlides:
        return Said::tr("%1 is too long for the smallest size, so it takes more slides").arg(place);
    case FitCause::TooNarrow:
        return Said::tr("the words box is too small for %1").arg(place);
    }
    return {};
}

} // namespace mivanta
