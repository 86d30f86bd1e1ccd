// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "store/Library.h"
#include "store/StoredSong.h"
#include <future>

namespace mivanta {

/// Brings song files into a library. A file is known by its path, a song by its content: the same content is
/// unchanged wherever it lies; other content under the same path changes the song that came from there,
/// unless that song was edited in the library since.
class SongImport {
public:
    explicit SongImport(Library& library) : m_library(library) {}
    [[nodiscard]] std::vector<ImportEntry> run(const QStringList& paths, const Library::Progress& progress);

private:
    struct ReadFile;
    [[nodiscard]] static ReadFile read(const QString& path);
    /// Reads files on another thread.
    [[nodiscard]] static std::future<std::vector<ReadFile>> readAhead(const QStringList& paths);
    [[nodiscard]] bool storeGroup(const std::vector<ReadFile>& group, std::vector<ImportEntry>& entries,
                                  const std::function<bool(int)>& progress);
    [[nodiscard]] std::vector<ImportEntry> store(const ReadFile& file);
    [[nodiscard]] Result<ImportEntry> importSong(const StoredSong& read, const QString& source);

    Library& m_library;
};

} // namespace mivanta
