// SPDX-License-Identifier: GPL-3.0-or-later
#include "formats/TextJson.h"
#include "core/base/MediaName.h"
#include "core/base/Said.h"
#include "formats/JsonNames.h"
#include "formats/JsonValues.h"

namespace mivanta {

using namespace Qt::StringLiterals;

QJsonObject textToJson(const SpokenText& text) {
    QJsonObject json{{u"id"_s, text.id.text()},
                     {u"title"_s, text.title},
                     {u"kind"_s, nameOf(text.kind)},
                     {u"namesRoles"_s, text.namesRoles}};
    put(json, u"revision"_s, text.revision);
    put(json, u"author"_s, text.author);
    put(json, u"copyright"_s, text.copyright);
    put(json, u"topics"_s, QJsonArray::fromStringList(text.topics));
    put(json, u"seasons"_s, QJsonArray::fromStringList(text.seasons));
    put(json, u"language"_s, text.language);
    put(json, u"notes"_s, text.notes);
    put(json, u"picture"_s, text.picture);
    if (text.lastDay.isValid())
        json.insert(u"lastDay"_s, text.lastDay.toString(Qt::ISODate));
    QJsonArray lines;
    for (const SpokenLine& line : text.lines) {
        QJsonObject object{{u"words"_s, line.words}};
        put(object, u"role"_s, line.role);
        if (line.breakBefore)
            object.insert(u"breakBefore"_s, true);
        put(object, u"emphasis"_s, emphasisToJson(line.emphasis));
        lines.append(object);
    }
    json.insert(u"lines"_s, lines);
    return json;
}

Result<SpokenText> textFromJson(const QJsonObject& json, const QString& where) {
    SpokenText text;
    text.id = TextId::fromText(json[u"id"_s].toString());
    text.title = json[u"title"_s].toString();
    if (text.id.isNull() || text.title.isEmpty())
        return failure(Said::tr("a text has no id or no title"), where,
                       Said::tr("The file is damaged; use an older copy."));
    text.revision = std::max(0, json[u"revision"_s].toInt());
    text.kind = valueOf(json[u"kind"_s].toString(), TextKind::Other);
    text.namesRoles = json[u"namesRoles"_s].toBool(true);
    text.author = json[u"author"_s].toString();
    text.copyright = json[u"copyright"_s].toString();
    text.topics = strings(json[u"topics"_s]);
    text.seasons = strings(json[u"seasons"_s]);
    text.language = json[u"language"_s].toString();
    text.notes = json[u"notes"_s].toString();
    text.picture = trustedMediaName(json[u"picture"_s].toString());
    text.lastDay = QDate::fromString(json[u"lastDay"_s].toString(), Qt::ISODate);
    for (const QJsonValue& value : json[u"lines"_s].toArray()) {
        SpokenLine line{
            value[u"role"_s].toString(), value[u"words"_s].toString(), {}, value[u"breakBefore"_s].toBool()};
        line.emphasis = emphasisFromJson(value[u"emphasis"_s], line.words);
        text.lines.push_back(std::move(line));
    }
    return text;
}

} // namespace mivanta
