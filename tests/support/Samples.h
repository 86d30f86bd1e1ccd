// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/order/Service.h"
#include "core/run/Slides.h"
#include "support/EvenMeasure.h"

namespace mivanta::samples {

/// A part with these lines; "---" sets a slide break.
inline Part part(PartKind kind, int number, const QStringList& lines) {
    Part result{PartId::create(), kind, number, {}, false, {}, {}};
    bool breakNext = false;
    for (const QString& words : lines) {
        if (words == QLatin1String("---")) {
            breakNext = true;
            continue;
        }
        result.lines.push_back({words, {}, breakNext, {}});
        breakNext = false;
    }
    return result;
}

inline Song song(const QString& title, std::vector<Part> parts) {
    Song result;
    result.id = SongId::create();
    result.title = title;
    result.parts = std::move(parts);
    return result;
}

/// Two verses of four lines with a chorus of two, sung V1 C V2 C.
inline Song harbourSong(const QString& title = QStringLiteral("Harbour")) {
    Song result = song(
        title, {part(PartKind::Verse, 1,
                     {QStringLiteral("one line here,"), QStringLiteral("two lines here;"),
                      QStringLiteral("three lines here,"), QStringLiteral("four lines here.")}),
                part(PartKind::Chorus, 0, {QStringLiteral("sing it out,"), QStringLiteral("sing it in.")}),
                part(PartKind::Verse, 2,
                     {QStringLiteral("five lines here,"), QStringLiteral("six lines here;"),
                      QStringLiteral("seven lines here,"), QStringLiteral("eight lines here.")})});
    result.singingOrder = {
        {result.parts[0].id, 1}, {result.parts[1].id, 1}, {result.parts[2].id, 1}, {result.parts[1].id, 1}};
    return result;
}

inline Backdrop plain(Colour colour) {
    Backdrop backdrop;
    backdrop.colour = colour;
    return backdrop;
}

inline Backdrop gradient(std::vector<GradientStop> stops, double angle) {
    Backdrop backdrop;
    backdrop.kind = BackdropKind::Gradient;
    backdrop.stops = std::move(stops);
    backdrop.angle = angle;
    return backdrop;
}

inline Theme theme() {
    Theme result;
    result.id = QStringLiteral("test");
    result.name = QStringLiteral("Test");
    return result;
}

} // namespace mivanta::samples
