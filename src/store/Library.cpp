// SPDX-License-Identifier: GPL-3.0-or-later
#include "store/Library.h"
#include "core/base/Fold.h"
#include "core/base/Said.h"
#include "core/song/SongBounds.h"
#include "formats/SongJson.h"
#include "store/Backups.h"
#include "store/Database.h"
#include "store/Migrations.h"
#include "store/ShippedThemes.h"
#include "store/SongImport.h"
#include "store/SongSearch.h"
#include <QDateTime>
#include <QDir>
#include <QJsonDocument>

namespace mivanta {

using namespace Qt::StringLiterals;

Library::Library(LibraryAddress address, std::unique_ptr<Database> database)
    : m_address(std::move(address)),
      m_database(std::move(database)),
      m_songs(*m_database, {u"song"_s, u"song_version"_s, u"song"_s}),
      m_search(std::make_unique<SongSearch>(*m_database)),
      m_scripture(std::make_unique<Scripture>(*m_database)),
      m_texts(std::make_unique<Texts>(*m_database)),
      m_themes(std::make_unique<Themes>(*m_database)),
      m_media(std::make_unique<MediaFiles>(*m_database, m_address.mediaFolder())),
      m_catalogue(std::make_unique<MediaCatalogue>(*m_database, m_address.mediaFolder())),
      m_takes(std::make_unique<TakeHistory>(*m_database)) {}

Library::~Library() = default;

Result<std::unique_ptr<Library>> Library::open(const LibraryAddress& address) {
    const QString& folder = address.folder();
    if (!QDir().mkpath(folder))
        return failure(Said::tr("the library folder could not be made"), folder,
                       Said::tr("Check that the place exists and that you may write there."));
    if (auto finished = finishBringingBack(folder); !finished)
        return tl::unexpected(finished.error());
    auto database = Database::open(folder + u"/library.db"_s);
    if (!database)
        return tl::unexpected(database.error());
    if (auto done = migrate(**database, libraryMigrations(), folder); !done)
        return tl::unexpected(done.error());
    auto library = std::unique_ptr<Library>(new Library(address, std::move(*database)));
    if (auto done = library->fillIndex(); !done)
        return tl::unexpected(done.error());
    if (auto done = library->themes().putInShipped(shippedThemes()); !done)
        return tl::unexpected(done.error());
    static_cast<void>(library->takeChanges()); // nobody has seen it before
    return library;
}

Result<std::vector<SongSummary>> Library::summaries(const QString& sql, const QVariantList& values) {
    return m_database->all(sql, values, [](const Row& row) {
        return SongSummary{SongId::fromText(row.text(0)), row.text(1), row.text(2), row.text(3)};
    });
}

Result<std::vector<SongSummary>> Library::songs(const SongFilter& filter) {
    const auto [condition, values] = filter.condition();
    return summaries(u"SELECT id, title, first_line, number FROM song WHERE deleted_at IS NULL"_s +
                         (condition.isEmpty() ? QString() : u" AND "_s + condition) +
                         u" ORDER BY title_key, row"_s,
                     values);
}

Result<SongId> Library::longestSong() {
    const auto longest = m_database->first(
        u"SELECT id FROM song WHERE deleted_at IS NULL ORDER BY length(lines) DESC, row LIMIT 1"_s, {},
        [](const Row& row) { return SongId::fromText(row.text(0)); });
    if (!longest)
        return tl::unexpected(longest.error());
    if (!*longest)
        return failure(Said::tr("there is no song in the library yet"), {},
                       Said::tr("Bring some in, or write one."));
    return **longest;
}

Result<SongFacets> Library::facets() {
    // Values that differ in case or accents only are one, as it is written first.
    using Counts = QHash<QString, std::pair<QString, int>>;
    Counts counts[4];
    const auto countRow = [&](const Row& row) {
        for (int kind = 0; kind < 4; ++kind)
            for (const QString& value : row.text(kind).split(u'\n', Qt::SkipEmptyParts)) {
                auto& count = counts[kind][kind < 2 ? value : foldedForSearch(value).trimmed()];
                if (count.second++ == 0)
                    count.first = value;
            }
        return true;
    };
    if (auto done = m_database->read(u"SELECT language, key, topics, books FROM song_facts"_s, {}, countRow);
        !done)
        return tl::unexpected(done.error());
    const auto values = [](const Counts& from) {
        SongFacets::Values list(from.begin(), from.end());
        std::sort(list.begin(), list.end(), [](const auto& a, const auto& b) {
            return QString::localeAwareCompare(a.first, b.first) < 0;
        });
        return list;
    };
    return SongFacets{values(counts[2]), values(counts[3]), values(counts[0]), values(counts[1])};
}

Result<void> Library::noteSung(const SongUse& use) {
    return m_database->change(
        u"INSERT OR IGNORE INTO song_use(song, service, day, title, service_title, sung_at)"
        " VALUES (?, ?, ?, ?, ?, ?)"_s,
        {use.song.text(), use.service.text(), use.at.date().toString(Qt::ISODate), use.title,
         use.serviceTitle, use.at.toMSecsSinceEpoch()});
}

Result<std::vector<SongUse>> Library::uses(const SongId& id) {
    return m_database->all(u"SELECT title, service, service_title, sung_at FROM song_use"
                           " WHERE song = ? ORDER BY sung_at DESC"_s,
                           {id.text()}, [&](const Row& row) {
                               return SongUse{id, row.text(0), ServiceId::fromText(row.text(1)), row.text(2),
                                              QDateTime::fromMSecsSinceEpoch(row.number(3))};
                           });
}

Result<int> Library::songCount() {
    const auto count = m_database->first(u"SELECT count(*) FROM song WHERE deleted_at IS NULL"_s, {},
                                         [](const Row& row) { return int(row.number(0)); });
    if (!count)
        return tl::unexpected(count.error());
    return count->value_or(0);
}

LibraryParts Library::takeChanges() {
    LibraryParts parts;
    for (const QString& table : m_database->takeChangedTables())
        if (const auto part = partOfTable(table))
            parts |= *part;
    return parts;
}

Result<bool> Library::wasChangedElsewhere() {
    const auto version =
        m_database->first(u"PRAGMA data_version"_s, {}, [](const Row& row) { return row.number(0); });
    if (!version)
        return tl::unexpected(version.error());
    const auto before = std::exchange(m_dataVersion, *version);
    return before && before != *version;
}

Result<Song> Library::song(const SongId& id) {
    return songOf(m_songs.content(id.text()));
}

Result<Song> Library::songOf(const Result<std::optional<QJsonObject>>& content) const {
    if (!content)
        return tl::unexpected(content.error());
    if (!*content)
        return failure(Said::tr("the song is not in the library any more"), m_database->path());
    return songFromJson(**content, m_database->path());
}

Result<std::vector<RecordVersion>> Library::versions(const SongId& id) {
    return m_songs.versions(id.text());
}

Result<Song> Library::version(const SongId& id, int revision) {
    return songOf(m_songs.version(id.text(), revision));
}

Result<void> Library::putInBin(const std::vector<SongId>& ids) {
    return m_database->transaction([&]() -> Result<void> {
        for (const SongId& id : ids) {
            auto done = m_songs.putInBin(id.text());
            if (done) // the search forgets it
                done = m_database->change(
                    u"DELETE FROM song_text WHERE row = (SELECT row FROM song WHERE id = ?)"_s, {id.text()});
            if (done)
                done = m_database->change(
                    u"DELETE FROM song_facts WHERE row = (SELECT row FROM song WHERE id = ?)"_s, {id.text()});
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
            auto done = m_songs.takeFromBin(id.text());
            if (done)
                done = writeIndex(storedForm(*stored));
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
    return m_songs.emptyBin();
}

Result<std::vector<SongHit>> Library::find(const QString& query, int limit, const SongFilter& filter) {
    return m_search->find(query, limit, filter);
}

Result<std::vector<SongEdit>> Library::edit(const std::vector<SongId>& ids,
                                            const std::function<void(Song&)>& change) {
    std::vector<SongEdit> edits;
    auto done = m_database->transaction([&]() -> Result<void> {
        for (const SongId& id : ids) {
            auto stored = song(id);
            if (!stored)
                return tl::unexpected(stored.error());
            Song next = *stored;
            change(next);
            if (sameContent(next, *stored))
                continue;
            const auto saved = save(std::move(next));
            if (!saved)
                return tl::unexpected(saved.error());
            edits.push_back({id, stored->revision, saved->revision});
        }
        return {};
    });
    if (!done)
        return tl::unexpected(done.error());
    return edits;
}

Result<int> Library::takeBack(const std::vector<SongEdit>& edits) {
    int back = 0;
    auto done = m_database->transaction([&]() -> Result<void> {
        for (const SongEdit& edit : edits) {
            const auto now = song(edit.id);
            auto before = version(edit.id, edit.before);
            if (!now || !before || now->revision != edit.after)
                continue;
            before->revision = edit.after;
            if (auto saved = save(std::move(*before)); !saved)
                return tl::unexpected(saved.error());
            ++back;
        }
        return {};
    });
    if (!done)
        return tl::unexpected(done.error());
    return back;
}

Result<Song> Library::save(Song song) {
    if (const QString excess = excessOf(song); !excess.isEmpty()) // it could not be read again
        return failure(Said::tr("\u201c%1\u201d has %2").arg(song.title.left(60), excess), {},
                       Said::tr("Part it into several songs."));
    auto done = m_database->transaction([&]() -> Result<void> {
        const auto how = m_songs.mayWrite(song.id.text(), song.revision, song.title);
        if (!how)
            return tl::unexpected(how.error());
        ++song.revision;
        return write(storedForm(song), *how, {});
    });
    if (!done)
        return tl::unexpected(done.error());
    return song;
}

/// Writes both the record and its search text. An empty source leaves the stored one.
Result<void> Library::write(const StoredSong& stored, RecordWrite how, const QString& source) {
    const Song& song = stored.song;
    const QString id = song.id.text();
    const bool exists = how == RecordWrite::Over;
    if (exists)
        if (auto kept = m_songs.keepVersion(id); !kept)
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
    return done ? writeIndex(stored) : done;
}

/// What songs are found and filtered by.
Result<void> Library::writeIndex(const StoredSong& stored) {
    const auto values = [&](const QStringList& columns) {
        QVariantList list{stored.song.id.text()};
        for (const QString& column : columns)
            list << column;
        return list;
    };
    auto done =
        m_database->change(u"INSERT INTO song_text(row, title, other, authors, numbers, topics, words)"
                           " VALUES ((SELECT row FROM song WHERE id=?), ?, ?, ?, ?, ?, ?)"
                           " ON CONFLICT(row) DO UPDATE SET title=excluded.title,"
                           " other=excluded.other, authors=excluded.authors,"
                           " numbers=excluded.numbers, topics=excluded.topics,"
                           " words=excluded.words"_s,
                           values(stored.searchText));
    return done ? m_database->change(u"INSERT OR REPLACE INTO song_facts(row, language, key, topics,"
                                     " topic_keys, books, book_keys)"
                                     " VALUES ((SELECT row FROM song WHERE id=?), ?, ?, ?, ?, ?, ?)"_s,
                                     values(stored.facts))
                : done;
}

/// After a migration that made search text or facts anew: fills them from the songs.
Result<void> Library::fillIndex() {
    const auto pending = m_database->first(u"SELECT 1 FROM pending_work WHERE name = 'search text'"_s, {},
                                           [](const Row&) { return true; });
    if (!pending)
        return tl::unexpected(pending.error());
    if (!*pending)
        return {};
    const auto missing = m_database->all(u"SELECT id FROM song WHERE deleted_at IS NULL AND"
                                         " (row NOT IN (SELECT row FROM song_text)"
                                         " OR row NOT IN (SELECT row FROM song_facts))"_s,
                                         {}, [](const Row& row) { return SongId::fromText(row.text(0)); });
    if (!missing)
        return tl::unexpected(missing.error());
    return m_database->transaction([&]() -> Result<void> {
        for (const SongId& id : *missing) {
            const auto stored = song(id);
            if (!stored)
                continue; // one that cannot be read must not keep the others from being found
            if (auto done = writeIndex(storedForm(*stored)); !done)
                return done;
        }
        return m_database->change(u"DELETE FROM pending_work WHERE name = 'search text'"_s);
    });
}

std::vector<ImportEntry> Library::import(const QStringList& paths, const Progress& progress) {
    return SongImport(*this).run(paths, progress);
}

std::vector<ImportCandidate> Library::lookAtImport(const QStringList& paths, const Progress& progress) {
    return SongImport(*this).look(paths, progress);
}

std::vector<ImportEntry> Library::bringIn(std::vector<ImportCandidate> candidates, const Progress& progress) {
    return SongImport(*this).bringIn(std::move(candidates), progress);
}

} // namespace mivanta
