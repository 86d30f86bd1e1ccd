// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <QImage>

namespace mivanta {

/// Blurs an 8-bit alpha picture in place: three box blurs, close to a Gaussian of standard deviation
/// radius / 2 (W. M. Wells, "Efficient synthesis of Gaussian filters by cascaded uniform filters", 1986).
void blurAlpha(QImage& alpha, double radiusPx);

/// The picture blurred in the same way, all channels. A large blur is made at a smaller size.
[[nodiscard]] QImage blurredPicture(const QImage& picture, double radiusPx);

} // namespace mivanta
