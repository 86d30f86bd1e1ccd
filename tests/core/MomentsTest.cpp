// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/run/RunState.h"
#include "core/timing/Timetable.h"
#include "support/Samples.h"
#include "support/Text.h"
#include <gtest/gtest.h>
#include <rapidcheck/gtest.h>

namespace mivanta {
namespace {

ItemSlides momentSlides(const ItemWords& words, const std::vector<Output>& outputs) {
    Service service;
    service.theme = samples::theme();
    const Item item{ItemId::create(), words};
    EvenMeasures measures;
    return slidesFor(contentOf(item, service), outputs, lookChainOf(item, service, {}), measures);
}

PictureItem harbours() {
    return {u"Our harbour"_s, {{u"a.png"_s, u"Dawn"_s}, {u"b.png"_s, u"Dusk"_s}, {u"c.png"_s, u"Dawn"_s}}};
}

SlideObject figuresOf(const Scene& scene) {
    return scene.look.objects.empty() ? SlideObject() : scene.look.objects.back();
}

std::optional<int> leftOn(const SlideObject& figures, const QTime& now) {
    const auto* countdown = std::get_if<CountdownObject>(&figures.what);
    return countdown ? secondsLeft(*countdown, now) : std::nullopt;
}

TEST(PictureItems, AreASlideAPictureInItsPlaceOfTheBackdrop) {
    const ItemSlides slides = momentSlides(harbours(), usualOutputs());
    ASSERT_EQ(slides.steps.size(), 3U);
    const auto scenes = scenesAt(slides, slides.steps[1].position);
    EXPECT_EQ(scenes[0].look.backdrop.kind, BackdropKind::Picture);
    EXPECT_EQ(scenes[0].look.backdrop.picture, u"b.png"_s);
    EXPECT_EQ(scenes[0].look.backdrop.fit, PictureFit::Whole);
    EXPECT_TRUE(scenes[0].rows.empty());
    EXPECT_EQ(scenes[1].stageNote, u"Dusk"_s); // the musicians are told what is seen
}

TEST(PictureItems, AnOutputThatInsistsOnItsBackdropKeepsIt) {
    Output stream;
    stream.name = u"stream"_s;
    stream.insists = {LookGroup::Backdrop};
    const ItemSlides slides = momentSlides(harbours(), {stream});
    EXPECT_NE(scenesAt(slides, {})[0].look.backdrop.picture, u"a.png"_s);
}

TEST(PictureItems, CaptionsAreWordsWhenTheyAreShown) {
    PictureItem item = harbours();
    item.showsCaptions = true;
    item.pictures[1].caption.clear();
    const ItemSlides slides = momentSlides(item, usualOutputs());
    EXPECT_EQ(scenesAt(slides, slides.steps[0].position)[0].rows[0].text, u"Dawn"_s);
    EXPECT_TRUE(scenesAt(slides, slides.steps[1].position)[0].rows.empty());
}

TEST(PictureItems, PartsOfTheSameNameAreToldApart) {
    const ItemContent content = contentOf(harbours());
    EXPECT_NE(content.parts[0].label, content.parts[2].label);
}

TEST(Pauses, ShowTheBackdropAndTellTheStage) {
    const ItemSlides slides = momentSlides(PauseItem{u"Silence"_s}, usualOutputs());
    ASSERT_EQ(slides.steps.size(), 1U);
    const auto scenes = scenesAt(slides, {});
    EXPECT_TRUE(scenes[0].rows.empty());
    EXPECT_TRUE(scenes[0].credit.isEmpty());
    EXPECT_EQ(scenes[1].stageNote, u"Silence"_s);
}

TEST(Notes, HaveNoSlidesAndAreNotRun) {
    const Item note{ItemId::create(), NoteItem{u"Dim the lights\nthen wait"_s}};
    EXPECT_FALSE(note.isRun());
    EXPECT_EQ(note.title(), u"Dim the lights"_s);
    EXPECT_TRUE(contentOf(note, {}).entries.empty());
}

TEST(Countdowns, WordsStandOverTheFiguresInTheirBox) {
    const ItemSlides slides = momentSlides(CountdownItem{u"We begin in"_s, QTime(10, 30)}, usualOutputs());
    for (const Scene& scene : scenesAt(slides, {})) {
        const SlideObject figures = figuresOf(scene);
        EXPECT_EQ(countdownText(std::get<CountdownObject>(figures.what)), u"10:30"_s);
        EXPECT_FALSE(figures.box.intersects(scene.look.words.box.adjusted(0, 0, -1e-9, -1e-9)));
        EXPECT_EQ(scene.rows.size(), 1U) << scene.output.toStdString();
    }
}

TEST(Countdowns, ForAWhileBeginWhenTheyAreTaken) {
    const ItemSlides slides = momentSlides(CountdownItem{{}, std::nullopt, 90}, usualOutputs());
    const auto scenes = scenesAt(slides, {});
    EXPECT_EQ(leftOn(figuresOf(scenes[0]), QTime(8, 0)), 90);
    const SlideObject running = figuresOf(startedAt(scenes, QTime(10, 0))[0]);
    EXPECT_EQ(leftOn(running, QTime(10, 0)), 90);
    EXPECT_EQ(leftOn(running, QTime(10, 1)), 30);
    EXPECT_EQ(leftOn(running, QTime(10, 2)), 0);
}

TEST(Countdowns, RunPastMidnight) {
    CountdownObject figures;
    setCountdownText(figures, u"0:05"_s);
    EXPECT_EQ(secondsLeft(figures, QTime(23, 55)), 600);
    EXPECT_EQ(secondsLeft(figures, QTime(0, 6)), 0);
    setCountdownText(figures, u"23:55"_s);
    EXPECT_EQ(secondsLeft(figures, QTime(0, 5)), 0);
    setCountdownText(figures, u"soon"_s);
    EXPECT_FALSE(secondsLeft(figures, QTime(0, 5)));
}

RC_GTEST_PROP(Countdowns, AreReadAsTheyAreWritten, ()) {
    CountdownObject countdown;
    if (*rc::gen::arbitrary<bool>())
        countdown.seconds = *rc::gen::inRange(0, 12 * 3600);
    else if (*rc::gen::arbitrary<bool>())
        countdown.ends = QTime::fromMSecsSinceStartOfDay(*rc::gen::inRange(0, 24 * 3600 * 1000));
    CountdownObject read;
    setCountdownText(read, countdownText(countdown));
    RC_ASSERT(read == countdown);
}

RC_GTEST_PROP(CountdownsOfAnyLength, TellEachSecondOnceAndEnd, ()) {
    const int seconds = *rc::gen::inRange(1, 12 * 3600);
    SlideObject figures;
    figures.what = CountdownObject{{}, seconds};
    const QTime start = QTime(0, 0).addSecs(*rc::gen::inRange(0, 24 * 3600));
    const SlideObject running = startedAt(figures, start);
    const int passed = *rc::gen::inRange(0, seconds + 1);
    RC_ASSERT(leftOn(running, start.addSecs(passed)) == seconds - passed);
}

TEST(TimetableOfMoments, ACountdownToATimeLastsUntilThen) {
    Service service;
    service.start = QDateTime(QDate(2026, 10, 4), QTime(10, 15));
    service.items = {{ItemId::create(), CountdownItem{{}, QTime(10, 30)}},
                     {ItemId::create(), NoteItem{u"lights"_s}},
                     {ItemId::create(), PauseItem{u"Silence"_s}},
                     {ItemId::create(), harbours()}};
    service.items[3].plan.advance = 20;
    const Timetable table = timetableOf(service);
    EXPECT_EQ(table.rows[0].seconds, 15 * 60);
    EXPECT_EQ(table.rows[1].seconds, 0);
    EXPECT_EQ(table.rows[2].begins.time(), QTime(10, 30));
    EXPECT_EQ(table.rows[3].seconds, 60);
    service.start = {}; // nobody said when it begins
    EXPECT_EQ(timetableOf(service).rows[0].seconds, 0);
}

TEST(Names, OnlyWhatIsNamedInTheOrderCanBeRenamed) {
    EXPECT_TRUE(canBeNamed(Heading{u"Word"_s}));
    EXPECT_EQ(titleOf(named(harbours(), u"The sea"_s)), u"The sea"_s);
    EXPECT_EQ(titleOf(PictureItem{{}, {{u"a.png"_s, u"Dawn"_s}}}), u"Dawn"_s);
    EXPECT_EQ(titleOf(PauseItem{}), u"Pause"_s);
    EXPECT_EQ(titleOf(CountdownItem{}), u"Countdown"_s);
    const ItemWords song = songItem(samples::harbourSong());
    EXPECT_FALSE(canBeNamed(song));
    EXPECT_TRUE(isSame(named(song, u"x"_s), song));
}

} // namespace
} // namespace mivanta
