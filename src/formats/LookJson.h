// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/order/ItemLook.h"
#include <QJsonObject>

namespace mivanta {

/// Every property, in objects nested as its key says: "words.size" is {"words": {"size": ...}}.
[[nodiscard]] QJsonObject lookToJson(const Look& look);
/// What is missing or of another type keeps the built-in value; numbers are brought into their range. A
/// gradient without two colours becomes the one colour that it has.
[[nodiscard]] Look lookFromJson(const QJsonObject& json);

/// A flat object: {"words.size": 64}. Properties that this version does not know are left out.
[[nodiscard]] QJsonObject overridesToJson(const LookOverrides& overrides);
[[nodiscard]] LookOverrides overridesFromJson(const QJsonObject& json);

[[nodiscard]] QJsonObject choiceToJson(const LookChoice& choice);
[[nodiscard]] LookChoice choiceFromJson(const QJsonObject& json);

/// Empty when nothing was chosen.
[[nodiscard]] QJsonObject itemLookToJson(const ItemLook& look);
[[nodiscard]] ItemLook itemLookFromJson(const QJsonObject& json);

[[nodiscard]] QJsonValue valueToJson(const LookProperty& property, const LookValue& value);
/// Nothing when the JSON is of no use for the property.
[[nodiscard]] std::optional<LookValue> valueFromJson(const LookProperty& property, const QJsonValue& json);

} // namespace mivanta
