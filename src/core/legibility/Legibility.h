// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/base/Colour.h"
#include "core/run/Output.h"
#include <vector>

namespace mivanta {

/// Heights of a font's letters on a picture, in shares of the picture's height.
struct LetterHeights {
    double x = 0;       ///< of an x
    double capital = 0; ///< of an H
};

/// The angle, in minutes of arc, under which a height is seen; both in metres.
[[nodiscard]] double arcMinutes(double height, double distance);

/// The farthest distance, in metres, from which letters are read without effort: the x-height is at least a
/// two-hundredth of it (ANSI/AVIXA V202.01, basic decision making), and capitals are seen under at least 16
/// minutes of arc (ISO 9241-303).
[[nodiscard]] double readsTo(const LetterHeights& letters, double pictureHeight);

/// Relative luminance, 0 to 1, as WCAG 2 defines it for sRGB.
[[nodiscard]] double relativeLuminance(const Colour& colour);

/// Lighter than a middle grey: black behind it is the stronger ground.
[[nodiscard]] bool isLight(const Colour& colour);

/// What the room's light adds to every point of a screen, in relative luminance.
[[nodiscard]] double addedLuminance(RoomLight light);

/// The contrast ratio of WCAG 2, 1 to 21, with the same light added to both sides.
[[nodiscard]] double contrastRatio(double luminance, double other, RoomLight light = RoomLight::Dark);

inline constexpr double kGoodContrast = 4.5; ///< WCAG 2.2, 1.4.3; large letters would do with 3

/// The contrast that all but the worst twentieth of the points reach; 21 without points.
[[nodiscard]] double contrastReached(std::vector<double> ratios);

/// How well a slide is read in its hall.
struct Legibility {
    double readsTo = 0;    ///< metres
    double arcMinutes = 0; ///< of a capital, at the back row
    double contrast = 0;   ///< contrastReached(); 0 = not measured
    double backRow = 0;    ///< metres

    [[nodiscard]] bool isLargeEnough() const { return readsTo >= backRow; }
    [[nodiscard]] bool isStrongEnough() const { return contrast == 0 || contrast >= kGoodContrast; }
};

/// Which of two is mended first: what the back row cannot read, then what is too weak, then what is nearest
/// to being so.
[[nodiscard]] bool isWorse(const Legibility& one, const Legibility& other);

/// Of letters of these heights on an output; without the contrast.
[[nodiscard]] Legibility legibilityOf(const LetterHeights& letters, const Output& output);

/// "reads to 31 m ✓ back row 24 m", "reads to 14 m, the back row is at 24 m".
[[nodiscard]] QString legibilityText(const Legibility& legibility);

} // namespace mivanta
