// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "cli/Arguments.h"
#include "core/base/Result.h"
#include <QTextStream>

namespace mivanta {

/// service show FILE: the order with its times, who leads and what is left out today.
[[nodiscard]] Result<int> runServiceShow(const Arguments& arguments, QTextStream& out);

/// service check-files FILE: what it uses and what is missing; 1 when something is.
[[nodiscard]] Result<int> runCheckFiles(const Arguments& arguments, QTextStream& out);
/// service pack FILE --to FILE: the service with its pictures and fonts.
[[nodiscard]] Result<int> runPack(const Arguments& arguments, QTextStream& out);
/// service unpack FILE --to DIR; writes nothing when anything in it is refused.
[[nodiscard]] Result<int> runUnpack(const Arguments& arguments, QTextStream& out);

} // namespace mivanta
