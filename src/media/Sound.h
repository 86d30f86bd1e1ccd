// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/base/Result.h"
#include <QString>

namespace mivanta {

/// What is known of a sound file.
struct SoundFacts {
    double seconds = 0; ///< 0 = its length is not known
};

/// Looks at a sound file: anything with sound in it that libmpv can decode. Any thread but the GUI's; may
/// take some hundred ms.
[[nodiscard]] Result<SoundFacts> lookAtSound(const QString& path);

} // namespace mivanta
