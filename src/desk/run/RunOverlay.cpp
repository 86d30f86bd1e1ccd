// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/run/RunOverlay.h"
#include "desk/kit/Style.h"
#include <QKeyEvent>

namespace mivanta {

RunOverlay::RunOverlay(const QString& name, QSize most, QWidget* desk) : QFrame(desk), m_most(most) {
    setObjectName(name);
    setAutoFillBackground(true);
    setAttribute(Qt::WA_StyledBackground);
    setStyleSheet(QStringLiteral("#%1 { background: %2; border: 1px solid %3; border-radius: 5px }")
                      .arg(name, night().sheet.name(), night().accent.name()));
    desk->installEventFilter(this);
    hide();
}

void RunOverlay::showOver() {
    place();
    show();
    raise();
}

void RunOverlay::close() {
    hide();
    Q_EMIT closed();
}

void RunOverlay::watch(QWidget* field) {
    field->installEventFilter(this);
}

void RunOverlay::place() {
    const QRect room = parentWidget()->rect();
    setGeometry(spaced(4), spaced(2), std::min(spaced(m_most.width()), room.width() * 6 / 10),
                std::min(spaced(m_most.height()), room.height() * 6 / 10));
}

bool RunOverlay::eventFilter(QObject* watched, QEvent* event) {
    if (watched == parentWidget()) {
        if (event->type() == QEvent::Resize && isVisible())
            place();
        if (event->type() == QEvent::Hide)
            hide(); // another desk: nothing waits here when one comes back
    } else if (event->type() == QEvent::KeyPress) {
        auto* key = static_cast<QKeyEvent*>(event);
        if (key->key() == Qt::Key_Escape) {
            close();
            return true;
        }
        return obeyKey(key);
    }
    return QFrame::eventFilter(watched, event);
}

} // namespace mivanta

#include "moc_RunOverlay.cpp"
