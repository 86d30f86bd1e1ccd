// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/run/Slides.h"
#include <QFontMetricsF>
#include <QHash>
#include <map>
#include <memory>

namespace mivanta {

/// Measures words in one font as the renderer draws them. Remembers widths of words; one thread.
class FontMeasure : public TextMeasure {
public:
    explicit FontMeasure(const FontChoice& font);
    [[nodiscard]] double width(const QString& text) const override;

private:
    QFontMetricsF m_metrics;
    mutable QHash<QString, double> m_known;
};

/// A measure for each font, made when first asked for; one thread.
class FontMeasures : public MeasureSource {
public:
    [[nodiscard]] const TextMeasure& measure(const FontChoice& font) override;

private:
    std::map<FontChoice, std::unique_ptr<FontMeasure>> m_measures;
};

} // namespace mivanta
