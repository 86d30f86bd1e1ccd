// SPDX-License-Identifier: GPL-3.0-or-later
#include "player/Turning.h"
#include <algorithm>

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

void drawFront(QPainter& painter, const Frame& frame, QPoint origin, double opacity) {
    if (frame.front.isNull() || opacity <= 0)
        return;
    painter.setOpacity(opacity);
    painter.drawImage(origin + frame.frontAt, frame.front);
    painter.setOpacity(1.0);
}

/// Both mixed so that what is alike in them stays as it is.
void drawMixed(QPainter& painter, const Frame& from, const Frame& to, QPoint origin, double progress) {
    const QRect area = from.frontArea() | to.frontArea();
    if (area.isEmpty())
        return;
    QImage mixed(area.size(), QImage::Format_ARGB32_Premultiplied);
    mixed.fill(Qt::transparent);
    {
        // Source with an opacity is the mean of both, so 0.5 white and 0.5 white is white.
        QPainter mixer(&mixed);
        mixer.translate(-area.topLeft());
        mixer.setCompositionMode(QPainter::CompositionMode_Source);
        drawFront(mixer, from, {}, 1.0);
        drawFront(mixer, to, {}, progress);
        mixer.setOpacity(progress);
        for (const QRect& rest : QRegion(from.frontArea()) - to.frontArea())
            mixer.fillRect(rest, Qt::transparent);
    }
    painter.drawImage(origin + area.topLeft(), mixed);
}

} // namespace

Turning::Turning(FramePtr from, FramePtr to, const Transition& words, const Transition& backdrop)
    : m_from(std::move(from)),
      m_to(std::move(to)),
      m_words(words),
      m_backdrop(backdrop) {}

bool Turning::backdropStays() const {
    return m_from->behind && m_to->behind && m_from->behind->key == m_to->behind->key;
}

int Turning::duration() const {
    return std::max(durationOf(m_words), backdropStays() ? 0 : durationOf(m_backdrop));
}

void Turning::paintBackdrop(QPainter& painter, QRect area, double progress) const {
    const QImage& to = m_to->behind->image;
    if (backdropStays() || progress >= 1.0) {
        painter.drawImage(area.topLeft(), to);
        return;
    }
    const QImage& from = m_from->behind->image;
    switch (m_backdrop.kind) {
    case TransitionKind::Cut:
        painter.drawImage(area.topLeft(), to);
        return;
    case TransitionKind::Fade:
        painter.drawImage(area.topLeft(), from);
        painter.setOpacity(progress);
        painter.drawImage(area.topLeft(), to);
        break;
    case TransitionKind::FadeThrough: {
        const Colour& c = m_backdrop.through;
        painter.fillRect(area, QColor(c.red, c.green, c.blue));
        painter.setOpacity(std::abs(2 * progress - 1));
        painter.drawImage(area.topLeft(), progress < 0.5 ? from : to);
        break;
    }
    case TransitionKind::Push: {
        const QPoint coming = pushOffset(m_backdrop.from, area.size(), progress);
        painter.drawImage(area.topLeft() + pushedOut(m_backdrop.from, area.size(), coming), from);
        painter.drawImage(area.topLeft() + coming, to);
        break;
    }
    }
    painter.setOpacity(1.0);
}

void Turning::paintFront(QPainter& painter, QPoint origin, double progress) const {
    if (progress >= 1.0 || m_words.kind == TransitionKind::Cut) {
        drawFront(painter, *m_to, origin, 1.0);
        return;
    }
    if (m_words.kind == TransitionKind::Fade) {
        drawMixed(painter, *m_from, *m_to, origin, progress);
    } else if (m_words.kind == TransitionKind::FadeThrough) {
        drawFront(painter, progress < 0.5 ? *m_from : *m_to, origin, std::abs(2 * progress - 1));
    } else {
        const QPoint coming = pushOffset(m_words.from, size(), progress);
        drawFront(painter, *m_from, origin + pushedOut(m_words.from, size(), coming), 1.0);
        drawFront(painter, *m_to, origin + coming, 1.0);
    }
}

void Turning::paint(QPainter& painter, QPoint origin, int elapsed) const {
    paintBackdrop(painter, {origin, size()}, progressOf(m_backdrop, elapsed));
    paintFront(painter, origin, progressOf(m_words, elapsed));
}

QRect Turning::changedSince(int before) const {
    const bool backdropMoved = !backdropStays() && before < durationOf(m_backdrop);
    if (backdropMoved || m_words.kind == TransitionKind::Push)
        return {};
    return m_from->frontArea() | m_to->frontArea();
}

FramePtr Turning::frozen(int elapsed) const {
    auto frame = std::make_shared<Frame>(*m_to);
    frame->small = smallPicture(elapsed);
    if (!m_to->behind)
        return frame;
    const QRect area(QPoint(0, 0), size());
    const double backdrop = progressOf(m_backdrop, elapsed);
    if (!backdropStays() && backdrop < 1.0) {
        auto behind = std::make_shared<BehindLayer>(*m_to->behind);
        behind->key.clear(); // like no other
        QPainter painter(&behind->image);
        paintBackdrop(painter, area, backdrop);
        frame->behind = behind;
    }
    frame->front = QImage(area.size(), QImage::Format_ARGB32_Premultiplied);
    frame->front.fill(Qt::transparent);
    frame->frontAt = {};
    QPainter painter(&frame->front);
    paintFront(painter, {}, progressOf(m_words, elapsed));
    return frame;
}

QImage Turning::smallPicture(int elapsed) const {
    const double progress = std::min(progressOf(m_words, elapsed), progressOf(m_backdrop, elapsed));
    if (progress >= 1.0 || m_from->small.size() != m_to->small.size())
        return m_to->small;
    QImage mixed = m_from->small;
    QPainter painter(&mixed);
    painter.setCompositionMode(QPainter::CompositionMode_Source);
    painter.setOpacity(progress);
    painter.drawImage(0, 0, m_to->small);
    return mixed;
}

} // namespace mivanta
