// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "store/Library.h"

namespace mivanta {

/// Brings song files into a library. A file is known by its path, a song by its content: the same content is
/// unchanged wherever it lies; other content under the same path changes the song that came from there,
/// unless that song was edited in the library since.
class SongImport {
public:
    explicit SongImport(Library& library) : m_library(library) {}
    [[nodiscard]] std::vector<ImportEntry> run(const QStringList& paths, const Library::Progress& progress);

private:
    [[nodiscard]] std::vector<ImportEntry> importFile(const QString& path);
    [[nodiscard]] Result<ImportEntry> importSong(Song song, const QString& source);

    Library& m_library;
};

/// A hash of a song's content that leaves out ids and revision.
[[nodiscard]] QByteArray contentHash(const Song& song);

} // namespace mivanta
