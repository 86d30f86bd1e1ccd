// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "cli/Arguments.h"
#include "core/base/Result.h"
#include <QTextStream>

namespace mivanta {

/// service show FILE: the order with its times, who leads and what is left out today.
[[nodiscard]] Result<int> runServiceShow(const Arguments& arguments, QTextStream& out);

} // namespace mivanta
