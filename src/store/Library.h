// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/base/Result.h"
#include "core/song/Song.h"
#include "store/ImportCandidates.h"
#include "store/LibraryAddress.h"
#include "store/LibraryPart.h"
#include "store/MediaCatalogue.h"
#include "store/MediaFiles.h"
#include "store/RecordTable.h"
#include "store/Scripture.h"
#include "store/SongFilter.h"
#include "store/TakeHistory.h"
#include "store/Texts.h"
#include "store/Themes.h"
#include <QDateTime>
#include <functional>
#include <memory>

namespace mivanta {

class Database;
class SongSearch;
struct StoredSong;

/// What a list shows of a song.
struct SongSummary {
    SongId id;
    QString title;
    QString firstLine;
    QString number; ///< "Shore Hymnal 203"; empty = in no book
};

/// One of several songs that were changed together.
struct SongEdit {
    SongId id;
    int before = 0; ///< revision
    int after = 0;
};

/// A song was sung: its words were on a screen.
struct SongUse {
    SongId song;
    QString title; ///< then
    ServiceId service;
    QString serviceTitle;
    QDateTime at; ///< where it was sung
};

/// A song that was found, with the line of its words that matched (empty when another field did).
struct SongHit {
    SongSummary song;
    QString matchingLine;
    QStringList marked; ///< folded words, or beginnings of words, to mark as found
};

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
    [[nodiscard]] static Result<std::unique_ptr<Library>> open(const LibraryAddress& address);
    ~Library();

    /// Every song, by title.
    [[nodiscard]] Result<std::vector<SongSummary>> songs(const SongFilter& filter = {});
    [[nodiscard]] Result<SongFacets> facets();
    [[nodiscard]] Result<int> songCount();
    [[nodiscard]] Result<Song> song(const SongId& id);
    /// The song with the most words; fails in a library without songs.
    [[nodiscard]] Result<SongId> longestSong();
    /// Songs by any scrap of them, the best first; see store/SongSearch.h.
    [[nodiscard]] Result<std::vector<SongHit>> find(const QString& query, int limit = 50,
                                                    const SongFilter& filter = {});

    /// A song was sung in a service; once a service and day, however often.
    [[nodiscard]] Result<void> noteSung(const SongUse& use);
    /// When it was sung, the last time first.
    [[nodiscard]] Result<std::vector<SongUse>> uses(const SongId& id);

    /// Stores a new or changed song. The revision must be the stored one (0 for a new song); it comes back
    /// one higher. Fails, changing nothing, when the stored song has been changed meanwhile.
    [[nodiscard]] Result<Song> save(Song song);

    /// Changes several songs in one transaction; those that stay the same are left alone. Returns those that
    /// changed.
    [[nodiscard]] Result<std::vector<SongEdit>> edit(const std::vector<SongId>& ids,
                                                     const std::function<void(Song&)>& change);
    /// Takes such changes back. Songs that were changed again since stay; returns how many came back.
    [[nodiscard]] Result<int> takeBack(const std::vector<SongEdit>& edits);

    /// Earlier versions of a song, the newest first. Every save and import that changes a song keeps one.
    [[nodiscard]] Result<std::vector<RecordVersion>> versions(const SongId& id);
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
    /// Reads files and folders, says what each song is to the library, and changes nothing. Stopped: those
    /// looked at so far.
    [[nodiscard]] std::vector<ImportCandidate> lookAtImport(const QStringList& paths,
                                                            const Progress& progress = {});
    /// Does with each what its decision says; a file is whole or not at all.
    [[nodiscard]] std::vector<ImportEntry> bringIn(std::vector<ImportCandidate> candidates,
                                                   const Progress& progress = {});

    /// What was changed through this since it was asked last.
    [[nodiscard]] LibraryParts takeChanges();
    /// Whether another program, or another connection, has changed anything since this was asked last.
    [[nodiscard]] Result<bool> wasChangedElsewhere();

    [[nodiscard]] Scripture& scripture() { return *m_scripture; }
    [[nodiscard]] Texts& texts() { return *m_texts; }
    [[nodiscard]] Themes& themes() { return *m_themes; }
    [[nodiscard]] MediaFiles& media() { return *m_media; }
    [[nodiscard]] MediaCatalogue& catalogue() { return *m_catalogue; }
    [[nodiscard]] TakeHistory& takes() { return *m_takes; }
    [[nodiscard]] Database& database() { return *m_database; }
    [[nodiscard]] const LibraryAddress& address() const { return m_address; }
    [[nodiscard]] const QString& folder() const { return m_address.folder(); }

private:
    explicit Library(LibraryAddress address, std::unique_ptr<Database> database);
    [[nodiscard]] Result<void> write(const StoredSong& song, RecordWrite how, const QString& source);
    [[nodiscard]] Result<void> writeIndex(const StoredSong& song);
    [[nodiscard]] Result<void> fillIndex();
    [[nodiscard]] Result<Song> songOf(const Result<std::optional<QJsonObject>>& content) const;
    [[nodiscard]] Result<std::vector<SongSummary>> summaries(const QString& sql,
                                                             const QVariantList& values = {});

    LibraryAddress m_address;
    std::unique_ptr<Database> m_database;
    RecordTable m_songs;
    std::unique_ptr<SongSearch> m_search;
    std::unique_ptr<Scripture> m_scripture;
    std::unique_ptr<Texts> m_texts;
    std::unique_ptr<Themes> m_themes;
    std::unique_ptr<MediaFiles> m_media;
    std::unique_ptr<MediaCatalogue> m_catalogue;
    std::unique_ptr<TakeHistory> m_takes;
    std::optional<qint64> m_dataVersion; ///< SQLite's number of what others have written
    friend class SongImport;
};

} // namespace mivanta
