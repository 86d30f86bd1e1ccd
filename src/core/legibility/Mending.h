// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/legibility/Legibility.h"
#include "core/theme/LookProperty.h"
#include <vector>

namespace mivanta {

/// A way to make words larger or easier to read.
enum class Mend {
    Larger,     ///< the theme's sizes
    FewerLines, ///< on a slide, so that they can be larger
    LargerBox,
    Outline,
    Backdrop, ///< darker behind light words, lighter behind dark ones; a panel where there is no backdrop
};

struct MendOffer {
    Mend mend = Mend::Larger;
    LookOverrides changes; ///< to be set where the look is edited
    QString label;         ///< for people: "Larger", "Darker backdrop"
};

/// A slide that may want mending.
struct MendCase {
    Look look;
    double fontSize = 0; ///< that came out, px on a picture kLookHeight high
    Legibility reading;
    int lines = 6;                   ///< rows at most, the output's limit counted in
    std::vector<LookGroup> insisted; ///< nothing of these is changed

    /// The size that is wanted: the one that the back row reads, else the theme's. As fontSize.
    [[nodiscard]] int wantedSize() const;
};

/// How far an offer can go.
inline constexpr int kMostMendStrength = 4;

/// What could mend it, at a strength of 1 to kMostMendStrength: sizes and room when the wanted size did not
/// come out, outline and backdrop when the contrast is too weak. Whether an offer does mend has to be tried:
/// words may not find the room.
[[nodiscard]] std::vector<MendOffer> mendsFor(const MendCase& slide, int strength);

} // namespace mivanta
