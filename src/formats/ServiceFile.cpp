// SPDX-License-Identifier: GPL-3.0-or-later
#include "formats/ServiceFile.h"
#include "core/base/MediaName.h"
#include "core/base/Said.h"
#include "core/order/Groups.h"
#include "core/order/ServiceBounds.h"
#include "formats/ItemJson.h"
#include "formats/JsonNames.h"
#include "formats/JsonValues.h"
#include "formats/LookJson.h"
#include "formats/PassageJson.h"
#include "formats/SongJson.h"
#include "formats/TextJson.h"
#include "formats/ThemeJson.h"
#include <QJsonArray>
#include <QJsonDocument>
#include <QSet>
#include <algorithm>

namespace mivanta {

using namespace Qt::StringLiterals;

namespace {

constexpr qint64 kLargestZip = 64 * 1024 * 1024;
constexpr qint64 kLargestServiceJson = 32 * 1024 * 1024;

} // namespace

namespace {

tl::unexpected<Error> damagedService(const QString& why, const QString& where) {
    return failure(Said::tr("this is no service file, or it is damaged: %1").arg(why), where,
                   Said::tr("Use an older copy of the file, or the library's backups."));
}

} // namespace

namespace {

void putLooks(QJsonObject& json, const Service& service) {
    if (!service.look.isEmpty())
        json.insert(u"look"_s, choiceToJson(service.look));
    QJsonObject kinds;
    for (auto it = service.kinds.begin(); it != service.kinds.end(); ++it)
        if (!it->isEmpty())
            kinds.insert(nameOf(it.key()), choiceToJson(*it));
    if (!kinds.isEmpty())
        json.insert(u"kinds"_s, kinds);
    QJsonArray themes;
    for (const Theme& theme : service.themes)
        themes.append(themeToJson(theme));
    put(json, u"themes"_s, themes);
}

Result<void> takeLooks(Service& service, const QJsonObject& json, const QString& where) {
    service.look = choiceFromJson(json[u"look"_s].toObject());
    const QJsonObject kinds = json[u"kinds"_s].toObject();
    for (const auto& [kind, name] : JsonNames<ItemKind>::names)
        if (const LookChoice choice = choiceFromJson(kinds[QLatin1String(name)].toObject());
            !choice.isEmpty())
            service.kinds.insert(kind, choice);
    for (const QJsonValue& value : json[u"themes"_s].toArray()) {
        auto theme = themeFromJson(value.toObject(), where);
        if (!theme)
            return tl::unexpected(theme.error());
        service.themes.push_back(std::move(*theme));
    }
    return {};
}

} // namespace

QJsonObject serviceToJson(const Service& service) {
    QJsonArray items;
    for (const Item& item : service.items)
        items.append(itemToJson(item));
    QJsonObject json{{u"mivanta"_s, kServiceFormat},
                     {u"id"_s, service.id.text()},
                     {u"title"_s, service.title},
                     {u"theme"_s, themeToJson(service.theme)},
                     {u"items"_s, items}};
    putLooks(json, service);
    QJsonArray media;
    for (const MediaFact& fact : service.media) {
        QJsonObject one{{u"file"_s, fact.name}, {u"bytes"_s, fact.bytes}};
        put(one, u"title"_s, fact.title);
        media.append(one);
    }
    put(json, u"media"_s, media);
    if (!service.place.isEmpty())
        json.insert(u"place"_s, service.place);
    if (service.start.isValid())
        json.insert(u"start"_s, service.start.toString(Qt::ISODate));
    return json;
}

Result<Service> serviceFromJson(const QJsonObject& json, const QString& where) {
    const int version = json[u"mivanta"_s].toInt();
    if (version < 1)
        return damagedService(Said::tr("service.json does not say its version"), where);
    if (version > kServiceFormat)
        return failure(
            Said::tr("the file was written by a newer Mivanta (format %1; this one reads up to %2)")
                .arg(QString::number(version), QString::number(kServiceFormat)),
            where, Said::tr("Install the newer version on this computer."));
    Service service;
    service.id = ServiceId::fromText(json[u"id"_s].toString());
    if (service.id.isNull())
        service.id = ServiceId::create();
    service.title = json[u"title"_s].toString();
    service.place = json[u"place"_s].toString();
    service.start = QDateTime::fromString(json[u"start"_s].toString(), Qt::ISODate);
    auto theme = themeFromJson(json[u"theme"_s].toObject(), where);
    if (!theme)
        return tl::unexpected(theme.error());
    service.theme = std::move(*theme);
    if (const auto taken = takeLooks(service, json, where); !taken)
        return tl::unexpected(taken.error());
    for (const QJsonValue& value : json[u"media"_s].toArray())
        service.media.push_back({trustedMediaName(value[u"file"_s].toString()), value[u"title"_s].toString(),
                                 std::max<qint64>(0, value[u"bytes"_s].toInteger())});
    QSet<ItemId> seen;
    for (const QJsonValue& value : json[u"items"_s].toArray()) {
        auto item = itemFromJson(value.toObject(), where);
        if (!item)
            return tl::unexpected(item.error());
        if (seen.contains(item->id))
            item->id = ItemId::create();
        seen.insert(item->id);
        service.items.push_back(std::move(*item));
    }
    settleGroups(service.items);
    if (const QString excess = excessOf(service); !excess.isEmpty())
        return failure(Said::tr("the service has %1").arg(excess), where,
                       Said::tr("The file is damaged, or was made to do harm; use another copy."));
    return service;
}

QByteArray serviceJsonBytes(const Service& service) {
    return QJsonDocument(serviceToJson(service)).toJson();
}

Result<QByteArray> serviceToZip(const Service& service) {
    return zipOf({{QString::fromLatin1(kServiceEntry), serviceJsonBytes(service)}});
}

Result<Service> readServiceZip(const ZipReader& zip, const QString& where) {
    const auto json = zip.read(QString::fromLatin1(kServiceEntry), kLargestServiceJson);
    if (!json)
        return damagedService(json.error().what, where);
    QJsonParseError error;
    const auto document = QJsonDocument::fromJson(*json, &error);
    if (error.error != QJsonParseError::NoError)
        return damagedService(
            Said::tr("its service.json is no JSON (%1, byte %2)").arg(error.errorString()).arg(error.offset),
            where);
    if (!document.isObject())
        return damagedService(Said::tr("its service.json holds no service"), where);
    return serviceFromJson(document.object(), where);
}

Result<Service> readServiceFile(QIODevice& device, const QString& where) {
    if (!device.isSequential() && device.size() > kLargestZip)
        return damagedService(Said::tr("it is too large"), where);
    const auto zip = ZipReader::open(device.read(kLargestZip + 1), kLargestServiceJson);
    if (!zip)
        return damagedService(zip.error().what, where);
    return readServiceZip(*zip, where);
}

} // namespace mivanta
