// SPDX-License-Identifier: GPL-3.0-or-later
#include "standins/CameraPicture.h"
#include <QPainter>
#include <QPainterPath>
#include <cmath>
#include <numbers>

namespace mivanta {

using namespace Qt::StringLiterals;

namespace {

constexpr double kCrossingSeconds = 12; // of the boat

void drawSea(QPainter& painter, QSizeF size, double seconds) {
    const double horizon = size.height() * 0.55;
    QLinearGradient sky(0, 0, 0, horizon);
    sky.setColorAt(0, QColor(0x5d, 0x8a, 0xa8));
    sky.setColorAt(1, QColor(0xe9, 0xd8, 0xb4));
    painter.fillRect(QRectF(QPointF(), size), sky);
    for (int row = 0; row < 4; ++row) {
        QPainterPath wave(QPointF(0, size.height()));
        const double top = horizon + row * size.height() * 0.1;
        for (double x = 0; x <= size.width() + 16; x += 16)
            wave.lineTo(x,
                        top + std::sin(x / 60 + seconds * (1.2 + row * 0.3) + row) * size.height() * 0.012);
        wave.lineTo(size.width(), size.height());
        painter.fillPath(wave, QColor(0x1c + row * 6, 0x5a - row * 8, 0x6b - row * 6));
    }
}

void drawBoat(QPainter& painter, QSizeF size, double seconds) {
    const double way = std::fmod(seconds, kCrossingSeconds) / kCrossingSeconds;
    const double unit = size.height() / 20;
    painter.translate(-4 * unit + way * (size.width() + 8 * unit),
                      size.height() * 0.6 + std::sin(seconds * 2) * unit * 0.2);
    QPainterPath hull(QPointF(-3 * unit, 0));
    hull.lineTo(3.4 * unit, 0);
    hull.lineTo(2.2 * unit, 1.6 * unit);
    hull.lineTo(-2.4 * unit, 1.6 * unit);
    painter.fillPath(hull, QColor(0x8c, 0x2f, 0x24));
    QPainterPath sail(QPointF(0, -0.3 * unit));
    sail.lineTo(0, -5 * unit);
    sail.lineTo(2.6 * unit, -0.3 * unit);
    painter.fillPath(sail, QColor(0xf4, 0xee, 0xde));
    painter.resetTransform();
}

void drawTimeCode(QPainter& painter, QSizeF size, const QString& code) {
    QFont font(u"monospace"_s);
    font.setPixelSize(int(size.height() / 14));
    font.setBold(true);
    painter.setFont(font);
    const QRectF box(0, size.height() * 0.86, size.width(), size.height() * 0.1);
    painter.fillRect(box, QColor(0, 0, 0, 140));
    painter.setPen(Qt::white);
    painter.drawText(box, Qt::AlignCenter, code);
}

void drawNumber(QPainter& painter, QSizeF size, int number) {
    const double width = size.width() / CameraPicture::kNumberBits;
    for (int bit = 0; bit < CameraPicture::kNumberBits; ++bit) {
        const bool isSet = number >> (CameraPicture::kNumberBits - 1 - bit) & 1;
        painter.fillRect(QRectF(bit * width, 0, width, size.height() / 2), isSet ? Qt::white : Qt::black);
    }
}

} // namespace

QImage cameraPicture(const CameraPicture& camera, int number, const QTime& now) {
    QImage picture(camera.size, QImage::Format_RGB32);
    picture.fill(Qt::black);
    if (camera.isDark)
        return picture;
    QPainter painter(&picture);
    painter.setRenderHint(QPainter::Antialiasing);
    const QSizeF size(camera.size);
    const double seconds = double(number) / camera.rate;
    drawSea(painter, size, seconds);
    drawBoat(painter, size, seconds);
    const int ofSecond = now.msec() * camera.rate / 1000;
    drawTimeCode(painter, size,
                 now.toString(u"HH:mm:ss"_s) + u':' + QString::number(ofSecond).rightJustified(2, u'0'));
    if (camera.isNumbered)
        drawNumber(painter, size, number % (1 << CameraPicture::kNumberBits));
    return picture;
}

} // namespace mivanta
