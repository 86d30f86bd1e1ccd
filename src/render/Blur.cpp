// SPDX-License-Identifier: GPL-3.0-or-later
#include "render/Blur.h"
#include <algorithm>
#include <cmath>
#include <vector>

namespace mivanta {

namespace {

int channelsOf(const QImage& image) {
    return image.depth() / 8;
}

/// One box blur of 2r+1 samples along every row.
void blurRows(QImage& image, int r, std::vector<uchar>& line) {
    const int count = image.width();
    const int width = 2 * r + 1;
    const int step = channelsOf(image);
    line.resize(size_t(count));
    for (int y = 0; y < image.height(); ++y)
        for (int channel = 0; channel < step; ++channel) {
            uchar* data = image.scanLine(y) + channel;
            for (int i = 0; i < count; ++i)
                line[size_t(i)] = data[i * step];
            int sum = 0;
            for (int i = 0; i < std::min(r, count); ++i)
                sum += line[size_t(i)];
            for (int i = 0; i < count; ++i) {
                if (i + r < count)
                    sum += line[size_t(i + r)];
                if (i - r - 1 >= 0)
                    sum -= line[size_t(i - r - 1)];
                data[i * step] = uchar((sum + r) / width);
            }
        }
}

/// The same down every column, row by row: a walk down single columns would miss the cache at each step.
void blurColumns(QImage& image, int r) {
    const QImage source = image.copy();
    const int height = image.height();
    const int width = 2 * r + 1;
    std::vector<int> sums(size_t(image.width() * channelsOf(image)), 0);
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
        uchar* data = image.scanLine(y);
        for (size_t x = 0; x < sums.size(); ++x)
            data[x] = uchar((sums[x] + r) / width);
    }
}

void blurChannels(QImage& image, double radiusPx) {
    const int r = int(std::lround(radiusPx / 2));
    if (r < 1 || image.isNull())
        return;
    std::vector<uchar> line;
    for (int pass = 0; pass < 3; ++pass) {
        blurRows(image, r, line);
        blurColumns(image, r);
    }
}

/// With its edges drawn out to all sides.
QImage padded(const QImage& image, int by) {
    QImage result(image.size() + QSize(2 * by, 2 * by), image.format());
    for (int y = 0; y < result.height(); ++y) {
        const auto* from =
            reinterpret_cast<const QRgb*>(image.constScanLine(std::clamp(y - by, 0, image.height() - 1)));
        auto* to = reinterpret_cast<QRgb*>(result.scanLine(y));
        std::fill(to, to + by, from[0]);
        std::copy(from, from + image.width(), to + by);
        std::fill(to + by + image.width(), to + result.width(), from[image.width() - 1]);
    }
    return result;
}

} // namespace

void blurAlpha(QImage& alpha, double radiusPx) {
    blurChannels(alpha, radiusPx);
}

QImage blurredPicture(const QImage& picture, double radiusPx) {
    constexpr double kSmallRadius = 6; // px; a larger blur is done on a smaller picture
    if (picture.isNull() || radiusPx < 1)
        return picture;
    const double shrink = std::max(1.0, radiusPx / kSmallRadius);
    const QSize size = QSizeF(picture.size() / shrink).toSize().expandedTo({1, 1});
    const double radius = radiusPx / shrink;
    const int reach = int(std::ceil(2 * radius)) + 2;
    QImage small = picture.convertToFormat(QImage::Format_ARGB32_Premultiplied);
    if (shrink > 1)
        small = small.scaled(size, Qt::IgnoreAspectRatio, Qt::SmoothTransformation);
    QImage wide = padded(small, reach);
    blurChannels(wide, radius);
    const QImage blurred = wide.copy(QRect(QPoint(reach, reach), small.size()));
    return blurred.scaled(picture.size(), Qt::IgnoreAspectRatio, Qt::SmoothTransformation)
        .convertToFormat(picture.format());
}

} // namespace mivanta
