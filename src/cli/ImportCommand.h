// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "cli/Arguments.h"
#include "store/Library.h"
#include <QTextStream>

namespace mivanta {

/// mivanta-cli import: brings songs in, or with --look only says what they are. Returns the exit code.
[[nodiscard]] int runImport(Library& library, const Arguments& arguments, QTextStream& out);

} // namespace mivanta
