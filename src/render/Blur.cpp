// SPDX-License-Identifier: GPL-3.0-or-later
#include "render/Blur.h"
#include <algorithm>
#include <cmath>
#include <vector>

namespace mivanta {

namespace {

/// One box blur of 2r+1 samples along every row.
void blurRows(QImage& alpha, int r, std::vector<uchar>& line) {
    const int count = alpha.width();
    const int width = 2 * r + 1;
    line.resize(size_t(count));
    for (int y = 0; y < alpha.height(); ++y) {
        uchar* data = alpha.scanLine(y);
        std::copy(data, data + count, line.begin());
        int sum = 0;
        for (int i = 0; i < std::min(r, count); ++i)
            sum += line[size_t(i)];
        for (int i = 0; i < count; ++i) {
            if (i + r < count)
                sum += line[size_t(i + r)];
            if (i - r - 1 >= 0)
                sum -= line[size_t(i - r - 1)];
            data[i] = uchar(sum / width);
        }
    }
}

/// The same down every column, row by row: a walk down single columns would miss the cache at each step.
void blurColumns(QImage& alpha, int r) {
    const QImage source = alpha.copy();
    const int height = alpha.height();
    const int width = 2 * r + 1;
    std::vector<int> sums(size_t(alpha.width()), 0);
    const auto add = [&](int y, int sign) {
        const uchar* data = source.constScanLine(y);
        for (size_t x = 0; x < sums.size(); ++x)
            sums[x] += sign * data[x];
    };
    for (int y = 0; y < std::min(r, height); ++y)
        add(y, 1);
    for (int y = 0; y < height; ++y) {
        if (y + r < height)
            add(y + r, 1);
        if (y - r - 1 >= 0)
            add(y - r - 1, -1);
        uchar* data = alpha.scanLine(y);
        for (size_t x = 0; x < sums.size(); ++x)
            data[x] = uchar(sums[x] / width);
    }
}

} // namespace

void blurAlpha(QImage& alpha, double radiusPx) {
    const int r = int(std::lround(radiusPx / 2));
    if (r < 1 || alpha.isNull())
        return;
    std::vector<uchar> line;
    for (int pass = 0; pass < 3; ++pass) {
        blurRows(alpha, r, line);
        blurColumns(alpha, r);
    }
}

} // namespace mivanta
