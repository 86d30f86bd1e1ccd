// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <QString>

namespace mivanta {

/// A short name for a folder, the same however it is reached (links, ".."): letters and digits.
[[nodiscard]] QString keyOfFolder(const QString& folder);

} // namespace mivanta
