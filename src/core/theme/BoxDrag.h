// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <QRectF>
#include <vector>

namespace mivanta {

/// What of a box is taken hold of: an edge (-1 left or top, 1 right or bottom), or none in a direction; none
/// in both = the whole box is moved.
struct BoxGrip {
    int across = 0;
    int down = 0;
    [[nodiscard]] bool moves() const { return across == 0 && down == 0; }
    friend bool operator==(const BoxGrip&, const BoxGrip&) = default;
};

/// Lines that boxes like to stand at, in shares of the screen.
struct Guides {
    std::vector<double> across; ///< x of upright lines
    std::vector<double> down;   ///< y of level lines
};

/// The safe area's margins, the thirds, the centre and the screen's edges; then the edges of other boxes.
[[nodiscard]] Guides guidesFor(const std::vector<QRectF>& others);

inline constexpr double kSafeMargin = 0.05; ///< of the screen, on each side
inline constexpr double kLeastBoxSize = 0.02;

struct DraggedBox {
    QRectF box;
    std::vector<double> across; ///< guides that it stands at now
    std::vector<double> down;
};

/// The box after its grip was dragged by `by`. It stays on the screen and at least kLeastBoxSize large. Where
/// an edge, or the middle of a moved box, comes within `reach` of a guide, it stands at the guide; {0, 0} =
/// nowhere. All in shares of the screen.
[[nodiscard]] DraggedBox dragged(const QRectF& box, const BoxGrip& grip, QPointF by, const Guides& guides,
                                 QSizeF reach);

} // namespace mivanta
