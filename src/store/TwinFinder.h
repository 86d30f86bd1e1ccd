// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/song/SongLikeness.h"
#include "store/ImportCandidates.h"
#include <QHash>

namespace mivanta {

class Library;

/// Finds songs that are nearly the same: in the library, and among those that were looked at before.
class TwinFinder {
public:
    explicit TwinFinder(Library& library) : m_library(library) {}

    struct Twin {
        ImportFinding finding = ImportFinding::SameWords;
        Song song;
        bool isStored = true; ///< in the library
    };
    /// The likest song: same words before same title.
    [[nodiscard]] Result<std::optional<Twin>> twinOf(const Song& song);
    /// The next songs are compared with this one, too.
    void remember(const Song& song);

private:
    [[nodiscard]] Result<std::vector<SongId>> candidates(const Song& song);

    struct Seen {
        Song song;
        WordPairs pairs;
    };
    Library& m_library;
    std::vector<Seen> m_seen;
    QHash<quint64, std::vector<size_t>> m_seenBySketch; ///< by each of a song's smallest hashes
    QHash<QString, std::vector<size_t>> m_seenByTitle;
};

} // namespace mivanta
