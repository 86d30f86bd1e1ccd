// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/timing/Chain.h"
#include "desk/LoopDesk.h"
#include "desk/prepare/LoopDrops.h"
#include "desk/prepare/LoopInService.h"
#include "desk/prepare/LoopTimelineView.h"
#include "desk/song/WordsPreview.h"
#include <QCheckBox>
#include <QDialog>
#include <QPlainTextEdit>
#include <QSpinBox>

namespace mivanta {
namespace {

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

TEST_F(LoopDesk, AFolderThatWasLinkedElsewhereShowsNothingOfThisComputer) {
    session->folders().watch(pictures); // it is among the media already
    session->folders().look();
    ASSERT_TRUE(waitUntil([&] { return !session->folders().isLooking(); }));
    LoopItem rule = usualLoop(session->document().service(), u"From elsewhere"_s);
    rule.folder = pictures;
    sheet()->select(session->document().insert(0, rule));
    settle();
    session->folders().look();
    settle();
    EXPECT_EQ(items().size(), 1u);
    auto* link = child<QPushButton>(u"loop-folder"_s);
    EXPECT_TRUE(link->text().contains(u"elsewhere"_s)) << link->text().toStdString();
    window->goTo(MainWindow::CheckAt);
    EXPECT_TRUE(waitUntil(
        [&] { return textsOf(u"check-desk"_s).join(u'\n').contains(u"a folder of another computer"_s); }));
    window->goTo(MainWindow::PrepareAt);
    link->click();
    waitForItems(2);
    EXPECT_EQ(std::get<PictureItem>(items()[1].words).pictures.size(), 3u);
    EXPECT_TRUE(link->text().contains(u"unlink"_s)) << link->text().toStdString();
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
    const auto* preview = form->findChild<WordsPreview*>();
    ASSERT_TRUE(waitUntil(
        [&] { return preview->slides() && preview->slides()->content.parts[0].lines.size() == 4; }));
    answers->quit = false;
    QTest::keyClick(form, Qt::Key_Escape);
    EXPECT_TRUE(form->isVisible()); // its words would be lost
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

} // namespace
} // namespace mivanta
