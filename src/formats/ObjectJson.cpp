// SPDX-License-Identifier: GPL-3.0-or-later
#include "formats/ObjectJson.h"
#include "core/base/Cases.h"
#include "core/base/MediaName.h"
#include "core/theme/ObjectKinds.h"
#include "formats/JsonNames.h"
#include "formats/JsonValues.h"
#include <algorithm>

namespace mivanta {

namespace {

using namespace Qt::StringLiterals;

constexpr qsizetype kMostObjects = 100;

Colour colourFrom(const QJsonValue& json, const QString& name, Colour otherwise) {
    return Colour::fromText(json[name].toString()).value_or(otherwise);
}

void write(QJsonObject& json, const ObjectLetters& letters) {
    json.insert(u"size"_s, letters.size);
    json.insert(u"weight"_s, letters.weight);
    json.insert(u"colour"_s, letters.colour.text());
    if (letters.align != HorizontalAlign::Centre)
        json.insert(u"align"_s, nameOf(letters.align));
}

void read(const QJsonValue& json, ObjectLetters& letters) {
    letters.size = std::clamp(json[u"size"_s].toInt(letters.size), 6, 600);
    letters.weight = std::clamp(json[u"weight"_s].toInt(letters.weight), 100, 900);
    letters.align = valueOf(json[u"align"_s].toString(), letters.align);
    letters.colour = colourFrom(json, u"colour"_s, letters.colour);
}

void write(QJsonObject& json, const ObjectEdge& edge) {
    json.insert(u"edgeColour"_s, edge.colour.text());
    json.insert(u"edgeWidth"_s, edge.width);
}

void read(const QJsonValue& json, ObjectEdge& edge) {
    edge.colour = colourFrom(json, u"edgeColour"_s, edge.colour);
    edge.width = std::clamp(json[u"edgeWidth"_s].toDouble(), 0.0, 200.0);
}

/// What only this kind has.
void write(QJsonObject& json, const ObjectWhat& what) {
    std::visit(
        Cases{[&](const PictureObject& picture) { put(json, u"picture"_s, picture.name); },
              [&](const TextObject& text) { put(json, u"text"_s, text.text); },
              [&](const LineObject& line) {
                  json.insert(u"colour"_s, line.colour.text());
                  json.insert(u"edgeWidth"_s, line.width);
              },
              [&](const RectangleObject& rectangle) {
                  json.insert(u"colour"_s, rectangle.fill.text());
                  json.insert(u"roundness"_s, rectangle.roundness);
              },
              [&](const EllipseObject& ellipse) { json.insert(u"colour"_s, ellipse.fill.text()); },
              [&](const ClockObject& clock) { put(json, u"text"_s, clock.format); },
              [&](const CountdownObject& countdown) { put(json, u"text"_s, countdownText(countdown)); },
              [&](const StopwatchObject&) {},
              [&](const FieldObject& field) { put(json, u"text"_s, field.key); },
              [&](const ScreenObject& screen) { put(json, u"text"_s, screen.output); },
              [&](const FilmObject& film) {
                  put(json, u"film"_s, film.name);
                  put(json, u"from"_s, film.from);
                  put(json, u"to"_s, film.to);
                  put(json, u"roundness"_s, film.roundness);
              },
              [&](const LiveObject& live) {
                  put(json, u"input"_s, live.input);
                  put(json, u"roundness"_s, live.roundness);
              }},
        what);
}

void read(const QJsonValue& json, ObjectWhat& what) {
    const QString text = json[u"text"_s].toString();
    std::visit(
        Cases{[&](PictureObject& picture) { picture.name = trustedMediaName(json[u"picture"_s].toString()); },
              [&](TextObject& object) { object.text = text; },
              [&](LineObject& line) {
                  line.colour = colourFrom(json, u"colour"_s, line.colour);
                  line.width = std::clamp(json[u"edgeWidth"_s].toDouble(), 0.0, 200.0);
              },
              [&](RectangleObject& rectangle) {
                  rectangle.fill = colourFrom(json, u"colour"_s, rectangle.fill);
                  rectangle.roundness = std::clamp(json[u"roundness"_s].toDouble(), 0.0, 540.0);
              },
              [&](EllipseObject& ellipse) { ellipse.fill = colourFrom(json, u"colour"_s, ellipse.fill); },
              [&](ClockObject& clock) { clock.format = text.isEmpty() ? clock.format : text; },
              [&](CountdownObject& countdown) { setCountdownText(countdown, text); }, [](StopwatchObject&) {},
              [&](FieldObject& field) { field.key = text; },
              [&](ScreenObject& screen) { screen.output = text; },
              [&](FilmObject& film) {
                  film.name = trustedMediaName(json[u"film"_s].toString());
                  film.from = std::clamp(json[u"from"_s].toDouble(), 0.0, kLongestFilm);
                  film.to = std::clamp(json[u"to"_s].toDouble(), 0.0, kLongestFilm);
                  film.roundness = std::clamp(json[u"roundness"_s].toDouble(), 0.0, 540.0);
              },
              [&](LiveObject& live) {
                  const LiveInputId input = LiveInputId::fromText(json[u"input"_s].toString());
                  live.input = input.isNull() ? QString() : input.text();
                  live.roundness = std::clamp(json[u"roundness"_s].toDouble(), 0.0, 540.0);
              }},
        what);
}

QJsonObject objectToJson(const SlideObject& object) {
    QJsonObject json{{u"kind"_s, QLatin1String(kindOf(object).key)},
                     {u"box"_s, boxToJson(object.box)},
                     {u"opacity"_s, object.opacity},
                     {u"inFront"_s, object.inFront},
                     {u"rotation"_s, object.rotation}};
    put(json, u"fadeIn"_s, object.fadeIn);
    put(json, u"fadeOut"_s, object.fadeOut);
    if (const ObjectLetters* letters = object.letters())
        write(json, *letters);
    if (const ObjectEdge* edge = object.edge())
        write(json, *edge);
    write(json, object.what);
    return json;
}

std::optional<SlideObject> objectFromJson(const QJsonValue& json) {
    const ObjectKind* kind = objectKind(json[u"kind"_s].toString());
    const auto box = boxFromJson(json[u"box"_s]);
    if (!kind || !box || !box->isValid())
        return std::nullopt; // of a newer version, or without a place
    SlideObject object;
    object.what = kind->make().what;
    object.box = QRectF(std::clamp(box->x(), -1.0, 2.0), std::clamp(box->y(), -1.0, 2.0),
                        std::clamp(box->width(), 0.001, 3.0), std::clamp(box->height(), 0.001, 3.0));
    object.rotation = std::clamp(json[u"rotation"_s].toDouble(), -360.0, 360.0);
    object.opacity = std::clamp(json[u"opacity"_s].toDouble(1), 0.0, 1.0);
    object.inFront = json[u"inFront"_s].toBool();
    object.fadeIn = std::clamp(json[u"fadeIn"_s].toInt(), 0, 60'000);
    object.fadeOut = std::clamp(json[u"fadeOut"_s].toInt(), 0, 60'000);
    if (ObjectLetters* letters = object.letters())
        read(json, *letters);
    if (ObjectEdge* edge = object.edge())
        read(json, *edge);
    read(json, object.what);
    return object;
}

} // namespace

QJsonArray boxToJson(const QRectF& box) {
    return {box.x(), box.y(), box.width(), box.height()};
}

std::optional<QRectF> boxFromJson(const QJsonValue& json) {
    const QJsonArray array = json.toArray();
    if (array.size() != 4)
        return std::nullopt;
    return QRectF(array[0].toDouble(), array[1].toDouble(), array[2].toDouble(), array[3].toDouble());
}

QJsonArray objectsToJson(const std::vector<SlideObject>& objects) {
    QJsonArray json;
    for (const SlideObject& object : objects)
        json.append(objectToJson(object));
    return json;
}

std::vector<SlideObject> objectsFromJson(const QJsonValue& json) {
    std::vector<SlideObject> objects;
    for (const QJsonValue& value : json.toArray())
        if (auto object = objectFromJson(value); object && qsizetype(objects.size()) < kMostObjects)
            objects.push_back(std::move(*object));
    return objects;
}

} // namespace mivanta
