// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/run/LiveLine.h"
#include "desk/kit/Style.h"
#include "session/run/LiveOnScreen.h"

namespace mivanta {

LiveLine::LiveLine(LiveOnScreen& live, QWidget* parent) : QLabel(parent), m_live(live) {
    setObjectName(QStringLiteral("run-live"));
    setTextFormat(Qt::PlainText);
    setFont(textFont(1.05, TextWeight::Bold));
    setWordWrap(true);
    setContentsMargins(spaced(3), spaced(1), spaced(3), spaced(1));
    setStyleSheet(QStringLiteral("color: %1").arg(night().warning.name()));
    connect(&m_live, &LiveOnScreen::changed, this, &LiveLine::refresh);
    refresh();
}

void LiveLine::refresh() {
    setVisible(!m_live.lost().isEmpty());
    if (!m_live.lost().isEmpty())
        setText(m_live.lost().join(QStringLiteral(" \u00b7 ")) + u'\n' +
                tr("The screens show its card, or the colour of the backdrop. It comes back by itself."));
}

} // namespace mivanta

#include "moc_LiveLine.cpp"
