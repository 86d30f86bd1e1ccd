// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/library/DraftKeeper.h"

namespace mivanta {

namespace {
constexpr int kDelayMs = 300;
}

DraftKeeper::DraftKeeper(SongDraft& draft, const QString& libraryFolder, QObject* parent)
    : QObject(parent),
      m_draft(draft),
      m_journal(libraryFolder) {
    m_soon.setSingleShot(true);
    m_soon.setInterval(kDelayMs);
    connect(&m_soon, &QTimer::timeout, this, &DraftKeeper::keep);
    const auto soon = [this] {
        if (m_mayKeep && !m_soon.isActive())
            m_soon.start();
    };
    connect(&m_draft, &SongDraft::changed, this, soon);
    connect(&m_draft, &SongDraft::stateChanged, this, soon);
}

void DraftKeeper::recover() {
    m_files.run(
        this, [journal = m_journal] { return journal.read(); },
        [this](const Result<std::optional<Song>>& song) {
            if (!song) { // it stays where it is
                Q_EMIT failed(song.error());
                return;
            }
            m_mayKeep = true;
            m_holds = song->has_value();
            if (*song)
                Q_EMIT found(**song);
            else if (m_draft.isChanged())
                m_soon.start();
        });
}

void DraftKeeper::keep() {
    if (!m_draft.isChanged()) {
        if (std::exchange(m_holds, false))
            m_files.run([journal = m_journal] { journal.clear(); });
        return;
    }
    m_holds = true;
    m_files.run(
        this, [journal = m_journal, song = *m_draft.song()] { return journal.write(song); },
        [this](const Result<void>& written) {
            if (!written)
                Q_EMIT failed(written.error());
        });
}

} // namespace mivanta
