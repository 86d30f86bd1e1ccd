// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/song/Song.h"

namespace mivanta {

/// What a song says, apart from how it is divided: every pair of neighbouring words, folded, as hashes, each
/// once, rising ("shingles": Broder, On the resemblance and containment of documents, 1997).
using WordPairs = std::vector<quint64>;
[[nodiscard]] WordPairs wordPairs(const Song& song);

/// How much of the shorter song is in the longer one, 0 to 1. Songs of a few words have to be equal: a lone
/// "Alleluia" is in many songs.
[[nodiscard]] double sharedWords(const WordPairs& a, const WordPairs& b);

/// From this share on two songs are taken for the same words.
inline constexpr double kSameWords = 0.6;

/// The song with what only the other one says: other titles (the other's title among them), authors, books,
/// topics and notes are joined, empty details filled. Title, words, chords and orders stay.
[[nodiscard]] Song withDetailsOf(Song song, const Song& other);

} // namespace mivanta
