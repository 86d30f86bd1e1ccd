// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <QString>
#include <optional>

namespace mivanta {

/// True for the name of a file among the library's media: its content's SHA-256 in hex, and a suffix of at
/// most seven small letters and digits.
[[nodiscard]] bool isMediaName(const QString& name);

/// A name as files and messages of others say it: as it is when it may be one (or is empty), else a name that
/// no file has, so that the medium is missing and nothing else is read in its place.
[[nodiscard]] QString trustedMediaName(const QString& name);

/// The suffix that a medium gets whose file is called like this; "file" when that has none of its own.
[[nodiscard]] QString mediaSuffix(const QString& fileName);

/// Where a medium lies in a folder of media. Empty for a name that leads elsewhere, and for a link.
[[nodiscard]] QString mediaPath(const QString& folder, const QString& name);

/// What stands for the picture of a film at a moment where pictures are asked for by name; never in files.
/// Empty for an empty name.
[[nodiscard]] QString filmMomentName(const QString& film, double seconds);

/// The same for the picture that a live input gave lately; empty for an empty id.
[[nodiscard]] QString livePictureName(const QString& input);
/// The id of the live input; empty for the name of another picture.
[[nodiscard]] QString livePictureOf(const QString& name);

struct FilmMoment {
    QString film;
    double seconds = 0;
};
/// Nothing for the name of an ordinary picture.
[[nodiscard]] std::optional<FilmMoment> filmMomentOf(const QString& name);

} // namespace mivanta
