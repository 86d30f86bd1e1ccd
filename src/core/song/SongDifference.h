// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/song/Song.h"

namespace mivanta {

/// What differs between two states of a song, in words for people: "title", "words", "chords", "slide
/// breaks", "singing order", "key", "capo", "theme", "details". Empty when they have the same content.
[[nodiscard]] QStringList differencesOf(const Song& a, const Song& b);

} // namespace mivanta
