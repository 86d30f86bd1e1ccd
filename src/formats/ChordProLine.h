// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/song/Song.h"

namespace mivanta {

/// One line of ChordPro words: "[G]Shine <b>on</b>". Brackets are chords, "[*text]" annotations (left out);
/// <b>, <i> and their <span> forms emphasis; other tags are left out; &lt; &gt; &amp; &#91; are the signs.
[[nodiscard]] Line readChordProLine(const QString& text);
/// The same line to write.
[[nodiscard]] QString chordProLine(const Line& line);

} // namespace mivanta
