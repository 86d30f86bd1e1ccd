// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/run/Covers.h"
#include "core/run/RunState.h"
#include "core/run/StageFields.h"
#include "core/timing/Moment.h"
#include "core/timing/Timetable.h"
#include "support/EvenMeasure.h"
#include "support/Samples.h"
#include "support/Text.h"
#include <gtest/gtest.h>
#include <rapidcheck/gtest.h>

namespace mivanta {
namespace {

const QString kFilm = QString(64, QChar(u'a')) + QStringLiteral(".mp4");

Item crossing() {
    FilmItem film;
    film.name = kFilm;
    film.caption = u"night crossing"_s;
    film.seconds = 151;
    film.from = 10;
    film.to = 40;
    film.end = FilmEnd::HouseCard;
    return {ItemId::create(), film};
}

std::vector<Scene> scenesOfFilm(const Item& item, const std::vector<Output>& outputs) {
    EvenMeasures measures;
    return scenesAt(slidesFor(contentOf(item, {}), outputs, plainChain(samples::theme(), {}), measures), {});
}

TEST(FilmItem, PlaysInPlaceOfTheBackdropButWhereAnOutputInsistsOnIts) {
    const Item item = crossing();
    Output hall;
    hall.name = u"hall"_s;
    Output stream;
    stream.name = u"stream"_s;
    stream.insists = {LookGroup::Backdrop};
    const auto scenes = scenesOfFilm(item, {hall, stream});
    ASSERT_TRUE(scenes[0].film);
    EXPECT_EQ(scenes[0].look.backdrop.kind, BackdropKind::Film);
    EXPECT_EQ(scenes[0].film->name, kFilm);
    EXPECT_EQ(scenes[0].film->item, item.id.text());
    EXPECT_TRUE(scenes[0].film->isOnce);
    EXPECT_TRUE(scenes[0].film->isHeard);
    EXPECT_DOUBLE_EQ(scenes[0].film->to, 40);
    EXPECT_FALSE(scenes[1].film);
}

TEST(FilmItem, TakesAsLongAsWhatIsPlayedOfIt) {
    EXPECT_EQ(guessedSeconds(crossing(), {}), 30);
    Item whole = crossing();
    std::get<FilmItem>(whole.words).from = std::get<FilmItem>(whole.words).to = 0;
    EXPECT_EQ(guessedSeconds(whole, {}), 151);
}

TEST(FilmItem, TellsTheStageInLargeFiguresWhatIsLeft) {
    const Item item = crossing();
    Output hall;
    hall.name = u"hall"_s;
    Output stage;
    stage.name = u"stage"_s;
    stage.kind = OutputKind::Stage;
    const auto scenes = scenesOfFilm(item, {hall, stage});
    EXPECT_TRUE(scenes[0].look.objects.empty());
    ASSERT_EQ(scenes[1].look.objects.size(), 1u);
    StageFacts facts;
    EXPECT_TRUE(withFacts(scenes[1], facts).look.objects.empty()); // nothing is known yet
    facts.filmEnds = QTime(10, 30);
    const Scene playing = withFacts(scenes[1], facts);
    EXPECT_EQ(std::get<CountdownObject>(playing.look.objects[0].what).ends, QTime(10, 30));
    facts.filmEnds.reset();
    facts.texts.insert(u"film-left"_s, u"1:35"_s);
    const Scene still = withFacts(scenes[1], facts);
    EXPECT_EQ(std::get<TextObject>(still.look.objects[0].what).text, u"1:35"_s);
}

TEST(FilmItem, IsShownWhereItIsToldTo) {
    Item item = crossing();
    std::get<FilmItem>(item.words).isShownOn = {{u"stage"_s, true}, {u"hall"_s, false}};
    Output hall;
    hall.name = u"hall"_s;
    Output stage;
    stage.name = u"stage"_s;
    stage.kind = OutputKind::Stage;
    stage.insists = {LookGroup::Backdrop};
    const auto scenes = scenesOfFilm(item, {hall, stage});
    EXPECT_FALSE(scenes[0].film);
    EXPECT_NE(scenes[0].look.backdrop.kind, BackdropKind::Film);
    EXPECT_TRUE(scenes[1].film);
    EXPECT_TRUE(scenes[1].look.objects.empty()); // no figures over it
}

TEST(FilmItem, GoesOnUnseenUnderWhatHidesIt) {
    Output hall;
    hall.name = u"hall"_s;
    const Scene open = scenesOfFilm(crossing(), {hall})[0];
    for (const Curtain curtain : {Curtain::Black, Curtain::Plain, Curtain::HouseCard}) {
        Covers covers;
        covers.curtain = curtain;
        const Scene card;
        const Scene hidden = covered(open, hall, covers, &card);
        EXPECT_FALSE(hidden.film) << int(curtain);
        EXPECT_EQ(hidden.unseen, open.film) << int(curtain);
    }
    Covers wordsOff;
    wordsOff.curtain = Curtain::WordsOff;
    EXPECT_EQ(covered(open, hall, wordsOff, nullptr).film, open.film);
}

TEST(Moment, IsReadAsItIsWrittenAndAsPeopleType) {
    EXPECT_EQ(momentText(9.2), u"0:09.2"_s);
    EXPECT_EQ(momentText(151), u"2:31"_s);
    EXPECT_EQ(momentText(3728), u"1:02:08"_s);
    EXPECT_EQ(momentFromText(u" 75 "_s), 75);
    EXPECT_EQ(momentFromText(u"1:15,5"_s), 75.5);
    EXPECT_EQ(momentFromText(u"1:02:08"_s), 3728);
    for (const QString& wrong : {u""_s, u"soon"_s, u"1:75"_s, u"-3"_s, u"1:2:3:4"_s, u"99:00:00"_s})
        EXPECT_FALSE(momentFromText(wrong)) << wrong.toStdString();
}

TEST(Moment, OfATrackIsABarOrATime) {
    EXPECT_EQ(trackMoment(u"0:12"_s, 0), 12);
    EXPECT_EQ(trackMoment(u"bar 1"_s, 60), 0);
    EXPECT_EQ(trackMoment(u"Bar 9"_s, 60), 32);   // of four beats
    EXPECT_EQ(trackMoment(u"bar 9/3"_s, 60), 24); // of three
    EXPECT_EQ(trackMoment(u"bar9"_s, 120), 16);
    for (const QString& wrong : {u"bar"_s, u"bar 0"_s, u"bar 3/0"_s, u"soon"_s, u""_s})
        EXPECT_FALSE(trackMoment(wrong, 60)) << wrong.toStdString();
    EXPECT_FALSE(trackMoment(u"bar 9"_s, 0)); // how long a bar is, is not known
}

RC_GTEST_PROP(Moment, ComesBackToATenth, ()) {
    const double seconds = *rc::gen::inRange(0, 864'000) / 10.0;
    const auto read = momentFromText(momentText(seconds));
    RC_ASSERT(read.has_value());
    RC_ASSERT(std::abs(*read - seconds) < 0.001);
}

} // namespace
} // namespace mivanta
