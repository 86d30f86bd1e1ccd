// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/kit/Chips.h"
#include "desk/kit/Style.h"
#include <QPainter>

namespace mivanta {

int paintChips(QPainter& painter, const QRect& area, const std::vector<PartChip>& chips, const QColor& line,
               const QColor& text) {
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
