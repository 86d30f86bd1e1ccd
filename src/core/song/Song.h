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

/// A stretch of a line's words that is said or sung with weight.
struct Emphasis {
    int from = 0; ///< index into Line::words (UTF-16)
    int to = 0;   ///< behind the last character
    bool bold = false;
    bool italic = false;
    friend bool operator==(const Emphasis&, const Emphasis&) = default;
};

struct Line {
    QString words; ///< may be empty when the line holds chords only
    std::vector<ChordMark> chords;
    bool breakBefore = false;       ///< a person set a slide break before this line
    QString comment;                ///< for the musicians, said before this line; never sung
    std::vector<Emphasis> emphasis; ///< by rising place, none empty, none over another
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

    /// Names the part in files and in what refers to it, and never changes: "Verse 1", "Chorus", or the name
    /// given by hand.
    [[nodiscard]] QString key() const;
    [[nodiscard]] QString label() const; ///< the same in the language of whoever reads it
    /// As singing orders write it, in all languages: "V1", "C", "P", "B", "Intro", "Inter", "T", "E".
    [[nodiscard]] QString shortLabel() const;
    [[nodiscard]] bool hasWords() const;
    friend bool operator==(const Part&, const Part&) = default;
};

/// One entry of a singing order: a part, sung `times` times in a row; a null part is an empty slide.
struct SungPart {
    PartId part;
    int times = 1;     ///< 1 to kMostTimes
    QString stageNote; ///< such as "half time"; only stage monitors show it
    [[nodiscard]] bool isEmptySlide() const { return part.isNull(); }
    friend bool operator==(const SungPart&, const SungPart&) = default;
};

inline constexpr int kMostTimes = 99;

/// One of several orders in which a song may be sung.
struct NamedOrder {
    QString name;
    std::vector<SungPart> entries; ///< empty = as written
    friend bool operator==(const NamedOrder&, const NamedOrder&) = default;
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
    std::vector<SungPart> singingOrder; ///< the usual one; empty = as written
    QString orderName;                  ///< of the usual order; may be empty
    std::vector<NamedOrder> otherOrders;
    QString usualTheme;   ///< a theme's id; empty = the service's
    QString backingTrack; ///< a sound file; empty = none

    [[nodiscard]] const Part* part(const PartId& id) const;
    [[nodiscard]] QStringList authorNames(AuthorRole role) const;
    /// Every author once, in the order given.
    [[nodiscard]] QStringList authorNames() const;
    /// The first line with words of the first part that is sung; empty when there is none.
    [[nodiscard]] QString firstLine() const;
    [[nodiscard]] int indexOf(const PartId& id) const; ///< -1 = not there
    /// The singing order, or every part once when none is set.
    [[nodiscard]] std::vector<SungPart> sungParts() const;
};

/// True when words, chords, details and order are the same; ids and revisions do not count.
[[nodiscard]] bool sameContent(const Song& a, const Song& b);

[[nodiscard]] QString partKindName(PartKind kind); ///< for people
[[nodiscard]] QString partKindKey(PartKind kind);  ///< in files: "Verse", "Pre-chorus"; never changes

} // namespace mivanta
