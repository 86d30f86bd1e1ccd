// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/library/TextHistory.h"
#include "core/text/TextMarks.h"

namespace mivanta {

namespace {

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

TextHistory::TextHistory(LibraryClient& library, QWidget* parent)
    : VersionsPage(
          QStringLiteral("text-"), tr("Back to the text"),
          tr("The text in the editor becomes as it was then; nothing is stored until you save (Enter)"),
          parent),
      m_library(library) {
    connect(this, &VersionsPage::versionWanted, this, &TextHistory::showVersion);
    connect(this, &VersionsPage::restoreWanted, this, [this] {
        if (m_version)
            Q_EMIT textWanted(*m_version);
    });
}

void TextHistory::setText(const SpokenText& now) {
    m_now = now;
    m_version.reset();
    start(tr("\u201c%1\u201d as it was before").arg(now.title));
    m_library.ask<std::vector<TextVersion>>(
        this, [id = now.id](Library& library) { return library.texts().versions(id); },
        [this, id = now.id](const Result<std::vector<TextVersion>>& versions) {
            if (id == m_now.id)
                setVersions(versions, m_now.title);
        });
}

void TextHistory::showVersion(int revision) {
    m_version.reset();
    m_library.ask<SpokenText>(
        this, [id = m_now.id, revision](Library& library) { return library.texts().version(id, revision); },
        [this, revision](const Result<SpokenText>& version) {
            if (current() != revision)
                return; // another one was chosen meanwhile
            if (!version) {
                setHeading(version.error().text());
                return;
            }
            m_version = *version;
            const bool isSame = sameContent(*version, m_now);
            showTwo(comparable(*version), currentText(), comparable(m_now),
                    isSame ? tr("Now: the same") : tr("Now"), !isSame);
        });
}

} // namespace mivanta
