// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "formats/SongReader.h"

namespace mivanta {

/// Reads ChordPro (https://www.chordpro.org/chordpro/): sections in their long and short forms with labels,
/// `{chorus}` recalls, comments, metadata, chords in brackets, `{new_song}`. Further details are read from
/// `{meta: NAME VALUE}`: order, book, licence, topic, language, translator. Lines outside any section form
/// parts at blank lines; blank lines inside a section are slide breaks. Directives for printing are left out.
[[nodiscard]] std::vector<ReadSong> parseChordPro(const QString& text, const QString& fallbackTitle);

} // namespace mivanta
