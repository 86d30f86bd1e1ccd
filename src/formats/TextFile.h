// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/base/Result.h"
#include "core/text/SpokenText.h"
#include <QIODevice>

namespace mivanta {

struct ReadText {
    SpokenText text;
    QString warning; ///< what to look at; empty = nothing
};

/// Reads a spoken text from a plain text file: lines "Title: …", "Kind: Prayer", "Author: …", "Copyright: …",
/// "Topics: a, b", "Seasons: a, b", "Language: …", "Role names: no" first, then an empty line, then the words
/// with their roles as core/text/TextMarks.h says. Without a title, the file's name is the title.
[[nodiscard]] Result<ReadText> readTextFile(QIODevice& device, const QString& where);

/// The same form, to be read again.
[[nodiscard]] QString textFileOf(const SpokenText& text);

} // namespace mivanta
