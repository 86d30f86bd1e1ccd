// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/library/TextHistory.h"
#include "core/text/TextMarks.h"
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

/// The text as rows of a comparison see it: its lines with their roles, and its details.
Song comparable(const SpokenText& text) {
    Song song;
    song.title = text.title;
    if (!text.author.isEmpty())
        song.authors.push_back({AuthorRole::Words, text.author});
    song.copyright = text.copyright;
    song.topics = text.topics + text.seasons;
    song.language = text.language;
    Part part;
    part.kind = PartKind::Other;
    part.name = textKindName(text.kind);
    bool breakBefore = false;
    for (const QString& line : textOf(text.lines).split(u'\n')) {
        if (line == QLatin1String("---")) {
            breakBefore = true;
            continue;
        }
        part.lines.push_back({line, {}, breakBefore, {}, {}});
        breakBefore = false;
    }
    song.parts.push_back(std::move(part));
    return song;
}

} // namespace

TextHistory::TextHistory(LibraryClient& library, QWidget* parent) : QWidget(parent), m_library(library) {
    m_heading = new QLabel(this);
    m_heading->setFont(textFont(1.5, true));
    m_list = new QListWidget(this);
    m_list->setObjectName(QStringLiteral("text-version-list"));
    m_list->setAccessibleName(tr("Earlier versions"));
    m_words = new CompareView(this);
    auto* back = new QPushButton(tr("Back to the text"), this);
    back->setObjectName(QStringLiteral("text-history-back"));
    back->setToolTip(tr("Leave the text as it is (Esc)"));
    m_restore = new QPushButton(tr("Take this version"), this);
    m_restore->setObjectName(QStringLiteral("text-history-restore"));
    m_restore->setProperty("main", true);
    m_restore->setToolTip(
        tr("The text in the editor becomes as it was then; nothing is stored until you save (Enter)"));
    const auto restore = [this] {
        if (m_version)
            Q_EMIT restoreWanted(*m_version);
    };
    connect(m_list, &QListWidget::currentRowChanged, this, &TextHistory::showVersion);
    connect(m_list, &QListWidget::itemActivated, this, restore);
    connect(m_restore, &QPushButton::clicked, this, restore);
    connect(back, &QPushButton::clicked, this, &TextHistory::left);
    auto* escape = new QShortcut(Qt::Key_Escape, this, back, &QPushButton::click);
    escape->setContext(Qt::WidgetWithChildrenShortcut);
    auto* both = new QHBoxLayout;
    both->setSpacing(spaced(4));
    both->addWidget(m_list, 4);
    both->addWidget(m_words, 12);
    auto* foot = new QHBoxLayout;
    foot->addWidget(back);
    foot->addStretch(1);
    foot->addWidget(m_restore);
    auto* column = new QVBoxLayout(this);
    column->setContentsMargins(spaced(5), spaced(4), spaced(5), spaced(4));
    column->setSpacing(spaced(2));
    column->addWidget(m_heading);
    column->addLayout(both, 1);
    column->addLayout(foot);
}

void TextHistory::setText(const SpokenText& now) {
    m_now = now;
    m_version.reset();
    m_list->clear();
    m_words->showNothing();
    m_restore->setEnabled(false);
    m_heading->setText(tr("\u201c%1\u201d as it was before").arg(now.title));
    m_list->setFocus();
    m_library.ask<std::vector<TextVersion>>(
        this, [id = now.id](Library& library) { return library.texts().versions(id); },
        [this, id = now.id](const Result<std::vector<TextVersion>>& versions) {
            if (!(id == m_now.id))
                return;
            if (!versions || versions->empty())
                m_heading->setText(
                    versions ? tr("There is no earlier version of \u201c%1\u201d yet").arg(m_now.title)
                             : versions.error().text());
            if (!versions)
                return;
            for (const TextVersion& version : *versions) {
                auto* item = new QListWidgetItem(
                    QLocale().toString(version.changedAt.toLocalTime(), tr("d MMMM yyyy, HH:mm:ss")), m_list);
                item->setData(kRevisionRole, version.revision);
            }
            m_list->setCurrentRow(0);
        });
}

void TextHistory::showVersion() {
    m_version.reset();
    m_restore->setEnabled(false);
    const QListWidgetItem* item = m_list->currentItem();
    if (!item)
        return;
    const int revision = item->data(kRevisionRole).toInt();
    m_library.ask<SpokenText>(
        this, [id = m_now.id, revision](Library& library) { return library.texts().version(id, revision); },
        [this, revision](const Result<SpokenText>& version) {
            const QListWidgetItem* at = m_list->currentItem();
            if (!version || !at || at->data(kRevisionRole).toInt() != revision)
                return;
            m_version = *version;
            const bool isSame = sameContent(*version, m_now);
            m_restore->setEnabled(!isSame);
            m_words->showTwo(comparable(*version), at->text(), comparable(m_now),
                             isSame ? tr("Now: the same") : tr("Now"));
        });
}

} // namespace mivanta
