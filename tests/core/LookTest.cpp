// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/run/Output.h"
#include "core/run/Slides.h"
#include "support/AnyLook.h"
#include "support/Samples.h"
#include "support/Text.h"
#include <QSet>
#include <gtest/gtest.h>
#include <rapidcheck/gtest.h>

namespace mivanta {
namespace {

const LookProperty& property(const QString& key) {
    const LookProperty* found = lookProperty(key);
    if (!found)
        throw std::runtime_error("no such property: " + key.toStdString());
    return *found;
}

TEST(LookProperties, EachSetsItselfAndNothingElse) {
    QSet<QString> keys;
    for (const LookProperty& each : lookProperties()) {
        EXPECT_FALSE(keys.contains(each.keyText())) << each.key;
        keys << each.keyText();
        EXPECT_EQ(lookProperty(each.keyText()), &each);
        Look look;
        const LookValue before = each.get(look);
        LookValue other = before;
        if (auto* choice = std::get_if<LookChoiceIndex>(&other))
            choice->index = choice->index == 0 ? 1 : 0;
        else if (auto* number = std::get_if<int>(&other))
            *number += *number + 1 > each.most ? -1 : 1;
        else if (auto* real = std::get_if<double>(&other))
            *real += *real + 1 > each.most ? -0.25 : 0.25;
        else if (auto* text = std::get_if<QString>(&other))
            *text = u"other"_s;
        else if (auto* colour = std::get_if<Colour>(&other))
            colour->red = quint8(colour->red ^ 1);
        else if (auto* maybe = std::get_if<std::optional<Colour>>(&other))
            *maybe = Colour{1, 2, 3, 4};
        else if (auto* box = std::get_if<QRectF>(&other))
            *box = {0.2, 0.2, 0.3, 0.3};
        else if (auto* point = std::get_if<QPointF>(&other))
            *point = {0.1, 0.9};
        else if (auto* stops = std::get_if<std::vector<GradientStop>>(&other))
            *stops = {{0, {1, 1, 1, 255}}, {0.5, {2, 2, 2, 255}}, {1, {3, 3, 3, 255}}};
        else if (auto* roles = std::get_if<std::vector<RoleLook>>(&other))
            roles->push_back({u"Reader"_s});
        else
            std::get<std::vector<SlideObject>>(other).push_back({});
        each.set(look, other);
        EXPECT_EQ(each.get(look), other) << each.key;
        const LookOverrides changed = differences(Look(), look);
        ASSERT_EQ(changed.count(), 1u) << each.key;
        EXPECT_EQ(changed.properties().front(), &each);
        EXPECT_FALSE(each.text(other).isEmpty()) << each.key;
    }
    EXPECT_EQ(lookProperty(u"words.nothing"_s), nullptr);
}

TEST(LookProperties, TakeOnlyWhatMakesSense) {
    Look look;
    property(u"words.size"_s).set(look, 0);
    EXPECT_EQ(look.words.size, 8);
    property(u"words.size"_s).set(look, 10'000);
    EXPECT_EQ(look.words.size, 600);
    property(u"words.size"_s).set(look, u"large"_s); // of another type
    EXPECT_EQ(look.words.size, 600);
    property(u"words.lineSpacing"_s).set(look, std::nan(""));
    EXPECT_EQ(look.words.lineSpacing, 0.8);
    property(u"words.box"_s).set(look, QRectF(0.5, 0.5, 3, 3));
    EXPECT_EQ(look.words.box, QRectF(0.5, 0.5, 0.5, 0.5));
    property(u"words.box"_s).set(look, QRectF(2, 2, 1, 1)); // outside the screen
    EXPECT_EQ(look.words.box, QRectF(0.5, 0.5, 0.5, 0.5));
    property(u"backdrop.stops"_s).set(look, std::vector<GradientStop>{});
    EXPECT_EQ(look.backdrop.stops, Backdrop().stops);
    property(u"backdrop.stops"_s)
        .set(look, std::vector<GradientStop>{{7, {1, 1, 1, 255}}, {-1, {2, 2, 2, 255}}});
    EXPECT_EQ(look.backdrop.stops.front(), (GradientStop{0, {2, 2, 2, 255}}));
    property(u"transition.kind"_s).set(look, LookChoiceIndex{99});
    EXPECT_EQ(look.transition.kind, TransitionKind::Fade);
}

TEST(LookProperties, SayTheirValuesInWords) {
    EXPECT_EQ(property(u"words.size"_s).text(64), u"64 px"_s);
    EXPECT_EQ(property(u"words.horizontal"_s).text(LookChoiceIndex{0}), u"left"_s);
    EXPECT_EQ(property(u"words.box"_s).text(QRectF(0.1, 0.2, 0.5, 0.25)),
              u"50 % \u00d7 25 % at 10 %, 20 %"_s);
    EXPECT_EQ(property(u"words.numberColour"_s).text(std::optional<Colour>()), u"by itself"_s);
    EXPECT_EQ(property(u"backdrop.picture"_s).text(QString()), u"none"_s);
}

RC_GTEST_PROP(LookProperties, ThoseThatAreAddedWin, ()) {
    const LookOverrides first = differences(Look(), samples::anyLook());
    const LookOverrides second = differences(Look(), samples::anyLook());
    LookOverrides both = first;
    both.add(second);
    for (const LookProperty& property : lookProperties())
        RC_ASSERT(both.value(property) == (second.has(property) ? second : first).value(property));
}

RC_GTEST_PROP(LookProperties, DifferencesMakeOneLookTheOther, ()) {
    const Look from = samples::anyLook();
    const Look to = samples::anyLook();
    Look made = from;
    differences(from, to).applyTo(made);
    RC_ASSERT(made == to);
}

TEST(Transition, EasingBeginsAndEndsWhereItShould) {
    for (const Easing easing : {Easing::Even, Easing::SlowStart, Easing::SlowEnd, Easing::SlowBoth}) {
        Transition transition;
        transition.easing = easing;
        EXPECT_DOUBLE_EQ(transition.progressAt(0), 0);
        EXPECT_DOUBLE_EQ(transition.progressAt(1), 1);
        EXPECT_DOUBLE_EQ(transition.progressAt(7), 1);
        double before = 0;
        for (double share = 0; share <= 1; share += 0.05) {
            EXPECT_GE(transition.progressAt(share), before);
            before = transition.progressAt(share);
        }
    }
    Transition slow;
    slow.easing = Easing::SlowStart;
    EXPECT_LT(slow.progressAt(0.3), 0.3);
}

TEST(Themes, AnIdIsMadeOfTheNameAndIsItsOwn) {
    const std::vector<Theme> themes{{u"dusk-water"_s, u"Dusk Water"_s, {}}};
    EXPECT_EQ(newThemeId(u"Dusk Water"_s, themes), u"dusk-water-2"_s);
    EXPECT_EQ(newThemeId(u"\u00c9toile, am See!"_s, themes), u"etoile-am-see"_s);
    EXPECT_EQ(newThemeId(u"\u05d0\u05d5\u05e8"_s, themes), u"theme"_s);
    EXPECT_EQ(themeOf({}, themes), nullptr);
    EXPECT_EQ(themeOf(u"dusk-water"_s, themes), &themes.front());
}

// The cascade
// ------------------------------------------------------------------------------------------------

/// The definition, said once more: the strongest level that says something.
std::pair<LookValue, LookSource> byDefinition(const LookProperty& property,
                                              const std::vector<LookLayer>& layers, LookLevel strongest) {
    for (auto layer = layers.rbegin(); layer != layers.rend(); ++layer) {
        if (layer->level > strongest)
            continue;
        if (layer->choice)
            if (const auto value = layer->choice->own.value(property))
                return {*value, {layer->level, {}}};
        if (layer->theme)
            return {property.get(layer->theme->look), {layer->level, layer->theme->name}};
    }
    return {property.get(Look()), {}};
}

RC_GTEST_PROP(Cascade, EqualsItsDefinition, ()) {
    std::vector<Theme> themes;
    std::vector<LookChoice> choices;
    std::vector<LookLayer> layers;
    for (int level = int(LookLevel::Output); level <= int(LookLevel::Slide); ++level) {
        themes.push_back({QString::number(level), u"Theme %1"_s.arg(level), samples::anyLook()});
        choices.push_back(samples::anyChoice());
    }
    for (size_t i = 0; i < themes.size(); ++i) {
        const bool hasTheme = *rc::gen::arbitrary<bool>();
        const bool hasChoice = *rc::gen::arbitrary<bool>();
        layers.push_back({LookLevel(int(LookLevel::Output) + int(i)), hasTheme ? &themes[i] : nullptr,
                          hasChoice ? &choices[i] : nullptr});
    }
    std::vector<LookGroup> insisted;
    for (const LookGroup group : allLookGroups())
        if (*rc::gen::inRange(0, 3) == 0)
            insisted.push_back(group);
    const ResolvedLook resolved = resolveLook(layers, insisted);
    for (const LookProperty& each : lookProperties()) {
        const bool insists = std::find(insisted.begin(), insisted.end(), each.group) != insisted.end();
        auto [value, source] = byDefinition(each, layers, insists ? LookLevel::Output : LookLevel::Slide);
        if (insists)
            source.level = LookLevel::Insisted;
        RC_ASSERT(each.get(resolved.look) == value);
        RC_ASSERT(resolved.sourceOf(each) == source);
    }
}

TEST(Cascade, ObjectsOfEveryLevelAreShownTogether) {
    SlideObject logo;
    logo.what = EllipseObject();
    SlideObject note;
    note.what = TextObject();
    Theme theme = samples::theme();
    theme.look.objects = {logo};
    const LookChoice item{{}, {}, {note}};
    const auto resolved =
        resolveLook({{LookLevel::Service, &theme, nullptr}, {LookLevel::Item, nullptr, &item}});
    EXPECT_EQ(resolved.look.objects, (std::vector<SlideObject>{logo, note}));
    EXPECT_EQ(resolved.sourceOf(property(u"objects"_s)).level, LookLevel::Item);
}

TEST(Cascade, AnOutputThatInsistsOnSomeKeepsTheRestOfTheService) {
    Output stream = usualOutputs()[2];
    Theme lower = samples::theme();
    lower.id = u"lower-third"_s;
    lower.look.words.box = {0.1, 0.8, 0.8, 0.1};
    lower.look.words.colour = {1, 1, 1, 255};
    Theme service = samples::theme();
    service.look.words.colour = {200, 0, 0, 255};
    const std::vector<Theme> themes{lower};
    stream.insists = {LookGroup::Place};
    Look look = lookOn(stream, plainChain(service, themes)).look;
    EXPECT_EQ(look.words.box, lower.look.words.box);
    EXPECT_EQ(look.words.colour, service.look.words.colour);
    stream.insists = allLookGroups();
    EXPECT_EQ(lookOn(stream, plainChain(service, themes)).look, lower.look);
    // A theme that is gone cannot be insisted on.
    EXPECT_EQ(lookOn(stream, plainChain(service, {})).look, service.look);
}

TEST(Cascade, KindItemAndSlideComeOneAfterTheOther) {
    Service service;
    service.theme = samples::theme();
    service.themes = {{u"dark"_s, u"Dark"_s, {}}, {u"red"_s, u"Red"_s, {}}};
    service.themes[0].look.words.size = 50;
    service.themes[1].look.words.size = 60;
    const LookProperty& size = property(u"words.size"_s);
    const Output hall = usualOutputs()[0];
    Item item{ItemId::create(), songItem(samples::harbourSong())};
    const auto resolve = [&](const LookChoice* slide = nullptr) {
        const ResolvedLook look = lookOn(hall, lookChainOf(item, service, {}), slide);
        return std::pair(look.look.words.size, look.sourceOf(size));
    };
    EXPECT_EQ(resolve(), std::pair(72, LookSource{LookLevel::Service, u"Test"_s}));
    service.kinds[ItemKind::Text].theme = u"red"_s; // of another kind
    EXPECT_EQ(resolve().first, 72);
    service.kinds[ItemKind::Song].theme = u"dark"_s;
    EXPECT_EQ(resolve(), std::pair(50, LookSource{LookLevel::Kind, u"Dark"_s}));
    item.look.choice.theme = u"red"_s;
    EXPECT_EQ(resolve(), std::pair(60, LookSource{LookLevel::Item, u"Red"_s}));
    item.look.choice.own.set(size, 61);
    EXPECT_EQ(resolve(), std::pair(61, LookSource{LookLevel::Item, {}}));
    LookChoice slide;
    slide.own.set(size, 62);
    EXPECT_EQ(resolve(&slide), std::pair(62, LookSource{LookLevel::Slide, {}}));
    item.look.choice.own.clear(size);
    item.look.choice.theme = u"gone"_s;
    EXPECT_EQ(resolve().first, 50);
}

// Looks of single slides
// ---------------------------------------------------------------------------------------

class OwnLooks : public ::testing::Test {
protected:
    OwnLooks() {
        service.theme = samples::theme();
        service.theme.look.words.linesAtMost = 2;
        item = {ItemId::create(), songItem(samples::harbourSong())};
    }
    ItemSlides slides() {
        return slidesFor(contentOf(item.words, service), usualOutputs(), lookChainOf(item, service, {}),
                         measures);
    }
    static QStringList words(const OutputSlides& output) {
        QStringList rows;
        for (const Slide& slide : output.slides)
            for (const FitRow& row : slide.rows)
                rows << row.text;
        return rows;
    }
    Service service;
    Item item;
    EvenMeasures measures;
};

TEST_F(OwnLooks, ASlideIsNamedByItsPartItsTimeAndItsLines) {
    const ItemSlides all = slides();
    const auto& hall = all.outputs[0].slides; // V1 in two, C, V2 in two, C
    ASSERT_EQ(hall.size(), 6u);
    EXPECT_EQ(slidePlace(all.content, hall[1]), (SlidePlace{u"Verse 1"_s, 1, 2, 3}));
    EXPECT_EQ(slidePlace(all.content, hall[2]), (SlidePlace{u"Chorus"_s, 1, 0, 1}));
    EXPECT_EQ(slidePlace(all.content, hall[5]), (SlidePlace{u"Chorus"_s, 2, 0, 1}));
}

TEST_F(OwnLooks, AColourChangesThatSlideAndNoOther) {
    LookChoice choice;
    choice.own.set(property(u"words.colour"_s), Colour{255, 0, 0, 255});
    item.look.setSlide({u"Chorus"_s, 2, 0, 1}, choice);
    const ItemSlides all = slides();
    const OutputSlides& hall = all.outputs[0];
    ASSERT_EQ(hall.slides.size(), 6u);
    for (size_t s = 0; s < 6; ++s)
        EXPECT_EQ(hall.lookOf(hall.slides[s]).words.colour.green, s == 5 ? 0 : 255) << s;
    EXPECT_EQ(hall.fontSizeOf(hall.slides[5]), hall.fontSize);
    item.look.setSlide({u"Chorus"_s, 2, 0, 1}, {});
    EXPECT_TRUE(item.look.slides.empty());
}

TEST_F(OwnLooks, ASmallerBoxDividesThatSlideAgain) {
    const QStringList before = words(slides().outputs[0]);
    LookChoice choice;
    choice.own.set(property(u"words.linesAtMost"_s), 1);
    choice.own.set(property(u"words.size"_s), 40);
    choice.own.set(property(u"words.smallestSize"_s), 40);
    item.look.setSlide({u"Verse 1"_s, 1, 2, 3}, choice);
    const ItemSlides all = slides();
    const OutputSlides& hall = all.outputs[0];
    ASSERT_EQ(hall.slides.size(), 7u);
    EXPECT_EQ(words(hall), before);
    EXPECT_EQ(hall.fontSizeOf(hall.slides[0]), 72);
    EXPECT_EQ(hall.fontSizeOf(hall.slides[1]), 40);
    EXPECT_EQ(hall.slides[2].start, (Position{0, 3, 0}));
    EXPECT_EQ(hall.slides[2].number, 3);
    EXPECT_EQ(hall.slides[2].of, 3);
    EXPECT_TRUE(std::is_sorted(hall.slides.begin(), hall.slides.end(),
                               [](const Slide& a, const Slide& b) { return a.start < b.start; }));
}

TEST_F(OwnLooks, APlaceThatIsGoneIsNoTrouble) {
    LookChoice choice;
    choice.own.set(property(u"words.size"_s), 40);
    item.look.setSlide({u"Bridge"_s, 1, 0, 1}, choice);
    item.look.setSlide({u"Chorus"_s, 9, 0, 1}, choice);
    item.look.setSlide({u"Verse 1"_s, 1, 50, 60}, choice);
    EXPECT_EQ(slides().outputs[0].slides.size(), 6u);
}

TEST_F(OwnLooks, TheCreditOfASlideIsItsOwn) {
    service.theme.look.credit.fields = u"{title}"_s;
    LookChoice choice;
    choice.own.set(property(u"credit.when"_s), LookChoiceIndex{int(CreditWhen::Every)});
    item.look.setSlide({u"Chorus"_s, 1, 0, 1}, choice);
    const ItemSlides all = slides();
    for (size_t s = 0; s < 6; ++s)
        EXPECT_EQ(all.outputs[0].slides[s].credit, s == 2 || s == 5 ? u"Harbour"_s : QString()) << s;
}

RC_GTEST_PROP(Looks, WordsAreNeverLostUnderAnyTheme, ()) {
    EvenMeasures measures;
    Service service;
    service.theme = {u"any"_s, u"Any"_s, samples::anyLook()};
    service.theme.look.roles.clear();
    Item item{ItemId::create(), songItem(samples::harbourSong())};
    const auto part = QString::fromUtf8(*rc::gen::element("Verse 1", "Chorus", "Verse 2"));
    const int line = *rc::gen::inRange(0, 4);
    item.look.setSlide({part, 1, line, line + *rc::gen::inRange(0, 3)}, samples::anyChoice());
    const ItemContent content = contentOf(item.words, service);
    const ItemSlides all = slidesFor(content, usualOutputs(), lookChainOf(item, service, {}), measures);
    for (const OutputSlides& output : all.outputs) {
        for (size_t e = 0; e < content.entries.size(); ++e) {
            QString shown;
            for (const Slide& slide : output.slides)
                if (slide.start.entry == int(e))
                    for (const FitRow& row : slide.rows)
                        shown += row.text;
            QString whole;
            for (const Line& each : content.parts[size_t(content.entries[e].part)].lines)
                whole += each.words;
            RC_ASSERT(shown.remove(u' ') == whole.remove(u' '));
        }
    }
}

TEST(Credit, APassageSpeaksInTheThemesWords) {
    CreditFields fields;
    fields.reference = u"Luke 5:1"_s;
    fields.translation = u"Quayside"_s;
    EXPECT_EQ(creditText(u"{title} \u00b7 {reference} ({translation})"_s, fields), u"Luke 5:1 (Quayside)"_s);
}

} // namespace
} // namespace mivanta
