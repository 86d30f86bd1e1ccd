// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/base/Result.h"
#include "core/theme/LookMedia.h"
#include "core/theme/Theme.h"
#include <QIODevice>
#include <QMap>

namespace mivanta {

/// A theme with its pictures: a ZIP of theme.json and pictures/.
struct ThemeFile {
    Theme theme;
    QMap<QString, QByteArray> pictures; ///< by the names that the look gives them
};

inline constexpr const char* kThemeSuffix = "mivanta-theme";

[[nodiscard]] Result<QByteArray> themeFileBytes(const ThemeFile& file);
/// Reads a theme file, or the bare JSON of a theme without pictures. Sizes are bounded; pictures that the
/// theme does not name are left out.
[[nodiscard]] Result<ThemeFile> readThemeFile(QIODevice& device, const QString& where);

} // namespace mivanta
