// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "formats/SongReader.h"

namespace mivanta {

/// Songs as a table (CSV, RFC 4180, UTF-8): a row a song, a column a detail, the words as whole text in the
/// last one. Several values stand on lines of their own inside a cell.
[[nodiscard]] QString songsToCsv(const std::vector<Song>& songs);

/// Reads such a table, or any with a "Title" column: columns are known by their names, others are said and
/// left out; the separator may be a comma, a semicolon or a tab. A row without words is a song of details
/// only. Fails when there is no title column.
[[nodiscard]] Result<std::vector<ReadSong>> songsFromCsv(const QString& text, const QString& where);

} // namespace mivanta
