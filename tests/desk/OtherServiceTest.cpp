// SPDX-License-Identifier: GPL-3.0-or-later
#include "Window.h"
#include <QLocalSocket>
#include <QProcess>

namespace mivanta {
namespace {

/// Another service is opened while one is on the screens.
class OtherService : public PlayerTest {
protected:
    void SetUp() override {
        if (mayStartDesks)
            program = QStringLiteral(MIVANTA_BIN_DIR "/mivanta");
        PlayerTest::SetUp();
        importDemo();
        press(Qt::Key_2, Qt::AltModifier);
        session->document().setTitle(u"Sea Harvest"_s);
        addByFind(u"lantern"_s, u"Lantern on the Water"_s);
        addByFind(u"every tide"_s, u"Every Tide"_s);
        evening = folder.filePath(u"Evening.mivanta"_s);
        Service other;
        other.id = ServiceId::create();
        other.title = u"Evening"_s;
        other.theme = session->document().usualTheme();
        other.items = {session->document().service().items[1]};
        ASSERT_TRUE(saveService(other, evening, {}));
    }
    void TearDown() override {
        const QString door = Door::pathOf(sessionFolder(libraryFolder), true);
        if (QFile::exists(door))
            QProcess::execute(u"pkill"_s, {u"-f"_s, libraryFolder + u" --second"_s});
        program.clear(); // nothing is started again
        PlayerTest::TearDown();
    }
    /// Puts the first words on the screens.
    void takeFirst() {
        press(Qt::Key_4, Qt::AltModifier);
        press(Qt::Key_Space);
        ASSERT_TRUE(waitUntil([&] { return lamp().startsWith(u"Words on screen"_s); }));
        stillPicture(u"hall"_s);
        press(Qt::Key_2, Qt::AltModifier);
    }
    /// Ctrl+N, and the answer to the question that follows.
    void startNew(Prompts::WhileOnScreen answer) {
        answers->whileOnScreen = answer;
        answers->unsaved = Prompts::Unsaved::GiveUp;
        press(Qt::Key_N, Qt::ControlModifier);
    }
    [[nodiscard]] QString lamp() const { return window->findChild<Header*>(u"header"_s)->lampText(); }
    [[nodiscard]] const RunState& state() const { return session->run().state(); }
    QString evening;
    bool mayStartDesks = true; ///< second windows, and the desks again after a crash
};

class OtherServiceAndACrash : public OtherService {
protected:
    void SetUp() override {
        mayStartDesks = false;
        OtherService::SetUp();
    }
};

TEST_F(OtherService, NothingIsAskedWhileNothingIsOnScreen) {
    answers->unsaved = Prompts::Unsaved::GiveUp;
    press(Qt::Key_N, Qt::ControlModifier);
    EXPECT_TRUE(titles().isEmpty());
    EXPECT_TRUE(answers->questions.isEmpty());
}

TEST_F(OtherService, WhoStaysKeepsTheRunningService) {
    takeFirst();
    startNew(Prompts::WhileOnScreen::Stay);
    EXPECT_EQ(answers->questions, QStringList{u"Sea Harvest / New service"_s});
    EXPECT_EQ(titles().size(), 2);
    EXPECT_EQ(state().onScreen, session->book().cue(0, 0));
}

TEST_F(OtherService, AfterAChangeOverTheLampSaysWhatTheScreensShow) {
    takeFirst();
    const QImage words = shown(u"hall"_s);
    startNew(Prompts::WhileOnScreen::ChangeOver);
    EXPECT_TRUE(titles().isEmpty());
    settle();
    EXPECT_EQ(shown(u"hall"_s), words); // nothing left the screens
    EXPECT_TRUE(lamp().startsWith(u"Words on screen"_s)) << lamp().toStdString();
    EXPECT_TRUE(lamp().contains(u"from \u201cSea Harvest\u201d"_s)) << lamp().toStdString();
    press(Qt::Key_4, Qt::AltModifier);
    EXPECT_TRUE(child<QLabel>(u"run-where"_s)->text().contains(u"Sea Harvest"_s));
}

TEST_F(OtherService, TheCurtainStillCoversWhatIsLeftOnTheScreens) {
    takeFirst();
    startNew(Prompts::WhileOnScreen::ChangeOver);
    press(Qt::Key_4, Qt::AltModifier);
    press(Qt::Key_F9);
    EXPECT_TRUE(waitUntil([&] { return lamp().startsWith(u"Black"_s); }));
    press(Qt::Key_F5);
    EXPECT_TRUE(waitUntil([&] { return lamp().startsWith(u"Words on screen"_s); }));
}

TEST_F(OtherService, UndoBringsTheOldOneBackWithItsWorkAndItsPlace) {
    takeFirst();
    press(Qt::Key_4, Qt::AltModifier);
    press(Qt::Key_Space);
    press(Qt::Key_Space);
    press(Qt::Key_2, Qt::AltModifier);
    const RunState before = state();
    startNew(Prompts::WhileOnScreen::ChangeOver);
    EXPECT_FALSE(state().onScreen);
    press(Qt::Key_Z, Qt::ControlModifier);
    EXPECT_EQ(titles(), (QStringList{u"Lantern on the Water"_s, u"Every Tide"_s}));
    EXPECT_EQ(session->document().service().title, u"Sea Harvest"_s);
    EXPECT_TRUE(session->document().isModified()); // it was never saved
    EXPECT_EQ(state().onScreen, before.onScreen);
    EXPECT_EQ(state().next, before.next);
    EXPECT_FALSE(lamp().contains(u"from"_s)) << lamp().toStdString();
    press(Qt::Key_Z, Qt::ControlModifier); // and its own steps go on behind that
    EXPECT_EQ(titles(), QStringList{u"Lantern on the Water"_s});
}

TEST_F(OtherService, AFileTakesOverAtItsFirstTakeOnly) {
    takeFirst();
    answers->open = evening;
    answers->whileOnScreen = Prompts::WhileOnScreen::ChangeOver;
    answers->unsaved = Prompts::Unsaved::GiveUp;
    press(Qt::Key_O, Qt::ControlModifier);
    ASSERT_TRUE(waitUntil([&] { return titles() == QStringList{u"Every Tide"_s}; }));
    EXPECT_EQ(answers->questions, QStringList{u"Sea Harvest / Evening"_s});
    EXPECT_TRUE(lamp().contains(u"from \u201cSea Harvest\u201d"_s)) << lamp().toStdString();
    press(Qt::Key_4, Qt::AltModifier);
    press(Qt::Key_Space);
    EXPECT_TRUE(
        waitUntil([&] { return lamp().startsWith(u"Words on screen"_s) && !lamp().contains(u"from"_s); }));
    press(Qt::Key_U); // the very picture of the other service
    EXPECT_TRUE(waitUntil([&] { return lamp().contains(u"from \u201cSea Harvest\u201d"_s); }));
}

TEST_F(OtherService, AfterATakeOfTheOtherOneTheOldOneIsNotOnScreenWhenItComesBack) {
    takeFirst();
    answers->open = evening;
    answers->whileOnScreen = Prompts::WhileOnScreen::ChangeOver;
    answers->unsaved = Prompts::Unsaved::GiveUp;
    press(Qt::Key_O, Qt::ControlModifier);
    ASSERT_TRUE(waitUntil([&] { return titles().size() == 1; }));
    press(Qt::Key_4, Qt::AltModifier);
    press(Qt::Key_Space);
    ASSERT_TRUE(
        waitUntil([&] { return lamp().startsWith(u"Words on screen"_s) && !lamp().contains(u"from"_s); }));
    press(Qt::Key_2, Qt::AltModifier);
    press(Qt::Key_Z, Qt::ControlModifier);
    EXPECT_EQ(titles().size(), 2);
    EXPECT_FALSE(state().onScreen);
    EXPECT_TRUE(state().next);
    EXPECT_TRUE(lamp().contains(u"from \u201cEvening\u201d"_s)) << lamp().toStdString();
}

TEST_F(OtherServiceAndACrash, DesksThatDieAfterAChangeOverStillKnowWhatIsOnTheScreens) {
    takeFirst();
    startNew(Prompts::WhileOnScreen::ChangeOver);
    session->document().keepNow();
    window.reset();
    session.reset();
    open();
    EXPECT_TRUE(waitUntil([&] { return lamp().contains(u"from \u201cSea Harvest\u201d"_s); }))
        << lamp().toStdString();
    press(Qt::Key_4, Qt::AltModifier);
    press(Qt::Key_F9);
    EXPECT_TRUE(waitUntil([&] { return lamp().startsWith(u"Black"_s); }));
    press(Qt::Key_F5);
    EXPECT_TRUE(waitUntil([&] { return lamp().startsWith(u"Words on screen"_s); }));
}

TEST_F(OtherService, TheSecondWindowPreparesItWhileThisOneRunsOn) {
    takeFirst();
    answers->open = evening;
    answers->whileOnScreen = Prompts::WhileOnScreen::SecondWindow;
    press(Qt::Key_O, Qt::ControlModifier);
    const QString door = Door::pathOf(sessionFolder(libraryFolder), true);
    ASSERT_TRUE(waitUntil([&] { return QFile::exists(door); }, 20'000));
    EXPECT_EQ(titles().size(), 2);
    EXPECT_EQ(state().onScreen, session->book().cue(0, 0));
    // It is there once: a further wish goes to the same window.
    EXPECT_TRUE(Door::knock(door, {DoorRequest::Kind::Raise}));
    // What it works on is kept apart from this window's work.
    EXPECT_TRUE(waitUntil([&] { return QFile::exists(unsavedPath(u"service-second"_s)); }));
    EXPECT_TRUE(lamp().startsWith(u"Words on screen"_s));
}

TEST_F(OtherService, ASecondStartHasTheWindowThatIsThereOpenTheFile) {
    ASSERT_TRUE(window->listenAtDoor());
    takeFirst();
    QProcess again;
    again.start(QStringLiteral(MIVANTA_BIN_DIR "/mivanta"), {u"--library"_s, libraryFolder, evening});
    ASSERT_TRUE(waitUntil([&] { return again.state() == QProcess::NotRunning; }));
    EXPECT_EQ(again.exitCode(), 0);
    EXPECT_EQ(answers->questions, QStringList{u"Sea Harvest / Evening"_s});
    EXPECT_EQ(titles().size(), 2); // whoever answers "stay" stays
}

TEST_F(OtherService, WhatIsNoRequestIsLeftStandingAtTheDoor) {
    ASSERT_TRUE(window->listenAtDoor());
    const QString door = Door::pathOf(sessionFolder(libraryFolder), false);
    for (const QByteArray& bytes :
         {QByteArray("hello\n"), QByteArray("{\"want\":\"burn\"}\n"), QByteArray(100'000, 'x')}) {
        QLocalSocket socket;
        socket.connectToServer(door);
        ASSERT_TRUE(waitUntil([&] { return socket.state() == QLocalSocket::ConnectedState; }));
        socket.write(bytes);
        EXPECT_TRUE(waitUntil([&] { return socket.state() == QLocalSocket::UnconnectedState; }));
        EXPECT_TRUE(socket.readAll().isEmpty());
    }
    EXPECT_EQ(titles().size(), 2);
}

} // namespace
} // namespace mivanta
