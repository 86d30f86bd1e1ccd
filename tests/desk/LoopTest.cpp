// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/timing/Chain.h"
#include "desk/Dropping.h"
#include "desk/Window.h"
#include "desk/prepare/LoopInService.h"
#include "desk/prepare/LoopTimelineView.h"
#include "desk/prepare/OrderSheet.h"
#include "desk/run/LoopLane.h"
#include "support/Samples.h"
#include "support/TestFilm.h"
#include <QCheckBox>
#include <QComboBox>
#include <QDialog>
#include <QLabel>
#include <QLineEdit>
#include <QListView>
#include <QMenu>
#include <QPlainTextEdit>
#include <QPushButton>
#include <QSpinBox>
#include <QToolButton>

namespace mivanta {
namespace {

/// Loops on the real window, with actions counted where that is the point.
class LoopDesk : public WindowTest {
protected:
    void SetUp() override {
        WindowTest::SetUp();
        session->document().setStart(QDateTime(Clock::the().date(), QTime(10, 30)));
        pictures = folder.filePath(u"notices"_s);
        QDir().mkpath(pictures);
        for (const QString& name : {u"1 bread"_s, u"2 nets"_s, u"3 choir"_s})
            save(name);
        actions = 0;
    }
    void save(const QString& name) {
        QImage image(64, 36, QImage::Format_RGB32);
        image.fill(QColor::fromHsv(int(qHash(name) % 360), 200, 200)); // another content each
        ASSERT_TRUE(image.save(pictures + u'/' + name + u".png"_s));
    }
    OrderSheet* sheet() { return window->findChild<OrderSheet*>(); }
    /// Lets something go over the sheet, below its last row; or on a row.
    void dropOnSheet(const QStringList& files, int row = -1) {
        Dropping dropping(filesToDrag(files));
        QWidget* view = sheet()->view()->viewport();
        const QRect area = row < 0 ? QRect() : sheet()->view()->visualRect(sheet()->model()->index(row, 0));
        ASSERT_TRUE(dropping.drop(view, row < 0 ? QPoint(20, view->height() - 5) : area.center()));
        ++actions;
    }
    void menu(const char* name) {
        child<QToolButton>(u"add-menu"_s)->menu()->findChild<QAction*>(QLatin1String(name))->trigger();
        ++actions;
    }
    void choose(const QString& box, const QString& text) {
        auto* combo = child<QComboBox>(box);
        const int at = combo->findText(text, Qt::MatchContains);
        ASSERT_GE(at, 0) << text.toStdString();
        combo->setCurrentIndex(at);
        Q_EMIT combo->activated(at);
        ++actions;
    }
    void write(const QString& field, const QString& text) {
        auto* edit = child<QLineEdit>(field);
        edit->setFocus();
        edit->selectAll();
        type(text);
        press(Qt::Key_Return);
        ++actions; // the click into it
    }
    [[nodiscard]] const std::vector<Item>& items() const { return session->document().service().items; }
    [[nodiscard]] const Item* loop() const {
        const auto at =
            std::find_if(items().begin(), items().end(), [](const Item& item) { return item.loop(); });
        return at == items().end() ? nullptr : &*at;
    }
    void waitForItems(size_t count) {
        ASSERT_TRUE(waitUntil([&] { return items().size() == count; }, 60'000)) << items().size();
    }
    QString film() {
        const QString path = folder.filePath(u"harbour at seven.mp4"_s);
        EXPECT_TRUE(makeFilm(path));
        return path;
    }
    QString label(const QString& name) { return child<QLabel>(name)->text(); }

    QString pictures;
    int actions = 0;
};

TEST_F(LoopDesk, ALoopIsBuiltByDragsInSixActions) {
    const QString path = film();
    actions = 0;
    dropOnSheet({pictures});
    waitForItems(2); // the loop and its set
    EXPECT_EQ(loop()->title(), u"notices"_s);
    EXPECT_EQ(loop()->loop()->seconds, 7);
    EXPECT_EQ(loop()->loop()->untilTime, QTime(10, 25)); // five minutes before the service
    dropOnSheet({path}, 0);                              // on the loop: asks in which rounds
    ++actions;                                           // and is answered
    waitForItems(3);
    EXPECT_EQ(items()[2].inLoop.everyRounds, 3);
    EXPECT_EQ(items()[2].group, loop()->group);
    sheet()->select(loop()->id);
    ++actions;
    write(u"loop-begins"_s, u"10:00"_s);
    EXPECT_LE(actions, 6);
    EXPECT_TRUE(loop()->loop()->beginsByItself);
    EXPECT_EQ(loop()->plan.at, QTime(10, 0));
    const LoopPlan& plan = window->findChild<LoopInService*>()->plan();
    EXPECT_EQ(plan.begins.time(), QTime(10, 0));
    EXPECT_EQ(plan.roundSize(), 3);
    EXPECT_LE(plan.ends().time(), QTime(10, 25));
    EXPECT_TRUE(label(u"loop-rounds"_s).contains(u"3 stills or films a round, 21 s"_s))
        << label(u"loop-rounds"_s).toStdString();
    session->document().undoStack().undo();
    session->document().undoStack().undo();
    session->document().undoStack().undo();
    EXPECT_TRUE(items().empty()); // each action was one step
}

TEST_F(LoopDesk, ALoopIsBuiltByKeysInSixActions) {
    const QString path = film();
    actions = 0;
    answers->folder = pictures;
    menu("add-loop-folder");
    waitForItems(2);
    answers->files = {path};
    menu("add-films"); // while the loop is chosen: into it
    ++actions;         // the question
    waitForItems(3);
    EXPECT_EQ(items()[2].inLoop.everyRounds, 3);
    write(u"loop-begins"_s, u"10:00"_s);
    EXPECT_LE(actions, 6);
    EXPECT_TRUE(loop()->loop()->beginsByItself);
}

TEST_F(LoopDesk, ItsRuleIsTypedAndWhatIsNoRuleSaysSo) {
    menu("add-loop");
    ASSERT_TRUE(loop());
    EXPECT_TRUE(label(u"loop-rounds"_s).contains(u"nothing"_s));
    choose(u"loop-until"_s, u"so many rounds"_s);
    write(u"loop-until-value"_s, u"5"_s);
    EXPECT_EQ(loop()->loop()->rounds, 5);
    write(u"loop-until-value"_s, u"none"_s);
    EXPECT_EQ(loop()->loop()->rounds, 5);
    EXPECT_FALSE(child<QLabel>(u"loop-wrong"_s)->isHidden());
    choose(u"loop-until"_s, u"a length"_s);
    write(u"loop-until-value"_s, u"20"_s);
    EXPECT_EQ(loop()->loop()->length, 1200);
    choose(u"loop-until"_s, u"a time of day"_s);
    write(u"loop-until-value"_s, u"1025"_s);
    EXPECT_EQ(loop()->loop()->untilTime, QTime(10, 25));
    choose(u"loop-ending"_s, u"last picture"_s);
    EXPECT_EQ(loop()->loop()->ending, LoopEnding::Stretched);
    choose(u"loop-then"_s, u"house card"_s);
    EXPECT_EQ(loop()->loop()->then, LoopThen::HouseCard);
    child<QCheckBox>(u"loop-shuffled"_s)->click();
    EXPECT_TRUE(loop()->loop()->isShuffled);
    child<QSpinBox>(u"loop-seconds"_s)->setValue(12);
    EXPECT_EQ(loop()->loop()->seconds, 12);
    write(u"loop-begins"_s, u"sometime"_s);
    EXPECT_FALSE(loop()->plan.at);
    EXPECT_FALSE(child<QLabel>(u"loop-wrong"_s)->isHidden());
    write(u"loop-title"_s, u"Round and round"_s);
    EXPECT_EQ(loop()->title(), u"Round and round"_s);
}

TEST_F(LoopDesk, MembersAreChangedInItsTableAndOnTheirOwnPage) {
    dropOnSheet({pictures});
    waitForItems(2);
    sheet()->select(loop()->id);
    child<QSpinBox>(u"member-seconds-1"_s)->setValue(11);
    child<QSpinBox>(u"member-rounds-1"_s)->setValue(2);
    EXPECT_EQ(items()[1].inLoop.seconds, 11);
    EXPECT_EQ(items()[1].inLoop.everyRounds, 2);
    sheet()->select(items()[1].id);
    write(u"member-to"_s, u"2001-01-01"_s);
    EXPECT_EQ(items()[1].inLoop.season.to, QDate(2001, 1, 1));
    write(u"member-from"_s, u"2002-01-01"_s);
    EXPECT_FALSE(items()[1].inLoop.season.from.isValid()); // its last day would be before its first
    child<QCheckBox>(u"member-day-7"_s)->click();
    EXPECT_EQ(items()[1].inLoop.season.weekdays, kAllWeekdays & ~64);
    sheet()->select(loop()->id);
    EXPECT_EQ(window->findChild<LoopInService*>()->plan().leftOut.size(), 3u); // out of their season
    EXPECT_TRUE(window->findChild<LoopInService*>()->plan().timeline.showings.empty());
}

TEST_F(LoopDesk, ItIsMovedCopiedAndRemovedAsOne) {
    session->document().insert(0, songItem(samples::harbourSong(u"First"_s)));
    dropOnSheet({pictures});
    waitForItems(3);
    sheet()->select(loop()->id);
    press(Qt::Key_Up, Qt::AltModifier); // focus is elsewhere: the sheet's button does the same
    child<QToolButton>(u"move-up-button"_s)->click();
    EXPECT_TRUE(items()[0].loop());
    EXPECT_EQ(items()[1].group, items()[0].group);
    session->document().duplicate({items()[0].id});
    EXPECT_EQ(items().size(), 5u);
    EXPECT_FALSE(items()[2].group == items()[0].group);
    EXPECT_EQ(items()[2].group, items()[3].group);
    session->document().remove({items()[0].id});
    EXPECT_EQ(items().size(), 3u);
    const ItemId song = items()[2].id;
    sheet()->selectAll({items()[0].id, song});
    sheet()->groupSelected(); // into the loop
    EXPECT_EQ(items()[2].id, song);
    EXPECT_EQ(items()[2].group, items()[0].group);
}

TEST_F(LoopDesk, ALinkedFolderComesAndGoes) {
    dropOnSheet({pictures});
    waitForItems(2);
    sheet()->select(loop()->id);
    answers->folder = pictures;
    child<QPushButton>(u"loop-folder"_s)->click();
    EXPECT_EQ(loop()->loop()->folder, pictures);
    const auto set = [&] { return std::get<PictureItem>(items()[1].words).pictures; };
    // Those that were put there by hand stay as they are.
    const auto linked = [&] {
        QStringList names;
        for (const OrderPicture& picture : set())
            if (picture.isOfFolder)
                names << picture.caption;
        return names;
    };
    session->folders().look();
    ASSERT_TRUE(waitUntil(
        [&] {
            return linked() == QStringList({u"1 bread"_s, u"2 nets"_s, u"3 choir"_s});
        },
        60'000));
    save(u"2031-10-05 4 bazaar"_s);
    QFile::remove(pictures + u"/2 nets.png"_s);
    session->folders().look();
    ASSERT_TRUE(waitUntil(
        [&] {
            return linked() == QStringList({u"1 bread"_s, u"3 choir"_s, u"4 bazaar"_s});
        },
        60'000))
        << linked().join(u'|').toStdString();
    EXPECT_EQ(set().back().season.to, QDate(2031, 10, 5)); // its name says until when
    child<QPushButton>(u"loop-folder"_s)->click();
    EXPECT_TRUE(loop()->loop()->folder.isEmpty());
    save(u"5 late"_s);
    session->folders().look();
    settle();
    EXPECT_EQ(linked().size(), 3); // unlinked
}

TEST_F(LoopDesk, ANoticeIsMadeHereAndKeptUnderTexts) {
    menu("add-loop");
    menu("add-notice");
    auto* form = window->findChild<QDialog*>(u"notice-form"_s);
    ASSERT_TRUE(form);
    EXPECT_FALSE(
        form->findChild<QPushButton*>(u"notice-make"_s)->isEnabled()); // without a title there is none
    form->findChild<QLineEdit*>(u"notice-title"_s)->setText(u"Bread on Friday"_s);
    form->findChild<QLineEdit*>(u"notice-when"_s)->setText(u"18:00"_s);
    form->findChild<QLineEdit*>(u"notice-where"_s)->setText(u"On the quay"_s);
    form->findChild<QPlainTextEdit*>(u"notice-words"_s)->setPlainText(u"Bring a knife"_s);
    form->findChild<QLineEdit*>(u"notice-last-day"_s)->setText(u"never ever"_s);
    form->findChild<QPushButton*>(u"notice-make"_s)->click();
    EXPECT_FALSE(form->findChild<QLabel*>(u"notice-wrong"_s)->text().isEmpty());
    form->findChild<QLineEdit*>(u"notice-last-day"_s)->setText(u"2031-10-05"_s);
    form->findChild<QPushButton*>(u"notice-make"_s)->click();
    waitForItems(2); // in the loop, which was chosen
    const TextItem* text = items()[1].text();
    ASSERT_TRUE(text);
    EXPECT_EQ(items()[1].group, items()[0].group);
    EXPECT_EQ(text->text->kind, TextKind::Notice);
    EXPECT_EQ(text->text->lastDay, QDate(2031, 10, 5));
    EXPECT_EQ(text->text->lines.size(), 4u);
    bool isKept = false;
    session->library().ask<SpokenText>(
        window.get(), [id = text->text->id](Library& library) { return library.texts().text(id); },
        [&](const Result<SpokenText>& kept) { isKept = kept && kept->lastDay == QDate(2031, 10, 5); });
    EXPECT_TRUE(waitUntil([&] { return isKept; }));
}

TEST_F(LoopDesk, TheLineOfTimeGoesFromAllToOneRoundAndItsBlocksAreMembers) {
    dropOnSheet({pictures});
    waitForItems(2);
    sheet()->select(loop()->id);
    auto* view = window->findChild<LoopTimelineView*>();
    child<QWidget>(u"loop-timeline"_s)->setFocus();
    for (int i = 0; i < 12; ++i)
        press(Qt::Key_Plus);
    EXPECT_EQ(view->zoom(), 1);
    press(Qt::Key_Minus);
    EXPECT_LT(view->zoom(), 1);
    QTest::mouseClick(view->viewport(), Qt::LeftButton, {}, QPoint(20, view->viewport()->height() / 2));
    EXPECT_EQ(sheet()->current(), items()[1].id);
}

TEST_F(LoopDesk, ItIsPlayedHereTenTimesAsFastAndOnNoScreen) {
    dropOnSheet({pictures});
    waitForItems(2);
    sheet()->select(loop()->id);
    auto* play = child<QPushButton>(u"loop-play"_s);
    play->click();
    EXPECT_EQ(play->text(), u"Stop"_s);
    EXPECT_TRUE(waitUntil([&] {
        Clock::the().jump(100);
        return window->findChild<QWidget*>(u"loop-in-service"_s)->isVisible() && play->text() == u"Stop"_s;
    }));
    EXPECT_FALSE(session->run().state().onScreen);
    play->click();
    EXPECT_NE(play->text(), u"Stop"_s);
}

TEST_F(LoopDesk, WhatIsAddedWhileItIsChosenJoinsItOrComesBehindIt) {
    dropOnSheet({pictures});
    waitForItems(2);
    sheet()->select(loop()->id);
    EXPECT_EQ(sheet()->markerRow(), 2); // behind its members
    EXPECT_TRUE(child<QLineEdit>(u"prepare-find-box"_s)->placeholderText().contains(u"notices"_s));
    menu("add-countdown"); // of the service
    EXPECT_TRUE(items()[2].group.isNull());
    sheet()->select(loop()->id);
    answers->files = {film()};
    menu("add-films");
    waitForItems(4);
    EXPECT_EQ(items()[2].group, loop()->group);
    EXPECT_TRUE(std::holds_alternative<CountdownItem>(items()[3].words));
}

TEST_F(LoopDesk, CheckSaysWhatIsWrongWithIt) {
    menu("add-loop");
    window->goTo(MainWindow::CheckAt);
    const auto says = [&](const QString& text) {
        return waitUntil([&] { return textsOf(u"check-desk"_s).join(u'\n').contains(text); });
    };
    EXPECT_TRUE(says(u"Nothing goes round in this loop"_s));
    window->goTo(MainWindow::PrepareAt);
    sheet()->select(loop()->id);
    answers->files = {pictures + u"/1 bread.png"_s};
    menu("add-pictures");
    waitForItems(2);
    session->document().changeInLoop(
        {items()[1].id}, [](LoopPart& part) { part.season.to = QDate(2001, 1, 1); }, u"x"_s);
    write(u"loop-begins"_s, u"10:00"_s);
    choose(u"loop-until"_s, u"a time of day"_s);
    write(u"loop-until-value"_s, u"09:00"_s);
    window->goTo(MainWindow::CheckAt);
    EXPECT_TRUE(says(u"The loop has no end: its end, 09:00, is over when it begins"_s));
    EXPECT_TRUE(says(u"1 of the loop is not shown on that day"_s) || says(u"not shown on that day"_s));
}

/// Runs a loop of three pictures for a while, a countdown, a song.
class LoopRun : public LoopDesk {
protected:
    void SetUp() override {
        LoopDesk::SetUp();
        dropOnSheet({pictures});
        waitForItems(2);
        LoopItem rule = *loop()->loop();
        rule.until = LoopUntil::Length;
        rule.length = 63; // three rounds
        rule.beginsByItself = true;
        session->document().change(loop()->id, rule, u"x"_s);
        session->document().insert(9, CountdownItem{u"We begin in"_s, std::nullopt, 30, true});
        session->document().insert(9, songItem(samples::harbourSong()));
        window->goTo(MainWindow::RunAt);
    }
    void pass(int seconds) {
        for (int i = 0; i < seconds; ++i)
            Clock::the().jump(1000);
        QCoreApplication::processEvents();
    }
    QString now() { return child<QLabel>(u"loop-now"_s)->text(); }
    [[nodiscard]] ItemId onScreen() const {
        return session->run().state().onScreen ? session->run().state().onScreen->item : ItemId();
    }
};

TEST_F(LoopRun, ItsPanelAndItsKeys) {
    EXPECT_TRUE(child<QWidget>(u"loop-panel"_s)->isHidden());
    press(Qt::Key_Space);
    ASSERT_TRUE(session->loop().stand());
    EXPECT_FALSE(child<QWidget>(u"loop-panel"_s)->isHidden());
    EXPECT_TRUE(now().contains(u"1 bread \u00b7 round 1 of 3"_s)) << now().toStdString();
    EXPECT_TRUE(label(u"loop-next"_s).contains(u"2 nets. At its end: We begin in"_s))
        << label(u"loop-next"_s).toStdString();
    press(Qt::Key_L);
    EXPECT_TRUE(now().contains(u"2 nets"_s));
    press(Qt::Key_J);
    EXPECT_TRUE(now().contains(u"1 bread"_s));
    press(Qt::Key_P);
    EXPECT_TRUE(session->loop().stand()->isPaused);
    pass(20);
    EXPECT_TRUE(now().contains(u"1 bread"_s));
    press(Qt::Key_P);
    pass(7);
    EXPECT_TRUE(now().contains(u"2 nets"_s));
    press(Qt::Key_A);
    const int rounds = session->loop().stand()->plan.timeline.rounds;
    press(Qt::Key_E);
    EXPECT_LT(session->loop().stand()->plan.timeline.rounds, rounds);
    EXPECT_TRUE(session->loop().endsBehindRound());
    pass(14);
    EXPECT_EQ(onScreen(), items()[2].id); // the countdown
    EXPECT_TRUE(child<QWidget>(u"loop-panel"_s)->isHidden());
    pass(31);
    EXPECT_EQ(onScreen(), items()[3].id); // and the song
}

TEST_F(LoopRun, ATakeLeavesItAndTheSwitchHoldsWhatComesByItself) {
    press(Qt::Key_Space);
    press(Qt::Key_Space);
    EXPECT_EQ(onScreen(), items()[2].id);
    EXPECT_FALSE(label(u"run-chain"_s).isEmpty());
    press(Qt::Key_End);
    EXPECT_FALSE(session->run().goesOnByItself());
    EXPECT_TRUE(child<QLabel>(u"run-chain"_s)->isHidden());
    pass(60);
    EXPECT_EQ(onScreen(), items()[2].id);
    child<QPushButton>(u"run-by-itself-switch"_s)->click();
    EXPECT_TRUE(session->run().goesOnByItself());
}

TEST_F(LoopRun, IsArmedOnRunShownOnEveryDeskAndDisarmedByOneKey) {
    session->document().changePlan(
        {loop()->id}, [](ItemPlan& plan) { plan.at = Clock::the().time().addSecs(600); }, u"x"_s);
    window->findChild<QPushButton*>(u"loop-lane-arm"_s)->click();
    auto* chip = window->findChild<QToolButton*>(u"armed"_s);
    ASSERT_FALSE(session->arming().all().empty());
    EXPECT_TRUE(chip->isVisible());
    EXPECT_TRUE(chip->text().contains(u"armed:"_s));
    press(Qt::Key_Delete);
    EXPECT_TRUE(session->arming().all().empty());
    EXPECT_FALSE(chip->isVisible());
    press(Qt::Key_Insert);
    EXPECT_EQ(session->arming().all().size(), 1u);
    press(Qt::Key_Insert); // there is no other
    EXPECT_TRUE(window->notices()->text().contains(u"no loop to arm"_s))
        << window->notices()->text().toStdString();
    press(Qt::Key_Delete);
    window->goTo(MainWindow::PrepareAt);
    sheet()->select(loop()->id);
    child<QPushButton>(u"loop-arm"_s)->click();
    EXPECT_TRUE(chip->isVisible());
    pass(599);
    EXPECT_EQ(onScreen(), ItemId());
    pass(3);
    EXPECT_EQ(onScreen(), items()[1].id); // whatever desk is seen
    EXPECT_FALSE(chip->isVisible());
}

TEST_F(LoopRun, ItsHeadStandsOverItsLanesAndIsClicked) {
    auto* head = window->findChild<LoopLane*>();
    ASSERT_TRUE(head);
    press(Qt::Key_Right);
    QTest::mouseClick(head, Qt::LeftButton, {}, QPoint(20, 10));
    EXPECT_EQ(session->run().state().next->item, items()[1].id);
    QTest::mouseDClick(head, Qt::LeftButton, {}, QPoint(20, 10));
    EXPECT_EQ(onScreen(), items()[1].id);
    EXPECT_TRUE(head->facts().contains(u"2 nets"_s)) << head->facts().toStdString();
}

TEST_F(LoopRun, TheTakesOfALoopAreNotedOnce) {
    press(Qt::Key_Space);
    pass(40);
    settle();
    int notes = -1;
    session->library().ask<int>(
        window.get(),
        [](Library& library) -> Result<int> {
            const auto takes = library.takes().since(Clock::the().date());
            if (!takes)
                return tl::unexpected(takes.error());
            return int(takes->size());
        },
        [&](const Result<int>& count) { notes = count ? *count : -2; });
    ASSERT_TRUE(waitUntil([&] { return notes != -1; }));
    EXPECT_EQ(notes, 1);
}

} // namespace
} // namespace mivanta
