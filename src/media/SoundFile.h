// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/base/Result.h"
#include <QString>

namespace mivanta {

/// Writes what is heard of a sound or a film as a WAV file, as fast as that goes. Any thread but the GUI's.
[[nodiscard]] Result<void> writeSound(const QString& path, const QString& to);

} // namespace mivanta
