// SPDX-License-Identifier: GPL-3.0-or-later
#include "render/ObjectPainter.h"
#include "core/base/Cases.h"
#include "core/base/MediaName.h"
#include "core/base/Said.h"
#include "core/live/LiveInput.h"
#include "core/theme/StageField.h"
#include "render/Fonts.h"
#include "render/Letters.h"
#include <QFontMetricsF>
#include <QPainterPath>
#include <QScopeGuard>
#include <cmath>

namespace mivanta {

namespace {

constexpr int kSmallest = 6;   // px, that letters shrink to
constexpr double kTelling = 2; // seconds after its begin a film is likely to look like itself
constexpr int kPreviewSeconds = 300;
constexpr int kPreviewElapsed = 128;
const QTime kPreviewTime(10, 30);

/// Letters in the largest size up to the object's that fits its box.
void paintText(QPainter& painter, const ObjectLetters& letters, const QString& text, const QRectF& box,
               double lookScale) {
    if (text.isEmpty())
        return;
    const int side = letters.align == HorizontalAlign::Left    ? Qt::AlignLeft
                     : letters.align == HorizontalAlign::Right ? Qt::AlignRight
                                                               : Qt::AlignHCenter;
    const int flags = side | Qt::AlignVCenter | Qt::TextWordWrap;
    const auto fits = [&](int size) {
        const QFontMetricsF metrics(slideFont({}, letters.weight, size));
        const QRectF bounds = metrics.boundingRect(QRectF(0, 0, box.width(), 1e6), flags, text);
        return bounds.width() <= box.width() && bounds.height() <= box.height();
    };
    int size = kSmallest;
    for (int low = kSmallest, high = std::max(kSmallest, int(std::lround(letters.size * lookScale)));
         low <= high;) {
        const int middle = (low + high) / 2;
        if (fits(middle)) {
            size = middle;
            low = middle + 1;
        } else {
            high = middle - 1;
        }
    }
    painter.setFont(slideFont({}, letters.weight, size));
    painter.setPen(toColor(letters.colour));
    painter.drawText(box, flags, text);
}

/// Room inside a shape's edge, with the painter set to draw both.
QRectF insideEdge(QPainter& painter, const ObjectEdge& edge, const Colour& fill, const QRectF& box,
                  double lookScale) {
    const double width = edge.width * lookScale;
    const bool hasEdge = width > 0 && edge.colour.alpha > 0;
    painter.setPen(hasEdge ? QPen(toColor(edge.colour), width) : QPen(Qt::NoPen));
    painter.setBrush(toColor(fill));
    const double inset = hasEdge ? width / 2 : 0; // the edge stays inside the box
    return box.adjusted(inset, inset, -inset, -inset);
}

void paintPicture(QPainter& painter, const PictureObject& object, const QRectF& box,
                  const RenderSources& sources) {
    const QSize wanted = painter.deviceTransform().mapRect(box).size().toSize();
    const QImage picture = sources.pictureNamed(object.name, wanted);
    if (picture.isNull())
        return;
    const QSizeF size = QSizeF(picture.size()).scaled(box.size(), Qt::KeepAspectRatio);
    painter.setRenderHint(QPainter::SmoothPixmapTransform);
    painter.drawImage(QRectF(box.center() - QPointF(size.width(), size.height()) / 2, size), picture);
}

/// The box of an object, with the painter's origin in its middle, turned as the object is.
QRectF moveInto(QPainter& painter, const SlideObject& object, QSize size) {
    QRectF box = onPicture(object.box, size);
    painter.setRenderHint(QPainter::Antialiasing);
    painter.setOpacity(painter.opacity() * object.opacity);
    painter.translate(box.center());
    painter.rotate(object.rotation);
    box.moveCenter({0, 0});
    return box;
}

/// As much of the picture as fills the box.
void paintFilling(QPainter& painter, double roundness, const QImage& picture, const QRectF& box) {
    if (roundness > 0) {
        QPainterPath frame;
        frame.addRoundedRect(box, roundness, roundness);
        painter.setClipPath(frame, Qt::IntersectClip);
    }
    const QSizeF seen = box.size().scaled(picture.size(), Qt::KeepAspectRatio);
    const QPointF corner((picture.width() - seen.width()) / 2, (picture.height() - seen.height()) / 2);
    painter.setRenderHint(QPainter::SmoothPixmapTransform);
    painter.drawImage(box, picture, {corner, seen});
}

/// Nothing without a picture: an empty frame would be a riddle.
void paintMoving(QPainter& painter, const SlideObject& object, const QImage& picture, const QRectF& box,
                 double lookScale) {
    if (picture.isNull())
        return;
    const double roundness = *object.roundness() * lookScale;
    painter.save();
    paintFilling(painter, roundness, picture, box);
    painter.restore();
    if (const ObjectEdge* edge = object.edge()) {
        const QRectF inside = insideEdge(painter, *edge, {0, 0, 0, 0}, box, lookScale);
        painter.drawRoundedRect(inside, roundness, roundness);
    }
}

/// One of its moments; while it plays, its pictures are painted by who plays it.
void paintMoment(QPainter& painter, const SlideObject& object, const QRectF& box, double lookScale,
                 const RenderSources& sources) {
    const auto& film = std::get<FilmObject>(object.what);
    const QSize wanted = painter.deviceTransform().mapRect(box).size().toSize();
    const double end = film.to > 0 ? film.to : film.from + 2 * kTelling;
    QImage moment = sources.pictureNamed( // the first picture is often black
        filmMomentName(film.name, std::min(film.from + kTelling, (film.from + end) / 2)), wanted);
    if (moment.isNull()) // it is shorter
        moment = sources.pictureNamed(filmMomentName(film.name, film.from), wanted);
    paintMoving(painter, object, moment, box, lookScale);
}

void paintScreenFrame(QPainter& painter, const QRectF& box, double lookScale) {
    painter.fillRect(box, QColor(23, 34, 40));
    painter.setPen(QPen(QColor(92, 196, 184), std::max(1.0, 3 * lookScale), Qt::DashLine));
    painter.drawRect(box);
    ObjectLetters label;
    label.colour = {232, 226, 212, 255};
    paintText(painter, label, Said::tr("What the hall shows"), box.adjusted(8, 8, -8, -8), lookScale);
}

/// "2:08", "1:02:08".
QString durationFigures(int seconds) {
    const QString minutes = QStringLiteral("%1:%2")
                                .arg(seconds / 60 % 60, seconds >= 3600 ? 2 : 1, 10, QChar(u'0'))
                                .arg(seconds % 60, 2, 10, QChar(u'0'));
    return seconds >= 3600 ? QString::number(seconds / 3600) + u':' + minutes : minutes;
}

} // namespace

namespace {

QString textOf(const CountdownObject& countdown, const QDateTime& now) {
    if (!now.isValid() && !countdown.ends && !countdown.seconds)
        return durationFigures(kPreviewSeconds);
    const auto known = secondsLeft(countdown, now.isValid() ? now.time() : kPreviewTime);
    int left = known.value_or(0);
    if (!now.isValid() && left == 0 && known)
        left = kPreviewSeconds; // a preview of one that would be over shows its figures, too
    return left <= 0 ? QString() : durationFigures(left);
}

} // namespace

QString liveText(const SlideObject& object, const QDateTime& now) {
    const QTime time = now.isValid() ? now.time() : kPreviewTime;
    return std::visit(Cases{[&](const ClockObject& clock) { return time.toString(clock.format); },
                            [&](const StopwatchObject& stopwatch) {
                                return durationFigures(now.isValid()
                                                           ? secondsSince(stopwatch, time).value_or(0)
                                                           : kPreviewElapsed);
                            },
                            [&](const CountdownObject& countdown) { return textOf(countdown, now); },
                            [](const auto&) { return QString(); }},
                      object.what);
}

void paintMovingObject(QPainter& painter, const SlideObject& object, const QImage& picture, QSize size,
                       double lookScale) {
    painter.save();
    const QRectF box = moveInto(painter, object, size);
    paintMoving(painter, object, picture, box, lookScale);
    painter.restore();
}

void paintObject(QPainter& painter, const SlideObject& object, QSize size, double lookScale,
                 const RenderSources& sources) {
    painter.save();
    const auto restore = qScopeGuard([&] { painter.restore(); });
    const QRectF box = moveInto(painter, object, size);
    const auto write = [&](const ObjectLetters& letters, const QString& text) {
        paintText(painter, letters, text, box, lookScale);
    };
    const auto writeTime = [&](const auto& what) { write(what.letters, liveText(object, sources.now)); };
    std::visit(
        Cases{[&](const PictureObject& picture) { paintPicture(painter, picture, box, sources); },
              [&](const TextObject& text) { write(text.letters, text.text); },
              [&](const FieldObject& field) { // a preview: what runs has texts in its place
                  if (const StageField* known = stageFieldOf(field.key))
                      write(field.letters, known->sampleText());
              },
              [&](const ClockObject& clock) { writeTime(clock); },
              [&](const CountdownObject& countdown) { writeTime(countdown); },
              [&](const StopwatchObject& stopwatch) { writeTime(stopwatch); },
              [&](const ScreenObject&) { paintScreenFrame(painter, box, lookScale); }, // a preview, too
              [&](const FilmObject&) { paintMoment(painter, object, box, lookScale, sources); },
              [&](const LiveObject& live) { // what it showed lately
                  const QSize wanted = painter.deviceTransform().mapRect(box).size().toSize();
                  paintMoving(painter, object, sources.pictureNamed(livePictureName(live.input), wanted), box,
                              lookScale);
              },
              [&](const LineObject& line) {
                  painter.setPen(QPen(toColor(line.colour), std::max(1.0, line.width * lookScale),
                                      Qt::SolidLine, Qt::RoundCap));
                  painter.drawLine(QPointF(box.left(), 0), QPointF(box.right(), 0));
              },
              [&](const RectangleObject& rectangle) {
                  const QRectF inside = insideEdge(painter, rectangle.edge, rectangle.fill, box, lookScale);
                  const double roundness = rectangle.roundness * lookScale;
                  painter.drawRoundedRect(inside, roundness, roundness);
              },
              [&](const EllipseObject& ellipse) {
                  painter.drawEllipse(insideEdge(painter, ellipse.edge, ellipse.fill, box, lookScale));
              }},
        object.what);
}

} // namespace mivanta
