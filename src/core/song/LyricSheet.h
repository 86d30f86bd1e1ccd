// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/song/PartHeading.h"
#include <vector>

namespace mivanta {

enum class SheetLineKind {
    Words,
    Blank,
    Heading, ///< of a part; without words under it, the part of that name again
    Repeat,  ///< the part above is sung `times` times
    Rule,    ///< a slide break
    Comment, ///< for the musicians
    Detail,  ///< a value by its name as files write it, such as "words"; "title" is one, too
    LeftOut, ///< no words of the song: a page number, what stands around it on a web page
};

/// One line of a song as people write it, and what it was understood as.
struct SheetLine {
    SheetLineKind kind = SheetLineKind::Words;
    QString text; ///< the words, the comment, or the detail's value; chords stand in brackets
    int from = 0; ///< index of the line of the text that it came from
    PartHeading heading{};
    int times = 1;         ///< of a heading or a repeat: how often it is sung in a row
    bool isHashed = false; ///< the heading is written as "# …"
    bool hasWords = false; ///< words stand behind the heading on the same line; a blank line ends that part
    QString name{};        ///< of a detail
};

/// Reads the lines of an e-mail, a lyric sheet or a web page as a song.
///
/// - First lines: the title (also in capitals, with a hymn number, as "Title – Author" or "Title by Author"),
///   names ("Words: …", "Music by …", "Text und Melodie: …"), "© …", "Key: G", "Capo 2", numbers of hymn
///   books and licences. Names and rights may stand at the foot as well.
/// - Headings: "Verse 1", "[Chorus]", "Ref.:", "V2:", "1. words", "Chorus (2x)", "Repeat chorus", in English,
///   German, French and Spanish.
/// - Two columns that were pasted as one are put below each other; chords over words go into them; a line
///   that ends in "(2x)" is sung twice.
/// - Page numbers and the signs of web pages are left out, in blocks of their own only: a line of words never
/// is.
///
/// A text with headings "# …" is taken as it was written: only its details are looked for.
[[nodiscard]] std::vector<SheetLine> readLyricSheet(const QStringList& lines);

} // namespace mivanta
