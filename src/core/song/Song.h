// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/base/Id.h"
#include <QString>
#include <QStringList>
#include <vector>

namespace mivanta {

/// A chord as written, over one character of a line's words.
struct ChordMark {
    int position = 0; ///< index into Line::words (UTF-16), 0 to words.size()
    QString name;
    friend bool operator==(const ChordMark&, const ChordMark&) = default;
};

struct Line {
    QString words; ///< may be empty when the line holds chords only
    std::vector<ChordMark> chords;
    bool breakBefore = false; ///< a person set a slide break before this line
    QString comment;          ///< for the musicians, said before this line; never sung
    friend bool operator==(const Line&, const Line&) = default;
};

enum class PartKind { Verse, PreChorus, Chorus, Bridge, Intro, Interlude, Tag, Ending, Other };

struct Part {
    PartId id;
    PartKind kind = PartKind::Verse;
    int number = 0;        ///< 0 = without a number
    QString name;          ///< for PartKind::Other: the name given by hand
    bool bandOnly = false; ///< never on a hall screen
    QString comment;       ///< for the musicians
    std::vector<Line> lines;

    [[nodiscard]] QString label() const;      ///< "Verse 1", "Chorus", or the name given by hand
    [[nodiscard]] QString shortLabel() const; ///< "V1", "C", "P", "B", "Int", "Ilde", "T", "E"
    [[nodiscard]] bool hasWords() const;
};

/// One entry of a singing order: a part, sung `times` times in a row.
struct SungPart {
    PartId part;
    int times = 1; ///< 1 to 99
    friend bool operator==(const SungPart&, const SungPart&) = default;
};

enum class AuthorRole { Words, Music, Translation, Arrangement };

struct Author {
    AuthorRole role = AuthorRole::Words;
    QString name;
    friend bool operator==(const Author&, const Author&) = default;
};

struct BookNumber {
    QString book;
    QString number;
    friend bool operator==(const BookNumber&, const BookNumber&) = default;
};

struct Song {
    SongId id;
    int revision = 0; ///< 0 = not in a library yet; grows by one with every saved change
    QString title;
    QStringList otherTitles;
    std::vector<Author> authors;
    QString copyright;
    QString licenceNumber;
    std::vector<BookNumber> bookNumbers;
    QString key;   ///< as written, such as "G" or "F#m"; empty = not said
    int tempo = 0; ///< beats a minute; 0 = not said
    QString timeSignature;
    int capo = 0; ///< fret; 0 = none
    QStringList topics;
    QString language; ///< BCP 47 tag; empty = not said
    QString notes;
    std::vector<Part> parts;
    std::vector<SungPart> singingOrder; ///< empty = as written

    [[nodiscard]] const Part* part(const PartId& id) const;
    [[nodiscard]] QStringList authorNames(AuthorRole role) const;
    /// Every author once, in the order given.
    [[nodiscard]] QStringList authorNames() const;
    /// The first line with words of the first part that is sung; empty when there is none.
    [[nodiscard]] QString firstLine() const;
    /// The singing order, or every part once when none is set.
    [[nodiscard]] std::vector<SungPart> sungParts() const;
};

/// True when words, chords, details and order are the same; ids and revisions do not count.
[[nodiscard]] bool sameContent(const Song& a, const Song& b);

[[nodiscard]] QString partKindName(PartKind kind);

} // namespace mivanta
