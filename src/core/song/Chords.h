// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/song/Song.h"
#include <optional>

namespace mivanta {

/// True for what is a chord: root, quality and bass as musicians write them, or "N.C.".
[[nodiscard]] bool isChord(const QString& text);

/// True for a line of nothing but chords and bar signs, as they stand above words in plain text.
[[nodiscard]] bool isChordLine(const QString& line);

/// A chord moved by semitones (any whole number). Root and bass are spelled with flats or sharps as asked.
/// What is no chord ("N.C.", "riff") comes back as it was.
[[nodiscard]] QString transposedChord(const QString& chord, int semitones, bool withFlats);

/// True when a key of this name is written with flats ("F", "Bb", "Dm", "Gm", …).
[[nodiscard]] bool keyUsesFlats(const QString& key);

/// The song with its key and every chord moved by semitones; enharmonics follow the new key.
[[nodiscard]] Song transposed(const Song& song, int semitones);

/// Semitones up from one key to another, 0 to 11; nothing when either is no key.
[[nodiscard]] std::optional<int> semitonesBetween(const QString& from, const QString& to);

/// A chord as its step of a major key: "1", "4", "6m", "5/7", "b7". A minor key counts from its relative
/// major. What is no chord, or a key that is none, leaves the chord as it was.
[[nodiscard]] QString chordNumber(const QString& chord, const QString& key);
/// The song with its chords as numbers; the key is the song's, or guessed.
[[nodiscard]] Song withChordNumbers(const Song& song);

/// The song as it is fingered with a capo: chords down by as many semitones, the key with them.
[[nodiscard]] Song withCapo(const Song& song, int fret);

/// The likeliest key of the song's chords: how many belong to it, with the first and last counting more.
/// Nothing without chords.
[[nodiscard]] std::optional<QString> guessedKey(const Song& song);

/// The key, or the guessed one; empty when neither is there.
[[nodiscard]] QString keyOf(const Song& song);

/// Every chord that is none, once, as written.
[[nodiscard]] QStringList doubtfulChords(const Song& song);

} // namespace mivanta
