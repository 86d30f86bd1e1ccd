// SPDX-License-Identifier: GPL-3.0-or-later
#include "render/ObjectPainter.h"
#include "core/theme/StageField.h"
#include "render/Fonts.h"
#include "render/Letters.h"
#include <QFontMetricsF>
#include <QScopeGuard>
#include <cmath>

namespace mivanta {

namespace {

constexpr int kSmallest = 6; // px, that letters shrink to
constexpr int kPreviewSeconds = 300;
constexpr int kPreviewElapsed = 128;

/// Letters in the largest size up to the object's that fits its box.
void paintText(QPainter& painter, const SlideObject& object, const QString& text, const QRectF& box,
               double lookScale) {
    if (text.isEmpty())
        return;
    const int side = object.align == HorizontalAlign::Left    ? Qt::AlignLeft
                     : object.align == HorizontalAlign::Right ? Qt::AlignRight
                                                              : Qt::AlignHCenter;
    const int flags = side | Qt::AlignVCenter | Qt::TextWordWrap;
    const auto fits = [&](int size) {
        const QFontMetricsF metrics(slideFont({}, object.weight, size));
        const QRectF bounds = metrics.boundingRect(QRectF(0, 0, box.width(), 1e6), flags, text);
        return bounds.width() <= box.width() && bounds.height() <= box.height();
    };
    int size = kSmallest;
    for (int low = kSmallest, high = std::max(kSmallest, int(std::lround(object.size * lookScale)));
         low <= high;) {
        const int middle = (low + high) / 2;
        if (fits(middle)) {
            size = middle;
            low = middle + 1;
        } else {
            high = middle - 1;
        }
    }
    painter.setFont(slideFont({}, object.weight, size));
    painter.setPen(toColor(object.colour));
    painter.drawText(box, flags, text);
}

void paintShape(QPainter& painter, const SlideObject& object, const QRectF& box, double lookScale) {
    const double width = object.edgeWidth * lookScale;
    const bool hasEdge = width > 0 && object.edgeColour.alpha > 0;
    painter.setPen(hasEdge ? QPen(toColor(object.edgeColour), width) : QPen(Qt::NoPen));
    painter.setBrush(toColor(object.colour));
    const double inset = hasEdge ? width / 2 : 0; // the edge stays inside the box
    const QRectF inside = box.adjusted(inset, inset, -inset, -inset);
    const double roundness = object.roundness * lookScale;
    if (object.kind == ObjectKind::Ellipse)
        painter.drawEllipse(inside);
    else
        painter.drawRoundedRect(inside, roundness, roundness);
}

void paintPicture(QPainter& painter, const SlideObject& object, const QRectF& box,
                  const RenderSources& sources) {
    const QSize wanted = painter.deviceTransform().mapRect(box).size().toSize();
    const QImage picture = sources.pictureNamed(object.picture, wanted);
    if (picture.isNull())
        return;
    const QSizeF size = QSizeF(picture.size()).scaled(box.size(), Qt::KeepAspectRatio);
    painter.setRenderHint(QPainter::SmoothPixmapTransform);
    painter.drawImage(QRectF(box.center() - QPointF(size.width(), size.height()) / 2, size), picture);
}

void paintScreenFrame(QPainter& painter, const SlideObject& object, const QRectF& box, double lookScale) {
    painter.fillRect(box, QColor(23, 34, 40));
    painter.setPen(QPen(QColor(92, 196, 184), std::max(1.0, 3 * lookScale), Qt::DashLine));
    painter.drawRect(box);
    SlideObject label = object;
    label.colour = {232, 226, 212, 255};
    paintText(painter, label, QStringLiteral("What the hall shows"), box.adjusted(8, 8, -8, -8), lookScale);
}

/// "2:08", "1:02:08".
QString durationFigures(int seconds) {
    const QString minutes = QStringLiteral("%1:%2")
                                .arg(seconds / 60 % 60, seconds >= 3600 ? 2 : 1, 10, QChar(u'0'))
                                .arg(seconds % 60, 2, 10, QChar(u'0'));
    return seconds >= 3600 ? QString::number(seconds / 3600) + u':' + minutes : minutes;
}

} // namespace

QString liveText(const SlideObject& object, const QDateTime& now) {
    const QTime time = now.isValid() ? now.time() : QTime(10, 30);
    if (object.kind == ObjectKind::Clock)
        return time.toString(object.text.isEmpty() ? QStringLiteral("HH:mm") : object.text);
    if (object.kind == ObjectKind::Stopwatch)
        return durationFigures(now.isValid() ? secondsSince(object, time).value_or(0) : kPreviewElapsed);
    if (!now.isValid() && object.text.isEmpty())
        return durationFigures(kPreviewSeconds);
    int left = secondsLeft(object, time).value_or(0);
    if (!now.isValid() && left == 0 && secondsLeft(object, time))
        left = kPreviewSeconds; // a preview of one that would be over shows its figures, too
    if (left <= 0)
        return {};
    return durationFigures(left);
}

void paintObject(QPainter& painter, const SlideObject& object, QSize size, double lookScale,
                 const RenderSources& sources) {
    QRectF box = onPicture(object.box, size);
    painter.save();
    const auto restore = qScopeGuard([&] { painter.restore(); });
    painter.setRenderHint(QPainter::Antialiasing);
    painter.setOpacity(painter.opacity() * object.opacity);
    painter.translate(box.center());
    painter.rotate(object.rotation);
    box.moveCenter({0, 0});
    switch (object.kind) {
    case ObjectKind::Picture:
        paintPicture(painter, object, box, sources);
        return;
    case ObjectKind::Text:
        paintText(painter, object, object.text, box, lookScale);
        return;
    case ObjectKind::Field: // a preview: what runs has texts in its place
        if (const StageField* field = stageFieldOf(object.text))
            paintText(painter, object, QString::fromUtf8(field->sample), box, lookScale);
        return;
    case ObjectKind::Clock:
    case ObjectKind::Countdown:
    case ObjectKind::Stopwatch:
        paintText(painter, object, liveText(object, sources.now), box, lookScale);
        return;
    case ObjectKind::Screen: // a preview, too
        paintScreenFrame(painter, object, box, lookScale);
        return;
    case ObjectKind::Line:
        painter.setPen(QPen(toColor(object.colour), std::max(1.0, object.edgeWidth * lookScale),
                            Qt::SolidLine, Qt::RoundCap));
        painter.drawLine(QPointF(box.left(), 0), QPointF(box.right(), 0));
        return;
    case ObjectKind::Rectangle:
    case ObjectKind::Ellipse:
        paintShape(painter, object, box, lookScale);
        return;
    }
}

} // namespace mivanta
