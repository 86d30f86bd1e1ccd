// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "formats/SongReader.h"

namespace mivanta {

/// Reads one song from plain text.
///
/// Its lines are understood by core/song/LyricSheet, as those of a paste are.
/// - Details first, as "Title: …", "Words: …", "Key: G", "Order: V1 C V2 C"; or a first line alone as title.
/// - A heading without words repeats its part.
/// - Without headings, parts are divided at blank lines; words that come again are the chorus.
/// - "---" is a slide break, as is a blank line under a heading; chords in brackets are chords.
[[nodiscard]] std::vector<ReadSong> parsePlainText(const QString& text, const QString& fallbackTitle);

} // namespace mivanta
