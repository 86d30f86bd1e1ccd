// SPDX-License-Identifier: GPL-3.0-or-later
#include "render/BackdropPainter.h"
#include "core/base/MediaName.h"
#include "render/Blur.h"
#include "render/Letters.h"
#include <QLinearGradient>
#include <QRadialGradient>
#include <array>
#include <cmath>

namespace mivanta {

namespace {

/// The gradient line runs through the centre and just reaches the corners, as in CSS.
QLinearGradient linear(const QRectF& area, double degrees) {
    const double angle = degrees * M_PI / 180;
    const QPointF direction(std::cos(angle), std::sin(angle));
    const double reach =
        (std::abs(direction.x()) * area.width() + std::abs(direction.y()) * area.height()) / 2;
    return {area.center() - direction * reach, area.center() + direction * reach};
}

double cornerDistance(const QRectF& area) {
    return std::hypot(area.width(), area.height()) / 2;
}

void paintGradient(QPainter& painter, const Backdrop& backdrop, const QRectF& area) {
    QGradientStops stops;
    for (const GradientStop& stop : backdrop.stops)
        stops << QGradientStop{stop.at, toColor(stop.colour)};
    if (backdrop.shape == GradientShape::Radial) {
        QRadialGradient gradient(area.center(), cornerDistance(area));
        gradient.setStops(stops);
        painter.fillRect(area, gradient);
        return;
    }
    QLinearGradient gradient = linear(area, backdrop.angle);
    gradient.setStops(stops);
    painter.fillRect(area, gradient);
}

/// Where a picture that is seen whole stands.
QRectF wholeArea(QSizeF picture, const QRectF& area) {
    const QSizeF size = picture.scaled(area.size(), Qt::KeepAspectRatio);
    return {area.center() - QPointF(size.width(), size.height()) / 2, size};
}

/// `named`: the picture that covers a size, or is whole.
void paintPicture(QPainter& painter, const Backdrop& backdrop, const QRectF& area, double lookScale,
                  const std::function<QImage(QSize)>& named) {
    const QSizeF onDevice = painter.deviceTransform().mapRect(area).size();
    const QImage picture = named(onDevice.toSize());
    const bool covers = !picture.isNull() && backdrop.fit != PictureFit::Whole && !picture.hasAlphaChannel();
    if (!covers)
        painter.fillRect(area, toColor(backdrop.colour));
    if (picture.isNull())
        return;
    const double toDevice = onDevice.height() / area.height();
    const auto [from, to] = placed(backdrop, picture.size(), area);
    // Scaled first: the treatment then has no more px to do than are seen.
    const QSize size = QSizeF(to.size() * toDevice).toSize().expandedTo({1, 1});
    QImage scaled(size,
                  picture.hasAlphaChannel() ? QImage::Format_ARGB32_Premultiplied : QImage::Format_RGB32);
    scaled.fill(Qt::transparent);
    {
        QPainter scaler(&scaled);
        scaler.setRenderHint(QPainter::SmoothPixmapTransform);
        scaler.drawImage(QRectF(QPointF(0, 0), QSizeF(size)), picture, from);
    }
    painter.drawImage(to, treated(scaled, backdrop.treatment, lookScale * toDevice));
}

using Curve = std::array<uchar, 256>;

/// Contrast turns around middle grey; brightness then moves everything.
Curve curveFor(const Treatment& treatment) {
    const double slope =
        treatment.contrast >= 0 ? 1 + treatment.contrast / 50.0 : 1 + treatment.contrast / 100.0;
    Curve curve{};
    for (int i = 0; i < 256; ++i) {
        const double value = (i - 127.5) * slope + 127.5 + treatment.brightness * 1.275;
        curve[size_t(i)] = uchar(std::lround(std::clamp(value, 0.0, 255.0)));
    }
    return curve;
}

/// Saturation around the luma of Rec. 709, then the curve; of colours that are not premultiplied.
void correctColours(QImage& image, const Treatment& treatment) {
    const Curve curve = curveFor(treatment);
    const int keep = 256 + treatment.saturation * (treatment.saturation > 0 ? 512 : 256) / 100;
    const auto channel = [&](int value, int luma) {
        return int(curve[size_t(std::clamp(luma + ((value - luma) * keep >> 8), 0, 255))]);
    };
    const bool hasAlpha = image.hasAlphaChannel();
    for (int y = 0; y < image.height(); ++y) {
        auto* line = reinterpret_cast<QRgb*>(image.scanLine(y));
        for (int x = 0; x < image.width(); ++x) {
            const QRgb pixel = hasAlpha ? qUnpremultiply(line[x]) : line[x];
            const int red = qRed(pixel);
            const int green = qGreen(pixel);
            const int blue = qBlue(pixel);
            const int luma = (54 * red + 183 * green + 19 * blue) >> 8;
            const QRgb corrected =
                qRgba(channel(red, luma), channel(green, luma), channel(blue, luma), qAlpha(pixel));
            line[x] = hasAlpha ? qPremultiply(corrected) : corrected;
        }
    }
}

void darkenEdge(QPainter& painter, const QRectF& area, int strength) {
    QRadialGradient gradient(area.center(), cornerDistance(area));
    const int alpha = strength * 255 / 100;
    gradient.setStops(
        {{0.35, QColor(0, 0, 0, 0)}, {0.7, QColor(0, 0, 0, alpha * 2 / 5)}, {1, QColor(0, 0, 0, alpha)}});
    painter.fillRect(area, gradient);
}

} // namespace

QRectF seenPart(QSizeF picture, QSizeF screen, QPointF focus) {
    const QSizeF seen = screen.scaled(picture, Qt::KeepAspectRatio);
    const double left = std::clamp(focus.x() * picture.width() - seen.width() / 2, 0.0,
                                   std::max(0.0, picture.width() - seen.width()));
    const double top = std::clamp(focus.y() * picture.height() - seen.height() / 2, 0.0,
                                  std::max(0.0, picture.height() - seen.height()));
    return {QPointF(left, top), seen};
}

QImage treated(const QImage& picture, const Treatment& treatment, double lookScale) {
    QImage result = picture;
    if (treatment.blur > 0)
        result = blurredPicture(result, treatment.blur * lookScale);
    if (treatment.brightness != 0 || treatment.contrast != 0 || treatment.saturation != 0)
        correctColours(result, treatment);
    if (treatment.tint.alpha == 0 && treatment.darkEdge == 0)
        return result;
    QPainter painter(&result);
    painter.setCompositionMode(QPainter::CompositionMode_SourceAtop);
    paintOverPicture(painter, treatment, QRectF(QPointF(0, 0), QSizeF(result.size())));
    return result;
}

void paintOverPicture(QPainter& painter, const Treatment& treatment, const QRectF& picture) {
    if (treatment.tint.alpha > 0)
        painter.fillRect(picture, toColor(treatment.tint));
    if (treatment.darkEdge > 0)
        darkenEdge(painter, picture, treatment.darkEdge);
}

Placed placed(const Backdrop& backdrop, QSizeF picture, const QRectF& screen) {
    const QRectF all(QPointF(0, 0), picture);
    switch (backdrop.fit) {
    case PictureFit::Fill:
        return {seenPart(picture, screen.size(), backdrop.focus), screen};
    case PictureFit::Whole:
        return {all, wholeArea(picture, screen)};
    case PictureFit::Stretch:
        return {all, screen};
    }
    return {all, screen};
}

void paintBackdrop(QPainter& painter, const Backdrop& backdrop, const QRectF& area, double lookScale,
                   const RenderSources& sources) {
    switch (backdrop.kind) {
    case BackdropKind::None:
        return;
    case BackdropKind::Plain:
        painter.fillRect(area, toColor(backdrop.colour));
        return;
    case BackdropKind::Gradient:
        paintGradient(painter, backdrop, area);
        return;
    case BackdropKind::Picture:
        paintPicture(painter, backdrop, area, lookScale,
                     [&](QSize size) { return sources.pictureNamed(backdrop.picture, size); });
        return;
    case BackdropKind::Live:
        paintPicture(painter, backdrop, area, lookScale,
                     [&](QSize size) { return sources.pictureNamed(livePictureName(backdrop.live), size); });
        return;
    case BackdropKind::Film:
        paintPicture(painter, backdrop, area, lookScale, [&](QSize size) {
            return sources.pictureNamed(filmMomentName(backdrop.film, backdrop.filmFrom), size);
        });
        return;
    }
}

} // namespace mivanta
