// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/library/SongHistory.h"
#include "core/song/SongDifference.h"
#include <QPushButton>

namespace mivanta {

SongHistory::SongHistory(LibraryClient& library, QWidget* parent)
    : VersionsPage({}, tr("Back to the song"),
                   tr("The song becomes as it was then; Ctrl+Z takes that back (Enter)"), parent),
      m_library(library) {
    setObjectName(QStringLiteral("song-history"));
    m_keep = new QPushButton(tr("Keep mine"), this);
    m_keep->setObjectName(QStringLiteral("history-keep"));
    m_keep->setToolTip(
        tr("The song in the editor takes the library\u2019s place; that one stays among its versions"));
    addButton(m_keep);
    connect(m_keep, &QPushButton::clicked, this, [this] {
        if (m_version)
            Q_EMIT keepWanted(*m_version);
    });
    connect(this, &VersionsPage::versionWanted, this, &SongHistory::showVersion);
    connect(this, &VersionsPage::restoreWanted, this, [this] {
        if (m_version)
            Q_EMIT songWanted(*m_version);
    });
}

void SongHistory::setSong(const Song& now) {
    m_now = now;
    m_version.reset();
    m_keep->hide();
    start(tr("\u201c%1\u201d as it was before").arg(now.title));
    m_library.versions(this, now.id, [this, id = now.id](const Result<std::vector<SongVersion>>& versions) {
        if (id == m_now.id)
            setVersions(versions, m_now.title);
    });
}

void SongHistory::showVersion(int revision) {
    m_version.reset();
    m_library.version(this, m_now.id, revision, [this, revision](const Result<Song>& version) {
        if (current() != revision)
            return; // another one was chosen meanwhile
        if (version)
            show(*version, currentText());
        else
            setHeading(version.error().text());
    });
}

void SongHistory::show(const Song& version, const QString& caption) {
    m_version = version;
    const QStringList differences = differencesOf(version, m_now);
    showTwo(version, caption, m_now,
            differences.isEmpty() ? tr("Now: the same")
                                  : tr("Now: other %1").arg(differences.join(QStringLiteral(", "))),
            !differences.isEmpty());
}

void SongHistory::setConflict(const Song& now, const Song& stored) {
    m_now = now;
    start(tr("\u201c%1\u201d was changed elsewhere while you worked on it").arg(now.title));
    hideList();
    m_keep->show();
    setRestoreText(tr("Use the library\u2019s"));
    m_version = stored;
    showTwo(stored, tr("In the library"), now,
            tr("Now: other %1").arg(differencesOf(stored, now).join(QStringLiteral(", "))), true);
}

} // namespace mivanta
