// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/order/LoopItem.h"
#include <QJsonObject>

namespace mivanta {

// What is out of its range, or cannot be understood, is as it usually is.

[[nodiscard]] QJsonObject loopToJson(const LoopItem& loop);
[[nodiscard]] LoopItem loopFromJson(const QJsonObject& json);

/// Empty for what says nothing.
[[nodiscard]] QJsonObject loopPartToJson(const LoopPart& part);
[[nodiscard]] LoopPart loopPartFromJson(const QJsonObject& json);

[[nodiscard]] QJsonObject seasonToJson(const Season& season);
[[nodiscard]] Season seasonFromJson(const QJsonObject& json);

} // namespace mivanta
