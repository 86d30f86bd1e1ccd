// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/base/Result.h"
#include "core/song/Song.h"

namespace mivanta {

/// True for chordpro, text, csv, pdf.
[[nodiscard]] bool isExportFormat(const QString& format);

/// Writes songs into a folder: a file each, or one table for csv. Names come from titles; a name that is
/// taken by another song of this export gets a number. Files of earlier exports are written over. Returns the
/// paths; fails at the first file that cannot be written, which then is as it was.
[[nodiscard]] Result<QStringList> exportSongs(const std::vector<Song>& songs, const QString& format,
                                              const QString& folder);

} // namespace mivanta
