// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/setup/HallView.h"
#include "desk/kit/Style.h"
#include <QPainter>
#include <QPainterPath>
#include <algorithm>
#include <cmath>

namespace mivanta {

namespace {
constexpr double kEyes = 1.2;       // metres above the floor, of someone who sits
constexpr double kScreenFoot = 1.6; // metres above the floor, of a screen's lower edge
constexpr int kPeopleRows = 4;
} // namespace

HallView::HallView(QWidget* parent) : QWidget(parent) {
    setObjectName(QStringLiteral("hall-view"));
    setSizePolicy(QSizePolicy::Expanding, QSizePolicy::Fixed);
}

QSize HallView::sizeHint() const {
    return {spaced(150), spaced(58)};
}

void HallView::setHall(const Output& output, const LetterHeights& letters) {
    m_output = output;
    m_letters = letters;
    m_legibility = legibilityOf(letters, output);
    setAccessibleName(tr("%1 from the side: %2").arg(output.label(), verdict()));
    setToolTip(accessibleName());
    update();
}

QString HallView::verdict() const {
    const double metres = m_letters.capital * m_output.pictureHeight;
    return tr("letters %1 m \u2192 %2 arc-minutes at the back: %3")
        .arg(metres, 0, 'f', 2)
        .arg(std::lround(m_legibility.arcMinutes))
        .arg(m_legibility.isLargeEnough()
                 ? tr("clear")
                 : tr("too small, they read to %1 m").arg(std::floor(m_legibility.readsTo)));
}

void HallView::paintPerson(QPainter& painter, double x, double floor, double metre, bool isLast) const {
    const double unit = std::clamp(metre, 14.0, 34.0);
    painter.setPen(Qt::NoPen);
    painter.setBrush(isLast ? day().text : day().quiet);
    painter.drawEllipse(QPointF(x, floor - 1.2 * unit), 0.2 * unit, 0.2 * unit);
    painter.drawRoundedRect(QRectF(x - 0.17 * unit, floor - 0.95 * unit, 0.34 * unit, 0.95 * unit),
                            0.15 * unit, 0.15 * unit);
}

void HallView::paintEvent(QPaintEvent*) {
    QPainter painter(this);
    painter.setRenderHint(QPainter::Antialiasing);
    painter.fillRect(rect(), day().sheet);
    painter.setPen(day().accent);
    painter.setFont(textFont(1.0, TextWeight::Bold));
    const int margin = spaced(4);
    painter.drawText(QRect(margin, spaced(2), width() - 2 * margin, spaced(6)),
                     Qt::AlignLeft | Qt::AlignVCenter,
                     tr("Who can read it \u00b7 %1 from the side").arg(m_output.label()));

    // The way to the back row fills the width; heights are drawn in the same measure where there is room for
    // it.
    const double floor = height() - spaced(12);
    const double left = margin + spaced(6);
    const double right = width() - margin - spaced(14);
    const double top = spaced(15);
    const double metre =
        std::min((right - left) / m_output.backRow, (floor - top) / (kScreenFoot + m_output.pictureHeight));
    const double screenTop = floor - (kScreenFoot + m_output.pictureHeight) * metre;
    const QRectF screen(left - spaced(2), screenTop, spaced(2), m_output.pictureHeight * metre);
    const double unit = std::clamp(metre, 14.0, 34.0);
    const QPointF eye(right, floor - kEyes * unit);

    const bool isClear = m_legibility.isLargeEnough();
    QPainterPath beam(screen.topRight() + QPointF(0, screen.height() * 0.2));
    beam.lineTo(eye - QPointF(0, 3));
    beam.lineTo(eye + QPointF(0, 3));
    beam.lineTo(screen.topRight() + QPointF(0, screen.height() * 0.45));
    beam.closeSubpath();
    painter.fillPath(beam, isClear ? QColor(0xff, 0xe1, 0xa8) : QColor(0xf3, 0xc9, 0xc2));
    painter.fillRect(screen, day().accent);
    painter.setPen(QPen(QColor(0x8a, 0x7f, 0x66), 2));
    painter.drawLine(QPointF(margin, floor), QPointF(width() - margin, floor));
    for (int row = 1; row <= kPeopleRows; ++row)
        paintPerson(painter, left + (right - left) * row / kPeopleRows, floor, metre, row == kPeopleRows);

    painter.setFont(textFont(0.9));
    painter.setPen(day().text);
    painter.drawText(QPointF(margin, screenTop - spaced(1.5)),
                     tr("picture %1 m high").arg(QString::number(m_output.pictureHeight)));
    painter.drawText(QRectF(right - spaced(40), eye.y() - spaced(9), spaced(54), spaced(5)),
                     Qt::AlignRight | Qt::AlignVCenter,
                     tr("back row %1 m").arg(QString::number(m_output.backRow)));
    painter.setPen(QPen(day().quiet, 1, Qt::DashLine));
    painter.drawLine(QPointF(left, floor + spaced(2.5)), QPointF(right, floor + spaced(2.5)));
    painter.setPen(isClear ? day().text : day().warning);
    painter.drawText(QRectF(margin, floor + spaced(4), width() - 2 * margin, spaced(6)), Qt::AlignCenter,
                     verdict());
}

} // namespace mivanta

#include "moc_HallView.cpp"
