// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/legibility/Legibility.h"
#include "core/run/Scene.h"
#include "render/RenderSources.h"

namespace mivanta {

/// Of the font that a look has, at a size in px on a picture of a height in px.
[[nodiscard]] LetterHeights letterHeights(const WordsLook& words, int fontSize, int pictureHeight);

inline constexpr int kMeasuredMoments = 12;

/// The contrast of the words against what is really seen around them (outline, shadow, panel, backdrop),
/// measured on the rendered picture: that of all but the worst twentieth of the points beside letters. 21
/// without words. Over a film: the least of kMeasuredMoments over its length, where that is known. Any
/// thread; takes as long as drawing the slide twice at a quarter of 1080p, for each moment.
[[nodiscard]] double measuredContrast(const Scene& scene, RoomLight light, const RenderSources& sources = {});

} // namespace mivanta
