// SPDX-License-Identifier: GPL-3.0-or-later
#include "formats/ItemJson.h"
#include "support/Samples.h"
#include "support/Text.h"
#include <QJsonArray>
#include <gtest/gtest.h>

namespace mivanta {
namespace {

Item readBack(const Item& item) {
    auto read = itemFromJson(itemToJson(item), u"x"_s);
    EXPECT_TRUE(read);
    return read ? std::move(*read) : Item();
}

TEST(ItemJson, EveryKindComesBackAsItWas) {
    const std::vector<ItemWords> all{
        Heading{u"Word"_s},
        PictureItem{u"Harbour"_s,
                    {{QString(64, u'a') + u".png"_s, u"Dawn"_s}, {QString(64, u'b') + u".jpg"_s, {}}},
                    PictureFit::Fill,
                    true},
        FilmItem{u"Crossing"_s,
                 QString(64, u'c') + u".mp4"_s,
                 u"night crossing"_s,
                 151.5,
                 9.25,
                 29.0,
                 FilmEnd::HouseCard,
                 false,
                 40,
                 PictureFit::Fill,
                 {0.25, 0.75},
                 1.5,
                 2.0,
                 {{u"stage"_s, true}, {u"stream"_s, false}}},
        FilmItem{{}, QString(64, u'd') + u".webm"_s},
        LiveItem{u"The harbour now"_s,
                 LiveInputId::create(),
                 u"Harbour camera"_s,
                 PictureFit::Fill,
                 {0.1, 0.9},
                 LiveReach::ToItem,
                 ItemId::create(),
                 {{u"stage"_s, true}}},
        LiveItem{},
        MusicItem{
            u"As people come"_s,
            {{QString(64, u'e') + u".ogg"_s, u"Morning"_s, 32.5, 1, 30}, {QString(64, u'f') + u".flac"_s}},
            true,
            2.5,
            MusicEnd::NextItem,
            true,
            80},
        NoteItem{u"Dim the lights\nthen wait"_s},
        PauseItem{u"Silence"_s},
        CountdownItem{u"We begin in"_s, QTime(10, 30)},
        CountdownItem{{}, std::nullopt, 90},
        CountdownItem{{}, std::nullopt, 90, true},
        PictureItem{{}, {{QString(64, u'a') + u".png"_s, u"A"_s, 9, {QDate(2026, 10, 1), {}, 96}, true}}},
        LoopItem{u"Round"_s, 5, true, LoopUntil::Time, QTime(10, 25), 4, 90, LoopEnding::Stretched,
                 LoopThen::Item, ItemId::create(), true, true, u"/notices"_s},
        LoopItem{},
    };
    for (const ItemWords& words : all) {
        const Item item{ItemId::create(), words};
        const Item read = readBack(item);
        EXPECT_EQ(read.id, item.id);
        EXPECT_TRUE(isSame(read.words, words)) << titleOf(words).toStdString();
    }
}

TEST(ItemJson, AMemberOfALoopComesBackAndWhatIsOutOfRangeIsBroughtBack) {
    Item member{ItemId::create(), PauseItem{u"p"_s}};
    member.inLoop = {12, 3, {QDate(2026, 10, 1), QDate(2026, 10, 4), 64}};
    EXPECT_EQ(readBack(member).inLoop, member.inLoop);
    const QJsonObject json{{u"kind"_s, u"loop"_s},
                           {u"seconds"_s, 0},
                           {u"rounds"_s, 1 << 30},
                           {u"length"_s, -7},
                           {u"until"_s, u"doomsday"_s},
                           {u"untilTime"_s, u"25:61"_s},
                           {u"then"_s, 4},
                           {u"ending"_s, QJsonArray{}},
                           {u"inLoop"_s, QJsonObject{{u"everyRounds"_s, 0},
                                                     {u"seconds"_s, -1},
                                                     {u"season"_s, QJsonObject{{u"from"_s, u"x"_s},
                                                                               {u"weekdays"_s, 1 << 20}}}}}};
    const auto read = itemFromJson(json, {});
    ASSERT_TRUE(read);
    EXPECT_EQ(*read->loop(), (LoopItem{{}, 1, false, LoopUntil::Take, {}, kMostLoopRounds, 1}));
    EXPECT_EQ(read->inLoop, LoopPart());
}

TEST(ItemJson, WhatWasDoneWithSingleSlidesComesBack) {
    Item item{ItemId::create(), songItem(samples::harbourSong())};
    item.edits.hide({u"Chorus"_s, 2, 0, 1});
    item.edits.setWords({u"Verse 1"_s, 1, 2, 3}, u"other\nwords"_s);
    item.edits.order = {{u"Chorus"_s, 1}, {u"Verse 1"_s, 1}};
    item.edits.stageNote = u"softly"_s;
    item.edits.stageWords = u"G  D  Em"_s;
    item.plan.advance = 15;
    item.plan.goesOn = true;
    item.plan.sound = ItemSound{QString(64, u'a') + u".ogg"_s, u"Bell"_s, true};
    item.plan.track =
        ItemTrack{QString(64, u'b') + u".ogg"_s, u"Track"_s, 90.5, 4.25, {u"Chorus"_s, 2, 1, 3}};
    EXPECT_EQ(readBack(item).edits, item.edits);
    EXPECT_EQ(readBack(item).plan, item.plan);
}

TEST(ItemJson, ValuesOutOfRangeAreBroughtBack) {
    const QJsonObject place{{u"part"_s, u"A"_s}, {u"time"_s, -3}, {u"line"_s, -1}, {u"toLine"_s, -9}};
    QJsonObject json{{u"kind"_s, u"countdown"_s},
                     {u"seconds"_s, 10'000'000},
                     {u"to"_s, u"26:99"_s},
                     {u"plan"_s, QJsonObject{{u"advance"_s, 0}}},
                     {u"slides"_s, QJsonObject{{u"hidden"_s, QJsonArray{place, place, 7}}}}};
    const auto read = itemFromJson(json, {});
    ASSERT_TRUE(read);
    const auto& countdown = std::get<CountdownItem>(read->words);
    EXPECT_EQ(countdown.seconds, kLongestItem);
    EXPECT_FALSE(countdown.to);
    EXPECT_EQ(read->plan.advance, 1);
    ASSERT_FALSE(read->edits.hidden.empty());
    EXPECT_EQ(read->edits.hidden[0], (SlidePlace{u"A"_s, 1, 0, 0}));
}

TEST(ItemJson, ALivePictureOfSomebodyElseIsBroughtBackToWhatThereIs) {
    const QJsonObject json{{u"kind"_s, u"live"_s},
                           {u"input"_s, u"../../etc/passwd"_s},
                           {u"address"_s, u"rtsp://somewhere.example/"_s},
                           {u"reach"_s, u"for ever"_s},
                           {u"focus"_s, QJsonArray{-4, 1e9}},
                           {u"isShownOn"_s, QJsonObject{{u"hall"_s, 7}}}};
    const auto read = itemFromJson(json, {});
    ASSERT_TRUE(read);
    const auto& live = std::get<LiveItem>(read->words);
    EXPECT_TRUE(live.input.isNull()); // and an address is nothing that a service has
    EXPECT_EQ(live.reach, LiveReach::Itself);
    EXPECT_EQ(live.focus, QPointF(0, 1));
    EXPECT_TRUE(live.isShownOn.isEmpty());
}

TEST(ItemJson, ASetMayBeEmpty) {
    EXPECT_TRUE(itemFromJson({{u"kind"_s, u"pictures"_s}}, {}));
}

} // namespace
} // namespace mivanta
