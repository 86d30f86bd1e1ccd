// SPDX-License-Identifier: GPL-3.0-or-later
#include "formats/ThemeJson.h"
#include "formats/JsonNames.h"
#include <QJsonArray>
#include <QJsonDocument>
#include <algorithm>

namespace mivanta {

namespace {

using namespace Qt::StringLiterals;

Colour colour(const QJsonValue& value, Colour otherwise) {
    return Colour::fromText(value.toString()).value_or(otherwise);
}

QJsonArray boxToJson(const QRectF& box) {
    return {box.x(), box.y(), box.width(), box.height()};
}

QRectF box(const QJsonValue& value, const QRectF& otherwise) {
    const QJsonArray array = value.toArray();
    if (array.size() != 4)
        return otherwise;
    const QRectF read(array[0].toDouble(), array[1].toDouble(), array[2].toDouble(), array[3].toDouble());
    const QRectF inside = read & QRectF(0, 0, 1, 1);
    return inside.width() > 0.01 && inside.height() > 0.01 ? inside : otherwise;
}

QJsonObject backdropToJson(const Backdrop& backdrop) {
    QJsonObject json{{u"kind"_s, nameOf(backdrop.kind)}};
    if (backdrop.kind == BackdropKind::Plain)
        json.insert(u"colour"_s, backdrop.colour.text());
    if (backdrop.kind == BackdropKind::Gradient) {
        QJsonArray stops;
        for (const GradientStop& stop : backdrop.stops)
            stops.append(QJsonObject{{u"at"_s, stop.at}, {u"colour"_s, stop.colour.text()}});
        json.insert(u"stops"_s, stops);
        json.insert(u"angle"_s, backdrop.angle);
    }
    return json;
}

Backdrop backdropFromJson(const QJsonObject& json) {
    Backdrop backdrop;
    backdrop.kind = valueOf(json[u"kind"_s].toString(), BackdropKind::Plain);
    backdrop.colour = colour(json[u"colour"_s], backdrop.colour);
    backdrop.angle = json[u"angle"_s].toDouble(backdrop.angle);
    for (const QJsonValue& value : json[u"stops"_s].toArray())
        backdrop.stops.push_back(
            {std::clamp(value[u"at"_s].toDouble(), 0.0, 1.0), colour(value[u"colour"_s], {})});
    std::stable_sort(backdrop.stops.begin(), backdrop.stops.end(),
                     [](const GradientStop& a, const GradientStop& b) { return a.at < b.at; });
    if (backdrop.kind == BackdropKind::Gradient && backdrop.stops.size() < 2) {
        backdrop.kind = BackdropKind::Plain; // a gradient without stops is the one colour it has
        if (!backdrop.stops.empty())
            backdrop.colour = backdrop.stops.front().colour;
        backdrop.stops.clear();
    }
    return backdrop;
}

QJsonObject wordsToJson(const WordsLook& words) {
    QJsonObject json{{u"family"_s, words.family},
                     {u"weight"_s, words.weight},
                     {u"size"_s, words.size},
                     {u"smallestSize"_s, words.smallestSize},
                     {u"lineSpacing"_s, words.lineSpacing},
                     {u"linesAtMost"_s, words.linesAtMost},
                     {u"box"_s, boxToJson(words.box)},
                     {u"horizontal"_s, nameOf(words.horizontal)},
                     {u"vertical"_s, nameOf(words.vertical)},
                     {u"colour"_s, words.colour.text()},
                     {u"outlineWidth"_s, words.outlineWidth},
                     {u"outlineColour"_s, words.outlineColour.text()},
                     {u"shadowOffset"_s, words.shadowOffset},
                     {u"shadowBlur"_s, words.shadowBlur},
                     {u"shadowColour"_s, words.shadowColour.text()},
                     {u"chordColour"_s, words.chordColour.text()}};
    if (words.numberColour)
        json.insert(u"numberColour"_s, words.numberColour->text());
    return json;
}

QJsonArray rolesToJson(const std::vector<RoleLook>& roles) {
    QJsonArray json;
    for (const RoleLook& look : roles) {
        QJsonObject role{{u"role"_s, look.role}, {u"bold"_s, look.bold}, {u"italic"_s, look.italic}};
        if (look.colour)
            role.insert(u"colour"_s, look.colour->text());
        if (!look.symbol.isEmpty())
            role.insert(u"symbol"_s, look.symbol);
        json.append(role);
    }
    return json;
}

std::vector<RoleLook> rolesFromJson(const QJsonValue& value) {
    if (!value.isArray())
        return Look::usualRoleLooks();
    std::vector<RoleLook> roles;
    for (const QJsonValue& each : value.toArray()) {
        const QJsonObject role = each.toObject();
        roles.push_back({role[u"role"_s].toString(), role[u"bold"_s].toBool(), role[u"italic"_s].toBool(),
                         Colour::fromText(role[u"colour"_s].toString()),
                         role[u"symbol"_s].toString().left(8)});
    }
    return roles;
}

WordsLook wordsFromJson(const QJsonObject& json) {
    WordsLook words;
    words.family = json[u"family"_s].toString();
    words.weight = std::clamp(json[u"weight"_s].toInt(words.weight), 100, 900);
    words.size = std::clamp(json[u"size"_s].toInt(words.size), 8, 600);
    words.smallestSize = std::clamp(json[u"smallestSize"_s].toInt(words.smallestSize), 4, words.size);
    words.lineSpacing = std::clamp(json[u"lineSpacing"_s].toDouble(words.lineSpacing), 0.8, 3.0);
    words.linesAtMost = std::clamp(json[u"linesAtMost"_s].toInt(words.linesAtMost), 1, 40);
    words.box = box(json[u"box"_s], words.box);
    words.horizontal = valueOf(json[u"horizontal"_s].toString(), words.horizontal);
    words.vertical = valueOf(json[u"vertical"_s].toString(), words.vertical);
    words.colour = colour(json[u"colour"_s], words.colour);
    words.outlineWidth = std::clamp(json[u"outlineWidth"_s].toDouble(), 0.0, 40.0);
    words.outlineColour = colour(json[u"outlineColour"_s], words.outlineColour);
    words.shadowOffset = std::clamp(json[u"shadowOffset"_s].toDouble(), 0.0, 100.0);
    words.shadowBlur = std::clamp(json[u"shadowBlur"_s].toDouble(), 0.0, 60.0);
    words.shadowColour = colour(json[u"shadowColour"_s], words.shadowColour);
    words.chordColour = colour(json[u"chordColour"_s], words.chordColour);
    words.numberColour = Colour::fromText(json[u"numberColour"_s].toString());
    return words;
}

QJsonObject creditToJson(const CreditLook& credit) {
    return {{u"when"_s, nameOf(credit.when)},
            {u"fields"_s, credit.fields},
            {u"size"_s, credit.size},
            {u"box"_s, boxToJson(credit.box)},
            {u"colour"_s, credit.colour.text()},
            {u"horizontal"_s, nameOf(credit.horizontal)}};
}

CreditLook creditFromJson(const QJsonObject& json) {
    CreditLook credit;
    credit.when = valueOf(json[u"when"_s].toString(), credit.when);
    credit.fields = json[u"fields"_s].toString();
    credit.size = std::clamp(json[u"size"_s].toInt(credit.size), 6, 200);
    credit.box = box(json[u"box"_s], credit.box);
    credit.horizontal = valueOf(json[u"horizontal"_s].toString(), credit.horizontal);
    credit.colour = colour(json[u"colour"_s], credit.colour);
    return credit;
}

} // namespace

QJsonObject themeToJson(const Theme& theme) {
    const Transition& transition = theme.look.transition;
    return {{u"id"_s, theme.id},
            {u"name"_s, theme.name},
            {u"backdrop"_s, backdropToJson(theme.look.backdrop)},
            {u"words"_s, wordsToJson(theme.look.words)},
            {u"credit"_s, creditToJson(theme.look.credit)},
            {u"roles"_s, rolesToJson(theme.look.roles)},
            {u"transition"_s, QJsonObject{{u"kind"_s, nameOf(transition.kind)},
                                          {u"milliseconds"_s, transition.milliseconds}}}};
}

Result<Theme> themeFromJson(const QJsonObject& json, const QString& where) {
    Theme theme;
    theme.id = json[u"id"_s].toString();
    theme.name = json[u"name"_s].toString();
    if (theme.id.isEmpty() || theme.name.isEmpty())
        return failure(u"a theme has no id or no name"_s, where, u"The file is damaged; use another copy."_s);
    theme.look.backdrop = backdropFromJson(json[u"backdrop"_s].toObject());
    theme.look.words = wordsFromJson(json[u"words"_s].toObject());
    theme.look.credit = creditFromJson(json[u"credit"_s].toObject());
    theme.look.roles = rolesFromJson(json[u"roles"_s]);
    const QJsonObject transition = json[u"transition"_s].toObject();
    theme.look.transition.kind = valueOf(transition[u"kind"_s].toString(), TransitionKind::Fade);
    theme.look.transition.milliseconds = std::clamp(transition[u"milliseconds"_s].toInt(400), 0, 10'000);
    return theme;
}

Result<Theme> readTheme(QIODevice& device, const QString& where) {
    QJsonParseError error;
    const auto document = QJsonDocument::fromJson(device.readAll(), &error);
    if (!document.isObject())
        return failure(u"this is no theme: "_s + error.errorString(), where, u"Choose another file."_s);
    return themeFromJson(document.object(), where);
}

} // namespace mivanta
