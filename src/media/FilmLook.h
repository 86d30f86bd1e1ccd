// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/base/Result.h"
#include <QImage>

namespace mivanta {

/// What is known of a film's file.
struct FilmFacts {
    double seconds = 0; ///< 0 = its length is not known
    QSize size;         ///< px, as it is seen with square pixels
    bool hasSound = false;
};

/// Looks at a film in a process of its own, so that a file that a decoder falls over does no harm. Any thread
/// but the GUI's; may take some hundred ms, and ten seconds at most.
[[nodiscard]] Result<FilmFacts> lookAtFilm(const QString& path);

/// A picture of it at a moment, in its own shape, that covers `size`; the nearest there is. Threads and time
/// as above.
[[nodiscard]] Result<QImage> pictureOfFilm(const QString& path, double seconds, QSize size);

} // namespace mivanta
