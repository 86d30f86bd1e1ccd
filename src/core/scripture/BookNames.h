// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/scripture/Book.h"

namespace mivanta {

/// A book by any name that translations usually have for it: the English names and their long forms ("The
/// Revelation of St John the Divine", "The First Epistle of Paul to the Corinthians"), and the German, French
/// and Spanish ones. In any case, with or without accents. Nothing for another name.
[[nodiscard]] std::optional<BookCode> bookFromAnyName(const QString& name);

} // namespace mivanta
