// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/parts/Chips.h"
#include "desk/parts/Style.h"
#include <QPainter>

namespace mivanta {

Chips::Chips(QWidget* parent) : QWidget(parent) {
    QSizePolicy policy(QSizePolicy::Preferred, QSizePolicy::Preferred);
    policy.setHeightForWidth(true);
    setSizePolicy(policy);
}

void Chips::setChips(std::vector<PartChip> chips) {
    m_chips = std::move(chips);
    QStringList names;
    for (const PartChip& chip : m_chips)
        names << chip.label;
    setAccessibleName(tr("Singing order: %1").arg(names.join(u' ')));
    updateGeometry();
    update();
}

std::vector<QRect> Chips::layoutFor(int width) const {
    const QFontMetrics metrics(textFont(1.0, true));
    const int height = spaced(6.5);
    const int gap = spaced(1.5);
    std::vector<QRect> rects;
    int x = 0;
    int y = 0;
    for (const PartChip& chip : m_chips) {
        const int wide = metrics.horizontalAdvance(chip.label) + spaced(5);
        if (x > 0 && x + wide > width) {
            x = 0;
            y += height + gap;
        }
        rects.push_back({x, y, wide, height});
        x += wide + gap;
    }
    return rects;
}

QSize Chips::sizeHint() const {
    return {spaced(40), heightForWidth(std::max(width(), spaced(40)))};
}

int Chips::heightForWidth(int width) const {
    const auto rects = layoutFor(width);
    return rects.empty() ? 0 : rects.back().bottom() + 2;
}

void Chips::paintEvent(QPaintEvent*) {
    QPainter painter(this);
    painter.setRenderHint(QPainter::Antialiasing);
    const auto rects = layoutFor(width());
    for (size_t i = 0; i < rects.size(); ++i) {
        painter.setPen(QPen(m_chips[i].bandOnly ? day().quiet : day().text, 1,
                            m_chips[i].bandOnly ? Qt::DashLine : Qt::SolidLine));
        painter.setBrush(m_chips[i].bandOnly ? QBrush(Qt::NoBrush) : QBrush(day().sheet));
        painter.drawRoundedRect(QRectF(rects[i]).adjusted(0.5, 0.5, -0.5, -0.5), 3, 3);
        painter.setFont(textFont(1.0, !m_chips[i].bandOnly));
        painter.drawText(rects[i], Qt::AlignCenter, m_chips[i].label);
    }
}

int Chips::paintLine(QPainter& painter, const QRect& area, const std::vector<PartChip>& chips,
                     const QColor& line, const QColor& text) {
    painter.setFont(textFont(0.85));
    const QFontMetrics metrics(painter.font());
    int x = area.left();
    for (size_t i = 0; i < chips.size(); ++i) {
        const int wide = metrics.horizontalAdvance(chips[i].label) + spaced(3);
        const QString rest = QStringLiteral("+%1").arg(chips.size() - i);
        const int restWide = i + 1 < chips.size() ? metrics.horizontalAdvance(rest) + spaced(3) : 0;
        const bool fits = x + wide + restWide <= area.right();
        const QRect box(x, area.center().y() - spaced(2.5),
                        fits ? wide : metrics.horizontalAdvance(rest) + spaced(3), spaced(5));
        painter.setPen(QPen(line, 1, chips[i].bandOnly ? Qt::DashLine : Qt::SolidLine));
        painter.drawRoundedRect(QRectF(box).adjusted(0.5, 0.5, -0.5, -0.5), 2, 2);
        painter.setPen(text);
        painter.drawText(box, Qt::AlignCenter, fits ? chips[i].label : rest);
        x = box.right() + spaced(1);
        if (!fits)
            break;
    }
    return x;
}

} // namespace mivanta
