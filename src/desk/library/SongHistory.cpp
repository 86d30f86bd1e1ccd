// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/library/SongHistory.h"
#include "core/song/SongDifference.h"
#include "desk/parts/CompareView.h"
#include "desk/parts/Style.h"
#include <QHBoxLayout>
#include <QLabel>
#include <QListWidget>
#include <QLocale>
#include <QPushButton>
#include <QShortcut>
#include <QVBoxLayout>

namespace mivanta {

namespace {
constexpr int kRevisionRole = Qt::UserRole;
}

SongHistory::SongHistory(LibraryClient& library, QWidget* parent) : QWidget(parent), m_library(library) {
    setObjectName(QStringLiteral("song-history"));
    m_heading = new QLabel(this);
    m_heading->setFont(textFont(1.5, true));
    m_list = new QListWidget(this);
    m_list->setObjectName(QStringLiteral("version-list"));
    m_list->setAccessibleName(tr("Earlier versions"));
    connect(m_list, &QListWidget::currentRowChanged, this, &SongHistory::showVersion);
    m_words = new CompareView(this);
    auto* back = new QPushButton(tr("Back to the song"), this);
    back->setObjectName(QStringLiteral("history-back"));
    back->setToolTip(tr("Leave the song as it is (Esc)"));
    connect(back, &QPushButton::clicked, this, &SongHistory::left);
    m_restore = new QPushButton(tr("Take this version"), this);
    m_restore->setObjectName(QStringLiteral("history-restore"));
    m_restore->setProperty("main", true);
    m_restore->setToolTip(tr("The song becomes as it was then; Ctrl+Z takes that back (Enter)"));
    connect(m_restore, &QPushButton::clicked, this, &SongHistory::restore);
    connect(m_list, &QListWidget::itemActivated, this, &SongHistory::restore);
    auto* escape = new QShortcut(Qt::Key_Escape, this, back, &QPushButton::click);
    escape->setContext(Qt::WidgetWithChildrenShortcut);

    m_keep = new QPushButton(tr("Keep mine"), this);
    m_keep->setObjectName(QStringLiteral("history-keep"));
    m_keep->setToolTip(
        tr("The song in the editor takes the library\u2019s place; that one stays among its versions"));
    connect(m_keep, &QPushButton::clicked, this, [this] {
        if (m_version)
            Q_EMIT keepWanted(*m_version);
    });

    auto* both = new QHBoxLayout;
    both->setSpacing(spaced(4));
    both->addWidget(m_list, 4);
    both->addWidget(m_words, 12);
    auto* foot = new QHBoxLayout;
    foot->addWidget(back);
    foot->addStretch(1);
    foot->addWidget(m_keep);
    foot->addWidget(m_restore);
    auto* column = new QVBoxLayout(this);
    column->setContentsMargins(spaced(5), spaced(4), spaced(5), spaced(4));
    column->setSpacing(spaced(2));
    column->addWidget(m_heading);
    column->addLayout(both, 1);
    column->addLayout(foot);
}

void SongHistory::setSong(const Song& now) {
    m_now = now;
    m_version.reset();
    m_list->clear();
    m_list->show();
    m_keep->hide();
    m_restore->setText(tr("Take this version"));
    m_words->showNothing();
    m_restore->setEnabled(false);
    m_heading->setText(tr("\u201c%1\u201d as it was before").arg(now.title));
    m_list->setFocus();
    m_library.versions(this, now.id, [this, id = now.id](const Result<std::vector<SongVersion>>& versions) {
        if (id == m_now.id && versions)
            fill(*versions);
        else if (!versions)
            m_heading->setText(versions.error().text());
    });
}

void SongHistory::fill(const std::vector<SongVersion>& versions) {
    if (versions.empty())
        m_heading->setText(tr("There is no earlier version of \u201c%1\u201d yet").arg(m_now.title));
    for (const SongVersion& version : versions) {
        auto* item = new QListWidgetItem(
            QLocale().toString(version.changedAt.toLocalTime(), tr("d MMMM yyyy, HH:mm:ss")), m_list);
        item->setData(kRevisionRole, version.revision);
    }
    m_list->setCurrentRow(0);
}

void SongHistory::showVersion() {
    m_version.reset();
    m_restore->setEnabled(false);
    const QListWidgetItem* item = m_list->currentItem();
    if (!item)
        return;
    const int revision = item->data(kRevisionRole).toInt();
    m_library.version(this, m_now.id, revision, [this, revision](const Result<Song>& version) {
        const QListWidgetItem* at = m_list->currentItem();
        if (!at || at->data(kRevisionRole).toInt() != revision)
            return; // another one was chosen meanwhile
        if (!version) {
            m_heading->setText(version.error().text());
            return;
        }
        show(*version, at->text());
    });
}

void SongHistory::show(const Song& version, const QString& caption) {
    m_version = version;
    const QStringList differences = differencesOf(version, m_now);
    m_restore->setEnabled(!differences.isEmpty());
    m_words->showTwo(version, caption, m_now,
                     differences.isEmpty() ? tr("Now: the same")
                                           : tr("Now: other %1").arg(differences.join(QStringLiteral(", "))));
}

void SongHistory::setConflict(const Song& now, const Song& stored) {
    m_now = now;
    m_list->hide();
    m_keep->show();
    m_restore->setText(tr("Take the library\u2019s"));
    m_heading->setText(tr("\u201c%1\u201d was changed elsewhere while you worked on it").arg(now.title));
    show(stored, tr("In the library"));
    m_restore->setEnabled(true);
    m_words->setFocus();
}

void SongHistory::restore() {
    if (m_version && m_restore->isEnabled())
        Q_EMIT restoreWanted(*m_version);
}

} // namespace mivanta
