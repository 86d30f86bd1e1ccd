// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/base/Id.h"
#include "core/scripture/Reference.h"
#include "core/scripture/Versification.h"
#include "core/song/Song.h"

namespace mivanta {

/// How a piece of a verse begins.
enum class VerseStart {
    Continues, ///< behind what stands before it, in the same line
    Paragraph,
    Poetry, ///< a line of poetry
};

/// A verse, or a part of one, up to where a new paragraph or line of poetry begins.
struct VersePiece {
    VerseStart start = VerseStart::Continues;
    QString words; ///< trimmed, single spaces
    std::vector<Emphasis> emphasis;
    friend bool operator==(const VersePiece&, const VersePiece&) = default;
};

struct Verse {
    BookCode book;
    int chapter = 1;
    int number = 1;
    int lastNumber = 1;             ///< higher than `number` when several verses are told as one
    std::vector<VersePiece> pieces; ///< at least one; not all empty
    friend bool operator==(const Verse&, const Verse&) = default;

    [[nodiscard]] QString words() const;      ///< all of it, in one line
    [[nodiscard]] QString numberText() const; ///< "4", "4–5"
};

/// When a translation's copyright line is shown, as its licence asks.
enum class CopyrightOn { Every, Last, Never };

/// A translation as the library knows it.
struct Translation {
    TranslationId id;
    QString name;
    QString shortName;
    QString language; ///< BCP 47 tag; empty = not said
    QString copyright;
    CopyrightOn copyrightOn = CopyrightOn::Last;
    Numbering numbering = Numbering::English;
    friend bool operator==(const Translation&, const Translation&) = default;
};

enum class PassageFlow {
    Running,    ///< verses follow one another in the same lines
    VerseALine, ///< each begins a line
    VerseASlide,
};
enum class VerseNumbers { Raised, Inline, None };
enum class ReferenceOn { Every, Last, None };
enum class ReferencePlace { CreditLine, BesideWords };

struct PassageLayout {
    PassageFlow flow = PassageFlow::Running;
    VerseNumbers numbers = VerseNumbers::Raised;
    ReferenceOn referenceOn = ReferenceOn::Every;
    ReferencePlace referencePlace = ReferencePlace::BesideWords; ///< large enough to be read
    bool namesTranslation = true; ///< its short name stands behind the reference
    bool keepsPoetry = true;      ///< lines of poetry stay lines
    friend bool operator==(const PassageLayout&, const PassageLayout&) = default;
};

/// The words of a reference in one translation.
struct PassageWords {
    Translation translation;
    QString reference;            ///< as this translation writes it
    std::vector<Verse> verses;    ///< of all ranges, one after the other
    std::vector<int> rangeStarts; ///< indexes of the first verse of each range, rising
    friend bool operator==(const PassageWords&, const PassageWords&) = default;
};

/// A passage as it stands in a service: complete, so that the service opens anywhere.
struct Passage {
    Reference reference;             ///< in the numbering of the first words
    std::vector<PassageWords> words; ///< one translation, or two side by side; never empty
    PassageLayout layout;
    friend bool operator==(const Passage&, const Passage&) = default;

    [[nodiscard]] QString title() const; ///< "Luke 5:1–11 (QST)"
};

/// The verses of a translation that a range names: those of `verses` inside it, cut at its letters. A verse
/// that only a letter names is parted at the pause nearest its middle ('a', 'b'), or at two ('c').
[[nodiscard]] std::vector<Verse> versesIn(const VerseRange& range, const std::vector<Verse>& verses);

} // namespace mivanta
