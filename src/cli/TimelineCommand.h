// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "cli/Arguments.h"
#include "core/base/Result.h"
#include <QTextStream>

namespace mivanta {

/// service timeline FILE: every showing of its loops with its times, and what comes by itself behind them; of
/// one item with --item N, as the order counts its items and headings from 1. --from says when it begins.
[[nodiscard]] Result<int> runTimeline(const Arguments& arguments, QTextStream& out);

} // namespace mivanta
