// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "store/Library.h"
#include "store/StoredSong.h"

namespace mivanta {

/// Brings song files into a library. A file is known by its path, a song by its content: the same content is
/// unchanged wherever it lies; other content under the same path changes the song that came from there,
/// unless that song was edited in the library since.
class SongImport {
public:
    explicit SongImport(Library& library) : m_library(library) {}
    [[nodiscard]] std::vector<ImportEntry> run(const QStringList& paths, const Library::Progress& progress);
    [[nodiscard]] std::vector<ImportCandidate> look(const QStringList& paths,
                                                    const Library::Progress& progress);
    [[nodiscard]] std::vector<ImportEntry> bringIn(std::vector<ImportCandidate> candidates,
                                                   const Library::Progress& progress);

private:
    struct Judgement;
    struct Piece;
    struct File;
    using MakeFiles = std::function<std::vector<File>(qsizetype from, qsizetype count)>;
    [[nodiscard]] static File read(const QString& path);
    /// Files in groups; the next group is made on another thread while one is used. Ends when `use` or
    /// `progress` says so, also in the middle of a file that is being read.
    static void inGroups(qsizetype files, const MakeFiles& make, const Library::Progress& progress,
                         const std::function<bool(qsizetype from, std::vector<File>& group)>& use);
    [[nodiscard]] std::vector<ImportEntry> storeAll(qsizetype files, const MakeFiles& make,
                                                    const Library::Progress& progress);
    [[nodiscard]] bool storeGroup(const std::vector<File>& group, std::vector<ImportEntry>& entries,
                                  const std::function<bool(int)>& progress);
    [[nodiscard]] std::vector<ImportEntry> store(const File& file);
    [[nodiscard]] Result<ImportEntry> storePiece(const Piece& piece);
    [[nodiscard]] Result<Judgement> judge(const StoredSong& read, const QString& source);
    [[nodiscard]] Result<void> add(const Piece& piece, const Judgement& judgement, ImportEntry& entry);
    [[nodiscard]] Result<void> changeOther(const Piece& piece, const Judgement& judgement,
                                           ImportEntry& entry);

    Library& m_library;
    QHash<SongId, int> m_made; ///< revisions of songs that this import has changed
};

} // namespace mivanta
