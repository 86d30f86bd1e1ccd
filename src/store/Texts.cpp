// SPDX-License-Identifier: GPL-3.0-or-later
#include "store/Texts.h"
#include "core/base/Fold.h"
#include "core/base/Said.h"
#include "core/order/ServiceBounds.h"
#include "formats/JsonNames.h"
#include "formats/TextFile.h"
#include "formats/TextJson.h"
#include "store/Database.h"
#include <QCryptographicHash>
#include <QDirIterator>
#include <QFileInfo>
#include <QJsonDocument>

namespace mivanta {

using namespace Qt::StringLiterals;

namespace {

QString contentOf(const SpokenText& text) {
    return QString::fromUtf8(QJsonDocument(textToJson(text)).toJson(QJsonDocument::Compact));
}

QByteArray hashOf(SpokenText text) {
    text.id = {};
    text.revision = 0;
    return QCryptographicHash::hash(contentOf(text).toUtf8(), QCryptographicHash::Sha1);
}

QString linesOf(const SpokenText& text) {
    QStringList lines;
    for (const SpokenLine& line : text.lines)
        if (!line.words.isEmpty())
            lines << line.words;
    return lines.join(u'\n');
}

TextHit hitOf(const Row& row, const QStringList& words) {
    const QStringList lines = row.text(3).split(u'\n');
    TextHit hit{
        {TextId::fromText(row.text(0)), row.text(1), valueOf(row.text(2), TextKind::Other), lines.value(0)},
        {},
        words};
    qsizetype most = 0;
    for (const QString& line : lines) {
        const QString spaced = u' ' + searchWords(line).join(u' ');
        const auto held = std::count_if(words.begin(), words.end(),
                                        [&](const QString& word) { return spaced.contains(u' ' + word); });
        if (held > most) {
            most = held;
            hit.matchingLine = line;
        }
    }
    return hit;
}

} // namespace

Texts::Texts(Database& database)
    : m_database(database),
      m_table(database, {u"spoken_text"_s, u"spoken_text_version"_s, u"text"_s}) {}

Result<std::vector<TextHit>> Texts::find(const QString& query, int limit) {
    const QStringList words = searchWords(query);
    QStringList expression;
    for (const QString& word : words)
        expression << u'"' + word + u"\"*"_s;
    const QString columns = u"SELECT t.id, t.title, t.kind, t.words FROM "_s;
    const auto hit = [&](const Row& row) { return hitOf(row, words); };
    if (words.isEmpty())
        return m_database.all(
            columns + u"spoken_text t WHERE t.deleted_at IS NULL ORDER BY t.title_key, t.row"_s, {}, hit);
    return m_database.all(columns + u"(SELECT rowid, rank FROM spoken_text_fts WHERE spoken_text_fts MATCH ?"
                                    " ORDER BY rank LIMIT ?) f JOIN spoken_text t ON t.row = f.rowid"
                                    " WHERE t.deleted_at IS NULL ORDER BY f.rank"_s,
                          {expression.join(u" AND "_s), limit}, hit);
}

Result<SpokenText> Texts::textOf(const Result<std::optional<QJsonObject>>& content) const {
    if (!content)
        return tl::unexpected(content.error());
    if (!*content)
        return failure(Said::tr("the text is not in the library any more"), m_database.path());
    return textFromJson(**content, m_database.path());
}

Result<SpokenText> Texts::text(const TextId& id) {
    return textOf(m_table.content(id.text()));
}

Result<SpokenText> Texts::version(const TextId& id, int revision) {
    return textOf(m_table.version(id.text(), revision));
}

Result<void> Texts::write(const SpokenText& text, RecordWrite how) {
    const qint64 now = QDateTime::currentMSecsSinceEpoch();
    const QVariantList values{text.revision,     now,
                              text.title,        foldedForSearch(text.title).trimmed(),
                              nameOf(text.kind), (text.topics + text.seasons).join(u'\n'),
                              linesOf(text),     contentOf(text),
                              hashOf(text)};
    if (how == RecordWrite::New)
        return m_database.change(
            u"INSERT INTO spoken_text(revision, changed_at, title, title_key, kind, labels, words,"
            " content, content_hash, id) VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?, ?)"_s,
            values + QVariantList{text.id.text()});
    if (auto kept = m_table.keepVersion(text.id.text()); !kept)
        return kept;
    return m_database.change(
        u"UPDATE spoken_text SET revision = ?, changed_at = ?, title = ?, title_key = ?, kind = ?,"
        " labels = ?, words = ?, content = ?, content_hash = ?, deleted_at = NULL WHERE id = ?"_s,
        values + QVariantList{text.id.text()});
}

Result<SpokenText> Texts::save(SpokenText text) {
    if (text.title.trimmed().isEmpty())
        return failure(Said::tr("a text needs a title"), {}, Said::tr("Give it one."));
    if (const QString excess = excessOf(text); !excess.isEmpty())
        return failure(Said::tr("\u201c%1\u201d has %2").arg(text.title.left(60), excess), {},
                       Said::tr("Part it into several texts."));
    const auto work = [&]() -> Result<void> {
        const auto how = m_table.mayWrite(text.id.text(), text.revision, text.title);
        if (!how)
            return tl::unexpected(how.error());
        ++text.revision;
        return write(text, *how);
    };
    if (auto done = m_database.transaction(work); !done)
        return tl::unexpected(done.error());
    return text;
}

Result<std::vector<RecordVersion>> Texts::versions(const TextId& id) {
    return m_table.versions(id.text());
}

Result<void> Texts::putInBin(const TextId& id) {
    return m_table.putInBin(id.text());
}

Result<void> Texts::takeFromBin(const TextId& id) {
    return m_table.takeFromBin(id.text());
}

Result<std::vector<TextSummary>> Texts::bin() {
    return m_database.all(u"SELECT id, title, kind, words FROM spoken_text WHERE deleted_at IS NOT NULL"
                          " ORDER BY deleted_at DESC"_s,
                          {}, [](const Row& row) { return hitOf(row, {}).text; });
}

Result<int> Texts::emptyBin() {
    return m_table.emptyBin();
}

std::vector<TextImport> Texts::import(const QStringList& paths) {
    QStringList files;
    for (const QString& path : paths) {
        if (!QFileInfo(path).isDir()) {
            files << path;
            continue;
        }
        QDirIterator inside(path, {u"*.txt"_s}, QDir::Files, QDirIterator::Subdirectories);
        QStringList found;
        while (inside.hasNext())
            found << inside.next();
        found.sort();
        files << found;
    }
    std::vector<TextImport> result;
    for (const QString& file : files)
        result.push_back(importFile(file));
    return result;
}

TextImport Texts::importFile(const QString& path) {
    TextImport entry{path, {}, {}, ImportOutcome::Refused, {}};
    const auto refused = [&](const Error& error) {
        entry.outcome = ImportOutcome::Refused;
        entry.reason = error.text();
        return entry;
    };
    QFile file(path);
    if (!file.open(QIODevice::ReadOnly))
        return refused({file.errorString(), path, {}});
    auto inFile = readTextFile(file, path);
    if (!inFile)
        return refused(inFile.error());
    SpokenText& read = inFile->text;
    entry.title = read.title;
    entry.reason = inFile->warning;
    const QString source = QFileInfo(path).absoluteFilePath();
    struct Stored {
        TextId id;
        int revision = 0;
        int sourceRevision = 0;
        QByteArray hash;
    };
    const auto stored = m_database.first(
        u"SELECT id, revision, source_revision, content_hash FROM spoken_text WHERE"
        " deleted_at IS NULL AND (content_hash = ? OR source = ?) ORDER BY content_hash = ? DESC"_s,
        {hashOf(read), source, hashOf(read)}, [](const Row& row) {
            return Stored{TextId::fromText(row.text(0)), int(row.number(1)), int(row.number(2)),
                          row.bytes(3)};
        });
    if (!stored)
        return refused(stored.error());
    entry.outcome = ImportOutcome::Added;
    if (*stored) {
        entry.text = (*stored)->id;
        if ((*stored)->hash == hashOf(read)) {
            entry.outcome = ImportOutcome::Unchanged;
            return entry;
        }
        if ((*stored)->revision != (*stored)->sourceRevision) {
            entry.outcome = ImportOutcome::LeftOut;
            entry.reason = Said::tr("it was edited in the library since it was brought in");
            return entry;
        }
        entry.outcome = ImportOutcome::Changed;
        read.id = entry.text;
        read.revision = (*stored)->revision;
    }
    const auto work = [&]() -> Result<void> {
        auto saved = save(read);
        if (!saved)
            return tl::unexpected(saved.error());
        entry.text = saved->id;
        return m_database.change(
            u"UPDATE spoken_text SET source = ?, source_revision = revision WHERE id = ?"_s,
            {source, saved->id.text()});
    };
    if (auto done = m_database.transaction(work); !done)
        return refused(done.error());
    return entry;
}

} // namespace mivanta
