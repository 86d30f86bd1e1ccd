// SPDX-License-Identifier: GPL-3.0-or-later
#include "session/run/KeptRun.h"
#include "formats/ItemJson.h"
#include "link/SceneCodec.h"
#include <QJsonArray>
#include <QJsonDocument>
#include <QJsonObject>

namespace mivanta {

using namespace Qt::StringLiterals;

namespace {

QJsonObject cueToJson(const Cue& cue) {
    return {{u"item"_s, cue.item.text()},
            {u"entry"_s, cue.position.entry},
            {u"line"_s, cue.position.line},
            {u"offset"_s, cue.position.offset}};
}

std::optional<Cue> cueFromJson(const QJsonValue& json) {
    const ItemId item = ItemId::fromText(json[u"item"_s].toString());
    if (item.isNull())
        return std::nullopt;
    return Cue{item, {json[u"entry"_s].toInt(), json[u"line"_s].toInt(), json[u"offset"_s].toInt()}};
}

Curtain curtainFrom(const QJsonValue& json) {
    const int number = json.toInt();
    return number >= 0 && number <= int(Curtain::Black) ? Curtain(number) : Curtain::Open;
}

void putTime(QJsonObject& json, const QString& key, const QDateTime& time) {
    if (time.isValid())
        json.insert(key, time.toString(Qt::ISODateWithMs));
}

QDateTime timeFrom(const QJsonValue& json) {
    return QDateTime::fromString(json.toString(), Qt::ISODateWithMs);
}

QJsonArray namesToJson(const std::set<QString>& names) {
    QJsonArray json;
    for (const QString& name : names)
        json.append(name);
    return json;
}

std::set<QString> namesFromJson(const QJsonValue& json) {
    std::set<QString> names;
    for (const QJsonValue& name : json.toArray())
        names.insert(name.toString());
    return names;
}

QJsonObject callOutToJson(const CallOut& callOut) {
    QJsonObject json{{u"text"_s, callOut.text}, {u"outputs"_s, namesToJson(callOut.outputs)}};
    if (callOut.until)
        putTime(json, u"until"_s, *callOut.until);
    return json;
}

std::optional<CallOut> callOutFromJson(const QJsonObject& json) {
    CallOut callOut;
    callOut.text = json[u"text"_s].toString();
    callOut.outputs = namesFromJson(json[u"outputs"_s]);
    if (const QDateTime until = timeFrom(json[u"until"_s]); until.isValid())
        callOut.until = until;
    return callOut.text.isEmpty() ? std::nullopt : std::optional(callOut);
}

QJsonObject coversToJson(const Covers& covers) {
    QJsonObject own;
    for (const auto& [output, curtain] : covers.own)
        own.insert(output, int(curtain));
    QJsonObject json{{u"curtain"_s, int(covers.curtain)}, {u"own"_s, own}};
    if (covers.callOut)
        json.insert(u"callOut"_s, callOutToJson(*covers.callOut));
    if (!covers.testCards.empty())
        json.insert(u"testCards"_s, namesToJson(covers.testCards));
    return json;
}

Covers coversFromJson(const QJsonObject& json) {
    Covers covers;
    covers.curtain = curtainFrom(json[u"curtain"_s]);
    const QJsonObject own = json[u"own"_s].toObject();
    for (auto it = own.begin(); it != own.end(); ++it)
        covers.own[it.key()] = curtainFrom(it.value());
    covers.callOut = callOutFromJson(json[u"callOut"_s].toObject());
    covers.testCards = namesFromJson(json[u"testCards"_s]);
    return covers;
}

QString scenesToText(const std::vector<Scene>& scenes) {
    QByteArray bytes;
    QDataStream stream(&bytes, QIODevice::WriteOnly);
    stream << scenes;
    return QString::fromLatin1(bytes.toBase64());
}

/// Nothing when they are of another build.
std::vector<Scene> scenesFromText(const QString& text) {
    QDataStream stream(QByteArray::fromBase64(text.toLatin1()));
    std::vector<Scene> scenes;
    if (!text.isEmpty())
        stream >> scenes;
    return stream.status() == QDataStream::Ok && stream.atEnd() ? scenes : std::vector<Scene>();
}

} // namespace

QByteArray keptRunToJson(const KeptRun& kept) {
    const RunState& state = kept.state;
    QJsonObject json{{u"covers"_s, coversToJson(state.covers)},
                     {u"beforeBlack"_s, coversToJson(kept.beforeBlack)},
                     {u"hint"_s, state.itemHint},
                     {u"looking"_s, state.isLooking},
                     {u"desk"_s, kept.desk}};
    const auto put = [&](const QString& key, const std::optional<Cue>& cue) {
        if (cue)
            json.insert(key, cueToJson(*cue));
    };
    put(u"onScreen"_s, state.onScreen);
    put(u"next"_s, state.next);
    put(u"planOnScreen"_s, state.lineupOnScreen);
    put(u"planNext"_s, state.lineupNext);
    putTime(json, u"takenAt"_s, kept.takenAt);
    putTime(json, u"itemSince"_s, kept.itemSince);
    putTime(json, u"since"_s, kept.since);
    QJsonObject frozen;
    for (const auto& [output, cue] : state.frozen)
        frozen.insert(output, cue ? QJsonValue(cueToJson(*cue)) : QJsonValue(true));
    json.insert(u"frozen"_s, frozen);
    QJsonArray unplanned;
    for (const Item& item : kept.unplanned)
        unplanned.append(itemToJson(item));
    json.insert(u"unplanned"_s, unplanned);
    if (!kept.also.isEmpty())
        json.insert(u"also"_s, kept.also);
    if (!kept.live.empty())
        json.insert(u"scenes"_s, scenesToText(kept.live));
    return QJsonDocument(json).toJson(QJsonDocument::Compact);
}

KeptRun keptRunFromJson(const QByteArray& bytes) {
    const QJsonObject json = QJsonDocument::fromJson(bytes).object();
    KeptRun kept;
    kept.desk = json[u"desk"_s].toString();
    kept.also = json[u"also"_s].toObject();
    for (const QJsonValue& value : json[u"unplanned"_s].toArray())
        if (auto item = itemFromJson(value.toObject(), {}))
            kept.unplanned.push_back(std::move(*item));
    kept.live = scenesFromText(json[u"scenes"_s].toString());
    RunState& state = kept.state;
    state.covers = coversFromJson(json[u"covers"_s].toObject());
    kept.beforeBlack = coversFromJson(json[u"beforeBlack"_s].toObject());
    state.itemHint = json[u"hint"_s].toInt();
    state.isLooking = json[u"looking"_s].toBool();
    state.onScreen = cueFromJson(json[u"onScreen"_s]);
    state.next = cueFromJson(json[u"next"_s]);
    state.lineupOnScreen = cueFromJson(json[u"planOnScreen"_s]);
    state.lineupNext = cueFromJson(json[u"planNext"_s]);
    const QJsonObject frozen = json[u"frozen"_s].toObject();
    for (auto it = frozen.begin(); it != frozen.end(); ++it)
        state.frozen[it.key()] = cueFromJson(it.value());
    kept.takenAt = timeFrom(json[u"takenAt"_s]);
    kept.itemSince = timeFrom(json[u"itemSince"_s]);
    kept.since = timeFrom(json[u"since"_s]);
    return kept;
}

} // namespace mivanta
