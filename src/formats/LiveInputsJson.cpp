// SPDX-License-Identifier: GPL-3.0-or-later
#include "formats/LiveInputsJson.h"
#include "core/base/Cases.h"
#include "core/base/Said.h"
#include "formats/JsonNames.h"
#include <QJsonArray>
#include <QJsonDocument>
#include <algorithm>

namespace mivanta {

using namespace Qt::StringLiterals;

namespace {

void sourceToJson(QJsonObject& json, const LiveSource& source) {
    std::visit(Cases{
                   [&](const CameraSource& it) {
                       json.insert(u"device"_s, it.device);
                       json.insert(u"width"_s, it.size.width());
                       json.insert(u"height"_s, it.size.height());
                       json.insert(u"rate"_s, it.rate);
                   },
                   [&](const MonitorSource& it) {
                       json.insert(u"monitor"_s, it.monitor);
                       json.insert(u"pointer"_s, it.hasPointer);
                   },
                   [&](const WindowSource& it) {
                       json.insert(u"program"_s, it.program);
                       json.insert(u"title"_s, it.title);
                   },
                   [&](const AddressSource& it) { json.insert(u"address"_s, it.address); },
                   [&](const FileSource& it) { json.insert(u"path"_s, it.path); },
                   [&](const OutputSource& it) { json.insert(u"output"_s, it.output); },
               },
               source);
}

void sourceFromJson(const QJsonObject& json, LiveSource& source) {
    std::visit(Cases{
                   [&](CameraSource& it) {
                       it.device = json[u"device"_s].toString();
                       it.size = {json[u"width"_s].toInt(-1), json[u"height"_s].toInt(-1)};
                       it.rate = json[u"rate"_s].toInt();
                   },
                   [&](MonitorSource& it) {
                       it.monitor = json[u"monitor"_s].toString();
                       it.hasPointer = json[u"pointer"_s].toBool();
                   },
                   [&](WindowSource& it) {
                       it.program = json[u"program"_s].toString();
                       it.title = json[u"title"_s].toString();
                   },
                   [&](AddressSource& it) { it.address = json[u"address"_s].toString(); },
                   [&](FileSource& it) { it.path = json[u"path"_s].toString(); },
                   [&](OutputSource& it) { it.output = json[u"output"_s].toString(); },
               },
               source);
}

QJsonArray partToJson(const QRectF& part) {
    return {part.x(), part.y(), part.width(), part.height()};
}

QRectF partFromJson(const QJsonValue& json) {
    const QJsonArray sides = json.toArray();
    return sides.size() == 4
               ? QRectF(sides[0].toDouble(), sides[1].toDouble(), sides[2].toDouble(), sides[3].toDouble())
               : QRectF(0, 0, 1, 1);
}

} // namespace

QJsonObject liveInputToJson(const LiveInput& input) {
    QJsonObject json{{u"id"_s, input.id.text()},
                     {u"name"_s, input.name},
                     {u"kind"_s, nameOf(kindOf(input.source))},
                     {u"part"_s, partToJson(input.part)},
                     {u"turned"_s, input.turned},
                     {u"mirrored"_s, input.isMirrored},
                     {u"delay"_s, input.delay},
                     {u"heard"_s, input.isHeard},
                     {u"volume"_s, input.volume},
                     {u"card"_s, input.card},
                     {u"keptOpen"_s, input.isKeptOpen}};
    sourceToJson(json, input.source);
    return json;
}

std::optional<LiveInput> liveInputFromJson(const QJsonObject& json) {
    const std::vector<LiveKind> kinds = allLiveKinds();
    const auto kind = std::find_if(kinds.begin(), kinds.end(),
                                   [&](LiveKind each) { return json[u"kind"_s] == nameOf(each); });
    if (kind == kinds.end())
        return std::nullopt;
    LiveInput input;
    input.id = LiveInputId::fromText(json[u"id"_s].toString());
    input.name = json[u"name"_s].toString();
    input.source = emptySource(*kind);
    sourceFromJson(json, input.source);
    input.part = partFromJson(json[u"part"_s]);
    input.turned = json[u"turned"_s].toInt();
    input.isMirrored = json[u"mirrored"_s].toBool();
    input.delay = json[u"delay"_s].toInt();
    input.isHeard = json[u"heard"_s].toBool();
    input.volume = json[u"volume"_s].toInt(100);
    input.card = json[u"card"_s].toString();
    input.isKeptOpen = json[u"keptOpen"_s].toBool();
    return isInRange(input) ? std::optional(input) : std::nullopt;
}

QByteArray liveInputsToJson(const std::vector<LiveInput>& inputs) {
    QJsonArray array;
    for (const LiveInput& input : inputs)
        array.append(liveInputToJson(input));
    return QJsonDocument(array).toJson();
}

Result<std::vector<LiveInput>> liveInputsFromJson(const QByteArray& bytes, const QString& where) {
    QJsonParseError error;
    const auto document = QJsonDocument::fromJson(bytes, &error);
    if (!document.isArray())
        return failure(Said::tr("the live inputs could not be read: %1").arg(error.errorString()), where,
                       Said::tr("Mend the file or remove it; then there are none."));
    std::vector<LiveInput> inputs;
    for (const QJsonValue& value : document.array()) {
        auto input = liveInputFromJson(value.toObject());
        const bool isKnown = input && std::any_of(inputs.begin(), inputs.end(), [&](const LiveInput& each) {
                                 return each.id == input->id;
                             });
        if (!input || isKnown || inputs.size() == kMostLiveInputs)
            return failure(Said::tr("live input %1 cannot be read").arg(inputs.size() + 1), where,
                           Said::tr("Mend the file or remove it; then there are none."));
        inputs.push_back(std::move(*input));
    }
    return inputs;
}

} // namespace mivanta
