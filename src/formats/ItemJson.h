// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/base/Result.h"
#include "core/order/Service.h"
#include <QJsonObject>

namespace mivanta {

[[nodiscard]] QJsonObject itemToJson(const Item& item);
/// An item of a kind that this version does not know is an UnknownItem, and is written again as it was.
[[nodiscard]] Result<Item> itemFromJson(const QJsonObject& json, const QString& where);

} // namespace mivanta
