// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/base/Result.h"
#include "core/media/Medium.h"

namespace mivanta {

/// The suffix of the file that cutFilm() writes: films that are turned by their metadata stay what they are.
[[nodiscard]] QString suffixOfCut(const QString& path);

/// Copies a part of a film (MP4 or Matroska and their kin) into a file of its own, without new encoding: from
/// the last picture before it that needs none before it, on. An error where that cannot be done; then there
/// is no file. Any thread but the GUI's.
[[nodiscard]] Result<CutFilm> cutFilm(const QString& path, const FilmPart& part, const QString& file);

} // namespace mivanta
