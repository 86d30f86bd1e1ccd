// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "formats/ScriptureText.h"
#include <QIODevice>

namespace mivanta {

/// Reads text with one verse a line, "Luke 5:1 The words" (also "LUK 5:1", "1 Cor. 13:4-5"). Lines before
/// the first verse may say "Name: …", "Short name: …", "Language: …", "Copyright: …", and what a book is
/// called there, "Book: LUK Lukas". Empty lines and lines that begin with "#" count for nothing. Fails,
/// naming the line, on any other.
[[nodiscard]] Result<ScriptureText> readVerseLines(QIODevice& device, const QString& where);

} // namespace mivanta
