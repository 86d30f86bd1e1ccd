// SPDX-License-Identifier: GPL-3.0-or-later
#include "render/TestCardPainter.h"
#include "core/base/Said.h"
#include "core/theme/Look.h"
#include "render/Fonts.h"
#include <array>

namespace mivanta {

namespace {

constexpr int kGreys = 11;
constexpr int kColumns = 16; // of the grid

void paintGrid(QPainter& painter, const QSizeF& size, double unit) {
    painter.setPen(QPen(QColor(70, 82, 88), std::max(1.0, unit * 2)));
    const double cell = size.width() / kColumns;
    for (double x = cell; x < size.width() - 1; x += cell)
        painter.drawLine(QPointF(x, 0), QPointF(x, size.height()));
    const double middle = size.height() / 2;
    for (double away = 0; away < middle; away += cell)
        for (const double y : {middle - away, middle + away})
            painter.drawLine(QPointF(0, y), QPointF(size.width(), y));
}

/// At the very edge, and where twentieths of the picture would be lost.
void paintFrames(QPainter& painter, const QSizeF& size, double unit) {
    const double edge = std::max(2.0, unit * 6);
    painter.setBrush(Qt::NoBrush);
    painter.setPen(QPen(QColor(255, 255, 255), edge, Qt::SolidLine, Qt::SquareCap, Qt::MiterJoin));
    painter.drawRect(QRectF(QPointF(0, 0), size).adjusted(edge / 2, edge / 2, -edge / 2, -edge / 2));
    painter.setPen(QPen(QColor(92, 196, 184), std::max(1.0, unit * 2), Qt::DashLine));
    for (const double lost : {0.025, 0.05})
        painter.drawRect(QRectF(size.width() * lost, size.height() * lost, size.width() * (1 - 2 * lost),
                                size.height() * (1 - 2 * lost)));
}

void paintCircles(QPainter& painter, const QSizeF& size, double unit) {
    painter.setPen(QPen(QColor(255, 255, 255), std::max(1.0, unit * 3)));
    const QPointF centre(size.width() / 2, size.height() / 2);
    const double radius = std::min(size.width(), size.height()) * 0.44;
    painter.drawEllipse(centre, radius, radius);
    const double small = std::min(size.width(), size.height()) * 0.09;
    for (const double x : {small * 1.6, size.width() - small * 1.6})
        for (const double y : {small * 1.6, size.height() - small * 1.6})
            painter.drawEllipse(QPointF(x, y), small, small);
}

void paintSteps(QPainter& painter, const QSizeF& size) {
    const QRectF band(size.width() * 0.28, size.height() * 0.64, size.width() * 0.44, size.height() * 0.07);
    for (int i = 0; i < kGreys; ++i) {
        const int grey = 255 * i / (kGreys - 1);
        painter.fillRect(QRectF(band.left() + band.width() * i / kGreys, band.top(),
                                band.width() / kGreys + 1, band.height()),
                         QColor(grey, grey, grey));
    }
    const std::array colours{Qt::red, Qt::yellow, Qt::green, Qt::cyan, Qt::blue, Qt::magenta};
    for (size_t i = 0; i < colours.size(); ++i)
        painter.fillRect(QRectF(band.left() + band.width() * double(i) / colours.size(), band.bottom(),
                                band.width() / colours.size() + 1, band.height()),
                         colours[i]);
}

/// One px on, one px off: it flickers or bends where the picture is scaled on its way.
void paintFineLines(QPainter& painter, const QSizeF& size) {
    painter.save();
    painter.setRenderHint(QPainter::Antialiasing, false);
    painter.setPen(QPen(Qt::white, 1));
    const QRectF area(size.width() * 0.42, size.height() * 0.8, size.width() * 0.16, size.height() * 0.06);
    for (int x = int(area.left()); x < int(area.right()); x += 2)
        painter.drawLine(QPointF(x + 0.5, area.top()), QPointF(x + 0.5, area.bottom()));
    painter.restore();
}

} // namespace

void paintTestCard(QPainter& painter, const Scene& scene) {
    const QSizeF size(scene.size);
    const double unit = size.height() / kLookHeight;
    painter.fillRect(QRectF(QPointF(0, 0), size), QColor(16, 24, 28));
    paintGrid(painter, size, unit);
    paintCircles(painter, size, unit);
    paintSteps(painter, size);
    paintFineLines(painter, size);
    paintFrames(painter, size, unit);
    const QString name =
        scene.output.isEmpty() ? scene.output : scene.output[0].toUpper() + scene.output.mid(1);
    const auto write = [&](const QString& text, double top, double height, int weight, const QColor& colour) {
        const QRectF box(size.width() * 0.1, size.height() * top, size.width() * 0.8, size.height() * height);
        painter.setFont(slideFont({}, weight, std::max(1, int(box.height() * 0.72))));
        painter.setPen(colour);
        painter.drawText(box, Qt::AlignCenter, text);
    };
    write(name, 0.22, 0.2, 700, QColor(255, 178, 36));
    write(QStringLiteral("%1 \u00d7 %2").arg(scene.size.width()).arg(scene.size.height()), 0.43, 0.09, 400,
          Qt::white);
    write(Said::tr("\u2191 up"), 0.09, 0.07, 400, Qt::white);
}

} // namespace mivanta
