// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/run/FilmStrip.h"
#include "desk/kit/Style.h"
#include <QMouseEvent>
#include <QPainter>
#include <algorithm>

namespace mivanta {

FilmStrip::FilmStrip(QWidget* parent) : QWidget(parent) {
    setObjectName(QStringLiteral("film-strip"));
    setAccessibleName(tr("The film, and where it stands"));
    setToolTip(tr("Click to go there"));
    setCursor(Qt::PointingHandCursor);
    setSizePolicy(QSizePolicy::Expanding, QSizePolicy::Fixed);
}

void FilmStrip::clearMoments() {
    m_moments.assign(kMoments, {});
    update();
}

void FilmStrip::setMoment(size_t number, const QImage& picture) {
    m_moments.at(number) = picture;
    update();
}

void FilmStrip::setPlace(double from, double to, double position) {
    m_from = from;
    m_to = to;
    m_position = position;
    update();
}

QSize FilmStrip::sizeHint() const {
    return {spaced(100), spaced(15)};
}

void FilmStrip::paintEvent(QPaintEvent*) {
    QPainter painter(this);
    painter.setRenderHint(QPainter::SmoothPixmapTransform);
    painter.fillRect(rect(), night().sheet);
    paintMoments(painter, rect(), m_moments);
    const double share = m_to > m_from ? std::clamp((m_position - m_from) / (m_to - m_from), 0.0, 1.0) : 0;
    const double x = share * width();
    painter.fillRect(QRectF(0, 0, x, height()), QColor(0, 0, 0, 140)); // what has been seen
    painter.setPen(QPen(night().marker, 2));
    painter.drawRect(rect().adjusted(1, 1, -1, -1));
    painter.fillRect(QRectF(x - 1.5, 0, 3, height()), night().marker);
}

double FilmStrip::secondsAt(double x) const {
    return m_from + (m_to - m_from) * std::clamp(x / std::max(1, width()), 0.0, 1.0);
}

void FilmStrip::mousePressEvent(QMouseEvent* event) {
    if (event->button() == Qt::LeftButton)
        Q_EMIT clicked(secondsAt(event->position().x()));
}

void FilmStrip::mouseMoveEvent(QMouseEvent* event) {
    if (event->buttons() & Qt::LeftButton)
        Q_EMIT clicked(secondsAt(event->position().x()));
}

} // namespace mivanta

#include "moc_FilmStrip.cpp"
