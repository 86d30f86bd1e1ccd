// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "cli/Arguments.h"
#include <QTextStream>

namespace mivanta {

/// Runs one command. Returns the exit code: 0 done, 1 something was refused or not found.
[[nodiscard]] int runCommand(const Arguments& arguments, QTextStream& out, QTextStream& err);

} // namespace mivanta
