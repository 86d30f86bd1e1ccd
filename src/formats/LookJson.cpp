// SPDX-License-Identifier: GPL-3.0-or-later
#include "formats/LookJson.h"
#include "core/base/Cases.h"
#include "core/base/MediaName.h"
#include "formats/JsonNames.h"
#include "formats/JsonValues.h"
#include "formats/ObjectJson.h"
#include <QJsonArray>
#include <algorithm>

namespace mivanta {

namespace {

using namespace Qt::StringLiterals;

constexpr qsizetype kLongestSymbol = 8;
constexpr qsizetype kMostStops = 32;

QJsonArray stopsToJson(const std::vector<GradientStop>& stops) {
    QJsonArray json;
    for (const GradientStop& stop : stops)
        json.append(QJsonObject{{u"at"_s, stop.at}, {u"colour"_s, stop.colour.text()}});
    return json;
}

std::vector<GradientStop> stopsFromJson(const QJsonValue& json) {
    std::vector<GradientStop> stops;
    for (const QJsonValue& value : json.toArray())
        if (qsizetype(stops.size()) < kMostStops)
            stops.push_back({value[u"at"_s].toDouble(),
                             Colour::fromText(value[u"colour"_s].toString()).value_or(Colour())});
    return stops;
}

QJsonArray rolesToJson(const std::vector<RoleLook>& roles) {
    QJsonArray json;
    for (const RoleLook& look : roles) {
        QJsonObject role{{u"role"_s, look.role}, {u"bold"_s, look.bold}, {u"italic"_s, look.italic}};
        if (look.colour)
            role.insert(u"colour"_s, look.colour->text());
        put(role, u"symbol"_s, look.symbol);
        json.append(role);
    }
    return json;
}

std::vector<RoleLook> rolesFromJson(const QJsonValue& json) {
    std::vector<RoleLook> roles;
    constexpr size_t kMostRoles = 100;
    for (const QJsonValue& value : json.toArray()) {
        if (roles.size() == kMostRoles)
            break;
        roles.push_back({value[u"role"_s].toString(), value[u"bold"_s].toBool(), value[u"italic"_s].toBool(),
                         Colour::fromText(value[u"colour"_s].toString()),
                         value[u"symbol"_s].toString().left(kLongestSymbol)});
    }
    return roles;
}

std::optional<LookValue> colourFromJson(const QJsonValue& json) {
    const auto colour = Colour::fromText(json.toString());
    return colour ? std::optional<LookValue>(*colour) : std::nullopt;
}

std::optional<LookValue> choiceIndexFromJson(const LookProperty& property, const QJsonValue& json) {
    for (size_t i = 0; i < property.choices.size(); ++i)
        if (json.toString() == QLatin1String(property.choices[i].key))
            return LookChoiceIndex{int(i)};
    return std::nullopt;
}

/// The value at "a.b.c" in nested objects.
QJsonValue at(const QJsonObject& json, const QString& key) {
    QJsonValue value = json;
    for (const QString& name : key.split(u'.'))
        value = value[name];
    return value;
}

void insertAt(QJsonObject& json, const QString& key, const QJsonValue& value) {
    const qsizetype dot = key.indexOf(u'.');
    if (dot < 0) {
        json.insert(key, value);
        return;
    }
    QJsonObject inner = json[key.left(dot)].toObject();
    insertAt(inner, key.mid(dot + 1), value);
    json.insert(key.left(dot), inner);
}

} // namespace

QJsonValue valueToJson(const LookProperty& property, const LookValue& value) {
    return std::visit(
        Cases{[](bool on) { return QJsonValue(on); }, [](int number) { return QJsonValue(number); },
              [](double number) { return QJsonValue(number); },
              [](const QString& text) { return QJsonValue(text); },
              [](const Colour& colour) { return QJsonValue(colour.text()); },
              [](const std::optional<Colour>& colour) {
                  return colour ? QJsonValue(colour->text()) : QJsonValue();
              },
              [](const QPointF& point) {
                  return QJsonValue(QJsonArray{point.x(), point.y()});
              },
              [](const QRectF& box) { return QJsonValue(boxToJson(box)); },
              [&](const LookChoiceIndex& choice) {
                  const bool known = choice.index >= 0 && size_t(choice.index) < property.choices.size();
                  return known ? QJsonValue(QLatin1String(property.choices[size_t(choice.index)].key))
                               : QJsonValue();
              },
              [](const std::vector<GradientStop>& stops) { return QJsonValue(stopsToJson(stops)); },
              [](const std::vector<RoleLook>& roles) { return QJsonValue(rolesToJson(roles)); },
              [](const std::vector<SlideObject>& objects) { return QJsonValue(objectsToJson(objects)); }},
        value);
}

std::optional<LookValue> valueFromJson(const LookProperty& property, const QJsonValue& json) {
    using Read = std::optional<LookValue>;
    return std::visit(
        Cases{
            [&](bool) { return json.isBool() ? Read(json.toBool()) : Read(); },
            [&](int) { return json.isDouble() ? Read(int(std::clamp(json.toDouble(), -1e6, 1e6))) : Read(); },
            [&](double) { return json.isDouble() ? Read(json.toDouble()) : Read(); },
            [&](const QString&) {
                const QString text = json.toString();
                return json.isString() ? Read(property.isMedium ? trustedMediaName(text) : text) : Read();
            },
            [&](const Colour&) { return colourFromJson(json); },
            [&](const std::optional<Colour>&) {
                if (json.isNull())
                    return Read(std::optional<Colour>());
                const auto colour = Colour::fromText(json.toString());
                return colour ? Read(colour) : Read();
            },
            [&](const QPointF&) {
                const QJsonArray array = json.toArray();
                return array.size() == 2 ? Read(QPointF(array[0].toDouble(), array[1].toDouble())) : Read();
            },
            [&](const QRectF&) {
                const auto box = boxFromJson(json);
                return box ? Read(*box) : Read();
            },
            [&](const LookChoiceIndex&) { return choiceIndexFromJson(property, json); },
            [&](const std::vector<GradientStop>&) {
                return json.isArray() ? Read(stopsFromJson(json)) : Read();
            },
            [&](const std::vector<RoleLook>&) { return json.isArray() ? Read(rolesFromJson(json)) : Read(); },
            [&](const std::vector<SlideObject>&) {
                return json.isArray() ? Read(objectsFromJson(json)) : Read();
            }},
        property.get(Look()));
}

QJsonObject lookToJson(const Look& look) {
    QJsonObject json;
    for (const LookProperty& property : lookProperties()) {
        const QJsonValue value = valueToJson(property, property.get(look));
        if (!value.isNull())
            insertAt(json, property.keyText(), value);
    }
    return json;
}

Look lookFromJson(const QJsonObject& json) {
    Look look;
    for (const LookProperty& property : lookProperties())
        if (const auto value = valueFromJson(property, at(json, property.keyText())))
            property.set(look, *value);
    look.words.smallestSize = std::min(look.words.smallestSize, look.words.size);
    const QJsonObject backdrop = json[u"backdrop"_s].toObject();
    if (const auto stops = stopsFromJson(backdrop[u"stops"_s]);
        look.backdrop.kind == BackdropKind::Gradient && stops.size() < 2) {
        look.backdrop.kind = BackdropKind::Plain;
        if (!stops.empty())
            look.backdrop.colour = stops.front().colour;
    }
    // Before backdrops had one of their own, all of a slide changed alike.
    if (!json.contains(u"backdropTransition"_s))
        look.backdropTransition = look.transition;
    return look;
}

QJsonObject overridesToJson(const LookOverrides& overrides) {
    QJsonObject json;
    for (const LookProperty* property : overrides.properties())
        json.insert(property->keyText(), valueToJson(*property, *overrides.value(*property)));
    return json;
}

LookOverrides overridesFromJson(const QJsonObject& json) {
    LookOverrides overrides;
    for (auto it = json.begin(); it != json.end(); ++it)
        if (const LookProperty* property = lookProperty(it.key()))
            if (const auto value = valueFromJson(*property, it.value()))
                overrides.set(*property, *value);
    return overrides;
}

QJsonObject choiceToJson(const LookChoice& choice) {
    QJsonObject json;
    put(json, u"theme"_s, choice.theme);
    if (!choice.own.isEmpty())
        json.insert(u"own"_s, overridesToJson(choice.own));
    put(json, u"objects"_s, objectsToJson(choice.objects));
    return json;
}

LookChoice choiceFromJson(const QJsonObject& json) {
    return {json[u"theme"_s].toString(), overridesFromJson(json[u"own"_s].toObject()),
            objectsFromJson(json[u"objects"_s])};
}

QJsonObject itemLookToJson(const ItemLook& look) {
    QJsonObject json = choiceToJson(look.choice);
    QJsonArray slides;
    for (const SlideLook& slide : look.slides) {
        QJsonObject one = choiceToJson(slide.choice);
        one.insert(u"part"_s, slide.place.part);
        one.insert(u"time"_s, slide.place.time);
        one.insert(u"line"_s, slide.place.line);
        one.insert(u"toLine"_s, slide.place.toLine);
        slides.append(one);
    }
    put(json, u"slides"_s, slides);
    return json;
}

ItemLook itemLookFromJson(const QJsonObject& json) {
    ItemLook look{choiceFromJson(json), {}};
    for (const QJsonValue& value : json[u"slides"_s].toArray()) {
        const int line = std::max(0, value[u"line"_s].toInt());
        look.setSlide({value[u"part"_s].toString(), std::max(1, value[u"time"_s].toInt(1)), line,
                       std::max(line, value[u"toLine"_s].toInt(line))},
                      choiceFromJson(value.toObject()));
    }
    return look;
}

} // namespace mivanta
