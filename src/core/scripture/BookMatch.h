// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/scripture/Reference.h"

namespace mivanta {

/// The books of the outline that a typed name may mean, in their order there: the one book when the name is
/// one of its names or usual abbreviations, else all that begin with it, in the translation's names or in
/// English; a number in front may be left out ("cor").
[[nodiscard]] std::vector<BookCode> booksMatching(const QString& name, const Outline& outline);

/// A known book that is called just this and that the outline does not have.
[[nodiscard]] std::optional<BookCode> missingBook(const QString& name, const Outline& outline);

} // namespace mivanta
