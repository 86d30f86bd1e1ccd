// SPDX-License-Identifier: GPL-3.0-or-later
#include "render/FontMeasure.h"
#include "render/Fonts.h"

namespace mivanta {

namespace {
constexpr int kMeasuredAt = 200; // px; widths at other sizes are in proportion
constexpr qsizetype kMostKnown = 50'000;
} // namespace

FontMeasure::FontMeasure(const FontChoice& font)
    : m_metrics(slideFont(font.family, font.weight, kMeasuredAt, font.capitals)) {}

double FontMeasure::width(const QString& text) const {
    if (const auto known = m_known.constFind(text); known != m_known.constEnd())
        return *known;
    const double width = m_metrics.horizontalAdvance(text) / kMeasuredAt;
    if (m_known.size() >= kMostKnown)
        m_known.clear();
    m_known.insert(text, width);
    return width;
}

const TextMeasure& FontMeasures::measure(const FontChoice& font) {
    auto& measure = m_measures[font];
    if (!measure)
        measure = std::make_unique<FontMeasure>(font);
    return *measure;
}

} // namespace mivanta
