// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "store/Library.h"

namespace mivanta {

/// Looks at a file: what is found in it, or why it cannot be shown or heard.
using LookAtMedium = Result<MediumFacts> (*)(const QString& path, MediumKind kind);

/// A picture, film or sound file becomes one of the library's media, once it has been looked at; one that is
/// there already stays as it is. `goOn` is asked now and then; false ends it, and nothing was changed.
[[nodiscard]] Result<Medium> bringInMedium(Library& library, const QString& path, LookAtMedium look,
                                           const std::function<bool()>& goOn = {});

/// Writes a file anew, and says which part of it is to be played; or says why not, and leaves none.
using MakeFilm = std::function<Result<FilmPart>(const QString& file)>;
/// A film that is made for the library, such as a piece of another one, becomes one of its media.
[[nodiscard]] Result<Medium> bringInMade(Library& library, const QString& title, const MakeFilm& make,
                                         LookAtMedium look, const std::function<bool()>& goOn = {});

} // namespace mivanta
