// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/theme/FilmPlay.h"
#include <QByteArray>

namespace mivanta {

/// What a file says about its pictures that the decoder does not do by itself.
struct FilmTraits {
    int rotation = 0;   ///< degrees to turn them clockwise: 0, 90, 180 or 270
    bool isHdr = false; ///< its light is that of ITU-R BT.2100 (PQ or HLG)
    QSize size;         ///< px as decoded
    bool isInterlaced = false;
    friend bool operator==(const FilmTraits&, const FilmTraits&) = default;
};

/// The filters of libavfilter that its pictures go through, as libmpv's option `vf` takes them; empty for
/// none. Brightness, contrast and saturation are as `treated()` has them; tint and edge are painted over the
/// film. `end`: seconds of the file, 0 = not known, and nothing fades there.
[[nodiscard]] QByteArray filmFilters(const FilmTraits& traits, const FilmPlay& film, double end);
/// The same for its sound and the option `af`.
[[nodiscard]] QByteArray soundFilters(const FilmPlay& film, double end);

} // namespace mivanta
