// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/base/Result.h"
#include "core/order/Service.h"
#include <QByteArray>
#include <QIODevice>
#include <QJsonObject>

namespace mivanta {

/// The version of service.json that this program writes; it reads this and older ones.
inline constexpr int kServiceFormat = 4;

[[nodiscard]] QJsonObject itemToJson(const Item& item);
/// An item of a kind that this version does not know is an UnknownItem, and is written again as it was.
[[nodiscard]] Result<Item> itemFromJson(const QJsonObject& json, const QString& where);

[[nodiscard]] QJsonObject serviceToJson(const Service& service);
[[nodiscard]] Result<Service> serviceFromJson(const QJsonObject& json, const QString& where);

/// The bytes of a .mivanta file: a ZIP holding service.json.
[[nodiscard]] Result<QByteArray> serviceToZip(const Service& service);
/// Reads a .mivanta file; the ZIP and its service.json are bounded in size.
[[nodiscard]] Result<Service> readServiceFile(QIODevice& device, const QString& where);

} // namespace mivanta
