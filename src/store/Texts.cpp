// SPDX-License-Identifier: GPL-3.0-or-later
#include "store/Texts.h"
#include "core/base/Fold.h"
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

TextHit hitOf(const Rows& rows, const QStringList& words) {
    const QStringList lines = rows.text(3).split(u'\n');
    TextHit hit{{TextId::fromText(rows.text(0)), rows.text(1), valueOf(rows.text(2), TextKind::Other),
                 lines.value(0)},
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

Result<std::vector<TextHit>> Texts::find(const QString& query, int limit) {
    const QStringList words = searchWords(query);
    QStringList expression;
    for (const QString& word : words)
        expression << u'"' + word + u"\"*"_s;
    const QString columns = u"SELECT t.id, t.title, t.kind, t.words FROM "_s;
    auto rows = words.isEmpty()
                    ? m_database.select(
                          columns + u"spoken_text t WHERE t.deleted_at IS NULL ORDER BY t.title_key, t.row"_s)
                    : m_database.select(
                          columns + u"(SELECT rowid, rank FROM spoken_text_fts WHERE spoken_text_fts MATCH ?"
                                    " ORDER BY rank LIMIT ?) f JOIN spoken_text t ON t.row = f.rowid"
                                    " WHERE t.deleted_at IS NULL ORDER BY f.rank"_s,
                          {expression.join(u" AND "_s), limit});
    if (!rows)
        return tl::unexpected(rows.error());
    std::vector<TextHit> hits;
    while (rows->next())
        hits.push_back(hitOf(*rows, words));
    return hits;
}

Result<SpokenText> Texts::oneText(const QString& sql, const QVariantList& values) {
    auto rows = m_database.select(sql, values);
    if (!rows)
        return tl::unexpected(rows.error());
    if (!rows->next())
        return failure(u"the text is not in the library any more"_s, m_database.path());
    return textFromJson(QJsonDocument::fromJson(rows->text(0).toUtf8()).object(), m_database.path());
}

Result<SpokenText> Texts::text(const TextId& id) {
    return oneText(u"SELECT content FROM spoken_text WHERE id = ?"_s, {id.text()});
}

Result<SpokenText> Texts::version(const TextId& id, int revision) {
    return oneText(u"SELECT content FROM spoken_text_version WHERE text = ? AND revision = ?"_s,
                   {id.text(), revision});
}

Result<void> Texts::write(const SpokenText& text, bool exists) {
    const qint64 now = QDateTime::currentMSecsSinceEpoch();
    const QVariantList values{text.revision,     now,
                              text.title,        foldedForSearch(text.title).trimmed(),
                              nameOf(text.kind), (text.topics + text.seasons).join(u'\n'),
                              linesOf(text),     contentOf(text),
                              hashOf(text)};
    if (!exists)
        return m_database.change(
            u"INSERT INTO spoken_text(revision, changed_at, title, title_key, kind, labels, words,"
            " content, content_hash, id) VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?, ?)"_s,
            values + QVariantList{text.id.text()});
    if (auto kept = m_database.change(
            u"INSERT OR REPLACE INTO spoken_text_version(text, revision, changed_at, content)"
            " SELECT id, revision, changed_at, content FROM spoken_text WHERE id = ?"_s,
            {text.id.text()});
        !kept)
        return kept;
    return m_database.change(
        u"UPDATE spoken_text SET revision = ?, changed_at = ?, title = ?, title_key = ?, kind = ?,"
        " labels = ?, words = ?, content = ?, content_hash = ? WHERE id = ?"_s,
        values + QVariantList{text.id.text()});
}

Result<SpokenText> Texts::save(SpokenText text) {
    if (text.title.trimmed().isEmpty())
        return failure(u"a text needs a title"_s, {}, u"Give it one."_s);
    const auto work = [&]() -> Result<void> {
        int stored = 0;
        bool exists = false;
        {
            auto rows =
                m_database.select(u"SELECT revision FROM spoken_text WHERE id = ?"_s, {text.id.text()});
            if (!rows)
                return tl::unexpected(rows.error());
            exists = rows->next();
            stored = exists ? int(rows->number(0)) : 0;
        }
        if (stored != text.revision)
            return failure(u"\u201c%1\u201d was changed elsewhere meanwhile"_s.arg(text.title), {},
                           u"Look at its earlier versions before you save again."_s);
        ++text.revision;
        return write(text, exists);
    };
    if (auto done = m_database.transaction(work); !done)
        return tl::unexpected(done.error());
    return text;
}

Result<std::vector<TextVersion>> Texts::versions(const TextId& id) {
    auto rows = m_database.select(u"SELECT revision, changed_at FROM spoken_text_version WHERE text = ?"
                                  " ORDER BY revision DESC"_s,
                                  {id.text()});
    if (!rows)
        return tl::unexpected(rows.error());
    std::vector<TextVersion> versions;
    while (rows->next())
        versions.push_back({int(rows->number(0)), QDateTime::fromMSecsSinceEpoch(rows->number(1), Qt::UTC)});
    return versions;
}

Result<void> Texts::putInBin(const TextId& id) {
    return m_database.change(u"UPDATE spoken_text SET deleted_at = ? WHERE id = ?"_s,
                             {QDateTime::currentMSecsSinceEpoch(), id.text()});
}

Result<void> Texts::takeFromBin(const TextId& id) {
    return m_database.change(u"UPDATE spoken_text SET deleted_at = NULL WHERE id = ?"_s, {id.text()});
}

Result<std::vector<TextSummary>> Texts::bin() {
    auto rows =
        m_database.select(u"SELECT id, title, kind, words FROM spoken_text WHERE deleted_at IS NOT NULL"
                          " ORDER BY deleted_at DESC"_s);
    if (!rows)
        return tl::unexpected(rows.error());
    std::vector<TextSummary> texts;
    while (rows->next())
        texts.push_back(hitOf(*rows, {}).text);
    return texts;
}

Result<int> Texts::emptyBin() {
    const auto count = bin();
    if (!count)
        return tl::unexpected(count.error());
    if (auto done = m_database.change(u"DELETE FROM spoken_text WHERE deleted_at IS NOT NULL"_s); !done)
        return tl::unexpected(done.error());
    return int(count->size());
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
    auto read = readTextFile(file, path);
    if (!read)
        return refused(read.error());
    entry.title = read->title;
    const QString source = QFileInfo(path).absoluteFilePath();
    std::optional<Rows> rows;
    auto same = m_database.select(
        u"SELECT id, revision, source_revision, content_hash, source FROM spoken_text WHERE"
        " deleted_at IS NULL AND (content_hash = ? OR source = ?) ORDER BY content_hash = ? DESC"_s,
        {hashOf(*read), source, hashOf(*read)});
    if (!same)
        return refused(same.error());
    rows.emplace(std::move(*same));
    entry.outcome = ImportOutcome::Added;
    if (rows->next()) {
        entry.text = TextId::fromText(rows->text(0));
        if (rows->bytes(3) == hashOf(*read)) {
            entry.outcome = ImportOutcome::Unchanged;
            return entry;
        }
        if (rows->number(1) != rows->number(2)) {
            entry.outcome = ImportOutcome::LeftOut;
            entry.reason = u"it was edited in the library since it was brought in"_s;
            return entry;
        }
        entry.outcome = ImportOutcome::Changed;
        read->id = entry.text;
        read->revision = int(rows->number(1));
    }
    rows.reset(); // its statement must end before the next one writes
    const auto work = [&]() -> Result<void> {
        auto saved = save(*read);
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
