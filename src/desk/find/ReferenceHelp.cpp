// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/find/ReferenceHelp.h"
#include "desk/kit/Style.h"

namespace mivanta {

ReferenceHelp::ReferenceHelp(QWidget* parent) : QLabel(parent) {
    setWordWrap(true);
    setTextFormat(Qt::RichText);
    setTextInteractionFlags(Qt::LinksAccessibleByMouse | Qt::LinksAccessibleByKeyboard);
    connect(this, &QLabel::linkActivated, this, [this] { Q_EMIT otherWanted(m_understood.other); });
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
    QStringList parts; // as rich text
    const auto add = [&](const QString& text) { parts << text.toHtmlEscaped(); };
    switch (u.state) {
    case ReferenceState::NotOne:
        break;
    case ReferenceState::Unfinished:
        add(u.help);
        if (!u.completed.isEmpty())
            add(tr("Tab: %1").arg(u.completed.trimmed()));
        break;
    case ReferenceState::Ambiguous:
        add(u.help);
        break;
    case ReferenceState::Refused:
        add(u.problem.text());
        break;
    case ReferenceState::Understood:
        add(u.text);
        if (!u.other.isEmpty())
            parts << QStringLiteral("<a href='other' style='color:%1'>%2</a>")
                         .arg((m_night ? night() : day()).accent.name(),
                              tr("or %1?").arg(u.other.toHtmlEscaped()));
        if (m_slides > 0)
            add(tr("%n slides", nullptr, m_slides));
        add(u.help);
        for (const QString& note : u.notes)
            add(note);
        break;
    }
    add(m_more);
    parts.removeAll(QString());
    const Palette& colours = m_night ? night() : day();
    const QColor colour = u.state == ReferenceState::Refused ? colours.warning : colours.accent;
    setStyleSheet(QStringLiteral("color: %1").arg(colour.name()));
    setText(parts.join(QStringLiteral(" \u00b7 ")));
    setVisible(!parts.isEmpty());
}

} // namespace mivanta

#include "moc_ReferenceHelp.cpp"
