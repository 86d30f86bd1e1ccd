// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/song/PartHeading.h"
#include "core/song/WordsEdit.h"
#include <optional>

namespace mivanta {

/// Words from elsewhere, made ready for a song, and what was done to them.
struct CleanedText {
    std::vector<Part> parts;  ///< one without a heading when there were no headings and no blank lines
    bool hasHeadings = false; ///< the text named its parts
    int blankLines = 0;       ///< removed at the ends and where several stood together
    int spaces = 0;           ///< stray ones: at line ends, doubled, unusual
    int bullets = 0;          ///< list and quotation marks before lines
    int signs = 0;            ///< typographic quotes, ligatures, invisible signs
    int chordLines = 0;       ///< lines of chords put over the words below them
    /// "2 blank lines and 3 stray spaces were removed, chords put over 4 lines"; empty = nothing was done.
    [[nodiscard]] QString summary() const;
};

/// Cleans text from an e-mail, a web page or a word processor. Headings are recognised ("Verse 1",
/// "[Chorus]", "1. …" at the head of a block); without any, blocks become verses and one that comes again the
/// chorus. Chord lines are put over the letters that they stand above.
[[nodiscard]] CleanedText cleanedUp(const QString& pasted);

/// Pasted text with plain signs and spaces, without marks of lists and quotations; its gaps and columns stay.
[[nodiscard]] QString plainText(const QString& pasted);

/// Puts cleaned text into a song. Parts go in the place of an empty part, else behind the part of the place;
/// a single block without heading goes into the words there. When parts repeated and the song had no order,
/// the order is set. Returns the place behind what was put in.
WordsPlace pasteInto(Song& song, const WordsPlace& place, int selected, const CleanedText& text);

/// Lines of text, each with the index of the line that it came from.
struct NumberedLines {
    QStringList lines;
    std::vector<int> from;
    int joined = 0; ///< lines of words that got the chords of the line above them
};
/// Joins lines of chords with the line of words below them, as "[G]words"; other lines stay.
[[nodiscard]] NumberedLines withChordsInWords(const QStringList& lines);

/// The heading of a part on a line of its own: "Verse 1", "[Chorus]", "# Bridge", "Verse 1:".
/// `mayBeBare`: the line stands at the head of a block, so a plain "Chorus" counts.
[[nodiscard]] std::optional<PartHeading> findHeading(const QString& line, bool mayBeBare);

} // namespace mivanta
