// SPDX-License-Identifier: GPL-3.0-or-later
#include "formats/OutputsJson.h"
#include "core/base/Said.h"
#include "formats/JsonNames.h"
#include "formats/LookJson.h"
#include <QJsonArray>
#include <QJsonDocument>
#include <QJsonObject>
#include <algorithm>

namespace mivanta {

using namespace Qt::StringLiterals;

namespace {

constexpr int kFarthest = 32'000; // px, of a window's place

QJsonArray groupsToJson(const std::vector<LookGroup>& groups) {
    QJsonArray json;
    for (const LookGroup group : groups)
        json.append(QLatin1String(keyOf(group)));
    return json;
}

std::vector<LookGroup> groupsFromJson(const QJsonValue& json) {
    std::vector<LookGroup> groups;
    for (const LookGroup group : allLookGroups())
        if (json.toArray().contains(QLatin1String(keyOf(group))))
            groups.push_back(group);
    return groups;
}

QJsonObject outputPlaceToJson(const OutputPlace& place) {
    QJsonObject json{{u"place"_s, nameOf(place.kind)}, {u"monitor"_s, place.monitor}};
    const MonitorIdentity& identity = place.identity;
    if (identity.isKnown())
        json.insert(u"identity"_s, QJsonObject{{u"maker"_s, identity.maker},
                                               {u"model"_s, identity.model},
                                               {u"serial"_s, identity.serial}});
    if (const QRect& window = place.window; !window.isNull())
        json.insert(u"window"_s, QJsonArray{window.x(), window.y(), window.width(), window.height()});
    return json;
}

OutputPlace outputPlaceFromJson(const QJsonObject& json) {
    OutputPlace place;
    place.kind = valueOf(json[u"place"_s].toString(), place.kind);
    place.monitor = json[u"monitor"_s].toString();
    const QJsonValue identity = json[u"identity"_s];
    place.identity = {identity[u"maker"_s].toString(), identity[u"model"_s].toString(),
                      identity[u"serial"_s].toString()};
    if (const QJsonArray window = json[u"window"_s].toArray(); window.size() == 4)
        place.window = {std::clamp(window[0].toInt(), -kFarthest, kFarthest),
                        std::clamp(window[1].toInt(), -kFarthest, kFarthest),
                        std::clamp(window[2].toInt(), 64, 7680), std::clamp(window[3].toInt(), 64, 4320)};
    return place;
}

QJsonObject shapeToJson(const OutputShape& shape) {
    const QMarginsF& m = shape.margins;
    return {{u"turn"_s, nameOf(shape.turn)},
            {u"mirrored"_s, shape.isMirrored},
            {u"flipped"_s, shape.isFlipped},
            {u"margins"_s, QJsonArray{m.left(), m.top(), m.right(), m.bottom()}}};
}

OutputShape shapeFromJson(const QJsonValue& json) {
    OutputShape shape;
    shape.turn = valueOf(json[u"turn"_s].toString(), shape.turn);
    shape.isMirrored = json[u"mirrored"_s].toBool();
    shape.isFlipped = json[u"flipped"_s].toBool();
    const QJsonArray margins = json[u"margins"_s].toArray();
    const auto margin = [&](int side) { return std::clamp(margins[side].toDouble(), 0.0, kMostMargin); };
    if (margins.size() == 4)
        shape.margins = {margin(0), margin(1), margin(2), margin(3)};
    return shape;
}

QJsonObject layersToJson(const OutputLayers& layers) {
    return {{u"words"_s, layers.words},
            {u"backdrop"_s, layers.backdrop},
            {u"objects"_s, layers.objects},
            {u"credit"_s, layers.credit},
            {u"callOuts"_s, layers.callOuts}};
}

OutputLayers layersFromJson(const QJsonValue& json) {
    return {json[u"words"_s].toBool(true), json[u"backdrop"_s].toBool(true), json[u"objects"_s].toBool(true),
            json[u"credit"_s].toBool(true), json[u"callOuts"_s].toBool(true)};
}

QJsonObject toJson(const Output& output) {
    QJsonObject json{{u"name"_s, output.name},
                     {u"kind"_s, nameOf(output.kind)},
                     {u"width"_s, output.size.width()},
                     {u"height"_s, output.size.height()},
                     {u"linesAtMost"_s, output.linesAtMost},
                     {u"ownSteps"_s, output.ownSteps},
                     {u"showsChords"_s, output.showsChords},
                     {u"showsBandOnly"_s, output.showsBandOnly},
                     {u"look"_s, choiceToJson(output.look)},
                     {u"insists"_s, groupsToJson(output.insists)},
                     {u"pictureHeight"_s, output.pictureHeight},
                     {u"backRow"_s, output.backRow},
                     {u"light"_s, nameOf(output.light)},
                     {u"shape"_s, shapeToJson(output.shape)},
                     {u"layers"_s, layersToJson(output.layers)},
                     {u"ground"_s, nameOf(output.ground)},
                     {u"keyColour"_s, output.keyColour.text()},
                     {u"above"_s, output.isAbove},
                     {u"hidesPointer"_s, output.hidesPointer}};
    const QJsonObject place = outputPlaceToJson(output.place);
    for (auto it = place.begin(); it != place.end(); ++it)
        json.insert(it.key(), it.value());
    return json;
}

Output fromJson(const QJsonObject& json) {
    Output output;
    output.name = json[u"name"_s].toString();
    output.kind = valueOf(json[u"kind"_s].toString(), output.kind);
    output.size = {std::clamp(json[u"width"_s].toInt(1920), 64, 7680),
                   std::clamp(json[u"height"_s].toInt(1080), 64, 4320)};
    output.linesAtMost = std::clamp(json[u"linesAtMost"_s].toInt(output.linesAtMost), 1, 40);
    output.ownSteps = json[u"ownSteps"_s].toBool(output.ownSteps);
    output.showsChords = json[u"showsChords"_s].toBool();
    output.showsBandOnly = json[u"showsBandOnly"_s].toBool();
    output.look = choiceFromJson(json[u"look"_s].toObject());
    output.insists = groupsFromJson(json[u"insists"_s]);
    if (const QString theme = json[u"insistedTheme"_s].toString(); !theme.isEmpty()) { // of older versions
        output.look.theme = theme;
        output.insists = allLookGroups();
    }
    output.pictureHeight = std::clamp(json[u"pictureHeight"_s].toDouble(output.pictureHeight), 0.05, 50.0);
    output.backRow = std::clamp(json[u"backRow"_s].toDouble(output.backRow), 0.5, 500.0);
    output.light = valueOf(json[u"light"_s].toString(), output.light);
    output.place = outputPlaceFromJson(json);
    output.shape = shapeFromJson(json[u"shape"_s]);
    output.layers = layersFromJson(json[u"layers"_s]);
    output.ground = valueOf(json[u"ground"_s].toString(), output.ground);
    output.keyColour = Colour::fromText(json[u"keyColour"_s].toString()).value_or(output.keyColour);
    output.isAbove = json[u"above"_s].toBool(output.isAbove);
    output.hidesPointer = json[u"hidesPointer"_s].toBool(output.hidesPointer);
    return output;
}

} // namespace

QByteArray outputsToJson(const std::vector<Output>& outputs) {
    QJsonArray array;
    for (const Output& output : outputs)
        array.append(toJson(output));
    return QJsonDocument(array).toJson();
}

Result<std::vector<Output>> outputsFromJson(const QByteArray& bytes, const QString& where) {
    QJsonParseError error;
    const auto document = QJsonDocument::fromJson(bytes, &error);
    if (!document.isArray() || document.array().isEmpty())
        return failure(Said::tr("the outputs could not be read: %1")
                           .arg((error.error == QJsonParseError::NoError ? Said::tr("there are none")
                                                                         : error.errorString())),
                       where, Said::tr("Mend the file or remove it; then the usual outputs are used."));
    std::vector<Output> outputs;
    for (const QJsonValue& value : document.array()) {
        Output output = fromJson(value.toObject());
        const bool known = std::any_of(outputs.begin(), outputs.end(),
                                       [&](const Output& o) { return o.name == output.name; });
        if (output.name.isEmpty() || known)
            return failure(Said::tr("an output has no name, or the name of another: \"%1\"").arg(output.name),
                           where, Said::tr("Give each output a name of its own."));
        outputs.push_back(std::move(output));
    }
    return outputs;
}

} // namespace mivanta
