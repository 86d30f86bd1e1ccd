// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/parts/ReferenceHelp.h"
#include "desk/parts/Style.h"

namespace mivanta {

ReferenceHelp::ReferenceHelp(QWidget* parent) : QLabel(parent) {
    setWordWrap(true);
    setTextFormat(Qt::PlainText);
    hide();
}

void ReferenceHelp::setNight(bool isNight) {
    m_night = isNight;
    refresh();
}

void ReferenceHelp::showUnderstanding(const Understanding& understood, const QString& more) {
    if (!(understood.reference == m_understood.reference))
        m_slides = 0;
    m_understood = understood;
    m_more = more;
    refresh();
}

void ReferenceHelp::setSlideCount(int slides) {
    m_slides = slides;
    refresh();
}

void ReferenceHelp::showError(const Error& error) {
    Understanding refused;
    refused.state = ReferenceState::Refused;
    refused.problem = error;
    showUnderstanding(refused);
}

void ReferenceHelp::refresh() {
    const Understanding& u = m_understood;
    QStringList parts;
    switch (u.state) {
    case ReferenceState::NotOne:
        break;
    case ReferenceState::Unfinished:
        parts << u.help;
        if (!u.completed.isEmpty())
            parts << tr("Tab: %1").arg(u.completed.trimmed());
        break;
    case ReferenceState::Ambiguous:
        parts << u.help;
        break;
    case ReferenceState::Refused:
        parts << u.problem.text();
        break;
    case ReferenceState::Understood:
        parts << u.text;
        if (m_slides > 0)
            parts << (m_slides == 1 ? tr("1 slide") : tr("%1 slides").arg(m_slides));
        parts << u.help << u.notes;
        break;
    }
    parts << m_more;
    parts.removeAll(QString());
    const Palette& colours = m_night ? night() : day();
    const QColor colour = u.state == ReferenceState::Refused ? colours.warning : colours.accent;
    setStyleSheet(QStringLiteral("color: %1").arg(colour.name()));
    setText(parts.join(QStringLiteral(" \u00b7 ")));
    setVisible(!parts.isEmpty());
}

} // namespace mivanta
