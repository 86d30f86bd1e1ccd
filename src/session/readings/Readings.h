// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/run/Slides.h"
#include "session/readings/Contrasts.h"

namespace mivanta {

/// How an item is read on one output: the worst of its slides.
struct Reading {
    Legibility worst;       ///< the shortest distance and the weakest contrast; 0 until one is measured
    int slide = 0;          ///< the one to be mended first: the smallest, else the weakest
    bool isMeasured = true; ///< false = some contrasts are still being measured
};

/// Nothing without slides. Contrasts that are not known yet are asked for.
[[nodiscard]] std::optional<Reading> readingOf(const ItemSlides& slides, const OutputSlides& output,
                                               Contrasts& contrasts, Contrasts::Urgency urgency);

/// Of one slide; without the contrast when it is not known yet.
[[nodiscard]] Legibility readingOfSlide(const ItemSlides& slides, const OutputSlides& output, int slide,
                                        Contrasts& contrasts, Contrasts::Urgency urgency);

/// "reads to 13 m ✓ back row 12 m · contrast 9.1 ✓"
[[nodiscard]] QString readingText(const Legibility& reading);

} // namespace mivanta
