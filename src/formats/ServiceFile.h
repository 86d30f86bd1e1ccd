// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/base/Result.h"
#include "core/order/Service.h"
#include "formats/Zip.h"
#include <QByteArray>
#include <QIODevice>
#include <QJsonObject>

namespace mivanta {

/// The version of service.json that this program writes; it reads this and older ones.
inline constexpr int kServiceFormat = 6;

[[nodiscard]] QJsonObject serviceToJson(const Service& service);
[[nodiscard]] Result<Service> serviceFromJson(const QJsonObject& json, const QString& where);

/// The bytes of a .mivanta file: a ZIP holding service.json.
[[nodiscard]] Result<QByteArray> serviceToZip(const Service& service);
/// The bytes of its service.json.
[[nodiscard]] QByteArray serviceJsonBytes(const Service& service);
/// The name of that entry.
inline constexpr const char* kServiceEntry = "service.json";
/// Reads the service.json of an open ZIP; it is bounded in size.
[[nodiscard]] Result<Service> readServiceZip(const ZipReader& zip, const QString& where);
/// Reads a .mivanta file without media; the ZIP and its service.json are bounded in size.
[[nodiscard]] Result<Service> readServiceFile(QIODevice& device, const QString& where);

} // namespace mivanta
