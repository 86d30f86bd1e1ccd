// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/Window.h"
#include "session/run/RunKeys.h"
#include "support/Samples.h"
#include <QFile>
#include <QPlainTextEdit>
#include <QPushButton>
#include <QTreeWidget>

namespace mivanta {
namespace {

/// Keys and settings for running, changed by hand on the Setup desk.
class SetupPanels : public WindowTest {
protected:
    void SetUp() override {
        WindowTest::SetUp();
        session->document().insert(0, songItem(samples::harbourSong(u"First"_s)));
        window->goTo(MainWindow::SetupAt);
    }
    RunKeys& keys() { return *window->findChild<RunKeys*>(); }
    QTreeWidget* list() { return child<QTreeWidget>(u"run-keys-list"_s); }
    QPushButton* button(const QString& name) { return child<QPushButton>(name); }
    void choose(RunAction action) {
        for (int i = 0; i < list()->topLevelItemCount(); ++i)
            if (list()->topLevelItem(i)->data(0, Qt::UserRole).toInt() == int(action))
                list()->setCurrentItem(list()->topLevelItem(i));
    }
    QString state() { return child<QLabel>(u"keys-state"_s)->text(); }
    const RunSettings& settings() { return session->run().settings(); }
};

TEST_F(SetupPanels, AnActionGetsTheKeyThatIsPressedNext) {
    EXPECT_FALSE(button(u"keys-give"_s)->isEnabled()); // nothing is chosen
    choose(RunAction::Take);
    button(u"keys-give"_s)->click();
    EXPECT_TRUE(state().contains(u"Press the key"_s));
    QTest::keyClick(button(u"keys-give"_s), Qt::Key_7); // digits mean items
    EXPECT_TRUE(state().contains(u"Press the key"_s));
    QTest::keyClick(button(u"keys-give"_s), Qt::Key_U);
    EXPECT_EQ(keys().actionOf(Qt::Key_U), RunAction::Take);
    EXPECT_TRUE(state().contains(u"no longer"_s)); // U undid takes
    EXPECT_TRUE(list()->currentItem()->text(1).contains(u"U"_s));
    window->goTo(MainWindow::RunAt);
    press(Qt::Key_U);
    EXPECT_TRUE(session->run().state().onScreen);
}

TEST_F(SetupPanels, EscapeGivesUpAndKeysAreTakenAwayAndComeBack) {
    choose(RunAction::Back);
    button(u"keys-give"_s)->click();
    QTest::keyClick(button(u"keys-give"_s), Qt::Key_Escape);
    EXPECT_EQ(keys().actionOf(Qt::Key_Escape), RunAction::StopLooking);
    EXPECT_FALSE(state().contains(u"Press the key"_s));
    button(u"keys-take-away"_s)->click();
    EXPECT_TRUE(keys().keysOf(RunAction::Back).empty());
    EXPECT_TRUE(list()->currentItem()->text(1).isEmpty());
    button(u"keys-reset"_s)->click();
    EXPECT_EQ(keys().actionOf(Qt::Key_Backspace), RunAction::Back);
}

TEST_F(SetupPanels, WhatIsTypedIsTheHouseCardAndTheCallOuts) {
    auto* card = child<QPlainTextEdit>(u"house-card"_s);
    card->setFocus();
    type(u"Welcome aboard"_s);
    EXPECT_EQ(settings().houseCard.words, u"Welcome aboard"_s);
    auto* callOuts = child<QPlainTextEdit>(u"call-outs"_s);
    callOuts->setFocus();
    callOuts->selectAll();
    type(u"Would ___ come\nThe boat is in"_s);
    EXPECT_EQ(settings().callOuts, (QStringList{u"Would ___ come"_s, u"The boat is in"_s}));
    ASSERT_TRUE(waitUntil([&] {
        const auto kept = computer().runSettings(libraryFolder);
        return kept && *kept == settings();
    }));
    session->run().covers().setCurtain(Curtain::HouseCard);
    const auto scenes = session->run().shownNow();
    ASSERT_FALSE(scenes.empty());
    EXPECT_EQ(scenes.front().rows.front().text, u"Welcome aboard"_s);
}

TEST_F(SetupPanels, TheRecordOfTakesIsWrittenAsATable) {
    window->goTo(MainWindow::RunAt);
    press(Qt::Key_Space);
    window->goTo(MainWindow::SetupAt);
    answers->saveTo = folder.filePath(u"record.csv"_s);
    button(u"send-record"_s)->click();
    ASSERT_TRUE(waitUntil([&] { return window->notices()->text().contains(u"record.csv"_s); }));
    QFile file(answers->saveTo);
    ASSERT_TRUE(file.open(QIODevice::ReadOnly));
    EXPECT_TRUE(file.readAll().contains("First"));
    answers->saveTo = u"/nowhere/at/all.csv"_s;
    button(u"send-record"_s)->click();
    EXPECT_TRUE(waitUntil([&] { return window->notices()->text().contains(u"/nowhere"_s); }));
}

} // namespace
} // namespace mivanta
