// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/theme/LookProperty.h"
#include "core/base/Cases.h"
#include "core/base/Said.h"
#include <QStringList>
#include <algorithm>
#include <array>
#include <cmath>

namespace mivanta {

namespace {

using Choice = LookChoiceName;
constexpr double kLeastBox = 0.01; // share of the screen

constexpr std::array kAligns{Choice{"left", QT_TRANSLATE_NOOP("Said", "left")},
                             Choice{"centre", QT_TRANSLATE_NOOP("Said", "centre")},
                             Choice{"right", QT_TRANSLATE_NOOP("Said", "right")}};
constexpr std::array kVerticals{Choice{"top", QT_TRANSLATE_NOOP("Said", "top")},
                                Choice{"middle", QT_TRANSLATE_NOOP("Said", "middle")},
                                Choice{"bottom", QT_TRANSLATE_NOOP("Said", "bottom")}};
constexpr std::array kCapitals{Choice{"as-written", QT_TRANSLATE_NOOP("Said", "as written")},
                               Choice{"all", QT_TRANSLATE_NOOP("Said", "ALL CAPITALS")},
                               Choice{"small", QT_TRANSLATE_NOOP("Said", "small capitals")}};
constexpr std::array kFillings{Choice{"balanced", QT_TRANSLATE_NOOP("Said", "balanced")},
                               Choice{"full", QT_TRANSLATE_NOOP("Said", "full rows")}};
constexpr std::array kReaches{Choice{"none", QT_TRANSLATE_NOOP("Said", "none")},
                              Choice{"words", QT_TRANSLATE_NOOP("Said", "behind the words")},
                              Choice{"box", QT_TRANSLATE_NOOP("Said", "behind the whole box")},
                              Choice{"band", QT_TRANSLATE_NOOP("Said", "across the screen")}};
constexpr std::array kWhens{Choice{"never", QT_TRANSLATE_NOOP("Said", "never")},
                            Choice{"first", QT_TRANSLATE_NOOP("Said", "on the first slide")},
                            Choice{"last", QT_TRANSLATE_NOOP("Said", "on the last slide")},
                            Choice{"every", QT_TRANSLATE_NOOP("Said", "on every slide")}};
constexpr std::array kBackdrops{Choice{"none", QT_TRANSLATE_NOOP("Said", "none (see-through)")},
                                Choice{"plain", QT_TRANSLATE_NOOP("Said", "one colour")},
                                Choice{"gradient", QT_TRANSLATE_NOOP("Said", "gradient")},
                                Choice{"picture", QT_TRANSLATE_NOOP("Said", "picture")},
                                Choice{"film", QT_TRANSLATE_NOOP("Said", "film")},
                                Choice{"live", QT_TRANSLATE_NOOP("Said", "live input")}};
constexpr std::array kShapes{Choice{"linear", QT_TRANSLATE_NOOP("Said", "straight")},
                             Choice{"radial", QT_TRANSLATE_NOOP("Said", "round")}};
constexpr std::array kFits{Choice{"fill", QT_TRANSLATE_NOOP("Said", "fills the screen")},
                           Choice{"whole", QT_TRANSLATE_NOOP("Said", "is seen whole")},
                           Choice{"stretch", QT_TRANSLATE_NOOP("Said", "is stretched")}};
constexpr std::array kTransitions{Choice{"cut", QT_TRANSLATE_NOOP("Said", "cut")},
                                  Choice{"fade", QT_TRANSLATE_NOOP("Said", "fade")},
                                  Choice{"fade-through", QT_TRANSLATE_NOOP("Said", "fade through a colour")},
                                  Choice{"push", QT_TRANSLATE_NOOP("Said", "push")}};
constexpr std::array kEasings{Choice{"even", QT_TRANSLATE_NOOP("Said", "even")},
                              Choice{"slow-start", QT_TRANSLATE_NOOP("Said", "slow start")},
                              Choice{"slow-end", QT_TRANSLATE_NOOP("Said", "slow end")},
                              Choice{"slow-both", QT_TRANSLATE_NOOP("Said", "slow start and end")}};
constexpr std::array kPushes{Choice{"right", QT_TRANSLATE_NOOP("Said", "from the right")},
                             Choice{"left", QT_TRANSLATE_NOOP("Said", "from the left")},
                             Choice{"top", QT_TRANSLATE_NOOP("Said", "from above")},
                             Choice{"bottom", QT_TRANSLATE_NOOP("Said", "from below")}};

template <auto First, auto... Rest>
auto& fieldOf(auto& object) {
    if constexpr (sizeof...(Rest) == 0)
        return object.*First;
    else
        return fieldOf<Rest...>(object.*First);
}

/// A box inside the screen that is large enough to be seen, or nothing.
std::optional<QRectF> boxInside(const QRectF& box) {
    const QRectF all(0, 0, 1, 1);
    const QRectF upright = box.normalized();
    const QRectF inside = all.contains(upright) ? upright : upright & all; // "&" alone leaves 0.06 as 0.0599…
    const bool seen = std::isfinite(inside.x()) && std::isfinite(inside.y()) && inside.width() >= kLeastBox &&
                      inside.height() >= kLeastBox; // false for NaN, too
    return seen ? std::optional(inside) : std::nullopt;
}

double inRange(double value, const LookProperty& property) {
    return std::isfinite(value) ? std::clamp(value, property.least, property.most) : property.least;
}

std::vector<GradientStop> inOrder(std::vector<GradientStop> stops) {
    for (GradientStop& stop : stops)
        stop.at = std::isfinite(stop.at) ? std::clamp(stop.at, 0.0, 1.0) : 0.0;
    std::stable_sort(stops.begin(), stops.end(),
                     [](const GradientStop& a, const GradientStop& b) { return a.at < b.at; });
    return stops;
}

template <typename Field>
void store(Field& field, const LookValue& value, const LookProperty& property) {
    if constexpr (std::is_enum_v<Field>) {
        if (const auto* choice = std::get_if<LookChoiceIndex>(&value))
            if (choice->index >= 0 && size_t(choice->index) < property.choices.size())
                field = Field(choice->index);
    } else if (const auto* given = std::get_if<Field>(&value)) {
        if constexpr (std::is_same_v<Field, int>)
            field = int(std::lround(inRange(*given, property)));
        else if constexpr (std::is_same_v<Field, double>)
            field = inRange(*given, property);
        else if constexpr (std::is_same_v<Field, QRectF>)
            field = boxInside(*given).value_or(field);
        else if constexpr (std::is_same_v<Field, QPointF>)
            field = {std::clamp(given->x(), 0.0, 1.0), std::clamp(given->y(), 0.0, 1.0)};
        else if constexpr (std::is_same_v<Field, std::vector<GradientStop>>)
            field = given->size() < 2 ? field : inOrder(*given);
        else
            field = *given;
    }
}

template <typename Field>
LookValue wrapped(const Field& field) {
    if constexpr (std::is_enum_v<Field>)
        return LookChoiceIndex{int(field)};
    else
        return field;
}

const LookProperty& own(size_t index) {
    return lookProperties()[index];
}

/// What a row of the table says besides where its value is.
struct Row {
    const char* key;
    const char* name;
    LookGroup group;
    const char* unit = "";
    double least = 0;
    double most = 0;
    std::span<const Choice> choices{};
    bool movesWords = false;
    bool isMedium = false;
    bool isLive = false;
};

template <size_t Index, auto... Path>
constexpr LookProperty property(const Row& row) {
    return {row.key,
            row.name,
            row.group,
            row.unit,
            row.least,
            row.most,
            row.choices,
            row.movesWords,
            row.isMedium,
            row.isLive,
            [](const Look& look) { return wrapped(fieldOf<Path...>(look)); },
            [](Look& look, const LookValue& value) { store(fieldOf<Path...>(look), value, own(Index)); }};
}

using W = WordsLook;
using B = Backdrop;
using T = Transition;
using G = LookGroup;

template <size_t Index, auto Field>
constexpr LookProperty words(const Row& row) {
    return property<Index, &Look::words, Field>(row);
}

// The index is the row's place; a test keeps it so.
constexpr std::array kProperties{
    words<0, &W::family>({"words.family", QT_TRANSLATE_NOOP("Said", "Font"), G::Words, "", 0, 0, {}, true}),
    words<1, &W::weight>(
        {"words.weight", QT_TRANSLATE_NOOP("Said", "Weight"), G::Words, "", 100, 900, {}, true}),
    words<2, &W::size>({"words.size", QT_TRANSLATE_NOOP("Said", "Size"), G::Words, "px", 8, 600, {}, true}),
    words<3, &W::smallestSize>(
        {"words.smallestSize", QT_TRANSLATE_NOOP("Said", "Smallest size"), G::Words, "px", 4, 600, {}, true}),
    words<4, &W::lineSpacing>(
        {"words.lineSpacing", QT_TRANSLATE_NOOP("Said", "Row spacing"), G::Words, "", 0.8, 3, {}, true}),
    words<5, &W::paragraphSpacing>(
        {"words.paragraphSpacing", QT_TRANSLATE_NOOP("Said", "Line spacing"), G::Words, "", 0, 3, {}, true}),
    words<6, &W::capitals>(
        {"words.capitals", QT_TRANSLATE_NOOP("Said", "Capitals"), G::Words, "", 0, 0, kCapitals, true}),
    words<7, &W::box>({"words.box", QT_TRANSLATE_NOOP("Said", "Words box"), G::Place, "", 0, 0, {}, true}),
    words<8, &W::horizontal>(
        {"words.horizontal", QT_TRANSLATE_NOOP("Said", "Across"), G::Place, "", 0, 0, kAligns}),
    words<9, &W::vertical>(
        {"words.vertical", QT_TRANSLATE_NOOP("Said", "Up and down"), G::Place, "", 0, 0, kVerticals}),
    words<10, &W::linesAtMost>(
        {"words.linesAtMost", QT_TRANSLATE_NOOP("Said", "Lines at most"), G::Place, "", 1, 40, {}, true}),
    words<11, &W::filling>(
        {"words.filling", QT_TRANSLATE_NOOP("Said", "Wrapped lines"), G::Place, "", 0, 0, kFillings, true}),
    words<12, &W::colour>({"words.colour", QT_TRANSLATE_NOOP("Said", "Words"), G::Colours}),
    words<13, &W::emphasisColour>(
        {"words.emphasisColour", QT_TRANSLATE_NOOP("Said", "Words that stand out"), G::Colours}),
    words<14, &W::chordColour>({"words.chordColour", QT_TRANSLATE_NOOP("Said", "Chords"), G::Colours}),
    words<15, &W::numberColour>(
        {"words.numberColour", QT_TRANSLATE_NOOP("Said", "Verse numbers and roles"), G::Colours}),
    words<16, &W::outlineWidth>(
        {"words.outlineWidth", QT_TRANSLATE_NOOP("Said", "Outline"), G::Edges, "px", 0, 40}),
    words<17, &W::outlineColour>(
        {"words.outlineColour", QT_TRANSLATE_NOOP("Said", "Outline colour"), G::Edges}),
    words<18, &W::shadowOffset>(
        {"words.shadowOffset", QT_TRANSLATE_NOOP("Said", "Shadow offset"), G::Edges, "px", 0, 100}),
    words<19, &W::shadowBlur>(
        {"words.shadowBlur", QT_TRANSLATE_NOOP("Said", "Shadow blur"), G::Edges, "px", 0, 60}),
    words<20, &W::shadowColour>({"words.shadowColour", QT_TRANSLATE_NOOP("Said", "Shadow colour"), G::Edges}),
    property<21, &Look::words, &W::panel, &Panel::reach>(
        {"words.panel.reach", QT_TRANSLATE_NOOP("Said", "Panel"), G::Panel, "", 0, 0, kReaches}),
    property<22, &Look::words, &W::panel, &Panel::colour>(
        {"words.panel.colour", QT_TRANSLATE_NOOP("Said", "Panel colour"), G::Panel}),
    property<23, &Look::words, &W::panel, &Panel::padding>(
        {"words.panel.padding", QT_TRANSLATE_NOOP("Said", "Around the words"), G::Panel, "px", 0, 200}),
    property<24, &Look::words, &W::panel, &Panel::roundness>(
        {"words.panel.roundness", QT_TRANSLATE_NOOP("Said", "Roundness"), G::Panel, "px", 0, 200}),
    property<25, &Look::words, &W::panel, &Panel::blur>(
        {"words.panel.blur", QT_TRANSLATE_NOOP("Said", "Blur behind"), G::Panel, "px", 0, 60}),
    property<26, &Look::roles>({"roles", QT_TRANSLATE_NOOP("Said", "Roles"), G::Roles, "", 0, 0, {}, true}),
    property<27, &Look::credit, &CreditLook::when>(
        {"credit.when", QT_TRANSLATE_NOOP("Said", "Shown"), G::Credit, "", 0, 0, kWhens}),
    property<28, &Look::credit, &CreditLook::fields>(
        {"credit.fields", QT_TRANSLATE_NOOP("Said", "Says"), G::Credit}),
    property<29, &Look::credit, &CreditLook::size>(
        {"credit.size", QT_TRANSLATE_NOOP("Said", "Size"), G::Credit, "px", 6, 200}),
    property<30, &Look::credit, &CreditLook::box>(
        {"credit.box", QT_TRANSLATE_NOOP("Said", "Credit box"), G::Credit}),
    property<31, &Look::credit, &CreditLook::horizontal>(
        {"credit.horizontal", QT_TRANSLATE_NOOP("Said", "Across"), G::Credit, "", 0, 0, kAligns}),
    property<32, &Look::credit, &CreditLook::colour>(
        {"credit.colour", QT_TRANSLATE_NOOP("Said", "Colour"), G::Credit}),
    property<33, &Look::backdrop, &B::kind>(
        {"backdrop.kind", QT_TRANSLATE_NOOP("Said", "Backdrop"), G::Backdrop, "", 0, 0, kBackdrops}),
    property<34, &Look::backdrop, &B::colour>(
        {"backdrop.colour", QT_TRANSLATE_NOOP("Said", "Colour"), G::Backdrop}),
    property<35, &Look::backdrop, &B::shape>(
        {"backdrop.shape", QT_TRANSLATE_NOOP("Said", "Gradient"), G::Backdrop, "", 0, 0, kShapes}),
    property<36, &Look::backdrop, &B::stops>(
        {"backdrop.stops", QT_TRANSLATE_NOOP("Said", "Gradient colours"), G::Backdrop}),
    property<37, &Look::backdrop, &B::angle>(
        {"backdrop.angle", QT_TRANSLATE_NOOP("Said", "Gradient angle"), G::Backdrop, "°", -360, 360}),
    property<38, &Look::backdrop, &B::picture>(
        {"backdrop.picture", QT_TRANSLATE_NOOP("Said", "Picture"), G::Backdrop, "", 0, 0, {}, false, true}),
    property<39, &Look::backdrop, &B::fit>(
        {"backdrop.fit", QT_TRANSLATE_NOOP("Said", "The picture"), G::Backdrop, "", 0, 0, kFits}),
    property<40, &Look::backdrop, &B::focus>(
        {"backdrop.focus", QT_TRANSLATE_NOOP("Said", "Stays in sight"), G::Backdrop}),
    property<41, &Look::backdrop, &B::film>(
        {"backdrop.film", QT_TRANSLATE_NOOP("Said", "Film"), G::Backdrop, "", 0, 0, {}, false, true}),
    property<42, &Look::backdrop, &B::filmFrom>(
        {"backdrop.filmFrom", QT_TRANSLATE_NOOP("Said", "From"), G::Backdrop, "s", 0, kLongestFilm}),
    property<43, &Look::backdrop, &B::filmTo>(
        {"backdrop.filmTo", QT_TRANSLATE_NOOP("Said", "To"), G::Backdrop, "s", 0, kLongestFilm}),
    property<44, &Look::backdrop, &B::live>({"backdrop.live",
                                             QT_TRANSLATE_NOOP("Said", "Live input"),
                                             G::Backdrop,
                                             "",
                                             0,
                                             0,
                                             {},
                                             false,
                                             false,
                                             true}),
    property<45, &Look::backdrop, &B::treatment, &Treatment::brightness>(
        {"backdrop.brightness", QT_TRANSLATE_NOOP("Said", "Brightness"), G::Treatment, "", -100, 100}),
    property<46, &Look::backdrop, &B::treatment, &Treatment::contrast>(
        {"backdrop.contrast", QT_TRANSLATE_NOOP("Said", "Contrast"), G::Treatment, "", -100, 100}),
    property<47, &Look::backdrop, &B::treatment, &Treatment::saturation>(
        {"backdrop.saturation", QT_TRANSLATE_NOOP("Said", "Saturation"), G::Treatment, "", -100, 100}),
    property<48, &Look::backdrop, &B::treatment, &Treatment::tint>(
        {"backdrop.tint", QT_TRANSLATE_NOOP("Said", "Tint"), G::Treatment}),
    property<49, &Look::backdrop, &B::treatment, &Treatment::blur>(
        {"backdrop.blur", QT_TRANSLATE_NOOP("Said", "Blur"), G::Treatment, "px", 0, 100}),
    property<50, &Look::backdrop, &B::treatment, &Treatment::darkEdge>(
        {"backdrop.darkEdge", QT_TRANSLATE_NOOP("Said", "Darkened edge"), G::Treatment, "%", 0, 100}),
    property<51, &Look::transition, &T::kind>(
        {"transition.kind", QT_TRANSLATE_NOOP("Said", "Words"), G::Transition, "", 0, 0, kTransitions}),
    property<52, &Look::transition, &T::milliseconds>(
        {"transition.milliseconds", QT_TRANSLATE_NOOP("Said", "Words take"), G::Transition, "ms", 0, 10'000}),
    property<53, &Look::transition, &T::easing>(
        {"transition.easing", QT_TRANSLATE_NOOP("Said", "Words move"), G::Transition, "", 0, 0, kEasings}),
    property<54, &Look::transition, &T::through>(
        {"transition.through", QT_TRANSLATE_NOOP("Said", "Words fade through"), G::Transition}),
    property<55, &Look::transition, &T::from>(
        {"transition.from", QT_TRANSLATE_NOOP("Said", "Words come"), G::Transition, "", 0, 0, kPushes}),
    property<56, &Look::backdropTransition, &T::kind>({"backdropTransition.kind",
                                                       QT_TRANSLATE_NOOP("Said", "Backdrop"), G::Transition,
                                                       "", 0, 0, kTransitions}),
    property<57, &Look::backdropTransition, &T::milliseconds>({"backdropTransition.milliseconds",
                                                               QT_TRANSLATE_NOOP("Said", "Backdrop takes"),
                                                               G::Transition, "ms", 0, 10'000}),
    property<58, &Look::backdropTransition, &T::easing>({"backdropTransition.easing",
                                                         QT_TRANSLATE_NOOP("Said", "Backdrop moves"),
                                                         G::Transition, "", 0, 0, kEasings}),
    property<59, &Look::backdropTransition, &T::through>(
        {"backdropTransition.through", QT_TRANSLATE_NOOP("Said", "Backdrop fades through"), G::Transition}),
    property<60, &Look::backdropTransition, &T::from>({"backdropTransition.from",
                                                       QT_TRANSLATE_NOOP("Said", "Backdrop comes"),
                                                       G::Transition, "", 0, 0, kPushes}),
    property<61, &Look::objects>({"objects", QT_TRANSLATE_NOOP("Said", "Objects"), G::Objects}),
};

constexpr std::array<std::pair<const char*, const char*>, kLookGroups> kGroups{
    {{"words", QT_TRANSLATE_NOOP("Said", "Words")},
     {"place", QT_TRANSLATE_NOOP("Said", "Place of the words")},
     {"colours", QT_TRANSLATE_NOOP("Said", "Colours")},
     {"edges", QT_TRANSLATE_NOOP("Said", "Outline and shadow")},
     {"panel", QT_TRANSLATE_NOOP("Said", "Panel behind the words")},
     {"roles", QT_TRANSLATE_NOOP("Said", "Roles")},
     {"credit", QT_TRANSLATE_NOOP("Said", "Credit line")},
     {"backdrop", QT_TRANSLATE_NOOP("Said", "Backdrop")},
     {"treatment", QT_TRANSLATE_NOOP("Said", "Treatment of the picture")},
     {"transition", QT_TRANSLATE_NOOP("Said", "Change from slide to slide")},
     {"objects", QT_TRANSLATE_NOOP("Said", "Objects")}}};

QString percent(double share) {
    return QString::number(std::lround(share * 100)) + QStringLiteral(" %");
}

} // namespace

std::span<const LookProperty> lookProperties() {
    return kProperties;
}

const LookProperty* lookProperty(const QString& key) {
    const auto at = std::find_if(kProperties.begin(), kProperties.end(),
                                 [&](const LookProperty& p) { return key == QLatin1String(p.key); });
    return at == kProperties.end() ? nullptr : &*at;
}

size_t indexOf(const LookProperty& property) {
    return size_t(&property - kProperties.data());
}

QString labelOf(LookGroup group) {
    return Said::tr(kGroups[size_t(group)].second);
}

const char* keyOf(LookGroup group) {
    return kGroups[size_t(group)].first;
}

LookValue LookProperty::accepted(const LookValue& value) const {
    Look look;
    set(look, value);
    return get(look);
}

QString LookProperty::text(const LookValue& value) const {
    const QString suffix = *unit ? u' ' + QString::fromUtf8(unit) : QString();
    return std::visit(
        Cases{[](bool on) { return on ? Said::tr("yes") : Said::tr("no"); },
              [&](int number) { return QString::number(number) + suffix; },
              [&](double number) { return QString::number(number, 'g', 4) + suffix; },
              [](const QString& text) { return text.isEmpty() ? Said::tr("none") : text; },
              [](const Colour& colour) { return colour.text(); },
              [](const std::optional<Colour>& colour) {
                  return colour ? colour->text() : Said::tr("by itself");
              },
              [](const QPointF& point) {
                  return Said::tr("%1 across, %2 down").arg(percent(point.x()), percent(point.y()));
              },
              [](const QRectF& box) {
                  return Said::tr("%1 × %2 at %3, %4")
                      .arg(percent(box.width()), percent(box.height()), percent(box.x()), percent(box.y()));
              },
              [&](const LookChoiceIndex& choice) {
                  const bool known = choice.index >= 0 && size_t(choice.index) < choices.size();
                  return known ? choices[size_t(choice.index)].label() : QString();
              },
              [](const std::vector<GradientStop>& stops) {
                  QStringList colours;
                  for (const GradientStop& stop : stops)
                      colours << stop.colour.text();
                  return colours.join(QStringLiteral(" → "));
              },
              [](const std::vector<RoleLook>& roles) {
                  QStringList names;
                  for (const RoleLook& role : roles)
                      names << role.role;
                  return names.isEmpty() ? Said::tr("none") : names.join(QStringLiteral(", "));
              },
              [](const std::vector<SlideObject>& objects) {
                  return objects.empty() ? Said::tr("none")
                                         : Said::tr("%n objects", nullptr, Said::n(objects.size()));
              }},
        value);
}

void LookOverrides::set(const LookProperty& property, const LookValue& value) {
    if (value.index() == property.get(Look()).index())
        m_values.insert_or_assign(indexOf(property), property.accepted(value));
}

std::optional<LookValue> LookOverrides::value(const LookProperty& property) const {
    const auto at = m_values.find(indexOf(property));
    return at == m_values.end() ? std::nullopt : std::optional(at->second);
}

void LookOverrides::applyTo(Look& look) const {
    for (const auto& [index, value] : m_values)
        kProperties[index].set(look, value);
}

std::vector<const LookProperty*> LookOverrides::properties() const {
    std::vector<const LookProperty*> result;
    for (const auto& [index, value] : m_values)
        result.push_back(&kProperties[index]);
    return result;
}

LookOverrides differences(const Look& from, const Look& to) {
    LookOverrides result;
    for (const LookProperty& property : kProperties)
        if (const LookValue value = property.get(to); !(value == property.get(from)))
            result.set(property, value);
    return result;
}

} // namespace mivanta
