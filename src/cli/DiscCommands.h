// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "cli/Arguments.h"
#include "core/media/Medium.h"
#include <QTextStream>

namespace mivanta {

class Library;

/// A title of a video disc, or a part of it such as "0:02-0:12", becomes one of the library's media, with its
/// first sound. Without a name it is called after the disc.
[[nodiscard]] Result<Medium> keepFromDisc(Library& library, const QString& path, const QString& title,
                                          const QString& part, const QString& name);

/// media disc PATH [TITLE]: lists the titles, or copies one into the library
[[nodiscard]] Result<int> runDisc(Library& library, const Arguments& arguments, QTextStream& out);

} // namespace mivanta
