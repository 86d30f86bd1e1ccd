// SPDX-License-Identifier: GPL-3.0-or-later
#include "store/Library.h"
#include "core/base/Fold.h"
#include "formats/SongJson.h"
#include "store/Database.h"
#include "store/Migrations.h"
#include "store/SongImport.h"
#include "store/SongSearch.h"
#include <QDateTime>
#include <QDir>
#include <QJsonDocument>

namespace mivanta {

using namespace Qt::StringLiterals;

Library::Library(QString folder, std::unique_ptr<Database> database)
    : m_folder(std::move(folder)),
      m_database(std::move(database)),
      m_search(std::make_unique<SongSearch>(*m_database)) {}

Library::~Library() = default;

Result<std::unique_ptr<Library>> Library::open(const QString& folder) {
    if (!QDir().mkpath(folder))
        return failure(u"the library folder could not be made"_s, folder,
                       u"Check that the place exists and that you may write there."_s);
    auto database = Database::open(folder + u"/library.db"_s);
    if (!database)
        return tl::unexpected(database.error());
    if (auto done = migrate(**database, libraryMigrations(), folder + u"/backups"_s); !done)
        return tl::unexpected(done.error());
    auto library = std::unique_ptr<Library>(new Library(folder, std::move(*database)));
    if (auto done = library->fillSearchText(); !done)
        return tl::unexpected(done.error());
    return library;
}

Result<std::vector<SongSummary>> Library::summaries(const QString& sql) {
    auto rows = m_database->select(sql);
    if (!rows)
        return tl::unexpected(rows.error());
    std::vector<SongSummary> result;
    while (rows->next())
        result.push_back({SongId::fromText(rows->text(0)), rows->text(1), rows->text(2), rows->text(3)});
    return result;
}

Result<std::vector<SongSummary>> Library::songs() {
    return summaries(
        u"SELECT id, title, first_line, number FROM song WHERE deleted_at IS NULL ORDER BY title_key, row"_s);
}

Result<int> Library::songCount() {
    auto rows = m_database->select(u"SELECT count(*) FROM song WHERE deleted_at IS NULL"_s);
    if (!rows)
        return tl::unexpected(rows.error());
    return rows->next() ? int(rows->number(0)) : 0;
}

Result<Song> Library::song(const SongId& id) {
    return songOf(m_database->select(u"SELECT content FROM song WHERE id = ?"_s, {id.text()}));
}

Result<Song> Library::songOf(Result<Rows> rows) {
    if (!rows)
        return tl::unexpected(rows.error());
    if (!rows->next())
        return failure(u"the song is not in the library any more"_s, m_database->path());
    const auto document = QJsonDocument::fromJson(rows->text(0).toUtf8());
    return songFromJson(document.object(), m_database->path());
}

Result<std::vector<SongVersion>> Library::versions(const SongId& id) {
    auto rows = m_database->select(
        u"SELECT revision, changed_at FROM song_version WHERE song = ? ORDER BY revision DESC"_s,
        {id.text()});
    if (!rows)
        return tl::unexpected(rows.error());
    std::vector<SongVersion> result;
    while (rows->next())
        result.push_back({int(rows->number(0)), QDateTime::fromMSecsSinceEpoch(rows->number(1), Qt::UTC)});
    return result;
}

Result<Song> Library::version(const SongId& id, int revision) {
    return songOf(m_database->select(u"SELECT content FROM song_version WHERE song = ? AND revision = ?"_s,
                                     {id.text(), revision}));
}

Result<void> Library::putInBin(const std::vector<SongId>& ids) {
    return m_database->transaction([&]() -> Result<void> {
        for (const SongId& id : ids) {
            auto done = m_database->change(u"UPDATE song SET deleted_at = ? WHERE id = ?"_s,
                                           {QDateTime::currentMSecsSinceEpoch(), id.text()});
            if (done) // the search forgets it
                done = m_database->change(
                    u"DELETE FROM song_text WHERE row = (SELECT row FROM song WHERE id = ?)"_s, {id.text()});
            if (!done)
                return done;
        }
        return {};
    });
}

Result<void> Library::takeFromBin(const std::vector<SongId>& ids) {
    return m_database->transaction([&]() -> Result<void> {
        for (const SongId& id : ids) {
            const auto stored = song(id);
            if (!stored)
                return tl::unexpected(stored.error());
            auto done = m_database->change(u"UPDATE song SET deleted_at = NULL WHERE id = ?"_s, {id.text()});
            if (done)
                done = writeSearchText(id, SongSearch::searchText(*stored));
            if (!done)
                return done;
        }
        return {};
    });
}

Result<std::vector<SongSummary>> Library::bin() {
    return summaries(u"SELECT id, title, first_line, number FROM song WHERE deleted_at IS NOT NULL"
                     " ORDER BY deleted_at DESC, row"_s);
}

Result<int> Library::emptyBin() {
    const auto gone = bin();
    if (!gone)
        return tl::unexpected(gone.error());
    if (auto done = m_database->change(u"DELETE FROM song WHERE deleted_at IS NOT NULL"_s); !done)
        return tl::unexpected(done.error());
    return int(gone->size());
}

Result<std::vector<SongHit>> Library::find(const QString& query, int limit) {
    return m_search->find(query, limit);
}

Result<Song> Library::save(Song song) {
    auto done = m_database->transaction([&]() -> Result<void> {
        auto rows = m_database->select(u"SELECT revision FROM song WHERE id = ?"_s, {song.id.text()});
        if (!rows)
            return tl::unexpected(rows.error());
        const bool exists = rows->next();
        const int stored = exists ? int(rows->number(0)) : 0;
        if (stored != song.revision)
            return failure(u"\"%1\" was changed in the library meanwhile"_s.arg(song.title),
                           m_database->path(), u"Open it again and compare; nothing was overwritten."_s);
        ++song.revision;
        return write(storedForm(song), {}, exists);
    });
    if (!done)
        return tl::unexpected(done.error());
    return song;
}

/// Writes both the record and its search text, and keeps the version before. An empty source leaves the
/// stored one.
Result<void> Library::write(const StoredSong& stored, const QString& source, bool exists) {
    const Song& song = stored.song;
    const QString id = song.id.text();
    if (exists)
        if (auto kept =
                m_database->change(u"INSERT OR REPLACE INTO song_version(song, revision, changed_at, content)"
                                   " SELECT id, revision, changed_at, content FROM song WHERE id = ?"_s,
                                   {id});
            !kept)
            return kept;
    const QVariant from = source.isEmpty() ? QVariant() : QVariant(source);
    const QVariant fromRevision = source.isEmpty() ? QVariant() : QVariant(song.revision);
    auto done = m_database->change(
        exists
            ? u"UPDATE song SET revision=?, changed_at=?, title=?, title_key=?, first_line=?, number=?,"
              " lines=?, content=?, content_hash=?, source=coalesce(?, source),"
              " source_revision=coalesce(?, source_revision), deleted_at=NULL WHERE id=?"_s
            : u"INSERT INTO song(revision, changed_at, title, title_key, first_line, number, lines, content,"
              " content_hash, source, source_revision, id) VALUES (?,?,?,?,?,?,?,?,?,?,?,?)"_s,
        {song.revision, QDateTime::currentMSecsSinceEpoch(), song.title, stored.titleKey, stored.firstLine,
         stored.number, stored.lines, stored.content, stored.hash, from, fromRevision, id});
    return done ? writeSearchText(song.id, stored.searchText) : done;
}

Result<void> Library::writeSearchText(const SongId& id, const QStringList& columns) {
    QVariantList values{id.text()};
    for (const QString& column : columns)
        values << column;
    return m_database->change(u"INSERT INTO song_text(row, title, other, authors, numbers, topics, words)"
                              " VALUES ((SELECT row FROM song WHERE id=?), ?, ?, ?, ?, ?, ?)"
                              " ON CONFLICT(row) DO UPDATE SET title=excluded.title, other=excluded.other,"
                              " authors=excluded.authors, numbers=excluded.numbers, topics=excluded.topics,"
                              " words=excluded.words"_s,
                              values);
}

/// After a migration that made the search text anew: fills it from the songs.
Result<void> Library::fillSearchText() {
    auto pending = m_database->select(u"SELECT 1 FROM pending_work WHERE name = 'search text'"_s);
    if (!pending)
        return tl::unexpected(pending.error());
    if (!pending->next())
        return {};
    auto rows = m_database->select(u"SELECT id FROM song WHERE deleted_at IS NULL"
                                   " AND row NOT IN (SELECT row FROM song_text)"_s);
    if (!rows)
        return tl::unexpected(rows.error());
    std::vector<SongId> missing;
    while (rows->next())
        missing.push_back(SongId::fromText(rows->text(0)));
    return m_database->transaction([&]() -> Result<void> {
        for (const SongId& id : missing) {
            const auto stored = song(id);
            if (!stored)
                continue; // one that cannot be read must not keep the others from being found
            if (auto done = writeSearchText(id, SongSearch::searchText(*stored)); !done)
                return done;
        }
        return m_database->change(u"DELETE FROM pending_work WHERE name = 'search text'"_s);
    });
}

std::vector<ImportEntry> Library::import(const QStringList& paths, const Progress& progress) {
    return SongImport(*this).run(paths, progress);
}

Result<void> Library::checkIntegrity() {
    auto rows = m_database->select(u"PRAGMA quick_check(5)"_s);
    if (!rows)
        return tl::unexpected(rows.error());
    QStringList problems;
    while (rows->next())
        problems << rows->text(0);
    if (problems != QStringList{u"ok"_s})
        return failure(u"the library file is damaged: "_s + problems.join(u"; "_s), m_database->path(),
                       u"It was left as it is. Put the newest file from its backups folder in its place."_s);
    return {};
}

} // namespace mivanta
