// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "cli/Arguments.h"
#include "core/order/Service.h"
#include "store/Library.h"
#include <QTextStream>

namespace mivanta {

/// import --translation: the path is one translation, whole or not at all.
[[nodiscard]] Result<int> runImportTranslation(Library& library, const Arguments& arguments,
                                               QTextStream& out);
/// import --texts: spoken texts from plain text files.
[[nodiscard]] Result<int> runImportTexts(Library& library, const Arguments& arguments, QTextStream& out);
/// passage: what a reference is understood as, and its verses.
[[nodiscard]] Result<int> runPassage(Library& library, const Arguments& arguments, QTextStream& out);
/// find --kind scripture and --kind text.
[[nodiscard]] Result<int> runFindVerses(Library& library, const Arguments& arguments, QTextStream& out);
[[nodiscard]] Result<int> runFindTexts(Library& library, const Arguments& arguments, QTextStream& out);

/// A passage from a line such as "Luke 5:1-11", "Ps 23 | QST, BMT | a verse a line"; nothing when the line is
/// no reference.
[[nodiscard]] Result<std::optional<Passage>> passageFromLine(Library& library, const QString& line);
/// The text of just this title; nothing when there is none.
[[nodiscard]] Result<std::optional<SpokenText>> textOfTitle(Library& library, const QString& title);

} // namespace mivanta
