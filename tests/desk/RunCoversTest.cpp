// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/RunCovers.h"
#include "desk/Dropping.h"
#include "desk/run/KeyStrip.h"
#include "desk/run/Lane.h"
#include "desk/run/LaneCard.h"
#include "desk/run/LaneList.h"
#include "desk/run/OutputsMenu.h"
#include "session/run/KeptRun.h"
#include <QLineEdit>
#include <QMenu>
#include <QRandomGenerator>
#include <QToolButton>

namespace mivanta {
namespace {

TEST_F(RunCovers, ACardUnderACurtainIsSaidNotToBeSeen) {
    // Lanes are made anew when the plan changes.
    const auto first = [&] {
        return window->runDesk()->findChild<LaneList*>()->lanes()[0]->findChild<LaneCard*>();
    };
    press(Qt::Key_Space);
    EXPECT_TRUE(waitUntil([&] { return first()->state() == LaneCard::State::OnScreen; }));
    press(Qt::Key_F6); // its words are still to be seen
    EXPECT_TRUE(waitUntil([&] { return lamp().startsWith(u"Plain words"_s); }));
    EXPECT_TRUE(waitUntil([&] { return first()->state() == LaneCard::State::OnScreen; }));
    press(Qt::Key_F9);
    EXPECT_TRUE(waitUntil([&] { return first()->state() == LaneCard::State::Covered; }));
    EXPECT_EQ(first()->accessibleName(), u"Verse 1 NOT SEEN \u00b7 BLACK \u00b7 NEXT"_s);
    EXPECT_TRUE(waitUntil([&] { // nor does its picture claim more
        return child<PictureView>(u"run-hall"_s)->accessibleName().endsWith(u"BLACK"_s);
    }));
    run().covers().setOwnCurtain(u"hall"_s, Curtain::Open); // one output shows it all the same
    EXPECT_TRUE(waitUntil([&] { return first()->state() == LaneCard::State::OnScreen; }));
    run().covers().setOwnCurtain(u"hall"_s, {});
    EXPECT_TRUE(waitUntil([&] { return first()->state() == LaneCard::State::Covered; }));
    press(Qt::Key_F5);
    EXPECT_TRUE(waitUntil([&] { return first()->state() == LaneCard::State::OnScreen; }));
}

TEST_F(RunCovers, EachCurtainHasItsKeyAndTheLampTellsIt) {
    press(Qt::Key_Space);
    const std::tuple<Qt::Key, Curtain, QString> curtains[]{
        {Qt::Key_F6, Curtain::Plain, u"Plain words"_s},
        {Qt::Key_F7, Curtain::WordsOff, u"Backdrop only"_s},
        {Qt::Key_F8, Curtain::HouseCard, u"House card"_s},
        {Qt::Key_F9, Curtain::Black, u"Black"_s},
        {Qt::Key_F5, Curtain::Open, u"Words on screen"_s}};
    for (const auto& [key, curtain, text] : curtains) {
        press(key);
        EXPECT_EQ(state().covers.curtain, curtain);
        EXPECT_TRUE(waitUntil([&] { return lamp().startsWith(text); })) << lamp().toStdString();
        EXPECT_TRUE(isSeen(u"hall"_s)) << text.toStdString();
    }
    press(Qt::Key_F8);
    EXPECT_TRUE(wordsOn(u"hall"_s).contains(u"Sea Harvest"_s));
    press(Qt::Key_Space); // a take under a closed curtain does not open it
    EXPECT_EQ(state().covers.curtain, Curtain::HouseCard);
    EXPECT_TRUE(wordsOn(u"hall"_s).contains(u"Sea Harvest"_s));
    press(Qt::Key_Period);
    EXPECT_EQ(state().covers.curtain, Curtain::Black);
    press(Qt::Key_Period); // back to what it was
    EXPECT_EQ(state().covers.curtain, Curtain::HouseCard);
    RunSettings settings = run().settings();
    settings.takeOpensCurtain = true;
    session->changeRunSettings(settings);
    press(Qt::Key_Space);
    EXPECT_EQ(state().covers.curtain, Curtain::Open);
}

TEST_F(RunCovers, TheHouseCardIsSeenBeforeAnythingIsTaken) {
    press(Qt::Key_F8);
    EXPECT_TRUE(isSeen(u"hall"_s));
    EXPECT_TRUE(wordsOn(u"hall"_s).contains(u"Sea Harvest"_s));
    EXPECT_TRUE(waitUntil([&] { return lamp().startsWith(u"House card"_s); }));
    press(Qt::Key_F5);
    EXPECT_EQ(wordsOn(u"hall"_s), QString());
    EXPECT_TRUE(waitUntil([&] { return lamp().startsWith(u"Nothing on screen"_s); }));
}

TEST_F(RunCovers, OneOutputHasACurtainOfItsOwnAndIsFrozenByItsMenu) {
    press(Qt::Key_Space);
    ASSERT_TRUE(isSeen(u"stream"_s));
    OutputsMenu menu(*session, u"stream"_s);
    menu.findChild<QAction*>(u"own-%1-stream"_s.arg(int(Curtain::Black)))->trigger();
    EXPECT_TRUE(isSeen(u"stream"_s));
    EXPECT_EQ(sceneOn(u"stream"_s).curtain, Curtain::Black);
    EXPECT_EQ(sceneOn(u"hall"_s).curtain, Curtain::Open);
    EXPECT_TRUE(waitUntil([&] { return lamp().contains(u"1 apart"_s); }));
    press(Qt::Key_F7); // for all means for all
    EXPECT_EQ(sceneOn(u"stream"_s).curtain, Curtain::WordsOff);
    press(Qt::Key_F5);
    press(Qt::Key_F4); // the large picture
    const QString frozen = wordsOn(u"hall"_s);
    ASSERT_FALSE(frozen.isEmpty());
    press(Qt::Key_Space);
    press(Qt::Key_Space);
    EXPECT_EQ(wordsOn(u"hall"_s), frozen);
    EXPECT_NE(wordsOn(u"stage"_s), frozen);
    press(Qt::Key_F9); // black is black, frozen or not
    EXPECT_EQ(sceneOn(u"hall"_s).curtain, Curtain::Black);
    press(Qt::Key_F5);
    EXPECT_EQ(wordsOn(u"hall"_s), frozen);
    press(Qt::Key_F4);
    EXPECT_NE(wordsOn(u"hall"_s), frozen);
    EXPECT_TRUE(isSeen(u"hall"_s));
}

TEST_F(RunCovers, TheFullStopBlacksEverythingAndBringsEachCurtainBack) {
    press(Qt::Key_Space);
    run().covers().setCurtain(Curtain::Plain);
    run().covers().setOwnCurtain(u"stage"_s, Curtain::WordsOff);
    const Covers before = state().covers;
    press(Qt::Key_Period);
    for (const auto& output : {u"hall"_s, u"stage"_s, u"stream"_s})
        EXPECT_EQ(state().covers.on(output), Curtain::Black);
    EXPECT_EQ(keptRunFromJson(run().keptState()).beforeBlack, before); // also over a restart
    press(Qt::Key_Period);
    EXPECT_EQ(state().covers, before);
}

TEST_F(RunCovers, ACallOutIsWrittenShownAndTakenAwayByKeys) {
    press(Qt::Key_Space);
    press(Qt::Key_F10);
    type(u"Tea is ready"_s);
    EXPECT_EQ(placeOf(state().onScreen), u"0.0"_s); // letters go into the message
    EXPECT_TRUE(sceneOn(u"hall"_s).callOut.isEmpty());
    press(Qt::Key_Return);
    EXPECT_EQ(sceneOn(u"hall"_s).callOut, u"Tea is ready"_s);
    EXPECT_TRUE(waitUntil([&] { return lamp().contains(u"call-out"_s); }));
    EXPECT_TRUE(isSeen(u"hall"_s));
    press(Qt::Key_Space); // the keys are the desk's again, and the message stays over the next slide
    EXPECT_EQ(placeOf(state().onScreen), u"0.1"_s);
    EXPECT_EQ(sceneOn(u"hall"_s).callOut, u"Tea is ready"_s);
    press(Qt::Key_F12);
    EXPECT_TRUE(sceneOn(u"hall"_s).callOut.isEmpty());
    press(Qt::Key_F10);
    type(u"forgotten"_s);
    press(Qt::Key_Escape);
    EXPECT_FALSE(state().covers.callOut);
}

TEST_F(RunCovers, ASavedMessageIsNotShownBeforeItsBlanksAreFilled) {
    auto* menu = child<QMenu>(u"call-out-menu"_s);
    Q_EMIT menu->aboutToShow();
    menu->actions().front()->trigger();
    auto* text = child<QLineEdit>(u"call-out"_s);
    EXPECT_EQ(text->selectedText(), u"___"_s);
    press(Qt::Key_Return);
    EXPECT_FALSE(state().covers.callOut);
    type(u"17"_s);
    press(Qt::Key_Return);
    ASSERT_TRUE(state().covers.callOut);
    EXPECT_TRUE(state().covers.callOut->text.contains(u"no. 17 please"_s));
    Q_EMIT menu->aboutToShow();
    for (QAction* action : menu->actions())
        if (action->objectName() == u"call-out-on-stage"_s)
            action->trigger(); // not there
    press(Qt::Key_F10);
    type(u"Only for the hall"_s);
    press(Qt::Key_Return);
    EXPECT_TRUE(sceneOn(u"stage"_s).callOut.isEmpty());
    EXPECT_EQ(sceneOn(u"hall"_s).callOut, u"Only for the hall"_s);
}

TEST_F(RunCovers, ACallOutGoesByItself) {
    RunSettings settings = run().settings();
    settings.callOutSeconds = 1;
    session->changeRunSettings(settings);
    press(Qt::Key_Space);
    run().covers().callOut(u"Soon gone"_s, {});
    EXPECT_TRUE(state().covers.callOut);
    EXPECT_TRUE(waitUntil([&] { return !state().covers.callOut; }));
}

TEST_F(RunCovers, LettersLookAtPartsAndNumbersBehindThemNameTheVerse) {
    press(Qt::Key_Space); // verse 1
    press(Qt::Key_C);
    const QString first = placeOf(state().next);
    press(Qt::Key_C);
    EXPECT_NE(placeOf(state().next), first); // the next chorus
    EXPECT_EQ(placeOf(state().onScreen), u"0.0"_s);
    press(Qt::Key_V);
    press(Qt::Key_2);
    const ItemSlides& slides = session->book().slides(0);
    EXPECT_EQ(slides.content.parts[size_t(slides.steps[size_t(slides.stepAt(state().next->position))].part)]
                  .shortLabel,
              u"V2"_s);
    press(Qt::Key_Escape);
    EXPECT_EQ(placeOf(state().next), u"0.1"_s);
    press(Qt::Key_2); // by itself it is an item
    EXPECT_EQ(placeOf(state().next), u"1.0"_s);
    press(Qt::Key_Escape);
    press(Qt::Key_Right);
    EXPECT_EQ(placeOf(state().next), u"1.0"_s);
    press(Qt::Key_Left);
    EXPECT_EQ(placeOf(state().next), u"0.0"_s);
}

TEST_F(RunCovers, UndoGoesBackToExactlyWhatWasShown) {
    EXPECT_FALSE(run().canUndoTake());
    press(Qt::Key_Space);
    const auto first = run().shownNow();
    press(Qt::Key_3);
    press(Qt::Key_Space);
    EXPECT_EQ(placeOf(state().onScreen), u"2.0"_s);
    press(Qt::Key_U);
    EXPECT_EQ(run().shownNow(), first);
    EXPECT_EQ(placeOf(state().onScreen), u"0.0"_s);
    EXPECT_EQ(placeOf(state().next), u"2.0"_s); // as it was looked at before
    EXPECT_TRUE(isSeen(u"hall"_s));
    press(Qt::Key_U);
    EXPECT_FALSE(state().onScreen);
    EXPECT_TRUE(isSeen(u"hall"_s)); // black
    press(Qt::Key_U);
    EXPECT_FALSE(state().onScreen);
}

TEST_F(RunCovers, AClickerWorksAndAClickTakesWhereThatIsSet) {
    press(Qt::Key_PageDown);
    press(Qt::Key_PageDown);
    EXPECT_EQ(placeOf(state().onScreen), u"0.1"_s);
    press(Qt::Key_PageUp);
    EXPECT_EQ(placeOf(state().onScreen), u"0.0"_s);
    RunSettings settings = run().settings();
    settings.clickTakes = true;
    session->changeRunSettings(settings);
    Lane* lane = window->runDesk()->lanes()->lanes()[0];
    QTest::mouseClick(lane->cards()[2], Qt::LeftButton);
    EXPECT_EQ(placeOf(state().onScreen), u"0.%1"_s.arg(lane->cards()[2]->card().firstStep));
}

TEST_F(RunCovers, KeysAreGivenAndTakenAndShown) {
    auto& keys = *window->findChild<RunKeys*>();
    EXPECT_EQ(keys.give(RunAction::Take, Qt::Key_X), std::nullopt);
    press(Qt::Key_X);
    EXPECT_EQ(placeOf(state().onScreen), u"0.0"_s);
    EXPECT_EQ(keys.give(RunAction::Back, Qt::Key_Space), RunAction::Take); // each key does one thing
    EXPECT_FALSE(keys.textOf(RunAction::Take).contains(u"Space"_s));
    const RunKeys again;
    EXPECT_EQ(again.actionOf(Qt::Key_Space), RunAction::Back); // kept
    EXPECT_EQ(again.actionOf(Qt::Key_X), RunAction::Take);
    EXPECT_FALSE(RunKeys::canBeGiven(Qt::Key_7));
    EXPECT_FALSE(RunKeys::canBeGiven(Qt::Key_Control));
    keys.reset();
    EXPECT_EQ(keys.actionOf(Qt::Key_Space), RunAction::Take);
    EXPECT_EQ(keys.actionOf(Qt::Key_X), std::nullopt);
    auto* sheet = window->findChild<KeySheet*>();
    press(Qt::Key_F1);
    EXPECT_TRUE(sheet->isVisible());
    press(Qt::Key_Space); // only closes it
    EXPECT_FALSE(sheet->isVisible());
    EXPECT_EQ(placeOf(state().onScreen), u"0.0"_s);
}

TEST_F(RunCovers, EveryKeyIsUsedOnceAndEveryActionHasOne) {
    std::map<Qt::Key, int> uses;
    for (const RunActionFacts& facts : runActions()) {
        EXPECT_FALSE(facts.usual.empty()) << facts.id;
        for (const Qt::Key key : facts.usual) {
            EXPECT_EQ(++uses[key], 1) << facts.id;
            EXPECT_TRUE(RunKeys::canBeGiven(key)) << facts.id;
            if (facts.isOfMoving)
                continue; // while there is one, no parts are meant
            EXPECT_FALSE(key < 0x10000 && QStringLiteral("CVBPIET").contains(QChar(key))) // letters of parts
                << facts.id;
        }
    }
}

TEST_F(RunCovers, APictureIsDroppedTakenAndKeptInTheOrder) {
    press(Qt::Key_Space);
    const QString file = QStringLiteral(MIVANTA_SOURCE_DIR "/data/demo/pictures/lighthouse.jpg");
    EXPECT_TRUE(Dropping(filesToDrag({file})).drop(window->runDesk(), {50, 50}));
    ASSERT_TRUE(waitUntil([&] { return session->book().indexOf(state().next->item) < 0; }));
    EXPECT_EQ(placeOf(state().onScreen), u"0.0"_s);
    press(Qt::Key_Space);
    EXPECT_EQ(sceneOn(u"hall"_s).look.backdrop.kind, BackdropKind::Picture);
    EXPECT_EQ(titles().size(), 3);
    const auto seen = run().shownNow();
    press(Qt::Key_K);
    ASSERT_EQ(titles().size(), 4);
    EXPECT_EQ(titles()[1], u"lighthouse"_s);
    EXPECT_EQ(run().shownNow(), seen);
    EXPECT_EQ(session->book().indexOf(state().onScreen->item), 1);
    press(Qt::Key_Space);
    EXPECT_EQ(placeOf(state().onScreen).section(u'.', 0, 0), u"0"_s); // the plan goes on where it was left
}

TEST_F(RunCovers, WhatIsKeptForARestartIsTakenUpAsItWas) {
    press(Qt::Key_Space);
    press(Qt::Key_F4);
    press(Qt::Key_Space);
    press(Qt::Key_F6);
    run().covers().setOwnCurtain(u"stream"_s, Curtain::Black);
    run().covers().callOut(u"Stay"_s, {u"hall"_s});
    const RunState before = state();
    const auto seen = run().shownNow();
    RunController again(session->book(), session->document(), session->player());
    again.takeUp(run().keptState());
    EXPECT_EQ(again.state(), before);
    EXPECT_EQ(again.shownNow(), seen);
    EXPECT_EQ(again.moment().since, run().moment().since);
    const KeptRun nothing = keptRunFromJson("nonsense");
    EXPECT_EQ(nothing.state, RunState());
}

TEST_F(RunCovers, WhatWasTakenIsRememberedAndLearnedFrom) {
    session->document().setStart(QDateTime::currentDateTime().addSecs(-60));
    press(Qt::Key_Space);
    press(Qt::Key_2);
    press(Qt::Key_Space);
    std::vector<TakeNote> takes;
    ASSERT_TRUE(waitUntil([&] {
        bool answered = false;
        session->library().ask<std::vector<TakeNote>>(
            window.get(),
            [](Library& library) { return library.takes().since(QDate::currentDate().addDays(-1)); },
            [&](const Result<std::vector<TakeNote>>& found) {
                takes = found.value_or(std::vector<TakeNote>());
                answered = true;
            });
        return waitUntil([&] { return answered; }) && takes.size() == 2;
    }));
    EXPECT_EQ(takes[0].title, u"First"_s);
    EXPECT_EQ(takes[0].part, u"Verse 1"_s);
    EXPECT_EQ(takes[1].title, u"Second"_s);
    EXPECT_EQ(takes[1].serviceTitle, u"Sea Harvest"_s);
    bool isNoted = false; // four minutes last Sunday
    session->library().ask<void>(
        window.get(),
        [subject = subjectOf(session->document().service().items[0])](Library& library) {
            return library.takes().note(ItemTime{subject, QDateTime::currentDateTime().addDays(-7), 240});
        },
        [&](const Result<void>&) { isNoted = true; });
    ASSERT_TRUE(waitUntil([&] { return isNoted; }));
    Q_EMIT session->library().opened(); // learned at the next start
    ASSERT_TRUE(waitUntil([&] {
        const UsualLengths& usual = session->document().usualLengths();
        return usual && usual(session->document().service().items[0]) == 240;
    }));
    EXPECT_EQ(timetableOf(session->document().service(), session->document().usualLengths()).rows[0].seconds,
              240);
}

TEST_F(RunCovers, KeysThatAreMashedNeverBreakAnything) {
    static const Qt::Key keys[]{
        Qt::Key_Space,  Qt::Key_Return, Qt::Key_Backspace, Qt::Key_Up, Qt::Key_Down, Qt::Key_Left,
        Qt::Key_Right,  Qt::Key_Home,   Qt::Key_Escape,    Qt::Key_C,  Qt::Key_V,    Qt::Key_B,
        Qt::Key_1,      Qt::Key_2,      Qt::Key_9,         Qt::Key_U,  Qt::Key_R,    Qt::Key_F4,
        Qt::Key_F5,     Qt::Key_F6,     Qt::Key_F7,        Qt::Key_F8, Qt::Key_F9,   Qt::Key_F12,
        Qt::Key_Period, Qt::Key_S,      Qt::Key_H,         Qt::Key_K,  Qt::Key_F1,   Qt::Key_PageDown};
    QRandomGenerator random(3);
    for (int i = 0; i < 6000; ++i) {
        QTest::keyClick(window->runDesk(), keys[random.bounded(int(std::size(keys)))]);
        ASSERT_TRUE(!state().next || session->book().slidesOf(state().next->item)) << i;
        ASSERT_TRUE(!state().onScreen || session->book().slidesOf(state().onScreen->item)) << i;
        if (state().onScreen) {
            ASSERT_EQ(run().takenScenes().size(), session->outputs().all().size()) << i;
        }
    }
    run().setFrozen(u"hall"_s, false);
    press(Qt::Key_Escape);
    press(Qt::Key_Escape);
    press(Qt::Key_F5);
    run().lookAtItem(0);
    press(Qt::Key_Space);
    EXPECT_TRUE(isSeen(u"hall"_s)) << lamp().toStdString() << " / " << wordsOn(u"hall"_s).toStdString();
}

} // namespace
} // namespace mivanta
