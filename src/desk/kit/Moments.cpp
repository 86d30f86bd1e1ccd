// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/kit/Moments.h"
#include <QPainter>

namespace mivanta {

std::vector<double> momentsOf(double from, double to) {
    std::vector<double> moments;
    for (int i = 0; i < kMoments; ++i)
        moments.push_back(from + (to - from) * (i + 0.5) / kMoments);
    return moments;
}

void paintMoments(QPainter& painter, const QRectF& area, const std::vector<QImage>& moments) {
    const double step = area.width() / double(std::max<size_t>(1, moments.size()));
    for (size_t i = 0; i < moments.size(); ++i) {
        const QImage& picture = moments[i];
        if (picture.isNull())
            continue;
        const QRectF place(area.left() + double(i) * step, area.top(), step, area.height());
        const QSizeF seen = place.size().scaled(QSizeF(picture.size()), Qt::KeepAspectRatio);
        const QPointF corner((picture.width() - seen.width()) / 2, (picture.height() - seen.height()) / 2);
        painter.drawImage(place, picture, QRectF(corner, seen));
    }
}

} // namespace mivanta
