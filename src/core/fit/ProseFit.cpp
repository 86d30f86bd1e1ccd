// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/fit/Fit.h"
#include "core/fit/LineWrapper.h"
#include "core/fit/SlideDivision.h"
#include <algorithm>
#include <cmath>
#include <limits>

namespace mivanta {

namespace {

constexpr double kNoPause = 3; // costs in squared rows, as those of SlideDivision
constexpr double kShortPause = 1.5;
constexpr double kInsideVerse = 12;

/// A line as it is set: in one column, or two.
struct ProseLine {
    int number = 0; // FitLine::line
    LineWrapper words;
    std::optional<LineWrapper> beside;
};

/// What a slide break had better not part: a verse, or what is left of one that had to be parted.
struct Unit {
    size_t line = 0; // index into the segment's lines
    int from = 0;
    int to = 0;
    bool endsVerse = true;
    int firstRow = 0; // of a line in two columns that had to be parted; its rows [firstRow, lastRow]
    int lastRow = -1; // -1 = all
};

struct ProseSegment {
    std::vector<ProseLine> lines;
    std::vector<Unit> units;
};

std::vector<ProseSegment> segmentsOf(const FitPart& part, const TextMeasure& measure) {
    std::vector<ProseSegment> segments;
    bool startNew = true;
    for (const FitLine& line : part.lines) {
        startNew = startNew || line.breakBefore;
        const bool hasBeside = line.beside && !line.beside->trimmed().isEmpty();
        if (line.words.trimmed().isEmpty() && !hasBeside)
            continue;
        if (startNew)
            segments.emplace_back();
        startNew = false;
        ProseSegment& segment = segments.back();
        const TextMeasure& own = line.measure ? *line.measure : measure;
        segment.lines.push_back({line.line, LineWrapper(line.words, own), std::nullopt});
        if (line.beside)
            segment.lines.back().beside.emplace(*line.beside, own);
        int from = 0;
        if (!line.beside)
            for (const int unit : line.units)
                if (unit > from && unit < int(line.words.size())) {
                    segment.units.push_back({segment.lines.size() - 1, from, unit});
                    from = unit;
                }
        segment.units.push_back({segment.lines.size() - 1, from, int(line.words.size())});
    }
    return segments;
}

class Setter {
public:
    Setter(ProseSegment segment, double widthEm, const SlideRoom& room, bool balanced)
        : m_segment(std::move(segment)),
          m_width(widthEm),
          m_column(widthEm * (1 - kColumnGap) / 2),
          m_room(room),
          m_balanced(balanced) {
        std::vector<Unit> whole = std::exchange(m_segment.units, {});
        for (const Unit& unit : whole)
            addParted(unit);
    }

    [[nodiscard]] std::vector<FitSlide> slides() const {
        std::vector<FitSlide> result;
        for (const auto& [first, last] : division())
            result.push_back(slideOf(first, last));
        return result;
    }

private:
    [[nodiscard]] const ProseLine& lineOf(const Unit& unit) const { return m_segment.lines[unit.line]; }

    [[nodiscard]] int columnRows(const ProseLine& line) const {
        return std::max(line.words.rowCount(m_column), line.beside->rowCount(m_column));
    }
    /// Rows of units [first, last] of one line.
    [[nodiscard]] int rowsOf(const Unit& first, const Unit& last) const {
        const ProseLine& line = lineOf(first);
        if (!line.beside)
            return line.words.between(first.from, last.to).rowCount(m_width);
        return first.lastRow >= 0 ? first.lastRow - first.firstRow + 1 : columnRows(line);
    }

    /// A unit of more than a slide becomes several.
    void addParted(const Unit& unit) {
        const int rows = rowsOf(unit, unit);
        if (rows <= m_room.rows) {
            m_segment.units.push_back(unit);
            return;
        }
        const int parts = (rows + m_room.rows - 1) / m_room.rows;
        if (lineOf(unit).beside) {
            for (int p = 0; p < parts; ++p) {
                Unit piece = unit;
                piece.firstRow = rows * p / parts;
                piece.lastRow = rows * (p + 1) / parts - 1;
                piece.endsVerse = p + 1 == parts;
                m_segment.units.push_back(piece);
            }
            return;
        }
        const int at = partingPlace(unit, parts);
        m_segment.units.push_back({unit.line, unit.from, at, false});
        addParted({unit.line, at, unit.to, unit.endsVerse});
    }

    /// Where the first of so many nearly equal parts ends: at a pause if there is one that lets it fit.
    [[nodiscard]] int partingPlace(const Unit& unit, int parts) const {
        const LineWrapper& words = lineOf(unit).words;
        const double wanted = unit.from + double(unit.to - unit.from) / parts;
        int best = -1;
        double least = std::numeric_limits<double>::infinity();
        for (const int at : words.breaksBetween(unit.from, unit.to)) {
            const int pause = breathAfter(QStringView(words.text()).mid(unit.from, at - unit.from));
            if (words.between(unit.from, at).rowCount(m_width) > m_room.rows)
                break;
            const double off = std::abs(at - wanted) / double(unit.to - unit.from);
            const double cost = off + (pause == 2 ? 0 : pause == 1 ? 0.05 : 1);
            if (cost < least) {
                least = cost;
                best = at;
            }
        }
        if (best > unit.from)
            return best;
        // One word alone is more than a slide: after the rows that fit.
        const auto rows = words.between(unit.from, unit.to).rows(m_width, m_balanced);
        return rows[size_t(m_room.rows) - 1].to;
    }

    /// Rows and lines of units [first, last].
    [[nodiscard]] std::pair<int, int> rowsBetween(size_t first, size_t last) const {
        int rows = 0;
        int lines = 0;
        const auto& units = m_segment.units;
        for (size_t from = first; from <= last;) {
            size_t to = from;
            while (to < last && units[to + 1].line == units[from].line && units[to].lastRow < 0)
                ++to;
            rows += rowsOf(units[from], units[to]);
            ++lines;
            from = to + 1;
        }
        return {rows, lines};
    }

    [[nodiscard]] double breakCost(const Unit& unit) const {
        if (!unit.endsVerse)
            return kInsideVerse;
        const int pause = breathAfter(QStringView(lineOf(unit).words.text()).left(unit.to));
        return pause == 2 ? 0 : pause == 1 ? kShortPause : kNoPause;
    }

    /// The fewest slides of units [first, last], at least cost.
    [[nodiscard]] std::vector<std::pair<size_t, size_t>> division() const {
        const auto& units = m_segment.units;
        const size_t count = units.size();
        std::vector<std::vector<int>> rows(count); // rows[i][n]: of units i to i + n, while they fit
        for (size_t i = 0; i < count; ++i)
            for (size_t j = i; j < count; ++j) {
                const auto [needed, lines] = rowsBetween(i, j);
                if (j > i && !m_room.holds(needed, lines))
                    break;
                rows[i].push_back(needed);
            }
        size_t slides = 0;
        int total = 0;
        for (size_t i = 0; i < count; i += rows[i].size()) {
            ++slides;
            total += rows[i].back();
        }
        const double mean = slides > 0 ? double(total) / double(slides) : 0;
        constexpr double kNever = std::numeric_limits<double>::infinity();
        std::vector<double> best(count + 1, kNever);
        best[0] = 0;
        std::vector<std::vector<size_t>> startOf(slides, std::vector<size_t>(count + 1, 0));
        for (size_t slide = 0; slide < slides; ++slide) {
            std::vector<double> next(count + 1, kNever);
            for (size_t i = slide; i < count; ++i) {
                if (best[i] == kNever)
                    continue;
                for (size_t n = 0; n < rows[i].size(); ++n) {
                    const size_t end = i + n + 1;
                    const double off = rows[i][n] - mean;
                    const double cost = best[i] + off * off + (end < count ? breakCost(units[end - 1]) : 0);
                    if (cost < next[end]) {
                        next[end] = cost;
                        startOf[slide][end] = i;
                    }
                }
            }
            best = std::move(next);
        }
        std::vector<std::pair<size_t, size_t>> result(slides);
        size_t end = count;
        for (size_t slide = slides; slide-- > 0;) {
            result[slide] = {startOf[slide][end], end - 1};
            end = startOf[slide][end];
        }
        return result;
    }

    [[nodiscard]] FitSlide slideOf(size_t first, size_t last) const {
        FitSlide slide;
        const auto& units = m_segment.units;
        for (size_t from = first; from <= last;) {
            size_t to = from;
            while (to < last && units[to + 1].line == units[from].line && units[to].lastRow < 0)
                ++to;
            const ProseLine& line = lineOf(units[from]);
            if (line.beside)
                addColumns(slide, line, units[from]);
            else
                for (const auto& row :
                     line.words.between(units[from].from, units[to].to).rows(m_width, m_balanced))
                    slide.rows.push_back({line.number, row.from, row.to, textOf(line.words, row), {}, 0});
            from = to + 1;
        }
        return slide;
    }

    static QString textOf(const LineWrapper& words, const LineWrapper::Row& row) {
        return words.text().mid(row.from, row.to - row.from).trimmed();
    }

    void addColumns(FitSlide& slide, const ProseLine& line, const Unit& unit) const {
        const auto left = line.words.rows(m_column, m_balanced);
        const auto right = line.beside->rows(m_column, m_balanced);
        const int last = unit.lastRow >= 0 ? unit.lastRow : columnRows(line) - 1;
        for (int r = unit.firstRow; r <= last; ++r) {
            const int end = int(line.words.text().size());
            FitRow row{line.number, end, end, {}, {}, int(line.beside->text().size())};
            if (r < int(left.size())) {
                row.from = left[size_t(r)].from;
                row.to = left[size_t(r)].to;
                row.text = textOf(line.words, left[size_t(r)]);
            }
            if (r < int(right.size())) {
                row.beside = textOf(*line.beside, right[size_t(r)]);
                row.besideFrom = right[size_t(r)].from;
            }
            slide.rows.push_back(std::move(row));
        }
    }

    ProseSegment m_segment;
    double m_width;  // em
    double m_column; // em, of one of two
    SlideRoom m_room;
    bool m_balanced; // rows of one line
};

} // namespace

FitResult fitProse(const std::vector<FitPart>& parts, const FitLimits& limits, const TextMeasure& measure) {
    const int most = std::max(1, limits.size);
    const int least = std::clamp(limits.smallestSize, 1, most);
    FitResult result{most, {}, {}};
    result.parts.resize(parts.size());
    std::vector<std::vector<ProseSegment>> segments;
    for (size_t p = 0; p < parts.size(); ++p) {
        segments.push_back(segmentsOf(parts[p], measure));
        for (const ProseSegment& segment : segments.back())
            for (const ProseLine& line : segment.lines) {
                const double column = line.beside ? (1 - kColumnGap) / 2 : 1;
                const double widest =
                    std::max(line.words.widestPiece(), line.beside ? line.beside->widestPiece() : 0);
                const int fits = int(limits.box.width() * column / std::max(widest, 1e-6));
                if (fits < result.size) {
                    result.size = std::max(fits, least);
                    result.reason = {fits < least ? FitCause::TooNarrow : FitCause::Width, int(p),
                                     line.number};
                }
            }
    }
    if (limits.rowHeight * result.size > limits.box.height())
        result.reason = {FitCause::TooNarrow, parts.empty() ? -1 : 0, -1};
    for (size_t p = 0; p < parts.size(); ++p)
        for (ProseSegment& segment : segments[p]) {
            const Setter setter(std::move(segment), limits.box.width() / result.size,
                                SlideRoom::of(limits, result.size), !limits.fillsRows);
            auto slides = setter.slides();
            auto& into = result.parts[p];
            into.insert(into.end(), slides.begin(), slides.end());
        }
    return result;
}

} // namespace mivanta
