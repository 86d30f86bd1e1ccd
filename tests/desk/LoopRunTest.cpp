// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/LoopDesk.h"
#include "desk/run/LoopLane.h"

namespace mivanta {
namespace {

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
