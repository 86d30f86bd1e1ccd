// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/legibility/Legibility.h"
#include "core/base/Said.h"
#include <algorithm>
#include <cmath>

namespace mivanta {

namespace {
constexpr double kXHeightsToDistance = 200;
constexpr double kLeastArcMinutes = 16;
constexpr double kArcMinute = M_PI / 180 / 60; // radians
} // namespace

double arcMinutes(double height, double distance) {
    return distance > 0 ? 2 * std::atan(height / (2 * distance)) / kArcMinute : 0;
}

double readsTo(const LetterHeights& letters, double pictureHeight) {
    const double byX = letters.x * pictureHeight * kXHeightsToDistance;
    const double byCapital =
        letters.capital * pictureHeight / (2 * std::tan(kLeastArcMinutes * kArcMinute / 2));
    return std::min(byX, byCapital);
}

double relativeLuminance(const Colour& colour) {
    const auto linear = [](quint8 channel) {
        const double value = channel / 255.0;
        return value <= 0.04045 ? value / 12.92 : std::pow((value + 0.055) / 1.055, 2.4);
    };
    return 0.2126 * linear(colour.red) + 0.7152 * linear(colour.green) + 0.0722 * linear(colour.blue);
}

double addedLuminance(RoomLight light) {
    // Of a projector's white: a room without light, one dimmed for a service, one with daylight on the
    // screen.
    switch (light) {
    case RoomLight::Dark:
        return 0;
    case RoomLight::Dimmed:
        return 0.02;
    case RoomLight::Daylight:
        return 0.12;
    }
    return 0;
}

bool isLight(const Colour& colour) {
    constexpr double kMiddleGrey = 0.18;
    return relativeLuminance(colour) > kMiddleGrey;
}

double contrastRatio(double luminance, double other, RoomLight light) {
    const double added = addedLuminance(light) + 0.05;
    return (std::max(luminance, other) + added) / (std::min(luminance, other) + added);
}

double contrastReached(std::vector<double> ratios) {
    if (ratios.empty())
        return 21;
    const auto at = ratios.begin() + std::ptrdiff_t(ratios.size() / 20);
    std::nth_element(ratios.begin(), at, ratios.end());
    return *at;
}

bool isWorse(const Legibility& one, const Legibility& other) {
    const auto shares = [](const Legibility& reading) {
        const double size = reading.backRow > 0 ? reading.readsTo / reading.backRow : 1e9;
        const double contrast = reading.contrast > 0 ? reading.contrast / kGoodContrast : 1e9;
        return std::pair(size, contrast);
    };
    const auto [size, contrast] = shares(one);
    const auto [otherSize, otherContrast] = shares(other);
    if (std::min(size, otherSize) < 1)
        return size < otherSize;
    if (std::min(contrast, otherContrast) < 1)
        return contrast < otherContrast;
    return std::min(size, contrast) < std::min(otherSize, otherContrast);
}

Legibility legibilityOf(const LetterHeights& letters, const Output& output) {
    return {readsTo(letters, output.pictureHeight),
            arcMinutes(letters.capital * output.pictureHeight, output.backRow), 0, output.backRow};
}

QString legibilityText(const Legibility& legibility) {
    const QString to = QString::number(std::floor(legibility.readsTo));
    const QString row = QString::number(legibility.backRow);
    return legibility.isLargeEnough() ? Said::tr("reads to %1 m \u2713 back row %2 m").arg(to, row)
                                      : Said::tr("reads to %1 m only, the back row is at %2 m").arg(to, row);
}

} // namespace mivanta
