// SPDX-License-Identifier: GPL-3.0-or-later
#include "player/Frame.h"
#include "render/BackdropPainter.h"
#include "render/Letters.h"
#include "render/ObjectPainter.h"
#include <QTransform>

namespace mivanta {

namespace {

/// A film's picture as large as it is shown is copied; another one is scaled.
void paintFilm(QPainter& painter, const QImage& picture, const Backdrop& place, const QRectF& screen) {
    const auto [from, to] = placed(place, picture.size(), screen);
    painter.save();
    if (from.size().toSize() == to.size().toSize()) {
        painter.drawImage(to.topLeft().toPoint(), picture,
                          QRect(from.topLeft().toPoint(), to.size().toSize()));
    } else {
        painter.setRenderHint(QPainter::SmoothPixmapTransform);
        painter.drawImage(to, picture, from);
    }
    painter.restore();
}

} // namespace

void BehindLayer::paint(QPainter& painter, QPoint origin) const {
    const FilmPicture now = film ? film->picture() : FilmPicture();
    if (!filmPlace || now.image.isNull()) {
        painter.drawImage(origin, image);
        return;
    }
    const QRectF screen(origin, QSizeF(image.size()));
    const bool covers = filmPlace->fit != PictureFit::Whole && !now.image.hasAlphaChannel();
    const bool isWhole = covers || placed(*filmPlace, now.image.size(), screen).to.toAlignedRect() == screen;
    if (!isWhole || now.image.hasAlphaChannel())
        painter.drawImage(origin, image); // its colour is seen beside the film
    paintFilm(painter, now.image, *filmPlace, screen);
    if (!over.isNull())
        painter.drawImage(origin, over);
}

QImage BehindLayer::smallNow() const {
    QImage result = small;
    const FilmPicture now = film ? film->picture() : FilmPicture();
    QPainter painter(&result);
    if (filmPlace && !now.image.isNull()) {
        const auto [from, to] =
            placed(*filmPlace, now.image.size(), QRectF(QPointF(0, 0), QSizeF(result.size())));
        painter.drawImage(to, now.image, from);
    }
    if (filmPlace && !smallOver.isNull())
        painter.drawImage(0, 0, smallOver);
    return result;
}

QImage Frame::smallNow() const {
    if (!isMoving() || !behind)
        return small;
    QImage result = behind->smallNow();
    QPainter painter(&result);
    for (const MovingObject& object : moving)
        object.paint(painter, {}, result.size());
    if (!smallFront.isNull())
        painter.drawImage(0, 0, smallFront);
    return result;
}

void Frame::paintBehind(QPainter& painter, QPoint origin) const {
    behind->paint(painter, origin);
    for (const MovingObject& object : moving)
        object.paint(painter, origin, behind->image.size());
}

void MovingObject::paint(QPainter& painter, QPoint origin, QSize size) const {
    if (!film)
        return;
    painter.save();
    painter.translate(origin);
    paintMovingObject(painter, object, film->picture().image, size, size.height() / kLookHeight);
    painter.restore();
}

QRect MovingObject::area(QSize size) const {
    const QRectF box = onPicture(object.box, size);
    QTransform turned;
    turned.translate(box.center().x(), box.center().y());
    turned.rotate(object.rotation);
    turned.translate(-box.center().x(), -box.center().y());
    return turned.mapRect(box).toAlignedRect();
}

} // namespace mivanta
