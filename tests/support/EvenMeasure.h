// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/run/Slides.h"

namespace mivanta {

/// Every character is half an em wide.
class EvenMeasure : public TextMeasure {
public:
    [[nodiscard]] double width(const QString& text) const override { return 0.5 * double(text.size()); }
};

class EvenMeasures : public MeasureSource {
public:
    [[nodiscard]] const TextMeasure& measure(const FontChoice&) override { return m_measure; }

private:
    EvenMeasure m_measure;
};

} // namespace mivanta
