// SPDX-License-Identifier: GPL-3.0-or-later
#include "formats/ServiceFile.h"
#include "formats/JsonNames.h"
#include "formats/JsonValues.h"
#include "formats/LookJson.h"
#include "formats/PassageJson.h"
#include "formats/SongJson.h"
#include "formats/TextJson.h"
#include "formats/ThemeJson.h"
#include "formats/Zip.h"
#include <QJsonArray>
#include <QJsonDocument>
#include <QSet>
#include <algorithm>

namespace mivanta {

using namespace Qt::StringLiterals;

namespace {

constexpr qint64 kLargestZip = 64 * 1024 * 1024;
constexpr qint64 kLargestJson = 64 * 1024 * 1024;
constexpr const char* kEntryName = "service.json";

} // namespace

namespace {

QJsonObject planToJson(const ItemPlan& plan) {
    QJsonObject json;
    if (plan.seconds)
        json.insert(u"seconds"_s, *plan.seconds);
    if (plan.at)
        json.insert(u"at"_s, plan.at->toString(u"HH:mm"_s));
    put(json, u"leader"_s, plan.leader);
    put(json, u"note"_s, plan.note);
    if (plan.skipped)
        json.insert(u"skipped"_s, true);
    return json;
}

ItemPlan planFromJson(const QJsonObject& json) {
    ItemPlan plan;
    if (const QJsonValue seconds = json[u"seconds"_s]; seconds.isDouble())
        plan.seconds = std::clamp(seconds.toInt(), 0, kLongestItem);
    if (const QTime at = QTime::fromString(json[u"at"_s].toString(), u"HH:mm"_s); at.isValid())
        plan.at = at;
    plan.leader = json[u"leader"_s].toString();
    plan.note = json[u"note"_s].toString();
    plan.skipped = json[u"skipped"_s].toBool();
    return plan;
}

} // namespace

QJsonObject itemToJson(const Item& item) {
    if (const auto* unknown = std::get_if<UnknownItem>(&item.content)) {
        QJsonObject json = QJsonDocument::fromJson(unknown->json).object();
        json.insert(u"id"_s, item.id.text()); // it may be a copy
        return json;
    }
    QJsonObject json{{u"id"_s, item.id.text()}};
    if (const auto* heading = std::get_if<Heading>(&item.content)) {
        json.insert(u"kind"_s, u"heading"_s);
        json.insert(u"title"_s, heading->title);
    } else if (const Song* song = item.song()) {
        json.insert(u"kind"_s, u"song"_s);
        json.insert(u"song"_s, songToJson(*song));
    } else if (const Passage* passage = item.passage()) {
        json.insert(u"kind"_s, u"passage"_s);
        json.insert(u"passage"_s, passageToJson(*passage));
    } else if (const TextItem* text = item.text()) {
        json.insert(u"kind"_s, u"text"_s);
        json.insert(u"text"_s, textToJson(*text->text));
        QJsonObject answers;
        for (auto it = text->answers.begin(); it != text->answers.end(); ++it)
            answers.insert(it.key(), it.value());
        if (!answers.isEmpty())
            json.insert(u"answers"_s, answers);
    }
    if (const QJsonObject look = itemLookToJson(item.look); !look.isEmpty())
        json.insert(u"look"_s, look);
    if (const QJsonObject plan = planToJson(item.plan); !plan.isEmpty())
        json.insert(u"plan"_s, plan);
    return json;
}

Result<Item> itemFromJson(const QJsonObject& json, const QString& where) {
    Item item;
    item.plan = planFromJson(json[u"plan"_s].toObject());
    item.look = itemLookFromJson(json[u"look"_s].toObject());
    item.id = ItemId::fromText(json[u"id"_s].toString());
    if (item.id.isNull())
        item.id = ItemId::create();
    const QString kind = json[u"kind"_s].toString();
    if (kind == u"heading") {
        item.content = Heading{json[u"title"_s].toString()};
        return item;
    }
    if (kind == u"passage") {
        auto passage = passageFromJson(json[u"passage"_s].toObject(), where);
        if (!passage)
            return tl::unexpected(passage.error());
        item.content = passageItem(std::move(*passage));
        return item;
    }
    if (kind == u"text") {
        auto text = textFromJson(json[u"text"_s].toObject(), where);
        if (!text)
            return tl::unexpected(text.error());
        QMap<QString, QString> answers;
        const QJsonObject given = json[u"answers"_s].toObject();
        for (auto it = given.begin(); it != given.end(); ++it)
            answers.insert(it.key(), it.value().toString());
        item.content = textItem(std::move(*text), std::move(answers));
        return item;
    }
    if (kind != u"song") {
        item.content = UnknownItem{kind, json[u"title"_s].toString(),
                                   QJsonDocument(json).toJson(QJsonDocument::Compact)};
        return item;
    }
    auto song = songFromJson(json[u"song"_s].toObject(), where);
    if (!song)
        return tl::unexpected(song.error());
    item.content = songItem(std::move(*song));
    return item;
}

namespace {

tl::unexpected<Error> damaged(const QString& why, const QString& where) {
    return failure(u"this is no service file, or it is damaged: "_s + why, where,
                   u"Use an older copy of the file, or the library's backups."_s);
}

/// The bytes of service.json inside the ZIP.
Result<QByteArray> jsonFromZip(const QByteArray& bytes, const QString& where) {
    const auto zip = ZipReader::open(bytes);
    if (!zip)
        return damaged(zip.error().what, where);
    auto json = zip->read(QString::fromLatin1(kEntryName), kLargestJson);
    if (!json)
        return damaged(json.error().what, where);
    return json;
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
    if (!service.place.isEmpty())
        json.insert(u"place"_s, service.place);
    if (service.start.isValid())
        json.insert(u"start"_s, service.start.toString(Qt::ISODate));
    return json;
}

Result<Service> serviceFromJson(const QJsonObject& json, const QString& where) {
    const int version = json[u"mivanta"_s].toInt();
    if (version < 1)
        return damaged(u"service.json does not say its version"_s, where);
    if (version > kServiceFormat)
        return failure(u"the file was written by a newer Mivanta (format %1; this one reads up to %2)"_s.arg(
                           QString::number(version), QString::number(kServiceFormat)),
                       where, u"Install the newer version on this computer."_s);
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
    return service;
}

Result<QByteArray> serviceToZip(const Service& service) {
    return zipOf({{QString::fromLatin1(kEntryName), QJsonDocument(serviceToJson(service)).toJson()}});
}

Result<Service> readServiceFile(QIODevice& device, const QString& where) {
    if (!device.isSequential() && device.size() > kLargestZip)
        return damaged(u"it is too large"_s, where);
    const QByteArray bytes = device.read(kLargestZip + 1);
    const auto json = jsonFromZip(bytes, where);
    if (!json)
        return tl::unexpected(json.error());
    QJsonParseError error;
    const auto document = QJsonDocument::fromJson(*json, &error);
    if (!document.isObject())
        return damaged(error.errorString(), where);
    return serviceFromJson(document.object(), where);
}

} // namespace mivanta
