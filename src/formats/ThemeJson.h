// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/base/Result.h"
#include "core/theme/Theme.h"
#include <QIODevice>
#include <QJsonObject>

namespace mivanta {

/// The version of themes that this program writes; it reads this and older ones.
inline constexpr int kThemeFormat = 2;

[[nodiscard]] QJsonObject themeToJson(const Theme& theme);
/// Properties as lookFromJson() reads them; a theme of a newer version is refused.
[[nodiscard]] Result<Theme> themeFromJson(const QJsonObject& json, const QString& where);
[[nodiscard]] Result<Theme> readTheme(QIODevice& device, const QString& where);

} // namespace mivanta
