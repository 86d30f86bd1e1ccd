// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/run/Slides.h"
#include <QString>

namespace mivanta {

/// The family that is used instead of one that is not on this computer; empty when it is here. An empty
/// family is the shipped one.
[[nodiscard]] QString substituteFor(const QString& family);

/// Letters of a text that a font does not have itself.
struct FontCoverage {
    QString borrowed; ///< another font has them; each once
    QString missing;  ///< no font of this computer has them; each once
};

[[nodiscard]] FontCoverage coverageOf(const QString& text, const FontChoice& font);

} // namespace mivanta
