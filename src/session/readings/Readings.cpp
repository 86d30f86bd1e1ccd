// SPDX-License-Identifier: GPL-3.0-or-later
#include "session/readings/Readings.h"
#include "core/run/RunState.h"
#include "render/LegibilityMeasure.h"
#include <QCoreApplication>

namespace mivanta {

Legibility readingOfSlide(const ItemSlides& slides, const OutputSlides& output, int slide,
                          Contrasts& contrasts, Contrasts::Urgency urgency) {
    const Slide& shown = output.slides[size_t(slide)];
    Legibility reading = legibilityOf(
        letterHeights(output.lookOf(shown).words, output.fontSizeOf(shown), output.output.size.height()),
        output.output);
    reading.contrast = contrasts.of(sceneOf(slides, output, slide), output.output.light, urgency).value_or(0);
    return reading;
}

std::optional<Reading> readingOf(const ItemSlides& slides, const OutputSlides& output, Contrasts& contrasts,
                                 Contrasts::Urgency urgency) {
    std::optional<Reading> result;
    for (int i = 0; i < int(output.slides.size()); ++i) {
        const Legibility one = readingOfSlide(slides, output, i, contrasts, urgency);
        if (!result) {
            result = Reading{one, i, one.contrast > 0};
            continue;
        }
        Legibility& worst = result->worst;
        const bool isWeaker = one.contrast > 0 && (worst.contrast == 0 || one.contrast < worst.contrast);
        if (one.readsTo < worst.readsTo || (isWeaker && worst.isLargeEnough()))
            result->slide = i;
        if (one.readsTo < worst.readsTo) {
            worst.readsTo = one.readsTo;
            worst.arcMinutes = one.arcMinutes;
        }
        if (isWeaker)
            worst.contrast = one.contrast;
        result->isMeasured = result->isMeasured && one.contrast > 0;
    }
    return result;
}

QString readingText(const Legibility& reading) {
    QString size = legibilityText(reading);
    if (reading.contrast == 0)
        return size;
    const QString figure = QString::number(reading.contrast, 'f', 1);
    return size + QStringLiteral(" \u00b7 ") +
           (reading.isStrongEnough()
                ? QCoreApplication::translate("Readings", "contrast %1 \u2713").arg(figure)
                : QCoreApplication::translate("Readings", "contrast %1 only, %2 is wanted")
                      .arg(figure)
                      .arg(kGoodContrast));
}

} // namespace mivanta
