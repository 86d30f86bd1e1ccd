// SPDX-License-Identifier: GPL-3.0-or-later
#include "player/Mix.h"
#include <cmath>

namespace mivanta {

namespace {

/// Kept this plain so that the compiler does sixteen channels at once.
void mixChannels(uchar* __restrict into, const uchar* __restrict from, const uchar* __restrict to, int count,
                 quint16 share) {
    const auto rest = quint16(256 - share);
    for (int i = 0; i < count; ++i)
        into[i] = uchar(quint16(quint16(from[i] * rest) + quint16(to[i] * share) + 128) >> 8);
}

} // namespace

void mix(QImage& into, const QImage& from, const QImage& to, double share) {
    Q_ASSERT(into.size() == from.size() && into.size() == to.size() && into.depth() == 32);
    const auto part = quint16(std::lround(share * 256));
    for (int y = 0; y < into.height(); ++y)
        mixChannels(into.scanLine(y), from.constScanLine(y), to.constScanLine(y), 4 * into.width(), part);
}

} // namespace mivanta
