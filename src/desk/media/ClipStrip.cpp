// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/media/ClipStrip.h"
#include "desk/kit/Style.h"
#include <QKeyEvent>
#include <QMouseEvent>
#include <QPainter>
#include <algorithm>

namespace mivanta {

namespace {

constexpr double kReach = 8;      // px around a handle
constexpr double kHandle = 4;     // px, its width
constexpr double kShortest = 0.1; // seconds, of what is played
constexpr double kStep = 1;       // seconds, of an arrow key
constexpr double kLargeStep = 10;

} // namespace

ClipStrip::ClipStrip(QWidget* parent) : QWidget(parent) {
    setObjectName(QStringLiteral("clip-strip"));
    setAccessibleName(tr("The part of it that is played"));
    setToolTip(
        tr("Drag the handles to choose what is played of it; click to go there. Arrow keys go to and fro, "
           "[ and ] set the begin and the end."));
    setFocusPolicy(Qt::StrongFocus);
    setSizePolicy(QSizePolicy::Expanding, QSizePolicy::Fixed);
}

QSize ClipStrip::sizeHint() const {
    return {spaced(50), spaced(9)};
}

void ClipStrip::setClip(double length, double from, double to) {
    m_length = length;
    if (m_grip == Grip::None || m_grip == Grip::Place) {
        m_from = from;
        m_to = to;
    }
    setEnabled(length > 0);
    update();
}

void ClipStrip::setPosition(double seconds) {
    m_position = seconds;
    update();
}

void ClipStrip::setMoments(std::vector<QImage> moments) {
    m_moments = std::move(moments);
    update();
}

double ClipStrip::xOf(double seconds) const {
    return m_length > 0 ? seconds / m_length * width() : 0;
}

double ClipStrip::secondsAt(double x) const {
    return std::clamp(x / std::max(1, width()), 0.0, 1.0) * m_length;
}

ClipStrip::Grip ClipStrip::gripAt(double x) const {
    const double from = std::abs(x - xOf(m_from));
    const double to = std::abs(x - xOf(end()));
    if (std::min(from, to) > kReach)
        return Grip::Place;
    return from < to ? Grip::From : Grip::To;
}

void ClipStrip::setFrom(double seconds) {
    m_from = std::clamp(seconds, 0.0, std::max(0.0, end() - kShortest));
    update();
}

/// At its very end there is none of its own.
void ClipStrip::setTo(double seconds) {
    const double to = std::clamp(seconds, m_from + kShortest, m_length);
    m_to = to >= m_length - kShortest / 2 ? 0 : to;
    update();
}

void ClipStrip::move(double x) {
    const double seconds = secondsAt(x);
    if (m_grip == Grip::From)
        setFrom(seconds);
    else if (m_grip == Grip::To)
        setTo(seconds);
    Q_EMIT sought(seconds);
}

void ClipStrip::mousePressEvent(QMouseEvent* event) {
    if (event->button() != Qt::LeftButton)
        return;
    m_grip = gripAt(event->position().x());
    move(event->position().x());
}

void ClipStrip::mouseMoveEvent(QMouseEvent* event) {
    if (event->buttons() & Qt::LeftButton)
        move(event->position().x());
}

void ClipStrip::mouseReleaseEvent(QMouseEvent*) {
    const Grip was = std::exchange(m_grip, Grip::None);
    if (was == Grip::From || was == Grip::To)
        Q_EMIT clipChanged(m_from, m_to);
}

void ClipStrip::keyPressEvent(QKeyEvent* event) {
    const double step = event->modifiers() & Qt::ShiftModifier ? kLargeStep : kStep;
    switch (event->key()) {
    case Qt::Key_Left:
        Q_EMIT sought(std::max(0.0, m_position - step));
        return;
    case Qt::Key_Right:
        Q_EMIT sought(std::min(m_length, m_position + step));
        return;
    case Qt::Key_Home:
        Q_EMIT sought(m_from);
        return;
    case Qt::Key_Space:
        Q_EMIT playWanted();
        return;
    case Qt::Key_BracketLeft:
        setFrom(m_position);
        Q_EMIT clipChanged(m_from, m_to);
        return;
    case Qt::Key_BracketRight:
        setTo(m_position);
        Q_EMIT clipChanged(m_from, m_to);
        return;
    default:
        QWidget::keyPressEvent(event);
    }
}

void ClipStrip::paintEvent(QPaintEvent*) {
    QPainter painter(this);
    painter.setRenderHint(QPainter::SmoothPixmapTransform);
    painter.fillRect(rect(), day().line);
    paintMoments(painter, rect(), m_moments);
    if (m_length <= 0)
        return;
    QColor veil = day().side;
    veil.setAlpha(190);
    const double from = xOf(m_from);
    const double to = xOf(end());
    painter.fillRect(QRectF(0, 0, from, height()), veil);
    painter.fillRect(QRectF(to, 0, width() - to, height()), veil);
    painter.fillRect(QRectF(std::max(0.0, from - kHandle / 2), 0, kHandle, height()), day().marker);
    painter.fillRect(QRectF(std::min(width() - kHandle, to - kHandle / 2), 0, kHandle, height()),
                     day().marker);
    const double place = std::clamp(xOf(m_position), 1.0, width() - 1.0);
    painter.fillRect(QRectF(place - 2, 0, 4, height()), Qt::white);
    painter.fillRect(QRectF(place - 1, 0, 2, height()), day().text);
    if (hasFocus()) {
        painter.setPen(QPen(day().accent, 2));
        painter.drawRect(rect().adjusted(1, 1, -1, -1));
    }
}

} // namespace mivanta

#include "moc_ClipStrip.cpp"
