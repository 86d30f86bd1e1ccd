// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/base/Result.h"
#include "core/scripture/Passage.h"

namespace mivanta {

/// How passages are usually laid out in a library (passages.json in its folder); the built-in layout when
/// there is no such file.
[[nodiscard]] PassageLayout loadUsualLayout(const QString& libraryFolder);
[[nodiscard]] Result<void> saveUsualLayout(const QString& libraryFolder, const PassageLayout& layout);

} // namespace mivanta
