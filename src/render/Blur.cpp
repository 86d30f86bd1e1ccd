// SPDX-License-Identifier: GPL-3.0-or-later
#include "render/Blur.h"
#include <algorithm>
#include <cmath>
#include <vector>

namespace mivanta {

namespace {

/// One box blur of 2r+1 samples over `count` bytes, `stride` apart.
void boxBlur(uchar* data, int count, qsizetype stride, int r, std::vector<uchar>& line) {
    line.resize(size_t(count));
    for (int i = 0; i < count; ++i)
        line[size_t(i)] = data[i * stride];
    const int width = 2 * r + 1;
    int sum = 0;
    for (int i = 0; i < std::min(r, count); ++i)
        sum += line[size_t(i)];
    for (int i = 0; i < count; ++i) {
        if (i + r < count)
            sum += line[size_t(i + r)];
        if (i - r - 1 >= 0)
            sum -= line[size_t(i - r - 1)];
        data[i * stride] = uchar(sum / width);
    }
}

} // namespace

void blurAlpha(QImage& alpha, double radiusPx) {
    const int r = int(std::lround(radiusPx / 2));
    if (r < 1 || alpha.isNull())
        return;
    std::vector<uchar> line;
    const qsizetype stride = alpha.bytesPerLine();
    uchar* bits = alpha.bits();
    for (int pass = 0; pass < 3; ++pass) {
        for (int y = 0; y < alpha.height(); ++y)
            boxBlur(bits + y * stride, alpha.width(), 1, r, line);
        for (int x = 0; x < alpha.width(); ++x)
            boxBlur(bits + x, alpha.height(), stride, r, line);
    }
}

} // namespace mivanta
