// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/theme/SlideObject.h"
#include <QJsonArray>
#include <QJsonObject>
#include <vector>

namespace mivanta {

[[nodiscard]] QJsonArray objectsToJson(const std::vector<SlideObject>& objects);
/// Those of kinds that this version knows and that have a place, a hundred at most; every number inside its
/// range.
[[nodiscard]] std::vector<SlideObject> objectsFromJson(const QJsonValue& json);

/// [x, y, width, height].
[[nodiscard]] QJsonArray boxToJson(const QRectF& box);
[[nodiscard]] std::optional<QRectF> boxFromJson(const QJsonValue& json);

} // namespace mivanta
