// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/theme/BoxDrag.h"
#include <algorithm>
#include <cmath>
#include <optional>

namespace mivanta {

namespace {

/// One direction of a box.
struct Span {
    double from = 0;
    double to = 0;
};

/// The way from the nearest of the places to a guide, if one is near enough.
std::optional<double> pull(const std::vector<double>& places, const std::vector<double>& guides,
                           double reach) {
    std::optional<double> best;
    for (const double place : places)
        for (const double guide : guides)
            if (const double way = guide - place;
                std::abs(way) <= reach && (!best || std::abs(way) < std::abs(*best)))
                best = way;
    return best;
}

Span moved(Span span, double by, const std::vector<double>& guides, double reach) {
    const double size = span.to - span.from;
    double from = std::clamp(span.from + by, 0.0, std::max(0.0, 1 - size));
    if (reach > 0)
        if (const auto way = pull({from, from + size / 2, from + size}, guides, reach))
            from = std::clamp(from + *way, 0.0, std::max(0.0, 1 - size));
    return {from, from + size};
}

Span stretched(Span span, int edge, double by, const std::vector<double>& guides, double reach) {
    double& place = edge < 0 ? span.from : span.to;
    place += by;
    if (reach > 0)
        if (const auto way = pull({place}, guides, reach))
            place += *way;
    if (edge < 0)
        place = std::clamp(place, 0.0, span.to - kLeastBoxSize);
    else
        place = std::clamp(place, span.from + kLeastBoxSize, 1.0);
    return span;
}

std::vector<double> standingAt(const Span& span, const std::vector<double>& guides, bool withMiddle) {
    std::vector<double> result;
    for (const double guide : guides)
        for (const double place : {span.from, span.to, (span.from + span.to) / 2})
            if (std::abs(place - guide) < 1e-9 && (withMiddle || place == span.from || place == span.to) &&
                std::find(result.begin(), result.end(), guide) == result.end())
                result.push_back(guide);
    return result;
}

} // namespace

Guides guidesFor(const std::vector<QRectF>& others) {
    const std::vector<double> usual{0, kSafeMargin, 1.0 / 3, 0.5, 2.0 / 3, 1 - kSafeMargin, 1};
    Guides guides{usual, usual};
    for (const QRectF& box : others) {
        guides.across.insert(guides.across.end(), {box.left(), box.right()});
        guides.down.insert(guides.down.end(), {box.top(), box.bottom()});
    }
    return guides;
}

DraggedBox dragged(const QRectF& box, const BoxGrip& grip, QPointF by, const Guides& guides, QSizeF reach) {
    Span across{box.left(), box.right()};
    Span down{box.top(), box.bottom()};
    if (grip.moves()) {
        across = moved(across, by.x(), guides.across, reach.width());
        down = moved(down, by.y(), guides.down, reach.height());
    } else {
        if (grip.across != 0)
            across = stretched(across, grip.across, by.x(), guides.across, reach.width());
        if (grip.down != 0)
            down = stretched(down, grip.down, by.y(), guides.down, reach.height());
    }
    return {QRectF(across.from, down.from, across.to - across.from, down.to - down.from),
            standingAt(across, guides.across, grip.moves()), standingAt(down, guides.down, grip.moves())};
}

} // namespace mivanta
