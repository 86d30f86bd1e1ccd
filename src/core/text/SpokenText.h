// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/base/Id.h"
#include "core/song/Song.h"
#include <QDate>

namespace mivanta {

/// One line of a spoken text and who says it.
struct SpokenLine {
    QString role;  ///< "Leader", "All", or any other; empty = nobody in particular, such as a notice
    QString words; ///< may hold fields such as {date}; empty = a gap
    std::vector<Emphasis> emphasis;
    bool breakBefore = false; ///< a person set a slide break before this line
    friend bool operator==(const SpokenLine&, const SpokenLine&) = default;
};

enum class TextKind { Liturgy, Prayer, Response, Creed, Notice, Other };

/// Words that are spoken: liturgy, prayers, responses, creeds, notices.
struct SpokenText {
    TextId id;
    int revision = 0; ///< 0 = not in a library yet; grows by one with every saved change
    QString title;
    TextKind kind = TextKind::Liturgy;
    QString author;
    QString copyright;
    QStringList topics;
    QStringList seasons; ///< such as "Advent"
    QString language;    ///< BCP 47 tag; empty = not said
    QString notes;
    QString
        picture; ///< behind the words, in place of the backdrop: a file of the library's media; may be empty
    QDate lastDay;          ///< loops leave it out behind that day; invalid = never
    bool namesRoles = true; ///< the names of the roles are shown before their words
    std::vector<SpokenLine> lines;
};

/// True when all but ids and revisions is the same.
[[nodiscard]] bool sameContent(const SpokenText& a, const SpokenText& b);

[[nodiscard]] QString textKindName(TextKind kind);

/// The roles that are used, in their order there, each once.
[[nodiscard]] QStringList rolesOf(const SpokenText& text);

/// The roles that are always offered.
[[nodiscard]] const QStringList& usualRoles();

} // namespace mivanta
