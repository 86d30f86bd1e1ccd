// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <QImage>
#include <vector>

class QPainter;
class QRectF;

namespace mivanta {

/// A film as a row of its moments is made of so many.
inline constexpr int kMoments = 8;

/// Where in the film the middle of each moment lies, seconds.
[[nodiscard]] std::vector<double> momentsOf(double from, double to);

/// The moments beside each other, each filling its place; those that are missing are left out.
void paintMoments(QPainter& painter, const QRectF& area, const std::vector<QImage>& moments);

} // namespace mivanta
