// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <QString>
#include <vector>

namespace mivanta {

/// A piece of a typed reference.
struct ReferenceToken {
    enum class Kind {
        Name,    ///< a book's name, with its number
        Number,  ///< with its letter, or with how it goes on
        Chapter, ///< the word
        Verse,   ///< the word, or "v"
        Colon,   ///< also a point that parts chapter and verse
        Point,   ///< a point that may do so, or part verses
        Comma,
        Semicolon,
        Dash,
        Unknown, ///< a sign or word that means nothing here
    };
    enum class Tail { None, Next, Rest }; ///< "f", "ff"

    Kind kind = Kind::Unknown;
    QString text; ///< of a name, or what is unknown
    int number = 0;
    char letter = 0;
    Tail tail = Tail::None;
};

/// Splits what was typed; spoken numbers and words ("five", "to", "and then from") become signs.
[[nodiscard]] std::vector<ReferenceToken> referenceTokens(const QString& text);

} // namespace mivanta
