// SPDX-License-Identifier: GPL-3.0-or-later
#include "formats/ItemJson.h"
#include "formats/LookJson.h"
#include "formats/OutputsJson.h"
#include "formats/ServiceFile.h"
#include "formats/SongJson.h"
#include "formats/ThemeJson.h"
#include "support/AnyLook.h"
#include "support/Samples.h"
#include "support/Text.h"
#include "support/ZipWith.h"
#include <QBuffer>
#include <QJsonArray>
#include <QJsonDocument>
#include <gtest/gtest.h>
#include <rapidcheck/gtest.h>

namespace mivanta {
namespace {

Song fullSong() {
    Song song = samples::harbourSong();
    song.otherTitles = {u"Haven"_s};
    song.authors = {{AuthorRole::Words, u"A"_s}, {AuthorRole::Music, u"B"_s}};
    song.bookNumbers = {{u"Shore Hymnal"_s, u"12"_s}};
    song.key = u"G"_s;
    song.tempo = 80;
    song.capo = 2;
    song.topics = {u"sea"_s};
    song.parts[0].lines[1].chords = {{3, u"D"_s}};
    song.parts[0].lines[2].breakBefore = true;
    song.parts[0].lines[3].comment = u"slower"_s;
    song.parts[1].bandOnly = true;
    song.singingOrder.back().times = 2;
    return song;
}

Service fullService() {
    Service service;
    service.id = ServiceId::create();
    service.title = u"Sunday"_s;
    service.place = u"Chapel"_s;
    service.start = QDateTime(QDate(2026, 10, 4), QTime(10, 30));
    service.theme = samples::theme();
    service.items = {{ItemId::create(), Heading{u"Gathering"_s}}, {ItemId::create(), songItem(fullSong())}};
    return service;
}

Result<Service> readZip(QByteArray bytes) {
    QBuffer buffer(&bytes);
    buffer.open(QIODevice::ReadOnly);
    return readServiceFile(buffer, u"x.mivanta"_s);
}

TEST(ServiceFile, WhatWouldFreezeADeskIsRefusedWithTheReason) {
    Service service = fullService();
    Song song = fullSong();
    song.singingOrder.assign(20'000, {song.parts[0].id, 99, {}});
    service.items[1].words = songItem(song);
    const auto order = serviceFromJson(serviceToJson(service), u"x"_s);
    ASSERT_FALSE(order);
    EXPECT_TRUE(order.error().what.contains(u"singing order"_s)) << order.error().text().toStdString();

    service = fullService();
    song = fullSong();
    song.singingOrder.assign(10, {song.parts[0].id, 99, {}});
    service.items.assign(60, {ItemId::create(), songItem(song)}); // each of them is fine
    const auto many = serviceFromJson(serviceToJson(service), u"x"_s);
    ASSERT_FALSE(many);
    EXPECT_TRUE(many.error().what.contains(u"slides"_s)) << many.error().text().toStdString();

    service = fullService();
    service.items.assign(2001, {ItemId::create(), Heading{u"x"_s}});
    EXPECT_FALSE(serviceFromJson(serviceToJson(service), u"x"_s));
}

TEST(ServiceFile, EachDamageIsSaid) {
    const auto why = [](const QByteArray& json) {
        const auto read = readZip(zipWith({{"service.json", json}}));
        return read ? QString() : read.error().what;
    };
    EXPECT_TRUE(why("[]").contains(u"holds no service"_s)) << why("[]").toStdString();
    EXPECT_TRUE(why("{").contains(u"no JSON"_s)) << why("{").toStdString();
    EXPECT_TRUE(why("{}").contains(u"version"_s)) << why("{}").toStdString();
    EXPECT_FALSE(why("[]").contains(u"no error"_s));
}

TEST(SongJson, WrittenAndReadAgainIsTheSame) {
    const Song song = fullSong();
    const auto read = songFromJson(songToJson(song), {});
    ASSERT_TRUE(read);
    EXPECT_TRUE(sameContent(*read, song));
    EXPECT_EQ(read->id, song.id);
    EXPECT_EQ(read->parts[0].id, song.parts[0].id);
}

TEST(SongJson, RefusesASongWithoutIdAndMendsNumbersOutOfRange) {
    QJsonObject json = songToJson(fullSong());
    json[u"tempo"_s] = 100'000;
    EXPECT_EQ(songFromJson(json, {})->tempo, 400);
    json.remove(u"id"_s);
    EXPECT_FALSE(songFromJson(json, {}));
}

TEST(ServiceFile, WrittenAndReadAgainIsTheSame) {
    const Service service = fullService();
    const auto bytes = serviceToZip(service);
    ASSERT_TRUE(bytes);
    const auto read = readZip(*bytes);
    ASSERT_TRUE(read) << read.error().text().toStdString();
    EXPECT_EQ(read->title, service.title);
    EXPECT_EQ(read->start, service.start);
    EXPECT_EQ(read->theme, service.theme);
    ASSERT_EQ(read->items.size(), 2u);
    EXPECT_EQ(read->items[1].id, service.items[1].id);
    EXPECT_TRUE(sameContent(*read->items[1].song(), *service.items[1].song()));
}

TEST(ServiceFile, CutOffAtAnyTenthIsRefused) {
    const QByteArray bytes = *serviceToZip(fullService());
    for (int tenth = 0; tenth < 10; ++tenth)
        EXPECT_FALSE(readZip(bytes.left(bytes.size() * tenth / 10))) << tenth;
}

TEST(ServiceFile, FlippedBytesNeverCrash) {
    const QByteArray bytes = *serviceToZip(fullService());
    for (qsizetype at = 0; at < bytes.size(); at += 3) {
        QByteArray bad = bytes;
        bad[at] = char(bad[at] ^ 0x55);
        const auto read = readZip(bad);
        EXPECT_TRUE(read || !read.error().what.isEmpty());
    }
}

TEST(ServiceFile, ANewerFormatSaysSo) {
    QJsonObject json = serviceToJson(fullService());
    json[u"mivanta"_s] = kServiceFormat + 1;
    const auto read = serviceFromJson(json, u"x"_s);
    ASSERT_FALSE(read);
    EXPECT_TRUE(read.error().what.contains(u"newer"_s));
    json.remove(u"mivanta"_s);
    EXPECT_FALSE(serviceFromJson(json, u"x"_s));
}

TEST(ServiceFile, PlansAreKeptAndBroughtIntoRange) {
    Service service = fullService();
    service.items[1].plan = {270, QTime(10, 40), u"Petra Osk"_s, u"lights down"_s, 20, true, true};
    const auto read = readZip(*serviceToZip(service));
    ASSERT_TRUE(read);
    EXPECT_EQ(read->items[1].plan, service.items[1].plan);
    EXPECT_EQ(read->items[0].plan, ItemPlan());
    QJsonObject json = itemToJson(service.items[1]);
    json[u"plan"_s] = QJsonObject{{u"seconds"_s, -5}, {u"at"_s, u"26:00"_s}, {u"leader"_s, 7}};
    const auto odd = itemFromJson(json, {});
    ASSERT_TRUE(odd);
    EXPECT_EQ(odd->plan.seconds, 0);
    EXPECT_FALSE(odd->plan.at);
    EXPECT_TRUE(odd->plan.leader.isEmpty());
}

TEST(ServiceFile, ItemsOfAnUnknownKindAreKeptAsTheyAre) {
    const ItemId id = ItemId::create();
    const QJsonObject strange{{u"id"_s, id.text()},
                              {u"kind"_s, u"hologram"_s},
                              {u"title"_s, u"A boat in the air"_s},
                              {u"depth"_s, QJsonArray{1.5, u"deep"_s, QJsonObject{{u"a"_s, true}}}},
                              {u"plan"_s, QJsonObject{{u"seconds"_s, 60}, {u"mood"_s, u"calm"_s}}}};
    QJsonObject json = serviceToJson(fullService());
    QJsonArray items = json[u"items"_s].toArray();
    items.insert(1, strange);
    json[u"items"_s] = items;
    const auto read = serviceFromJson(json, {});
    ASSERT_TRUE(read);
    ASSERT_EQ(read->items.size(), 3u);
    EXPECT_TRUE(read->items[1].isUnknown());
    EXPECT_FALSE(read->items[1].isRun());
    EXPECT_EQ(read->items[1].title(), u"A boat in the air"_s);
    EXPECT_TRUE(contentOf(read->items[1].words, *read).parts.empty());
    const auto again = readZip(*serviceToZip(*read));
    ASSERT_TRUE(again);
    EXPECT_EQ(itemToJson(again->items[1]), strange);
}

TEST(ServiceFile, ItemsWithTheSameIdBecomeTwo) {
    Service service = fullService();
    service.items[1].id = service.items[0].id;
    const auto read = serviceFromJson(serviceToJson(service), {});
    ASSERT_TRUE(read);
    EXPECT_FALSE(read->items[0].id == read->items[1].id);
}

TEST(ThemeJson, WrittenAndReadAgainIsTheSame) {
    Theme theme = samples::theme();
    theme.look.backdrop = samples::gradient({{0, {1, 2, 3, 255}}, {1, {4, 5, 6, 255}}}, 45);
    theme.look.words.outlineWidth = 3;
    theme.look.words.family = u"Noto Serif"_s;
    theme.look.credit = {CreditWhen::Every,    u"{title}"_s,          20,
                         {0.1, 0.8, 0.5, 0.1}, HorizontalAlign::Left, {9, 9, 9, 9}};
    theme.look.transition.kind = TransitionKind::Cut;
    const auto read = themeFromJson(themeToJson(theme), {});
    ASSERT_TRUE(read);
    EXPECT_EQ(*read, theme);
}

TEST(ThemeJson, SenselessValuesAreBroughtIntoRange) {
    QJsonObject json = themeToJson(samples::theme());
    json[u"words"_s] =
        QJsonObject{{u"size"_s, 0}, {u"smallestSize"_s, 10'000}, {u"box"_s, QJsonArray{2, 2, 1, 1}}};
    json[u"backdrop"_s] = QJsonObject{{u"kind"_s, u"gradient"_s}};
    const auto read = themeFromJson(json, {});
    ASSERT_TRUE(read);
    EXPECT_GE(read->look.words.size, 8);
    EXPECT_LE(read->look.words.smallestSize, read->look.words.size);
    EXPECT_EQ(read->look.words.box, WordsLook().box);
    EXPECT_EQ(read->look.backdrop.kind, BackdropKind::Plain);
}

RC_GTEST_PROP(ThemeJson, AnyLookComesBackAsItWas, ()) {
    const Theme theme{u"any"_s, u"Any"_s, samples::anyLook()};
    const auto read =
        themeFromJson(QJsonDocument::fromJson(QJsonDocument(themeToJson(theme)).toJson()).object(), {});
    RC_ASSERT(bool(read));
    Look wanted = theme.look;
    wanted.words.smallestSize = std::min(wanted.words.smallestSize, wanted.words.size);
    RC_ASSERT(differences(read->look, wanted).isEmpty());
}

RC_GTEST_PROP(LookJson, ChoicesComeBackAsTheyWere, ()) {
    ItemLook look{samples::anyChoice(u"dusk-water"_s), {}};
    look.setSlide({u"Verse 1"_s, 2, 3, 5}, samples::anyChoice(u"x"_s));
    RC_ASSERT(itemLookFromJson(itemLookToJson(look)) == look);
}

TEST(LookJson, PartsOfASecondAreKept) {
    SlideObject object;
    object.what = FilmObject{QString(64, u'c') + u".mp4"_s, 0.25, 3.75, 2.5};
    SlideObject live;
    live.what = LiveObject{LiveInputId::create().text(), {{1, 2, 3, 255}, 2.25}, 7.5};
    LookOverrides objects;
    objects.set(*lookProperty(u"objects"_s), std::vector{object, live});
    EXPECT_EQ(overridesFromJson(overridesToJson(objects)), objects);
}

TEST(LookJson, WhatThisVersionDoesNotKnowIsLeftOut) {
    const LookOverrides read = overridesFromJson({{u"words.size"_s, u"large"_s},
                                                  {u"words.sparkle"_s, 3},
                                                  {u"words.weight"_s, 400},
                                                  {u"transition.kind"_s, u"melt"_s}});
    EXPECT_EQ(read.count(), 1u);
    EXPECT_EQ(read.value(*lookProperty(u"words.weight"_s)), LookValue(400));
    EXPECT_TRUE(itemLookToJson({}).isEmpty());
    EXPECT_EQ(itemLookFromJson({}), ItemLook());
}

TEST(ThemeJson, OneOfANewerVersionSaysSo) {
    QJsonObject json = themeToJson(samples::theme());
    json[u"mivanta-theme"_s] = kThemeFormat + 1;
    const auto read = themeFromJson(json, u"x.json"_s);
    ASSERT_FALSE(read);
    EXPECT_TRUE(read.error().what.contains(u"newer"_s));
}

TEST(ThemeJson, OlderOnesChangeAllOfASlideAlike) {
    const auto read =
        themeFromJson({{u"id"_s, u"old"_s},
                       {u"name"_s, u"Old"_s},
                       {u"transition"_s, QJsonObject{{u"kind"_s, u"cut"_s}, {u"milliseconds"_s, 0}}}},
                      {});
    ASSERT_TRUE(read);
    EXPECT_EQ(read->look.backdropTransition.kind, TransitionKind::Cut);
}

TEST(ServiceJson, LooksOfEveryLevelAreKept) {
    Service service;
    service.id = ServiceId::create();
    service.theme = samples::theme();
    service.themes = {{u"dark"_s, u"Dark"_s, {}}};
    service.look.own.set(*lookProperty(u"words.colour"_s), Colour{255, 255, 255, 255});
    service.kinds[ItemKind::Passage].theme = u"dark"_s;
    service.items.push_back({ItemId::create(), songItem(samples::harbourSong())});
    service.items[0].look.setSlide({u"Chorus"_s, 1, 0, 1}, {u"dark"_s, {}, {}});
    const auto read = serviceFromJson(serviceToJson(service), {});
    ASSERT_TRUE(read);
    EXPECT_EQ(read->look, service.look);
    EXPECT_EQ(read->kinds, service.kinds);
    EXPECT_EQ(read->themes, service.themes);
    EXPECT_EQ(read->items[0].look, service.items[0].look);
}

TEST(OutputsJson, OlderOnesInsistOnTheWholeTheme) {
    const auto read = outputsFromJson(R"([{"name":"stream","insistedTheme":"lower-third"}])", {});
    ASSERT_TRUE(read);
    EXPECT_EQ(read->front().look.theme, u"lower-third"_s);
    EXPECT_EQ(read->front().insists, allLookGroups());
}

TEST(OutputsJson, WrittenAndReadAgainIsTheSame) {
    const auto read = outputsFromJson(outputsToJson(usualOutputs()), {});
    ASSERT_TRUE(read);
    EXPECT_EQ(*read, usualOutputs());
}

TEST(OutputsJson, KeepsHowAnOutputStandsOnItsScreen) {
    auto outputs = usualOutputs();
    Output& hall = outputs[0];
    hall.place = {PlaceKind::Monitor, u"HDMI-1"_s, {u"Seaview"_s, u"P-20"_s, u"0042"_s}};
    hall.shape = {Turn::Left, true, false, QMarginsF(1, 2, 3, 4.5)};
    hall.layers = {true, false, true, false, true};
    hall.ground = Ground::Key;
    hall.keyColour = {1, 2, 3, 255};
    hall.isAbove = false;
    hall.hidesPointer = false;
    outputs[2].place = {PlaceKind::Window, {}, {}, QRect(-20, 40, 640, 360)};
    const auto read = outputsFromJson(outputsToJson(outputs), {});
    ASSERT_TRUE(read);
    EXPECT_EQ(*read, outputs);
}

TEST(OutputsJson, WhatIsOutOfRangeIsBroughtIntoIt) {
    const auto read = outputsFromJson(
        R"([{"name":"hall","shape":{"margins":[90,-3,0,0],"turn":"sideways"},"window":[0,0,1,1],"layers":7,
             "ground":"lava","keyColour":"no"}])",
        {});
    ASSERT_TRUE(read);
    const Output usual;
    EXPECT_EQ(read->front().shape.margins, QMarginsF(20, 0, 0, 0));
    EXPECT_EQ(read->front().shape.turn, Turn::None);
    EXPECT_EQ(read->front().place.window, QRect(0, 0, 64, 64));
    EXPECT_EQ(read->front().layers, usual.layers);
    EXPECT_EQ(read->front().ground, Ground::Black);
    EXPECT_EQ(read->front().keyColour, usual.keyColour);
}

TEST(OutputsJson, RefusesWhatIsNoListOfOutputs) {
    for (const QByteArray& bytes : {QByteArray("{"), QByteArray("[]"), QByteArray("[{}]"),
                                    QByteArray(R"([{"name":"a"},{"name":"a"}])")})
        EXPECT_FALSE(outputsFromJson(bytes, u"outputs.json"_s)) << bytes.constData();
}

} // namespace
} // namespace mivanta
