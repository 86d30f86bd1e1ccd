// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/song/PartHeading.h"

namespace mivanta {

/// The heading of a part as lyric sheets write it.
struct SheetHeading {
    PartHeading heading;
    int times = 1;         ///< "(2x)" behind it
    QString words;         ///< that stand behind it on the same line
    bool isHashed = false; ///< written as "# …"
};

/// "Verse 1", "[Chorus]", "V2:", "Ref.: words", "1. words", "Verse two", "Repeat chorus (2x)". `isHead`: the
/// line stands at the head of a block, so that a plain "Chorus" or "2. …" counts. `writtenOnly`: what stands
/// behind a heading is no words of it, and nothing is short for a heading.
[[nodiscard]] std::optional<SheetHeading> readSheetHeading(const QString& line, bool isHead,
                                                           bool writtenOnly);

/// "(2x)", "x3", "repeat" on a line of its own: how often what stands above is sung; 1 = it is no such line.
[[nodiscard]] int repeatAlone(const QString& line);

/// A line of words without the "(2x)" at its end, and how often it is sung.
struct RepeatedLine {
    QString words;
    int times = 1;
};
[[nodiscard]] RepeatedLine repeatAtEnd(const QString& line);

} // namespace mivanta
