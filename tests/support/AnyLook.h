// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/base/Cases.h"
#include "core/order/ItemLook.h"
#include "core/theme/ObjectKinds.h"
#include <rapidcheck.h>

namespace mivanta::samples {

inline double anyNumber(double least, double most) {
    return *rc::gen::inRange(int(least * 10), int(most * 10) + 1) / 10.0;
}

inline Colour anyColour() {
    const auto channel = [] { return quint8(*rc::gen::inRange(0, 256)); };
    return {channel(), channel(), channel(), channel()};
}

/// Some value of the property's type, also out of its range. To be called inside a property test.
inline LookValue anyValue(const LookProperty& property) {
    return std::visit(
        Cases{[](bool) { return LookValue(*rc::gen::arbitrary<bool>()); },
              [&](int) {
                  return LookValue(*rc::gen::inRange(int(property.least) - 5, int(property.most) + 6));
              },
              [&](double) { return LookValue(anyNumber(property.least - 1, property.most + 1)); },
              [&](const QString&) {
                  if (property.isMedium)
                      return LookValue(*rc::gen::arbitrary<bool>()
                                           ? QString()
                                           : QString(64, QChar(u'a')) + QStringLiteral(".jpg"));
                  return LookValue(
                      QString::fromUtf8(*rc::gen::element("", "Noto Serif", "{title} \xc2\xb7 {book}")));
              },
              [](const Colour&) { return LookValue(anyColour()); },
              [](const std::optional<Colour>&) {
                  return LookValue(*rc::gen::arbitrary<bool>() ? std::optional(anyColour()) : std::nullopt);
              },
              [](const QPointF&) { return LookValue(QPointF(anyNumber(-1, 2), anyNumber(-1, 2))); },
              [](const QRectF&) {
                  return LookValue(
                      QRectF(anyNumber(-0.5, 1), anyNumber(-0.5, 1), anyNumber(0, 1.5), anyNumber(0, 1.5)));
              },
              [&](const LookChoiceIndex&) {
                  return LookValue(LookChoiceIndex{*rc::gen::inRange(0, int(property.choices.size()))});
              },
              [](const std::vector<GradientStop>&) {
                  std::vector<GradientStop> stops;
                  for (int i = *rc::gen::inRange(0, 4); i > 0; --i)
                      stops.push_back({anyNumber(-1, 2), anyColour()});
                  return LookValue(stops);
              },
              [](const std::vector<RoleLook>&) {
                  std::vector<RoleLook> roles;
                  for (int i = *rc::gen::inRange(0, 3); i > 0; --i)
                      roles.push_back({QStringLiteral("Role %1").arg(i), *rc::gen::arbitrary<bool>(), false,
                                       std::optional(anyColour()), QStringLiteral("+")});
                  return LookValue(roles);
              },
              [](const std::vector<SlideObject>&) {
                  std::vector<SlideObject> objects;
                  for (int i = *rc::gen::inRange(0, 3); i > 0; --i) {
                      SlideObject object;
                      object.what =
                          objectKinds()[size_t(*rc::gen::inRange(0, int(objectKinds().size())))].make().what;
                      if (auto* text = std::get_if<TextObject>(&object.what))
                          text->text = QStringLiteral("text %1").arg(i);
                      if (auto* countdown = std::get_if<CountdownObject>(&object.what))
                          setCountdownText(*countdown,
                                           *rc::gen::element(QStringLiteral("10:30"), QStringLiteral("+90"),
                                                             QStringLiteral("9:05:30.250"), QString()));
                      if (QString* medium = object.medium())
                          *medium = QString(64, QChar(u'c')) + QStringLiteral(".mp4");
                      if (auto* film = std::get_if<FilmObject>(&object.what)) {
                          film->from = *rc::gen::inRange(0, 100) / 4.0;
                          film->to = film->from + *rc::gen::inRange(0, 100) / 4.0;
                      }
                      if (auto* live = std::get_if<LiveObject>(&object.what); live && i == 1)
                          live->input = LiveInputId::create().text();
                      if (double* roundness = object.roundness())
                          *roundness = *rc::gen::inRange(0, 100);
                      if (ObjectLetters* letters = object.letters())
                          letters->align = HorizontalAlign(*rc::gen::inRange(0, 3));
                      if (ObjectEdge* edge = object.edge())
                          *edge = {anyColour(), double(*rc::gen::inRange(0, 20))};
                      if (Colour* colour = object.colour())
                          *colour = anyColour();
                      object.inFront = *rc::gen::arbitrary<bool>();
                      objects.push_back(object);
                  }
                  return LookValue(objects);
              }},
        property.get(Look()));
}

inline Look anyLook() {
    Look look;
    for (const LookProperty& property : lookProperties())
        if (*rc::gen::arbitrary<bool>())
            property.set(look, anyValue(property));
    return look;
}

inline LookChoice anyChoice(const QString& theme = {}) {
    LookChoice choice{theme, {}, {}};
    for (const LookProperty& property : lookProperties())
        if (*rc::gen::inRange(0, 8) == 0)
            choice.own.set(property, anyValue(property));
    return choice;
}

} // namespace mivanta::samples
