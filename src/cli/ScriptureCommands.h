// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "cli/Arguments.h"
#include "core/order/Service.h"
#include "core/scripture/ReferenceParser.h"
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

/// Why this is no passage.
[[nodiscard]] Error problemOf(const Understanding& understood, const QString& typed);

} // namespace mivanta
