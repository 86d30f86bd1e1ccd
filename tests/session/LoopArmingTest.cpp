// SPDX-License-Identifier: GPL-3.0-or-later
#include "LoopRunning.h"
#include "support/WaitUntil.h"

namespace mivanta {
namespace {

class Armed : public LoopTest {
protected:
    /// A loop that begins by itself so many seconds from now; a time of day knows no seconds.
    void beginIn(int seconds, int length = 600) {
        LoopItem rule = lasting(length);
        rule.beginsByItself = true;
        std::vector<Item> items = morning.items(rule);
        items[0].plan.at = Clock::the().time().addSecs(seconds);
        now.begin(items);
    }
};

TEST_F(Armed, BeginsByItselfAtItsTime) {
    beginIn(60);
    now.pass(61);
    EXPECT_EQ(now.onScreen(), ItemId()); // not without being armed
    beginIn(60);
    ASSERT_TRUE(now.arming.arm(now.document.service().items.front().id));
    EXPECT_EQ(now.arming.all().size(), 1u);
    now.pass(58);
    EXPECT_EQ(now.onScreen(), ItemId());
    now.pass(3);
    EXPECT_EQ(now.shown(), u"Notice 1"_s);
    EXPECT_TRUE(now.arming.all().empty());
    now.run.undoTake(); // it was a take
    EXPECT_EQ(now.onScreen(), ItemId());
}

TEST_F(Armed, IsDisarmed) {
    beginIn(30);
    ASSERT_TRUE(now.arming.arm(morning.loop));
    now.arming.disarmAll();
    now.pass(40);
    EXPECT_EQ(now.onScreen(), ItemId());
}

TEST_F(Armed, JoinedLateItIsWhereItIsByTheClock) {
    beginIn(-30);
    ASSERT_TRUE(now.arming.arm(morning.loop)); // its time has come: that is a take
    EXPECT_EQ(now.shown(), u"Notice 2"_s);     // the fifth still
    EXPECT_EQ(now.loop.stand()->shown().round, 1);
    EXPECT_NEAR(double(now.loop.ends().secsTo(Clock::the().now())), -570, 25);
}

TEST_F(Armed, IsRefusedWhenItIsOverOrHasNoTimeOrAnotherOneHasIt) {
    beginIn(-300, 100);
    EXPECT_FALSE(now.arming.arm(morning.loop));
    EXPECT_EQ(now.onScreen(), ItemId());
    now.document.changePlan(
        {morning.loop}, [](ItemPlan& plan) { plan.at.reset(); }, u"x"_s);
    EXPECT_FALSE(now.arming.arm(morning.loop));
    now.document.changePlan(
        {morning.loop}, [](ItemPlan& plan) { plan.at = Clock::the().time().addSecs(600); }, u"x"_s);
    ASSERT_TRUE(now.arming.arm(morning.loop));
    const std::vector<ItemId> copies = now.document.duplicate({morning.loop});
    ASSERT_EQ(copies.size(), 3u); // with its members
    const auto refused = now.arming.arm(copies.front());
    ASSERT_FALSE(refused);
    EXPECT_TRUE(refused.error().what.contains(u"Harbour notices"_s));
    EXPECT_EQ(now.arming.all().size(), 1u);
}

TEST_F(Armed, FollowsTheServiceAndEndsWithIt) {
    QStringList told;
    QObject::connect(&now.arming, &LoopArming::notice, &now.run, [&](const QString& text) { told << text; });
    beginIn(600);
    ASSERT_TRUE(now.arming.arm(morning.loop));
    now.document.changePlan(
        {morning.loop}, [](ItemPlan& plan) { plan.at = Clock::the().time().addSecs(1200); }, u"x"_s);
    ASSERT_EQ(now.arming.all().size(), 1u);
    EXPECT_GT(Clock::the().now().secsTo(now.arming.all().front().at), 1100);
    now.document.remove({morning.loop});
    EXPECT_TRUE(now.arming.all().empty());
    EXPECT_EQ(told.size(), 1);
    now.document.undoStack().undo();
    ASSERT_TRUE(now.arming.arm(morning.loop));
    now.document.startNew();
    EXPECT_TRUE(now.arming.all().empty());
    EXPECT_EQ(told.size(), 2);
}

TEST_F(Armed, OutlivesARestartAndBeginsLateThen) {
    beginIn(60);
    ASSERT_TRUE(now.arming.arm(morning.loop));
    const QByteArray kept = now.run.keptState();
    QTemporaryDir other;
    Running again{other.path()};
    again.document.startFrom(now.document.service());
    again.run.takeUp(kept);
    EXPECT_EQ(again.arming.all().size(), 1u);
    now.arming.disarmAll(); // those desks are dead
    Clock::the().jump(70 * kSecond);
    waitUntil([&] { return !again.shown().isEmpty(); });
    EXPECT_EQ(again.shown(), u"Notice 2"_s);
}

TEST_F(Armed, FollowsTheClockThatIsSet) {
    beginIn(600);
    ASSERT_TRUE(now.arming.arm(morning.loop));
    Clock::the().set(601 * kSecond);
    EXPECT_EQ(now.shown(), u"Notice 1"_s);
    Clock::the().set(-601 * kSecond);
}

TEST_F(Armed, JoinedBehindItsEndItShowsWhatWouldBeSeenByNow) {
    beginIn(-300, 100);
    ASSERT_TRUE(now.loop.begin(morning.loop, Clock::the().now().addSecs(-300)));
    EXPECT_EQ(now.onScreen(), morning.countdown); // it is followed by itself
    now.change(morning.loop, [](LoopItem& rule) { rule.then = LoopThen::Stays; });
    ASSERT_TRUE(now.loop.begin(morning.loop, Clock::the().now().addSecs(-300)));
    EXPECT_EQ(now.shown(), u"Notice 3"_s); // its last picture stays
    EXPECT_TRUE(now.loop.stand()->isOver);
}

TEST_F(Armed, IsNoMoreWhenItDoesNotBeginByItselfAnyMore) {
    beginIn(600);
    ASSERT_TRUE(now.arming.armNext());
    EXPECT_FALSE(now.arming.armNext()); // there is no other
    now.change(morning.loop, [](LoopItem& rule) { rule.beginsByItself = false; });
    EXPECT_TRUE(now.arming.all().empty());
}

} // namespace
} // namespace mivanta
