// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/song/Song.h"

namespace mivanta {

/// A chord moved by semitones (any whole number). Root and bass are spelled with flats or sharps as asked.
/// What is no chord ("N.C.", "riff") comes back as it was.
[[nodiscard]] QString transposedChord(const QString& chord, int semitones, bool withFlats);

/// True when a key of this name is written with flats ("F", "Bb", "Dm", "Gm", …).
[[nodiscard]] bool keyUsesFlats(const QString& key);

/// The song with its key and every chord moved by semitones; enharmonics follow the new key.
[[nodiscard]] Song transposed(const Song& song, int semitones);

} // namespace mivanta
