// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/song/Song.h"

namespace mivanta {

/// Every detail and order of a song but its title, as the names and values that all readers know.
[[nodiscard]] std::vector<std::pair<QString, QString>> songDetails(const Song& song);

// Texts that readSongs() reads back as an equal song (ids and revision aside).

/// ChordPro: sections with their labels, chords in brackets, details as directives.
[[nodiscard]] QString chordProText(const Song& song);

/// Plain text: "Name: value" details, then parts under "# Verse 1" as core/song/WholeText.h writes them.
[[nodiscard]] QString plainSongText(const Song& song);

} // namespace mivanta
