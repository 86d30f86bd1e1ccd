// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <QString>

namespace mivanta {

/// A title as the name of a file: without what file systems refuse, and not too long. Never empty.
[[nodiscard]] QString fileNameOf(const QString& title);

} // namespace mivanta
