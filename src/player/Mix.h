// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <QImage>

namespace mivanta {

/// Every channel of `into` becomes the mean of both, with `share` (0 to 1) of `to`. All three are of one size
/// and of a format with 32 bits a pixel.
void mix(QImage& into, const QImage& from, const QImage& to, double share);

} // namespace mivanta
