// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <QString>

namespace mivanta {

/// Measures text in one font, in em: multiply by the font size in px. Fonts are measured without hinting,
/// so widths grow in proportion to the size.
class TextMeasure {
public:
    virtual ~TextMeasure() = default;
    /// Advance of the text set on one line, in em.
    [[nodiscard]] virtual double width(const QString& text) const = 0;
};

} // namespace mivanta
