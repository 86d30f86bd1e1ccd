// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "formats/ScriptureText.h"
#include <QIODevice>

namespace mivanta {

/// Reads one USFM 3.0 file: one book or several. Headings, introductions, notes, cross references and
/// pictures are left out; paragraphs, lines of poetry and emphasis are kept. A note that is not closed ends
/// at the next verse or paragraph, with a warning. A verse, chapter or book whose number or code is none is a
/// damage: it is left out, and what follows is read. Fails, naming the line, on what is no USFM (no \id), and
/// where damage left no verse. A file of front matter or a glossary has no books.
[[nodiscard]] Result<ScriptureText> readUsfm(QIODevice& device, const QString& where);

} // namespace mivanta
