// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/Dropping.h"
#include "desk/Window.h"
#include "desk/app/KeptRun.h"
#include "desk/app/RunSocket.h"
#include "desk/run/KeyStrip.h"
#include "desk/run/OutputsMenu.h"
#include "render/SceneRenderer.h"
#include "support/Samples.h"
#include <QJsonArray>
#include <QJsonDocument>
#include <QLineEdit>
#include <QLocalSocket>
#include <QMenu>
#include <QRandomGenerator>
#include <QToolButton>

namespace mivanta {
namespace {

/// What covers the outputs, what is called out, the keys for parts, undo, and the remote, in the real window.
class RunCovers : public WindowTest {
protected:
    void SetUp() override {
        WindowTest::SetUp();
        for (const auto& title : {u"First"_s, u"Second"_s, u"Third"_s})
            ids.push_back(session->document().insert(9, songItem(samples::harbourSong(title))));
        session->document().setTitle(u"Sea Harvest"_s);
        window->goTo(MainWindow::RunAt);
    }
    RunController& run() { return session->run(); }
    const RunState& state() { return session->run().state(); }
    QString lamp() { return window->findChild<Header*>(u"header"_s)->lampText(); }
    Scene sceneOn(const QString& output) {
        for (const Scene& scene : run().shownNow())
            if (scene.output == output)
                return scene;
        return {};
    }
    /// The player's picture is this output's scene.
    bool isSeen(const QString& output) {
        return waitUntil([&] {
            const QImage wanted = renderScene(sceneOn(output))
                                      .scaled(480, 270, Qt::IgnoreAspectRatio, Qt::SmoothTransformation);
            return difference(shown(output), wanted).worstShare < 0.01;
        });
    }
    QString wordsOn(const QString& output) {
        QStringList words;
        for (const SceneRow& row : sceneOn(output).rows)
            words << row.text;
        return words.join(u' ');
    }
    /// "item.step" of a cue.
    QString placeOf(const std::optional<Cue>& cue) {
        if (!cue)
            return u"none"_s;
        const int item = session->book().indexOf(cue->item);
        return u"%1.%2"_s.arg(item).arg(session->book().slides(item).stepAt(cue->position));
    }
    std::vector<ItemId> ids;
};

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
    run().setCurtain(Curtain::Plain);
    run().setOwnCurtain(u"stage"_s, Curtain::WordsOff);
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
    run().callOut(u"Soon gone"_s, {});
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
    run().setOwnCurtain(u"stream"_s, Curtain::Black);
    run().callOut(u"Stay"_s, {u"hall"_s});
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

/// Lines of JSON to the remote and its answers.
class Remote : public RunCovers {
protected:
    void SetUp() override {
        RunCovers::SetUp();
        path = runSocketPath(folder.path());
        ASSERT_TRUE(server.emplace(*session).listen(path));
        socket.connectToServer(path);
        ASSERT_TRUE(waitUntil([&] { return socket.state() == QLocalSocket::ConnectedState; }));
    }
    void TearDown() override {
        server.reset();
        RunCovers::TearDown();
    }
    QJsonObject ask(const QByteArray& line) {
        socket.write(line + '\n');
        EXPECT_TRUE(waitUntil([&] { return socket.canReadLine(); }));
        return QJsonDocument::fromJson(socket.readLine()).object();
    }
    QString path;
    std::optional<RunSocket> server;
    QLocalSocket socket;
};

TEST_F(Remote, TakesLooksAndCoversAndAnswersWithTheState) {
    QJsonObject answer = ask(R"({"do":"state"})");
    EXPECT_TRUE(answer[u"ok"_s].toBool());
    EXPECT_EQ(answer[u"state"_s][u"service"_s], u"Sea Harvest"_s);
    EXPECT_EQ(answer[u"state"_s][u"items"_s], 3);
    EXPECT_FALSE(answer[u"state"_s].toObject().contains(u"onScreen"_s));
    answer = ask(R"({"do":"take"})");
    EXPECT_EQ(answer[u"state"_s][u"onScreen"_s][u"title"_s], u"First"_s);
    EXPECT_EQ(answer[u"state"_s][u"onScreen"_s][u"part"_s], u"Verse 1"_s);
    EXPECT_EQ(placeOf(state().onScreen), u"0.0"_s);
    answer = ask(R"({"do":"jump","item":2})");
    EXPECT_EQ(answer[u"state"_s][u"next"_s][u"item"_s], 2);
    EXPECT_EQ(placeOf(state().onScreen), u"0.0"_s);
    ask(R"({"do":"next"})"); // what follows, not what is looked at
    EXPECT_EQ(placeOf(state().onScreen), u"0.1"_s);
    ask(R"({"do":"jump","part":"V2","take":true})");
    EXPECT_EQ(run().live()[0].rows[0].text.left(4), u"five"_s);
    ask(R"({"do":"back"})");
    ask(R"({"do":"undo"})");
    EXPECT_EQ(run().live()[0].rows[0].text.left(4), u"five"_s);
    answer = ask(R"({"do":"curtain","to":"house card"})");
    EXPECT_EQ(state().covers.curtain, Curtain::HouseCard);
    EXPECT_EQ(answer[u"state"_s][u"curtain"_s], u"house card"_s);
    ask(R"({"do":"curtain","to":"black","output":"stream"})");
    EXPECT_EQ(state().covers.on(u"stream"_s), Curtain::Black);
    ask(R"({"do":"curtain","output":"stream"})");
    EXPECT_EQ(state().covers.on(u"stream"_s), Curtain::HouseCard);
    ask(R"({"do":"call-out","text":"Hello"})");
    EXPECT_EQ(state().covers.callOut->text, u"Hello"_s);
    ask(R"({"do":"call-out"})");
    EXPECT_FALSE(state().covers.callOut);
}

TEST_F(Remote, WhatIsWrongIsSaidAndChangesNothing) {
    press(Qt::Key_Space);
    press(Qt::Key_3); // also while the operator is looking elsewhere
    const RunState before = state();
    for (const char* line :
         {"", "take", "[]", "{}", R"({"do":"fly"})", R"({"do":"jump"})", R"({"do":"jump","item":9})",
          R"({"do":"jump","item":"x"})", R"({"do":"jump","part":"Q"})",
          R"({"do":"jump","item":2,"part":"Q"})", R"({"do":"jump","part":"V2x"})", R"({"do":"curtain"})",
          R"({"do":"curtain","to":"red"})", R"({"do":"curtain","to":"black","output":"moon"})"}) {
        const QJsonObject answer = ask(line);
        EXPECT_FALSE(answer[u"ok"_s].toBool(true)) << line;
        EXPECT_FALSE(answer[u"problem"_s].toString().isEmpty()) << line;
        EXPECT_EQ(state(), before) << line;
    }
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
            ASSERT_EQ(run().live().size(), session->outputs().size()) << i;
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
