// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/theme/ObjectKinds.h"
#include "core/theme/StageField.h"
#include <algorithm>
#include <array>

namespace mivanta {

namespace {

SlideObject inFront(ObjectWhat what, QRectF box = SlideObject().box) {
    SlideObject object;
    object.what = std::move(what);
    object.box = box;
    object.inFront = true;
    return object;
}

SlideObject behindWords(ObjectWhat what) {
    SlideObject object;
    object.what = std::move(what);
    return object;
}

constexpr QRectF kCorner(0.75, 0.05, 0.2, 0.1); ///< where times are out of the way
constexpr QSizeF kFilmBox(0.4, 0.4);            ///< at most
constexpr double kScreenShape = 16.0 / 9;

SlideObject countdownToHalfPastTen() {
    CountdownObject countdown;
    countdown.ends = QTime(10, 30);
    return inFront(countdown, kCorner);
}

const std::array<ObjectKind, std::variant_size_v<ObjectWhat>> kKinds{{
    {"picture", QT_TRANSLATE_NOOP("Said", "Picture"), [] { return inFront(PictureObject()); }},
    {"text", QT_TRANSLATE_NOOP("Said", "Text"), [] { return inFront(TextObject{Said::tr("Welcome")}); }},
    {"line", QT_TRANSLATE_NOOP("Said", "Line"), [] { return inFront(LineObject()); }},
    {"rectangle", QT_TRANSLATE_NOOP("Said", "Rectangle"), [] { return inFront(RectangleObject()); }},
    {"ellipse", QT_TRANSLATE_NOOP("Said", "Ellipse"), [] { return inFront(EllipseObject()); }},
    {"clock", QT_TRANSLATE_NOOP("Said", "Clock"), [] { return inFront(ClockObject(), kCorner); }},
    {"countdown", QT_TRANSLATE_NOOP("Said", "Countdown"), &countdownToHalfPastTen},
    {"stopwatch", QT_TRANSLATE_NOOP("Said", "Time in this item"),
     [] { return inFront(StopwatchObject(), kCorner); }},
    {"field", QT_TRANSLATE_NOOP("Said", "Stage field"),
     [] { return inFront(FieldObject{QLatin1String(stageFields().front().key)}); }},
    {"screen", QT_TRANSLATE_NOOP("Said", "What the hall shows"),
     [] {
         return inFront(ScreenObject(), {0.68, 0.68, 0.3, 0.3});
     }},
    {"film", QT_TRANSLATE_NOOP("Said", "Film"), [] { return behindWords(FilmObject()); }},
    {"live", QT_TRANSLATE_NOOP("Said", "Live picture"), [] { return behindWords(LiveObject()); }},
}};

} // namespace

std::span<const ObjectKind> objectKinds() {
    return kKinds;
}

const ObjectKind& kindOf(const SlideObject& object) {
    return kKinds[object.what.index()];
}

SlideObject objectOf(const Medium& medium) {
    if (medium.kind != MediumKind::Film)
        return SlideObject::ofPicture(medium.name);
    SlideObject object = behindWords(FilmObject{medium.name, medium.from, medium.to});
    if (medium.facts && !medium.facts->size.isEmpty()) { // nothing of it is cut off
        const double shape = double(medium.facts->size.width()) / medium.facts->size.height();
        const QPointF middle = object.box.center();
        const QSizeF whole = QSizeF(shape / kScreenShape, 1).scaled(kFilmBox, Qt::KeepAspectRatio);
        object.box = {middle - QPointF(whole.width(), whole.height()) / 2, whole};
    }
    return object;
}

const ObjectKind* objectKind(const QString& key) {
    const auto at = std::find_if(kKinds.begin(), kKinds.end(),
                                 [&](const ObjectKind& kind) { return key == QLatin1String(kind.key); });
    return at == kKinds.end() ? nullptr : &*at;
}

} // namespace mivanta
