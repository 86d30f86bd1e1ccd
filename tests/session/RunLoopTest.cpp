// SPDX-License-Identifier: GPL-3.0-or-later
#include "LoopRunning.h"
#include "support/WaitUntil.h"

namespace mivanta {
namespace {

class Loop : public LoopTest {};

TEST_F(Loop, GoesRoundByItselfAndIsFollowed) {
    now.begin(morning.items(rounds(2)));
    now.run.take();
    ASSERT_TRUE(now.loop.stand());
    EXPECT_EQ(now.shown(), u"Notice 1"_s);
    EXPECT_EQ(now.run.state().next->item, morning.countdown); // a take leaves the loop
    EXPECT_EQ(now.pass(7), (QStringList{u"Notice 2"_s}));
    EXPECT_EQ(now.pass(6 * 7), (QStringList{u"Notice 3"_s, u"Notice 1"_s, u"Notice 2"_s, u"Notice 3"_s,
                                            u"harbour at seven"_s}));
    EXPECT_EQ(now.run.moment().item, morning.loop); // to those who measure times it is one
    EXPECT_EQ(now.pass(20), (QStringList{u"We begin in"_s}));
    EXPECT_EQ(now.onScreen(), morning.countdown);
    EXPECT_FALSE(now.loop.stand());
    EXPECT_EQ(now.run.state().next->item, morning.song);
}

TEST_F(Loop, IsNotInTheWayOfWhoLooksElsewhere) {
    now.begin(morning.items(rounds(1)));
    now.run.take();
    now.run.lookAtItem(now.book.indexOf(morning.song));
    const Cue looked = *now.run.state().next;
    now.pass(8);
    EXPECT_EQ(now.shown(), u"Notice 2"_s);
    EXPECT_EQ(now.run.state().next, looked);
    now.pass(14);
    EXPECT_EQ(now.onScreen(), morning.countdown); // as it was told beforehand
    EXPECT_EQ(now.run.state().next, looked);
    EXPECT_TRUE(now.run.state().isLooking);
}

TEST_F(Loop, IsLeftByATakeAndComesBackByUndo) {
    now.begin(morning.items(rounds(3)));
    now.run.take();
    now.pass(9);
    now.run.take();
    EXPECT_EQ(now.onScreen(), morning.countdown);
    EXPECT_FALSE(now.loop.stand());
    now.run.undoTake();
    EXPECT_EQ(now.shown(), u"Notice 2"_s);
    ASSERT_TRUE(now.loop.stand());
    EXPECT_EQ(now.pass(7), QStringList{u"Notice 3"_s}); // and it goes on
    now.run.undoTake();
    EXPECT_EQ(now.onScreen(), ItemId()); // what came by itself is no take of its own
    EXPECT_FALSE(now.loop.stand());
}

TEST_F(Loop, PausesAndItsRuleStillHolds) {
    now.begin(morning.items(lasting(60)));
    now.run.take();
    const QDateTime end = now.loop.stand()->plan.until;
    now.pass(3);
    now.loop.pauseOrGoOn();
    EXPECT_EQ(now.pass(25), QStringList());
    EXPECT_FALSE(now.loop.ends().isValid());
    EXPECT_FALSE(now.loop.left());
    now.loop.pauseOrGoOn();
    EXPECT_NEAR(double(*now.loop.left()), 4000, 200);
    EXPECT_EQ(now.pass(4), QStringList{u"Notice 2"_s});
    EXPECT_EQ(now.loop.stand()->plan.until, end);
    EXPECT_LE(now.loop.ends(), end); // fewer rounds than there would have been
    EXPECT_EQ(now.pass(14).last(), u"We begin in"_s);
}

TEST_F(Loop, GoesToTheNextAndTheOneBeforeAndToWhatIsChosen) {
    now.begin(morning.items(rounds(9)));
    now.run.take();
    now.loop.goToMember(-1); // there is none before the first
    EXPECT_EQ(now.shown(), u"Notice 1"_s);
    for (int i = 0; i < 6; ++i)
        now.loop.goToMember(1);
    EXPECT_EQ(now.shown(), u"harbour at seven"_s); // behind the second round
    now.loop.goToMember(-1);
    EXPECT_EQ(now.shown(), u"Notice 3"_s);
    EXPECT_EQ(now.loop.stand()->shown().round, 1);
    EXPECT_EQ(now.pass(7), QStringList{u"harbour at seven"_s}); // for its whole time
    now.run.lookAt(*cueOf({morning.set, 1}, now.book));
    now.run.take();
    EXPECT_EQ(now.shown(), u"Notice 2"_s);
    EXPECT_EQ(now.pass(7), QStringList{u"Notice 3"_s});
    EXPECT_EQ(now.loop.stand()->shown().round, 1);
}

TEST_F(Loop, HasOneMoreRoundOrEndsBehindThisOne) {
    now.begin(morning.items(lasting(45)));
    now.run.take();
    EXPECT_EQ(now.loop.stand()->plan.timeline.rounds, 2);
    now.loop.oneMoreRound();
    EXPECT_EQ(now.loop.stand()->plan.timeline.rounds, 3);
    EXPECT_NEAR(double(now.loop.stand()->plan.timeline.ends()), 9 * 7'000 + 20'000, 200);
    now.loop.endBehindRound();
    EXPECT_TRUE(now.loop.endsBehindRound());
    EXPECT_EQ(now.pass(21), (QStringList{u"Notice 2"_s, u"Notice 3"_s, u"We begin in"_s}));
}

TEST_F(Loop, EndsWithWhatItWasTold) {
    LoopItem rule = rounds(1);
    rule.then = LoopThen::Stays;
    now.begin(morning.items(rule));
    now.run.take();
    now.pass(30);
    EXPECT_EQ(now.shown(), u"Notice 3"_s);
    ASSERT_TRUE(now.loop.stand());
    EXPECT_TRUE(now.loop.stand()->isOver);
    now.loop.oneMoreRound();
    EXPECT_EQ(now.pass(6), QStringList{u"Notice 1"_s});
    now.change(morning.loop, [](LoopItem& loop) { loop.then = LoopThen::HouseCard; });
    now.loop.endBehindRound();
    now.pass(40);
    EXPECT_EQ(now.run.state().covers.curtain, Curtain::HouseCard);
    now.change(morning.loop, [&](LoopItem& loop) {
        loop.then = LoopThen::Item;
        loop.thenItem = morning.song;
    });
    now.run.covers().setCurtain(Curtain::Open);
    now.run.lookAt(*now.book.entryOf(morning.loop));
    now.run.take();
    now.pass(22);
    EXPECT_EQ(now.onScreen(), morning.song);
}

TEST_F(Loop, NothingComesByItselfWhileThatIsOff) {
    now.begin(morning.items(rounds(1)));
    now.run.setGoesOnByItself(false);
    now.run.take();
    now.pass(60);
    EXPECT_EQ(now.shown(), u"Notice 3"_s); // it went round: that is what it is
    now.run.take();
    EXPECT_EQ(now.onScreen(), morning.countdown);
}

TEST_F(Loop, IsFollowedByACountdownThatIsFollowed) {
    std::vector<Item> items = morning.items(rounds(1));
    std::get<CountdownItem>(items[3].words).goesOn = true;
    now.begin(items);
    now.run.take();
    now.pass(21);
    EXPECT_EQ(now.onScreen(), morning.countdown);
    ASSERT_TRUE(now.advance.due());
    now.pass(29);
    EXPECT_EQ(now.onScreen(), morning.countdown);
    now.pass(2);
    EXPECT_EQ(now.onScreen(), morning.song);
}

TEST_F(Loop, CoversStayAsTheyAre) {
    now.begin(morning.items(rounds(3)));
    now.run.take();
    now.run.covers().setCurtain(Curtain::Black);
    now.pass(8);
    EXPECT_EQ(now.run.state().covers.curtain, Curtain::Black); // what comes by itself lifts no curtain
    EXPECT_EQ(now.shown(), u"Notice 2"_s);
}

TEST_F(Loop, AChangeOfMembersWaitsForTheEndOfWhatIsShown) {
    now.begin(morning.items(rounds(9)));
    now.run.take();
    now.pass(9); // two seconds of the second
    PictureItem set = std::get<PictureItem>(now.document.service().item(morning.set)->words);
    set.pictures.push_back({QString(64, u'd') + u".png"_s, u"Notice 4"_s});
    now.document.change(morning.set, set, u"x"_s);
    EXPECT_EQ(now.shown(), u"Notice 2"_s);
    EXPECT_NEAR(double(*now.loop.left()), 5000, 200);
    EXPECT_EQ(now.pass(12), (QStringList{u"Notice 3"_s, u"Notice 4"_s}));
    set.pictures.erase(set.pictures.begin()); // the one before what is shown: that is the third of three now
    now.document.change(morning.set, set, u"x"_s);
    EXPECT_EQ(now.shown(), u"Notice 4"_s);
    EXPECT_EQ(now.pass(7), QStringList{u"Notice 2"_s});
    set.pictures.erase(set.pictures.begin()); // and the one that is shown
    now.document.change(morning.set, set, u"x"_s);
    EXPECT_EQ(now.pass(6), QStringList());
    EXPECT_EQ(now.pass(1).size(), 1);
    EXPECT_TRUE(now.loop.stand());
}

TEST_F(Loop, WhatIsTakenOutWhileItIsShownEndsNoRound) {
    now.begin(morning.items(rounds(9)));
    now.run.take();
    now.pass(9); // two seconds of the second
    PictureItem set = std::get<PictureItem>(now.document.service().item(morning.set)->words);
    set.pictures.erase(set.pictures.begin() + 1);
    now.document.change(morning.set, set, u"x"_s);
    EXPECT_EQ(now.pass(4), QStringList());
    set.pictures.push_back({QString(64, u'd') + u".png"_s, u"Notice 4"_s}); // while it still stays
    now.document.change(morning.set, set, u"x"_s);
    EXPECT_EQ(now.pass(22), (QStringList{u"Notice 3"_s, u"Notice 4"_s, u"Notice 1"_s, u"Notice 3"_s}));
}

TEST_F(Loop, WhatCannotBeShownIsLeftOut) {
    now.book.setProblemOf(
        [](const Item&, int still) { return still == 1 ? u"its file is gone"_s : QString(); });
    now.begin(morning.items(rounds(1)));
    now.run.take();
    EXPECT_EQ(now.pass(14), (QStringList{u"Notice 3"_s, u"We begin in"_s}));
    now.book.setProblemOf([](const Item&, int) { return u"gone"_s; });
    now.document.changePlan(
        {morning.countdown}, [](ItemPlan& plan) { plan.note = u"x"_s; }, u"x"_s);
    EXPECT_FALSE(now.loop.begin(morning.loop, Clock::the().now()));
    EXPECT_EQ(now.onScreen(), morning.countdown); // nothing was done
}

TEST_F(Loop, TheTimeOfDayEndsItWhateverIsDoneToTheClock) {
    LoopItem rule = rounds(1);
    rule.until = LoopUntil::Time;
    rule.untilTime = Clock::the().now().addSecs(3600).time();
    now.begin(morning.items(rule));
    now.run.take();
    const QDateTime end = now.loop.stand()->plan.until;
    Clock::the().set(1800 * kSecond); // set forward, or slept: what is shown goes on
    EXPECT_EQ(now.shown(), u"Notice 1"_s);
    EXPECT_EQ(now.loop.stand()->plan.until, end);
    EXPECT_LE(now.loop.ends(), end);
    EXPECT_GT(now.loop.ends(), end.addSecs(-60));
    Clock::the().set(-1800 * kSecond);
    EXPECT_LE(now.loop.ends(), end);
    EXPECT_GT(now.loop.ends(), end.addSecs(-60));
    Clock::the().set(3700 * kSecond); // the end is over
    now.pass(8);
    EXPECT_EQ(now.onScreen(), morning.countdown);
    Clock::the().set(-3700 * kSecond);
}

TEST_F(Loop, ALengthIsNoMatterOfTheTimeOfDay) {
    now.begin(morning.items(lasting(45)));
    now.run.take();
    now.pass(3);
    Clock::the().set(7200 * kSecond);
    EXPECT_EQ(now.loop.stand()->plan.timeline.rounds, 2);
    now.pass(17);
    EXPECT_EQ(now.shown(), u"Notice 3"_s);
    Clock::the().set(-7200 * kSecond);
    EXPECT_EQ(now.pass(26).last(), u"We begin in"_s);
}

TEST_F(Loop, ANewDayHasOtherMembers) {
    LoopItem rule = rounds(1);
    rule.until = LoopUntil::Take;
    std::vector<Item> items = morning.items(rule);
    const QDate today = Clock::the().date();
    std::get<PictureItem>(items[1].words).pictures[1].season.to = today;
    std::get<PictureItem>(items[1].words).pictures[2].season.from = today.addDays(1);
    now.begin(items);
    now.run.take();
    EXPECT_EQ(now.loop.stand()->plan.roundSize(), 2);
    const qint64 toMidnight = Clock::the().now().secsTo(QDateTime(today.addDays(1), QTime(0, 0)));
    Clock::the().jump((toMidnight + 1) * kSecond);
    QCoreApplication::processEvents();
    waitUntil(
        [&] { return now.loop.stand() && now.loop.stand()->plan.leftOut.front().title == u"Notice 2"_s; });
    EXPECT_EQ(now.loop.stand()->plan.leftOut.front().title, u"Notice 2"_s); // out since midnight
    Clock::the().jump(-(toMidnight + 1) * kSecond);
}

TEST_F(Loop, IsWhereItIsByTheClockBehindARestart) {
    now.begin(morning.items(rounds(9)));
    now.run.take();
    now.pass(9);
    now.loop.endBehindRound();
    const QByteArray kept = now.run.keptState();
    Service service = now.document.service();
    Clock::the().jump(5 * kSecond);
    QTemporaryDir other;
    Running again{other.path()};
    again.document.startFrom(service);
    again.run.takeUp(kept);
    ASSERT_TRUE(again.loop.stand());
    EXPECT_TRUE(again.loop.endsBehindRound());
    waitUntil([&] { return again.shown() == u"Notice 3"_s; }); // the second was due meanwhile
    EXPECT_EQ(again.shown(), u"Notice 3"_s);
    EXPECT_EQ(again.pass(7).last(), u"We begin in"_s);
}

TEST_F(Loop, StaysPausedBehindARestart) {
    now.begin(morning.items(rounds(9)));
    now.run.take();
    now.pass(2);
    now.loop.pauseOrGoOn();
    const QByteArray kept = now.run.keptState();
    QTemporaryDir other;
    Running again{other.path()};
    again.document.startFrom(now.document.service());
    Clock::the().jump(100 * kSecond);
    again.run.takeUp(kept);
    ASSERT_TRUE(again.loop.stand());
    EXPECT_TRUE(again.loop.stand()->isPaused);
    EXPECT_EQ(again.pass(20), QStringList());
    again.loop.pauseOrGoOn();
    EXPECT_EQ(again.pass(5), QStringList{u"Notice 2"_s});
}

TEST_F(Loop, LeftOutTodayItEndsAndItsPictureStays) {
    now.begin(morning.items(rounds(3)));
    now.run.take();
    now.document.changePlan(
        {morning.loop}, [](ItemPlan& plan) { plan.skipped = true; }, u"x"_s);
    EXPECT_FALSE(now.loop.stand());
    EXPECT_EQ(now.pass(30), QStringList());
}

} // namespace
} // namespace mivanta
