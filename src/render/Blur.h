// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <QImage>

namespace mivanta {

/// Blurs an 8-bit alpha picture in place: three box blurs, close to a Gaussian of standard deviation
/// radius / 2 (W. M. Wells, "Efficient synthesis of Gaussian filters by cascaded uniform filters", 1986).
void blurAlpha(QImage& alpha, double radiusPx);

} // namespace mivanta
