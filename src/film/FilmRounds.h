// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/theme/FilmPlay.h"
#include <QByteArray>
#include <optional>

namespace mivanta {

/// What is played again and again of a film that goes round.
struct FilmRound {
    double begin = 0;   ///< by the file's own clock, seconds
    double seconds = 0; ///< how long its pictures are

    /// The same many times in a row, for libmpv (an "edl://" address): it then reads and decodes the
    /// beginning of the next round before this one is over, so that nothing is seen of where they meet.
    [[nodiscard]] QByteArray address(const QByteArray& path) const;
};

/// What the header of a film's file says of it, read by the reader of that name (as filmFormatOf() says).
/// Nothing when it does not say how long its pictures are, when the part is too short, or when the film fades
/// at both ends anyway.
[[nodiscard]] std::optional<FilmRound> roundOf(const FilmPlay& film, const QByteArray& path,
                                               const QByteArray& format);

} // namespace mivanta
