// SPDX-License-Identifier: GPL-3.0-or-later
#include "formats/LoopJson.h"
#include "core/order/ItemPlan.h"
#include "formats/JsonValues.h"
#include <QJsonArray>
#include <algorithm>
#include <array>

namespace mivanta {

using namespace Qt::StringLiterals;

namespace {

constexpr std::array<const char*, 5> kUntils{"take", "time", "rounds", "length", "music"};
constexpr std::array<const char*, 4> kThens{"next", "item", "houseCard", "stays"};
constexpr std::array<const char*, 3> kEndings{"wholeRounds", "wholeShowings", "stretched"};

template <typename Value, size_t count>
QString nameIn(const std::array<const char*, count>& names, Value value) {
    return QString::fromLatin1(names[size_t(value)]);
}

template <typename Value, size_t count>
Value valueIn(const std::array<const char*, count>& names, const QJsonValue& name) {
    const auto at = std::find(names.begin(), names.end(), name.toString().toLatin1());
    return at == names.end() ? Value() : Value(at - names.begin());
}

} // namespace

QJsonObject loopToJson(const LoopItem& loop) {
    QJsonObject json{{u"kind"_s, u"loop"_s},
                     {u"seconds"_s, loop.seconds},
                     {u"until"_s, nameIn(kUntils, loop.until)},
                     {u"ending"_s, nameIn(kEndings, loop.ending)},
                     {u"then"_s, nameIn(kThens, loop.then)}};
    put(json, u"title"_s, loop.title);
    if (loop.untilTime.isValid())
        json.insert(u"untilTime"_s, loop.untilTime.toString(u"HH:mm"_s));
    json.insert(u"rounds"_s, loop.rounds);
    json.insert(u"length"_s, loop.length);
    if (!loop.thenItem.isNull())
        json.insert(u"thenItem"_s, loop.thenItem.text());
    if (loop.isShuffled)
        json.insert(u"isShuffled"_s, true);
    if (loop.beginsByItself)
        json.insert(u"beginsByItself"_s, true);
    if (loop.isArmedAtStart)
        json.insert(u"isArmedAtStart"_s, true);
    put(json, u"folder"_s, loop.folder);
    return json;
}

LoopItem loopFromJson(const QJsonObject& json) {
    LoopItem loop;
    loop.title = json[u"title"_s].toString();
    loop.seconds = std::clamp(json[u"seconds"_s].toInt(loop.seconds), 1, kLongestItem);
    loop.isShuffled = json[u"isShuffled"_s].toBool();
    loop.until = valueIn<LoopUntil>(kUntils, json[u"until"_s]);
    loop.untilTime = timeOfDay(json[u"untilTime"_s]).value_or(QTime());
    loop.rounds = std::clamp(json[u"rounds"_s].toInt(loop.rounds), 1, kMostLoopRounds);
    loop.length = std::clamp(json[u"length"_s].toInt(loop.length), 1, kLongestItem);
    loop.ending = valueIn<LoopEnding>(kEndings, json[u"ending"_s]);
    loop.then = valueIn<LoopThen>(kThens, json[u"then"_s]);
    loop.thenItem = ItemId::fromText(json[u"thenItem"_s].toString());
    loop.beginsByItself = json[u"beginsByItself"_s].toBool();
    loop.isArmedAtStart = json[u"isArmedAtStart"_s].toBool();
    loop.folder = json[u"folder"_s].toString();
    return loop;
}

QJsonObject seasonToJson(const Season& season) {
    QJsonObject json;
    if (season.from.isValid())
        json.insert(u"from"_s, season.from.toString(Qt::ISODate));
    if (season.to.isValid())
        json.insert(u"to"_s, season.to.toString(Qt::ISODate));
    if (season.weekdays != 0)
        json.insert(u"weekdays"_s, season.weekdays);
    return json;
}

Season seasonFromJson(const QJsonObject& json) {
    return {QDate::fromString(json[u"from"_s].toString(), Qt::ISODate),
            QDate::fromString(json[u"to"_s].toString(), Qt::ISODate),
            json[u"weekdays"_s].toInt() & kAllWeekdays};
}

QJsonObject loopPartToJson(const LoopPart& part) {
    QJsonObject json;
    if (part.seconds > 0)
        json.insert(u"seconds"_s, part.seconds);
    if (part.everyRounds > 1)
        json.insert(u"everyRounds"_s, part.everyRounds);
    if (const QJsonObject season = seasonToJson(part.season); !season.isEmpty())
        json.insert(u"season"_s, season);
    return json;
}

LoopPart loopPartFromJson(const QJsonObject& json) {
    return {std::clamp(json[u"seconds"_s].toInt(), 0, kLongestItem),
            std::clamp(json[u"everyRounds"_s].toInt(1), 1, kMostLoopRounds),
            seasonFromJson(json[u"season"_s].toObject())};
}

} // namespace mivanta
