// SPDX-License-Identifier: GPL-3.0-or-later
#include "player/Turning.h"
#include "support/Golden.h"
#include "support/Text.h"
#include <rapidcheck/gtest.h>

namespace mivanta {
namespace {

const QSize kTurnedSize(48, 27);

QColor anyColor(bool opaque) {
    const auto channel = [] { return *rc::gen::inRange(0, 256); };
    return QColor(channel(), channel(), channel(), opaque ? 255 : channel());
}

LayerPart anyPart() {
    if (*rc::gen::inRange(0, 4) == 0)
        return {};
    const QSize size(*rc::gen::inRange(1, 30), *rc::gen::inRange(1, 20));
    const QPoint at(*rc::gen::inRange(0, kTurnedSize.width() - size.width() + 1),
                    *rc::gen::inRange(0, std::max(1, kTurnedSize.height() - size.height() + 1)));
    LayerPart part{QImage(size, QImage::Format_ARGB32_Premultiplied), at};
    part.image.fill(anyColor(false));
    return part;
}

BehindPtr anyBehind(const QByteArray& key) {
    auto layer = std::make_shared<BehindLayer>();
    layer->key = key;
    layer->image = QImage(kTurnedSize, QImage::Format_RGB32);
    layer->image.fill(anyColor(true));
    layer->layer = layer->image;
    return layer;
}

/// With up to two objects of their own fades, and the front that they make together.
FramePtr anyFrame(const QByteArray& key, const BehindPtr& behind, const std::vector<ObjectLayer>& objects) {
    auto frame = std::make_shared<Frame>();
    frame->key = key;
    frame->behind = behind;
    frame->words = anyPart();
    QImage front(kTurnedSize, QImage::Format_ARGB32_Premultiplied);
    front.fill(Qt::transparent);
    {
        QPainter painter(&front);
        if (!frame->words.image.isNull())
            painter.drawImage(frame->words.at, frame->words.image);
        for (const ObjectLayer& object : objects)
            if (*rc::gen::arbitrary<bool>()) {
                frame->fading.push_back(object);
                painter.drawImage(object.picture.at, object.picture.image);
            }
    }
    QRect used = frame->words.area();
    for (const ObjectLayer& object : frame->fading)
        used |= object.picture.area();
    if (!used.isEmpty())
        frame->front = {front.copy(used), used.topLeft()}; // no more than what holds something
    frame->small = behind->image;
    return frame;
}

std::vector<ObjectLayer> someObjects() {
    std::vector<ObjectLayer> objects;
    for (int i = 0; i < 2; ++i) {
        ObjectLayer layer;
        layer.object.what = TextObject{QString::number(i)}; // unlike the other
        layer.object.fadeIn = *rc::gen::inRange(0, 300);
        layer.object.fadeOut = *rc::gen::inRange(0, 300);
        layer.picture = {QImage(8, 8, QImage::Format_ARGB32_Premultiplied), {4 + 20 * i, 6}};
        layer.picture.image.fill(anyColor(true));
        if (layer.object.fadesItself())
            objects.push_back(layer);
    }
    return objects;
}

Transition anyTransition() {
    Transition transition;
    transition.kind = TransitionKind(*rc::gen::inRange(0, 4));
    transition.milliseconds = *rc::gen::inRange(0, 400);
    transition.easing = Easing(*rc::gen::inRange(0, 4));
    transition.from = PushFrom(*rc::gen::inRange(0, 4));
    return transition;
}

QImage atRest(const Frame& frame) {
    QImage image = frame.behind->image.copy();
    if (!frame.front.image.isNull())
        QPainter(&image).drawImage(frame.front.at, frame.front.image);
    return image;
}

QImage paintedOver(const Turning& turning, int elapsed, const QImage& over = {}, const QRect& part = {}) {
    QImage image = over.isNull() ? QImage(kTurnedSize, QImage::Format_RGB32) : over.copy();
    QPainter painter(&image);
    if (!part.isNull())
        painter.setClipRect(part);
    turning.paint(painter, {}, elapsed);
    return image;
}

struct Case {
    FramePtr from;
    FramePtr to;
    Turning turning;
};

Case anyCase() {
    const auto objects = someObjects();
    const BehindPtr first = anyBehind("first");
    const BehindPtr second = *rc::gen::arbitrary<bool>() ? first : anyBehind("second");
    const FramePtr from = anyFrame("from", first, objects);
    const FramePtr to = anyFrame("to", second, objects);
    const Transition words = anyTransition();
    return {from, to, Turning(from, to, words, *rc::gen::arbitrary<bool>() ? words : anyTransition())};
}

RC_GTEST_PROP(AnyTurning, EndsWithTheNewPicture, ()) {
    const Case made = anyCase();
    const int end = made.turning.duration();
    RC_ASSERT(difference(paintedOver(made.turning, end), atRest(*made.to), 3).share == 0);
    RC_ASSERT(difference(paintedOver(made.turning, end + 5000), atRest(*made.to), 3).share == 0);
}

RC_GTEST_PROP(AnyTurning, WhatIsDrawnInPartsIsWhatIsDrawnWhole, ()) {
    // The player draws only what may have changed; the screen must be as if it had drawn everything.
    const Case made = anyCase();
    QImage screen = paintedOver(made.turning, 0);
    int before = 0;
    for (int at = *rc::gen::inRange(1, 60); at < made.turning.duration() + 60; at += 37) {
        screen = paintedOver(made.turning, at, screen, made.turning.changedSince(before));
        before = at;
        RC_ASSERT(difference(screen, paintedOver(made.turning, at), 1).share == 0);
    }
}

RC_GTEST_PROP(AnyTurning, WhatIsFrozenIsWhatWasSeen, ()) {
    const Case made = anyCase();
    RC_PRE(made.turning.duration() > 0);
    const int at = *rc::gen::inRange(0, made.turning.duration() + 1);
    const FramePtr frozen = made.turning.frozen(at);
    RC_ASSERT(difference(atRest(*frozen), paintedOver(made.turning, at), 4).share == 0);
}

} // namespace
} // namespace mivanta
