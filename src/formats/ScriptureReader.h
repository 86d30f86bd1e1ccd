// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "formats/ScriptureText.h"
#include <QIODevice>
#include <functional>

namespace mivanta {

/// Reads one file of scripture: USFM, OSIS or a verse a line, told by how it begins.
[[nodiscard]] Result<ScriptureText> readScripture(QIODevice& device, const QString& where);

/// Called before each file; returning false stops.
using ScriptureProgress = std::function<bool(int done, int total)>;

/// Reads a translation from a file, from a ZIP file, or from a folder with the folders inside it: all that
/// can be read. What cannot is told (ScriptureText::damages), and is for a person to decide about; fails when
/// nothing can be read. Files of other kinds (pictures, style sheets) are passed over. What no file says of
/// itself is named after the path. Stopped: fails.
[[nodiscard]] Result<ScriptureText> readTranslation(const QString& path,
                                                    const ScriptureProgress& progress = {});

} // namespace mivanta
