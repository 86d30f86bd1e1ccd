// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/base/Result.h"
#include "core/media/Medium.h"

namespace mivanta {

/// Looks at a picture, film or sound, as its kind asks for; half a picture is none. Any thread but the GUI's;
/// may take ten seconds.
[[nodiscard]] Result<MediumFacts> lookAtMedium(const QString& path, MediumKind kind);

} // namespace mivanta
