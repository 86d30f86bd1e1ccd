// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/base/Result.h"
#include "core/song/Song.h"
#include "render/Chart.h"
#include <functional>
#include <optional>

namespace mivanta {

enum class SongFormat { ChordPro, Text, Csv, Charts, Lyrics };

/// "chordpro", "text", "csv", "pdf" (charts), "lyrics" (PDF without chords); nothing for others.
[[nodiscard]] std::optional<SongFormat> songFormat(const QString& name);

/// Gives the songs one after the other; nothing at the end.
using NextSong = std::function<std::optional<Result<Song>>()>;

/// Writes songs into a folder, a file each, or one table for CSV. Names come from titles; a name that is
/// taken by another song of this call gets a number. Files of earlier calls are written over. Returns the
/// paths; fails at the first song or file that cannot be had or written, which then is as it was.
/// `sheets` is for the formats that are sheets.
[[nodiscard]] Result<QStringList> writeSongFiles(const NextSong& next, SongFormat format,
                                                 const QString& folder, ChartOptions sheets = {});
[[nodiscard]] NextSong eachOf(const std::vector<Song>& songs);
/// Every song that is left.
[[nodiscard]] Result<std::vector<Song>> allOf(const NextSong& next);

/// Writes the songs into one PDF, each on a page of its own.
[[nodiscard]] Result<void> writeSheets(const std::vector<Song>& songs, const ChartOptions& options,
                                       const QString& path);

} // namespace mivanta
