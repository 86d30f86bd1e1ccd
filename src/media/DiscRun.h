// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/media/Disc.h"
#include "core/media/Medium.h"
#include <QImage>
#include <functional>

namespace mivanta {

/// The titles of a video disc in a drive, an image or a folder. Discs are read by a program of their own, so
/// that whatever is in them harms nobody. Any thread but the GUI's; drives take their time.
[[nodiscard]] Result<Disc> lookAtDisc(const QString& path);

/// Copies a part of a title into a Matroska file, its pictures and its sound without new encoding, and says
/// where in it the part lies: discs can be cut only now and then. `goOn` is asked now and then with how much
/// was copied (0 to 1, about); false ends it. After an error there is no file.
[[nodiscard]] Result<FilmPart> copyFromDisc(const QString& path, const DiscPart& part, const QString& file,
                                            const std::function<bool(double done)>& goOn = {});

/// What is seen at that moment of a title, at most of that size. `goOn` as above.
[[nodiscard]] Result<QImage> pictureOfDisc(const QString& path, int title, double seconds, QSize size,
                                           const std::function<bool(double done)>& goOn = {});

} // namespace mivanta
