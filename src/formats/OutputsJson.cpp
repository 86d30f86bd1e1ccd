// SPDX-License-Identifier: GPL-3.0-or-later
#include "formats/OutputsJson.h"
#include "formats/JsonNames.h"
#include "formats/LookJson.h"
#include <QJsonArray>
#include <QJsonDocument>
#include <QJsonObject>
#include <algorithm>

namespace mivanta {

using namespace Qt::StringLiterals;

namespace {

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

QJsonObject toJson(const Output& output) {
    return {{u"name"_s, output.name},
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
            {u"place"_s, nameOf(output.place.kind)},
            {u"monitor"_s, output.place.monitor}};
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
    output.place.kind = valueOf(json[u"place"_s].toString(), output.place.kind);
    output.place.monitor = json[u"monitor"_s].toString();
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
        return failure(u"the outputs could not be read: "_s + (error.error == QJsonParseError::NoError
                                                                   ? u"there are none"_s
                                                                   : error.errorString()),
                       where, u"Mend the file or remove it; then the usual outputs are used."_s);
    std::vector<Output> outputs;
    for (const QJsonValue& value : document.array()) {
        Output output = fromJson(value.toObject());
        const bool known = std::any_of(outputs.begin(), outputs.end(),
                                       [&](const Output& o) { return o.name == output.name; });
        if (output.name.isEmpty() || known)
            return failure(u"an output has no name, or the name of another: \"%1\""_s.arg(output.name), where,
                           u"Give each output a name of its own."_s);
        outputs.push_back(std::move(output));
    }
    return outputs;
}

} // namespace mivanta
