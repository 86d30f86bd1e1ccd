// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "formats/ScriptureText.h"
#include <QIODevice>

namespace mivanta {

/// Reads an OSIS 2.1 file. Verses and chapters may be containers or milestones (sID, eID). Titles, notes and
/// references inside notes are left out; paragraphs, lines of poetry and emphasis are kept. A file that
/// declares entities is refused, so that nothing grows and nothing outside is read.
[[nodiscard]] Result<ScriptureText> readOsis(QIODevice& device, const QString& where);

} // namespace mivanta
