// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/scripture/Book.h"
#include <vector>

namespace mivanta {

/// A verse, or a chapter's begin or end.
struct VersePoint {
    int chapter = 1;
    int verse = 0;   ///< 0 = where the chapter begins, as the start of a range; where it ends, as the end
    char letter = 0; ///< 'a' to 'c' for a part of the verse; 0 = all of it
    friend bool operator==(const VersePoint&, const VersePoint&) = default;
};

/// Verses in one row, within one book.
struct VerseRange {
    BookCode book;
    VersePoint from;
    VersePoint to; ///< inclusive
    friend bool operator==(const VerseRange&, const VerseRange&) = default;
};

/// What is read: one or more ranges, in the order in which they are read.
struct Reference {
    std::vector<VerseRange> ranges;
    friend bool operator==(const Reference&, const Reference&) = default;
    [[nodiscard]] bool isEmpty() const { return ranges.empty(); }
};

/// One chapter as a translation has it.
struct OutlineChapter {
    int number = 1;
    int lastVerse = 0;
    std::vector<int> missing; ///< verses from 1 to lastVerse that are not there, rising
};

/// One book as a translation has it.
struct OutlineBook {
    BookCode code;
    QString name;                         ///< as the translation calls it
    QStringList otherNames;               ///< its long and short names
    std::vector<OutlineChapter> chapters; ///< by rising number

    [[nodiscard]] const OutlineChapter* chapter(int number) const;
    [[nodiscard]] bool hasOneChapter() const { return chapters.size() == 1 && chapters[0].number == 1; }
};

/// What a translation has: its books, chapters and verses. This is all that a reference is checked against.
struct Outline {
    QString translation;            ///< short name, for messages
    QString language;               ///< BCP 47 tag; decides whether "5,3" means chapter and verse
    std::vector<OutlineBook> books; ///< in their order there

    [[nodiscard]] const OutlineBook* book(BookCode code) const;
    /// "5,3" is chapter and verse in its language.
    [[nodiscard]] bool writesCommas() const;
};

/// The ranges in the order of the books, those that touch or overlap as one. Parts of verses stay as they
/// are.
[[nodiscard]] Reference joined(std::vector<VerseRange> ranges, const Outline& outline);

/// The reference as it is written: "Luke 5:1–11, 27–39", "Genesis 1:31–2:3", "Psalm 23", "Jude 5". Books by
/// their names in the outline.
[[nodiscard]] QString referenceText(const Reference& reference, const Outline& outline);

} // namespace mivanta
