// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/prepare/ServiceDetails.h"
#include "core/theme/LookProperty.h"

namespace mivanta {

void ServiceDetails::rename() {
    const QString title =
        m_prompts.text(tr("The name of the service:"), m_session.document().service().title);
    if (!title.isEmpty())
        m_session.document().setTitle(title);
}

void ServiceDetails::changePlace() {
    const QString before = m_session.document().service().place;
    if (const QString place = m_prompts.text(tr("Where the service is:"), before); !place.isEmpty())
        m_session.document().setPlace(place);
}

void ServiceDetails::changeStart() {
    const QString form = QStringLiteral("yyyy-MM-dd HH:mm");
    const QDateTime before = m_session.document().service().start;
    const QString given = m_prompts.text(tr("When does the service begin? Such as 2026-10-04 10:30."),
                                         before.isValid() ? before.toString(form) : QString());
    if (given.isEmpty())
        return;
    const QDateTime start = QDateTime::fromString(given.trimmed(), form);
    if (start.isValid())
        m_session.document().setStart(start);
    else
        Q_EMIT m_session.problem({tr("\u201c%1\u201d is no date and time").arg(shortened(given)),
                                  {},
                                  tr("Write it like 2026-10-04 10:30.")});
}

/// Wherever nothing nearer says another colour.
void ServiceDetails::whitenWords() {
    m_session.document().changeLook(
        {LookLevel::Service, {}, {}, {}}, m_session.book().themes(),
        [](LookChoice& choice) {
            choice.own.set(*lookProperty(QStringLiteral("words.colour")), Colour{255, 255, 255, 255});
        },
        tr("white words everywhere"));
}

} // namespace mivanta

#include "desk/kit/Shortened.h"
#include "moc_ServiceDetails.cpp"
