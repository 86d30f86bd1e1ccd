// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/song/Song.h"
#include <optional>

namespace mivanta {

/// What a new song is called until somebody names it.
[[nodiscard]] QString newSongTitle();

/// A song that has no words yet and is not in the library: what is pasted into it is a whole song.
[[nodiscard]] bool isFresh(const Song& song);

/// A whole song from an e-mail, a lyric sheet or a web page, taken into a fresh one: its words, and its title
/// and details where the song has none yet. Says what was understood; nothing = there were no words, and
/// nothing has changed.
[[nodiscard]] std::optional<QString> takeWhole(Song& song, const QString& pasted);

} // namespace mivanta
