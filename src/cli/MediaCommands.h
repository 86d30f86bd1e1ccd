// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "cli/Arguments.h"
#include "store/Library.h"
#include <QTextStream>

namespace mivanta {

/// media list | show NAME | add FILE... | watch FOLDER | disc PATH [TITLE]
[[nodiscard]] Result<int> runMedia(Library& library, const Arguments& arguments, QTextStream& out);

/// play FILE --to DIR: the pictures of a film, each when its time has come, and its sound as WAV.
[[nodiscard]] Result<int> runPlay(const Arguments& arguments, QTextStream& out);

} // namespace mivanta
