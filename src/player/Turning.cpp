// SPDX-License-Identifier: GPL-3.0-or-later
#include "player/Turning.h"
#include "player/Mix.h"
#include <algorithm>
#include <cmath>

namespace mivanta {

namespace {

double progressOf(const Transition& transition, int elapsed) {
    return transition.isCut() ? 1.0 : transition.progressAt(double(elapsed) / transition.milliseconds);
}

int durationOf(const Transition& transition) {
    return transition.isCut() ? 0 : transition.milliseconds;
}

/// How far what comes is still away, px.
QPoint pushOffset(PushFrom from, QSize size, double progress) {
    const double left = 1.0 - progress;
    switch (from) {
    case PushFrom::Right:
        return {int(size.width() * left), 0};
    case PushFrom::Left:
        return {-int(size.width() * left), 0};
    case PushFrom::Top:
        return {0, -int(size.height() * left)};
    case PushFrom::Bottom:
        return {0, int(size.height() * left)};
    }
    return {};
}

QPoint pushedOut(PushFrom from, QSize size, QPoint coming) {
    switch (from) {
    case PushFrom::Right:
        return coming - QPoint(size.width(), 0);
    case PushFrom::Left:
        return coming + QPoint(size.width(), 0);
    case PushFrom::Top:
        return coming + QPoint(0, size.height());
    case PushFrom::Bottom:
        return coming - QPoint(0, size.height());
    }
    return coming;
}

void draw(QPainter& painter, const LayerPart& part, QPoint origin, double opacity) {
    if (part.image.isNull() || opacity <= 0)
        return;
    painter.setOpacity(opacity);
    painter.drawImage(origin + part.at, part.image);
    painter.setOpacity(1.0);
}

bool holds(const Frame& frame, const SlideObject& object) {
    return std::any_of(frame.fading.begin(), frame.fading.end(),
                       [&](const ObjectLayer& layer) { return layer.object == object; });
}

bool moves(const Frame& frame, const SlideObject& object) {
    return std::any_of(frame.moving.begin(), frame.moving.end(),
                       [&](const MovingObject& moving) { return moving.object == object; });
}

int fadeOf(const SlideObject& object, bool comes) {
    return comes ? object.fadeIn : object.fadeOut;
}

/// Both mixed so that what is alike in them stays as it is.
void drawMixed(QPainter& painter, const LayerPart& from, const LayerPart& to, QPoint origin,
               double progress) {
    const QRect area = from.area() | to.area();
    if (area.isEmpty())
        return;
    QImage mixed(area.size(), QImage::Format_ARGB32_Premultiplied);
    mixed.fill(Qt::transparent);
    {
        // Source with an opacity is the mean of both, so 0.5 white and 0.5 white is white.
        QPainter mixer(&mixed);
        mixer.translate(-area.topLeft());
        mixer.setCompositionMode(QPainter::CompositionMode_Source);
        draw(mixer, from, {}, 1.0);
        draw(mixer, to, {}, progress);
        mixer.setCompositionMode(QPainter::CompositionMode_DestinationIn);
        for (const QRect& rest : QRegion(from.area()) - to.area())
            mixer.fillRect(rest, QColor(0, 0, 0, int(std::lround(255 * (1 - progress)))));
    }
    painter.drawImage(origin + area.topLeft(), mixed);
}

} // namespace

Turning::Turning(FramePtr from, FramePtr to, const Transition& words, const Transition& backdrop)
    : m_from(std::move(from)),
      m_to(std::move(to)),
      m_words(words),
      m_backdrop(backdrop) {
    if (m_from->behind && m_to->behind && fadesAsAWhole()) // else no window shows it
        makeWhole();
}

bool Turning::backdropStays() const {
    return m_from->behind && m_to->behind && m_from->behind->key == m_to->behind->key;
}

bool Turning::fadesAsAWhole() const {
    const auto same = [](const Transition& a, const Transition& b) {
        return a.kind == b.kind && a.milliseconds == b.milliseconds && a.easing == b.easing;
    };
    if (m_from->isMoving() || m_to->isMoving())
        return false; // what moves is different each time
    return m_words.kind == TransitionKind::Fade && !m_words.isCut() && m_from->fading.empty() &&
           m_to->fading.empty() && (backdropStays() || same(m_words, m_backdrop));
}

QRect Turning::mixedArea() const {
    return backdropStays() ? m_from->words.area() | m_to->words.area() : QRect(QPoint(0, 0), size());
}

void Turning::makeWhole() {
    const QRect area = mixedArea();
    if (area.isEmpty())
        return;
    const auto pictureOf = [&](const Frame& frame) {
        QImage picture = frame.behind->image.copy(area);
        QPainter words(&picture);
        draw(words, frame.words, -area.topLeft(), 1.0);
        return picture;
    };
    m_whole.from = pictureOf(*m_from);
    m_whole.to = pictureOf(*m_to);
    m_whole.mixed = m_whole.from.copy(); // its memory is there, too
}

void Turning::paintWhole(QPainter& painter, QPoint origin, double progress) const {
    const QRect area = mixedArea();
    for (const QRect& still : QRegion(QRect(QPoint(0, 0), size())) - area)
        painter.drawImage(origin + still.topLeft(), m_to->behind->image, still);
    if (area.isEmpty())
        return;
    mix(m_whole.mixed, m_whole.from, m_whole.to, std::clamp(progress, 0.0, 1.0));
    painter.drawImage(origin + area.topLeft(), m_whole.mixed);
}

int Turning::duration() const {
    int longest = std::max(durationOf(m_words), backdropStays() ? 0 : durationOf(m_backdrop));
    for (const ObjectLayer& layer : m_to->fading)
        if (!holds(*m_from, layer.object))
            longest = std::max(longest, layer.object.fadeIn);
    for (const ObjectLayer& layer : m_from->fading)
        if (!holds(*m_to, layer.object))
            longest = std::max(longest, layer.object.fadeOut);
    for (const MovingObject& moving : m_to->moving)
        if (!moves(*m_from, moving.object))
            longest = std::max(longest, moving.object.fadeIn);
    for (const MovingObject& moving : m_from->moving)
        if (!moves(*m_to, moving.object))
            longest = std::max(longest, moving.object.fadeOut);
    return longest;
}

void Turning::paintBackdrop(QPainter& painter, QRect area, double progress) const {
    const BehindLayer& to = *m_to->behind;
    if (backdropStays() || progress >= 1.0) {
        to.paint(painter, area.topLeft());
        return;
    }
    const BehindLayer& from = *m_from->behind;
    switch (m_backdrop.kind) {
    case TransitionKind::Cut:
        to.paint(painter, area.topLeft());
        return;
    case TransitionKind::Fade:
        from.paint(painter, area.topLeft());
        painter.setOpacity(progress);
        to.paint(painter, area.topLeft());
        break;
    case TransitionKind::FadeThrough: {
        const Colour& c = m_backdrop.through;
        painter.fillRect(area, QColor(c.red, c.green, c.blue));
        painter.setOpacity(std::abs(2 * progress - 1));
        (progress < 0.5 ? from : to).paint(painter, area.topLeft());
        break;
    }
    case TransitionKind::Push: {
        const QPoint coming = pushOffset(m_backdrop.from, area.size(), progress);
        from.paint(painter, area.topLeft() + pushedOut(m_backdrop.from, area.size(), coming));
        to.paint(painter, area.topLeft() + coming);
        break;
    }
    }
    painter.setOpacity(1.0);
}

void Turning::paintWords(QPainter& painter, QPoint origin, double progress) const {
    if (progress >= 1.0 || m_words.kind == TransitionKind::Cut) {
        draw(painter, m_to->words, origin, 1.0);
        return;
    }
    if (m_words.kind == TransitionKind::Fade) {
        drawMixed(painter, m_from->words, m_to->words, origin, progress);
    } else if (m_words.kind == TransitionKind::FadeThrough) {
        draw(painter, progress < 0.5 ? m_from->words : m_to->words, origin, std::abs(2 * progress - 1));
    } else {
        const QPoint coming = pushOffset(m_words.from, size(), progress);
        draw(painter, m_from->words, origin + pushedOut(m_words.from, size(), coming), 1.0);
        draw(painter, m_to->words, origin + coming, 1.0);
    }
}

double Turning::opacityOf(const SlideObject& object, bool comes, int elapsed) const {
    const int fade = fadeOf(object, comes);
    const double progress =
        fade > 0 ? std::clamp(double(elapsed) / fade, 0.0, 1.0) : progressOf(m_words, elapsed);
    return comes ? progress : 1.0 - progress;
}

void Turning::paintFading(QPainter& painter, QPoint origin, int elapsed) const {
    for (const ObjectLayer& layer : m_from->fading)
        if (!holds(*m_to, layer.object))
            draw(painter, layer.picture, origin, opacityOf(layer.object, false, elapsed));
    for (const ObjectLayer& layer : m_to->fading)
        draw(painter, layer.picture, origin,
             holds(*m_from, layer.object) ? 1.0 : opacityOf(layer.object, true, elapsed));
}

void Turning::paintMoving(QPainter& painter, QPoint origin, int elapsed) const {
    const auto draw = [&](const MovingObject& moving, double opacity) {
        painter.setOpacity(opacity);
        moving.paint(painter, origin, size());
        painter.setOpacity(1.0);
    };
    for (const MovingObject& moving : m_from->moving)
        if (!moves(*m_to, moving.object))
            draw(moving, opacityOf(moving.object, false, elapsed));
    for (const MovingObject& moving : m_to->moving)
        draw(moving, moves(*m_from, moving.object) ? 1.0 : opacityOf(moving.object, true, elapsed));
}

void Turning::paint(QPainter& painter, QPoint origin, int elapsed) const {
    if (fadesAsAWhole()) {
        paintWhole(painter, origin, progressOf(m_words, elapsed));
        return;
    }
    paintBackdrop(painter, {origin, size()}, progressOf(m_backdrop, elapsed));
    paintMoving(painter, origin, elapsed);
    paintWords(painter, origin, progressOf(m_words, elapsed));
    paintFading(painter, origin, elapsed);
}

QRect Turning::changedSince(int before) const {
    const bool backdropMoved = !backdropStays() && before < durationOf(m_backdrop);
    if (backdropMoved || m_words.kind == TransitionKind::Push || m_from->isMoving() || m_to->isMoving())
        return {};
    QRect area = m_from->front.area() | m_to->front.area();
    for (const FramePtr& frame : {m_from, m_to}) // one that the words hide is not part of them
        for (const ObjectLayer& layer : frame->fading)
            area |= layer.picture.area();
    return area;
}

FramePtr Turning::frozen(int elapsed) const {
    auto frame = std::make_shared<Frame>(*m_to);
    frame->small = smallPicture(elapsed);
    if (!m_to->behind)
        return frame;
    const QRect area(QPoint(0, 0), size());
    const double backdrop = progressOf(m_backdrop, elapsed);
    if (fadesAsAWhole() && !backdropStays() && backdrop < 1.0) {
        auto whole = std::make_shared<BehindLayer>(*m_to->behind);
        whole->key.clear();                 // like no other
        whole->image.fill(Qt::transparent); // as far as it is see-through
        QPainter painter(&whole->image);
        paint(painter, {}, elapsed);
        frame->behind = whole; // with the words in it
        frame->words = frame->front = {};
        return frame;
    }
    if (!backdropStays() && backdrop < 1.0) {
        auto behind = std::make_shared<BehindLayer>(*m_to->behind);
        behind->key.clear(); // like no other
        behind->film.reset();
        behind->filmPlace.reset();
        behind->image.fill(Qt::transparent);
        QPainter painter(&behind->image);
        paintBackdrop(painter, area, backdrop);
        frame->behind = behind;
    }
    // Objects that are fully there stay what they are; the others go on as a part of the words.
    std::erase_if(frame->fading, [&](const ObjectLayer& layer) {
        return !holds(*m_from, layer.object) && opacityOf(layer.object, true, elapsed) < 1.0;
    });
    QImage words(area.size(), QImage::Format_ARGB32_Premultiplied);
    words.fill(Qt::transparent);
    {
        QPainter painter(&words);
        std::erase_if(
            frame->moving, [&](const MovingObject& moving) { // those are in the picture from here on
                return !moves(*m_from, moving.object) && opacityOf(moving.object, true, elapsed) < 1.0;
            });
        for (const FramePtr& one : {m_from, m_to})
            for (const MovingObject& moving : one->moving)
                if (!moves(one == m_from ? *m_to : *frame, moving.object)) {
                    painter.setOpacity(opacityOf(moving.object, one == m_to, elapsed));
                    moving.paint(painter, {}, size());
                    painter.setOpacity(1.0);
                }
        paintWords(painter, {}, progressOf(m_words, elapsed));
        for (const FramePtr& one : {m_from, m_to})
            for (const ObjectLayer& layer : one->fading)
                if (!holds(one == m_from ? *m_to : *frame, layer.object))
                    draw(painter, layer.picture, {}, opacityOf(layer.object, one == m_to, elapsed));
    }
    frame->words = {words, {}};
    frame->front = {words, {}};
    QPainter painter(&frame->front.image);
    for (const ObjectLayer& layer : frame->fading)
        draw(painter, layer.picture, {}, 1.0);
    return frame;
}

QImage Turning::smallPicture(int elapsed) const {
    const double progress = std::min(progressOf(m_words, elapsed), progressOf(m_backdrop, elapsed));
    if (progress >= 1.0 || m_from->small.size() != m_to->small.size())
        return m_to->smallNow();
    QImage mixed = m_from->smallNow();
    QPainter painter(&mixed);
    painter.setCompositionMode(QPainter::CompositionMode_Source);
    painter.setOpacity(progress);
    painter.drawImage(0, 0, m_to->smallNow());
    return mixed;
}

} // namespace mivanta
