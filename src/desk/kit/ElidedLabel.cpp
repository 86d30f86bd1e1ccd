// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/kit/ElidedLabel.h"
#include "desk/kit/OneLineFields.h"
#include <QHelpEvent>
#include <QPainter>
#include <QStyle>
#include <QToolTip>

namespace mivanta {

QString ElidedLabel::oneLine() const {
    return asOneLine(text());
}

QSize ElidedLabel::sizeHint() const {
    const QMargins margins = contentsMargins();
    return {fontMetrics().horizontalAdvance(oneLine()) + margins.left() + margins.right() + 1,
            fontMetrics().height() + margins.top() + margins.bottom()};
}

QSize ElidedLabel::minimumSizeHint() const {
    return {std::min(sizeHint().width(), fontMetrics().averageCharWidth() * 4), sizeHint().height()};
}

bool ElidedLabel::isCut() const {
    return fontMetrics().horizontalAdvance(oneLine()) > contentsRect().width();
}

void ElidedLabel::paintEvent(QPaintEvent*) {
    QPainter painter(this);
    const QString line = fontMetrics().elidedText(oneLine(), Qt::ElideRight, contentsRect().width());
    style()->drawItemText(&painter, contentsRect(), int(alignment()) | Qt::TextSingleLine, palette(),
                          isEnabled(), line, foregroundRole());
}

bool ElidedLabel::event(QEvent* event) {
    if (event->type() == QEvent::ToolTip && toolTip().isEmpty()) {
        if (isCut())
            QToolTip::showText(static_cast<QHelpEvent*>(event)->globalPos(), text(), this);
        return true;
    }
    return QLabel::event(event);
}

} // namespace mivanta

#include "moc_ElidedLabel.cpp"
