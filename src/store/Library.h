// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/base/Result.h"
#include "core/song/Song.h"
#include <QDateTime>
#include <functional>
#include <memory>

namespace mivanta {

class Database;
class Rows;
class SongSearch;
struct StoredSong;

/// What a list shows of a song.
struct SongSummary {
    SongId id;
    QString title;
    QString firstLine;
    QString number; ///< "Shore Hymnal 203"; empty = in no book
};

/// An earlier version of a song.
struct SongVersion {
    int revision = 0;
    QDateTime changedAt; ///< when it became what it is there; UTC
};

/// A song that was found, with the line of its words that matched (empty when another field did).
struct SongHit {
    SongSummary song;
    QString matchingLine;
    QStringList marked; ///< folded words, or beginnings of words, to mark as found
};

enum class ImportOutcome { Added, Changed, Unchanged, Refused };

struct ImportEntry {
    QString file;
    ImportOutcome outcome = ImportOutcome::Refused;
    SongId song; ///< null when refused
    QString title;
    int line = 0;   ///< in the file, for a warning; 0 = none
    QString reason; ///< why refused or unchanged; for an added one, what was read another way
};

/// The library: one folder with library.db and backups/. Synchronous; used on the thread that opened it.
class Library {
public:
    /// Opens the library of the folder, making both when they are not there.
    [[nodiscard]] static Result<std::unique_ptr<Library>> open(const QString& folder);
    ~Library();

    /// Every song, by title.
    [[nodiscard]] Result<std::vector<SongSummary>> songs();
    [[nodiscard]] Result<int> songCount();
    [[nodiscard]] Result<Song> song(const SongId& id);
    /// Songs by any scrap of them, the best first; see store/SongSearch.h.
    [[nodiscard]] Result<std::vector<SongHit>> find(const QString& query, int limit = 50);

    /// Stores a new or changed song. The revision must be the stored one (0 for a new song); it comes back
    /// one higher. Fails, changing nothing, when the stored song has been changed meanwhile.
    [[nodiscard]] Result<Song> save(Song song);

    /// Earlier versions of a song, the newest first. Every save and import that changes a song keeps one.
    [[nodiscard]] Result<std::vector<SongVersion>> versions(const SongId& id);
    [[nodiscard]] Result<Song> version(const SongId& id, int revision);

    /// Puts songs into the bin: no search finds them, nothing of them is lost.
    [[nodiscard]] Result<void> putInBin(const std::vector<SongId>& ids);
    [[nodiscard]] Result<void> takeFromBin(const std::vector<SongId>& ids);
    /// The songs in the bin, the last deleted first.
    [[nodiscard]] Result<std::vector<SongSummary>> bin();
    /// Removes what is in the bin, with its history, for good. Returns how many songs that were.
    [[nodiscard]] Result<int> emptyBin();

    /// Called before each file with the number done and in all; returning false stops the import there.
    using Progress = std::function<bool(int done, int total)>;
    /// Brings in files and folders (with the folders inside them), each file whole or not at all. A file that
    /// fails is reported as refused and stops no other. Importing the same again changes nothing.
    [[nodiscard]] std::vector<ImportEntry> import(const QStringList& paths, const Progress& progress = {});

    /// Looks through the whole database; fails with what is wrong. Takes a while on a large library.
    [[nodiscard]] Result<void> checkIntegrity();
    [[nodiscard]] Database& database() { return *m_database; }
    [[nodiscard]] const QString& folder() const { return m_folder; }

private:
    explicit Library(QString folder, std::unique_ptr<Database> database);
    [[nodiscard]] Result<void> write(const StoredSong& song, const QString& source, bool exists);
    [[nodiscard]] Result<void> writeSearchText(const SongId& id, const QStringList& columns);
    [[nodiscard]] Result<void> fillSearchText();
    [[nodiscard]] Result<Song> songOf(Result<Rows> rows);
    [[nodiscard]] Result<std::vector<SongSummary>> summaries(const QString& sql);

    QString m_folder;
    std::unique_ptr<Database> m_database;
    std::unique_ptr<SongSearch> m_search;
    friend class SongImport;
};

} // namespace mivanta
