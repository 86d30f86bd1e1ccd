// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/base/Result.h"
#include "core/text/SpokenText.h"
#include <QJsonObject>

namespace mivanta {

[[nodiscard]] QJsonObject textToJson(const SpokenText& text);
/// Fails without an id or a title.
[[nodiscard]] Result<SpokenText> textFromJson(const QJsonObject& json, const QString& where);

} // namespace mivanta
