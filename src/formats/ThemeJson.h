// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/base/Result.h"
#include "core/theme/Theme.h"
#include <QIODevice>
#include <QJsonObject>

namespace mivanta {

[[nodiscard]] QJsonObject themeToJson(const Theme& theme);
/// Properties that are missing or unknown keep the built-in value; sizes are brought into a sensible range.
[[nodiscard]] Result<Theme> themeFromJson(const QJsonObject& json, const QString& where);
[[nodiscard]] Result<Theme> readTheme(QIODevice& device, const QString& where);

} // namespace mivanta
