// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/song/Song.h"

namespace mivanta {

/// A song with everything that its record holds. Making one is most of the work of storing it; it is a pure
/// function, so that importing does it on other threads.
struct StoredSong {
    Song song;
    QByteArray hash; ///< of its content
    QString content; ///< JSON
    QString titleKey;
    QString firstLine;
    QString number; ///< the first hymn-book number
    QString lines;
    QStringList searchText; ///< by column, see SongSearch
    QStringList facts;      ///< language, key, topics, topic keys, books, book keys; see SongFilter
};

[[nodiscard]] StoredSong storedForm(Song song);

/// A hash of a song's content that leaves out ids and revision.
[[nodiscard]] QByteArray contentHash(const Song& song);

/// Orders follow parts that got other ids.
void renameParts(Song& song, const QHash<PartId, PartId>& renamed);

} // namespace mivanta
