// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/base/Said.h"
#include "core/theme/Look.h"
#include <QLatin1String>
#include <QPointF>
#include <map>
#include <span>
#include <variant>

namespace mivanta {

/// One of the choices of a property, as its place in LookProperty::choices.
struct LookChoiceIndex {
    int index = 0;
    friend bool operator==(const LookChoiceIndex&, const LookChoiceIndex&) = default;
};

/// The value of any property of a look.
using LookValue =
    std::variant<bool, int, double, QString, Colour, std::optional<Colour>, QPointF, QRectF, LookChoiceIndex,
                 std::vector<GradientStop>, std::vector<RoleLook>, std::vector<SlideObject>>;

/// What belongs together when a look is set up, or insisted on.
enum class LookGroup {
    Words,
    Place,
    Colours,
    Edges,
    Panel,
    Roles,
    Credit,
    Backdrop,
    Treatment,
    Transition,
    Objects
};
inline constexpr int kLookGroups = 11;

struct LookChoiceName {
    const char* key;  ///< in files; never changes
    const char* name; ///< in English, for label()
    [[nodiscard]] QString label() const { return Said::tr(name); }
};

/// One property of a look: everything that decides about it one by one (levels, files, forms) goes through
/// this.
struct LookProperty {
    const char* key;  ///< in files, such as "words.size"; never changes
    const char* name; ///< in English, for label()
    LookGroup group;
    const char* unit = ""; ///< "px", "°", "%": the same in all languages; empty = none
    double least = 0;      ///< of an int or a double
    double most = 0;
    std::span<const LookChoiceName> choices{}; ///< of a LookChoiceIndex
    bool movesWords = false;                   ///< the division into slides depends on it
    bool isMedium = false;                     ///< a QString that names a file of the library's media
    bool isLive = false;                       ///< a QString that names a live input of this computer

    LookValue (*get)(const Look&) = nullptr;
    /// Takes a value of the property's own type; others change nothing. Numbers are brought inside their
    /// range, boxes inside the screen, stops into order.
    void (*set)(Look&, const LookValue&) = nullptr;

    [[nodiscard]] QLatin1String keyText() const { return QLatin1String(key); }
    [[nodiscard]] QString label() const { return Said::tr(name); } ///< for people, such as "Size"
    /// The value as the look would take it.
    [[nodiscard]] LookValue accepted(const LookValue& value) const;
    /// The value in words for people, such as "64 px" or "left".
    [[nodiscard]] QString text(const LookValue& value) const;
};

/// Every property there is, in the order of groups; always the same objects.
[[nodiscard]] std::span<const LookProperty> lookProperties();
/// Null when there is none of this key.
[[nodiscard]] const LookProperty* lookProperty(const QString& key);
/// The property's place in lookProperties().
[[nodiscard]] size_t indexOf(const LookProperty& property);
[[nodiscard]] QString labelOf(LookGroup group);
/// In files; never changes.
[[nodiscard]] const char* keyOf(LookGroup group);

/// Some properties with their values. A value type.
class LookOverrides {
public:
    [[nodiscard]] bool isEmpty() const { return m_values.empty(); }
    [[nodiscard]] size_t count() const { return m_values.size(); }
    /// As LookProperty::set() would take it.
    void set(const LookProperty& property, const LookValue& value);
    void clear(const LookProperty& property) { m_values.erase(indexOf(property)); }
    [[nodiscard]] bool has(const LookProperty& property) const {
        return m_values.contains(indexOf(property));
    }
    [[nodiscard]] std::optional<LookValue> value(const LookProperty& property) const;
    /// Those of `others` too; where both have one, theirs.
    void add(const LookOverrides& others) {
        for (const auto& [property, value] : others.m_values)
            m_values[property] = value;
    }
    void applyTo(Look& look) const;
    /// The properties that it has a value for, in the order of lookProperties().
    [[nodiscard]] std::vector<const LookProperty*> properties() const;
    friend bool operator==(const LookOverrides&, const LookOverrides&) = default;

private:
    std::map<size_t, LookValue> m_values; // by index of the property
};

/// Where two looks differ: what has to be set on the first to make it the second.
[[nodiscard]] LookOverrides differences(const Look& from, const Look& to);

} // namespace mivanta
