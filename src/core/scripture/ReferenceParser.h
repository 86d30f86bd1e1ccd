// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/base/Result.h"
#include "core/scripture/Reference.h"

namespace mivanta {

enum class ReferenceState {
    NotOne,     ///< this does not begin with the name of a book
    Unfinished, ///< a book's name, or something after which more must come
    Ambiguous,  ///< the name may mean several books
    Refused,    ///< it is a reference, but a wrong one, or to what is not there
    Understood,
};

/// What a typed reference was understood as.
struct Understanding {
    ReferenceState state = ReferenceState::NotOne;
    Reference reference;         ///< when understood: in range, and no range turned round
    QString text;                ///< when understood: as it is written; see referenceText()
    std::vector<BookCode> books; ///< that the name may mean
    QString help;                ///< what can follow: "Luke has 24 chapters"
    QString completed;           ///< the text moved on to what comes next ("Luke ", "Luke 5:"); may be empty
    QStringList notes;           ///< verses inside the ranges that the translation does not have
    QString other{}; ///< when understood: what it may mean as well, as it is written; may be empty
    Error problem;   ///< when refused or ambiguous
};

/// Understands a reference as it is typed or said: "luk 5 1-11", "1co13.4-7,13;14.1", "II Cor 4", "Jude 5",
/// "Gen 1:31-2:3", "Luke 5 v 3", "Luke 5:27ff", "4a", "Luke five, verses one to eleven, and then from
/// twenty-seven". Books go by the names that the outline has, the English ones, usual abbreviations and any
/// beginning that only one book has.
/// - In a book of one chapter a number alone is a verse.
/// - After a comma a number goes on with verses, after a semicolon it is a chapter. A range there that goes
/// on
///   rising in the chapter before ("Luke 2:1-7; 15-20", "Luke 5, 1-11") is verses; where it may be chapters
///   just as well, `other` says so.
/// - What stands around it is left out: see core/scripture/SpokenReference.
/// - "f" is this verse and the next, "ff" and "from" go on to the end of the chapter.
/// - Where the translation's language writes "5,3" for chapter and verse, that is understood, too.
[[nodiscard]] Understanding understandReference(const QString& text, const Outline& outline);

} // namespace mivanta
