// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/base/Result.h"
#include "core/order/Service.h"
#include <functional>

namespace mivanta {

/// Reads a service from lines of text: "Title: …", "Place: …", "Start: 2026-10-04 10:30", "Theme: id or name"
/// first, then "# Heading" and one item a line: a title or a reference. `findItem` looks it up; its failure
/// ends the reading. Without a theme, the first of `themes` is used.
[[nodiscard]] Result<Service>
readOrderText(const QString& text, const QString& where, const std::vector<Theme>& themes,
              const std::function<Result<ItemWords>(const QString& line)>& findItem);

} // namespace mivanta
