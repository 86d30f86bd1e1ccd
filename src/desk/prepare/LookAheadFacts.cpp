// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/prepare/LookAheadFacts.h"
#include "core/base/Clock.h"
#include "desk/kit/Style.h"

namespace mivanta {

namespace {
constexpr int kDelayMs = 250;
}

LookAheadFacts::LookAheadFacts(Session& session, QWidget* parent) : QLabel(parent), m_session(session) {
    setObjectName(QStringLiteral("sheet-ahead"));
    setWordWrap(true);
    setFont(textFont(0.85));
    setStyleSheet(QStringLiteral("color: %1").arg(day().quiet.name()));
    hide();
    m_soon.setSingleShot(true);
    m_soon.setInterval(kDelayMs);
    connect(&m_soon, &QTimer::timeout, this, &LookAheadFacts::look);
    connect(&m_session.document(), &ServiceDocument::changed, &m_soon, qOverload<>(&QTimer::start));
    const auto askAgain = [this] {
        m_asked.clear();
        m_soon.start();
    };
    connect(&m_session.library(), &LibraryClient::changed, this, askAgain);
    connect(&m_session.library(), &LibraryClient::opened, this, askAgain);
}

void LookAheadFacts::look() {
    if (!m_session.library().isOpen())
        return;
    const Service& service = m_session.document().service();
    std::vector<SongId> songs;
    for (const Item& item : service.items)
        if (const Song* song = item.song())
            songs.push_back(song->id);
    if (songs == m_asked) {
        tell(m_lastSung);
        return;
    }
    using LastSung = QHash<SongId, QDate>;
    m_session.library().ask<LastSung>(
        this,
        [songs, id = service.id](Library& library) -> Result<LastSung> {
            LastSung last;
            for (const SongId& song : songs) {
                const auto uses = library.uses(song);
                if (!uses)
                    return tl::unexpected(uses.error());
                for (const SongUse& use : *uses) // the last time first
                    if (!(use.service == id) && !last.contains(song))
                        last.insert(song, use.at.date());
            }
            return last;
        },
        [this, songs](const Result<LastSung>& last) {
            m_asked = last ? songs : std::vector<SongId>();
            m_lastSung = last.value_or(LastSung());
            tell(m_lastSung);
        });
}

void LookAheadFacts::tell(const QHash<SongId, QDate>& lastSung) {
    const Service& now = m_session.document().service();
    const QDate on = now.start.isValid() ? now.start.date() : Clock::the().date();
    const LookAhead ahead = lookAheadOf(now, lastSung, on);
    setText(ahead.facts().join(QStringLiteral(" \u00b7 ")));
    setToolTip(ahead.details());
    setVisible(!text().isEmpty());
}

} // namespace mivanta

#include "moc_LookAheadFacts.cpp"
