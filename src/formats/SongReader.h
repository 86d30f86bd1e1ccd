// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/base/Result.h"
#include "core/song/Song.h"
#include <QIODevice>

namespace mivanta {

/// Something in a file that was read another way than written, or left out.
struct ReadWarning {
    int line = 0; ///< in the file, from 1
    QString text;
};

struct ReadSong {
    Song song; ///< with fresh ids and revision 0
    std::vector<ReadWarning> warnings;
};

/// Reads the songs of one file: ChordPro (by the name's ending or by its directives) or plain text.
/// `fileName` serves for messages, for choosing the format, and as the title when the file says none.
[[nodiscard]] Result<std::vector<ReadSong>> readSongs(QIODevice& device, const QString& fileName);

/// True for file names that a folder import looks at.
[[nodiscard]] bool isSongFileName(const QString& fileName);

} // namespace mivanta
