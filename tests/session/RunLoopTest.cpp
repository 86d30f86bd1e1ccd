// SPDX-License-Identifier: GPL-3.0-or-later
#include "session/run/RunLoop.h"
#include "core/run/Output.h"
#include "session/run/AutoAdvance.h"
#include "session/run/LoopArming.h"
#include "session/run/OnScreen.h"
#include "session/run/RunFilm.h"
#include "session/service/LoopPlans.h"
#include "support/PretendedPlayer.h"
#include "support/Samples.h"
#include "support/Text.h"
#include "support/WaitUntil.h"
#include <QTemporaryDir>
#include <QTimeZone>
#include <gtest/gtest.h>
#include <random>

namespace mivanta {
namespace {

constexpr qint64 kSecond = 1000;

/// A loop of three pictures, 7 s each, and a film of 20 s behind every second round; then a countdown, then a
/// song.
struct Morning {
    ItemId loop = ItemId::create();
    ItemId set = ItemId::create();
    ItemId film = ItemId::create();
    ItemId countdown = ItemId::create();
    ItemId song = ItemId::create();

    [[nodiscard]] std::vector<Item> items(const LoopItem& rule) const {
        PictureItem pictures;
        for (int i = 0; i < 3; ++i)
            pictures.pictures.push_back(
                {QString(64, QChar(u'a' + i)) + u".png"_s, u"Notice %1"_s.arg(i + 1)});
        FilmItem harbour;
        harbour.title = u"harbour at seven"_s;
        harbour.name = QString(64, u'f') + u".mp4"_s;
        harbour.seconds = 20;
        harbour.end = FilmEnd::NextItem; // of itself; in a loop that does not count
        std::vector<Item> items{{loop, rule},
                                {set, pictures},
                                {film, harbour},
                                {countdown, CountdownItem{u"We begin in"_s, std::nullopt, 30}},
                                {song, songItem(samples::harbourSong())}};
        items[2].inLoop.everyRounds = 2;
        for (size_t i = 0; i < 3; ++i)
            items[i].group = GroupId::fromNumber(1);
        return items;
    }
};

LoopItem rounds(int count) {
    LoopItem rule;
    rule.title = u"Harbour notices"_s;
    rule.until = LoopUntil::Rounds;
    rule.rounds = count;
    return rule;
}

LoopItem lasting(int seconds) {
    LoopItem rule = rounds(1);
    rule.until = LoopUntil::Length;
    rule.length = seconds;
    return rule;
}

/// What runs a service, without windows; the clock is let jump.
struct Running {
    explicit Running(const QString& folder)
        : document(LibraryAddress(folder).mediaFolder(), Journal(folder), samples::theme()),
          book(document, {samples::theme()}),
          player({folder, {}, {}}) {
        book.setOutputs(usualOutputs());
    }
    void begin(std::vector<Item> items) {
        document.insertItems(0, std::move(items), u"x"_s);
        run.begin();
    }
    void change(const ItemId& id, const std::function<void(LoopItem&)>& work) {
        LoopItem rule = *document.service().item(id)->loop();
        work(rule);
        document.change(id, rule, u"x"_s);
    }
    [[nodiscard]] ItemId onScreen() const {
        return run.state().onScreen ? run.state().onScreen->item : ItemId();
    }
    /// "Notice 2", "harbour at seven"; empty = nothing.
    [[nodiscard]] QString shown() const {
        return run.state().onScreen ? stillName(stillOf(*run.state().onScreen, book), document.service())
                                    : QString();
    }
    /// So much later; what came meanwhile, in its order.
    QStringList pass(qint64 seconds) {
        QStringList came;
        QObject listener;
        QObject::connect(&run, &RunController::shown, &listener, [&] { came << shown(); });
        for (qint64 i = 0; i < seconds; ++i)
            Clock::the().jump(kSecond);
        return came;
    }

    ServiceDocument document;
    SlideBook book;
    PlayerClient player;
    RunController run{book, document, player};
    AutoAdvance advance{run, document};
    RunFilm film{run, document, player};
    RunLoop loop{run, document, book, player, film};
    LoopArming arming{run, document, loop};
};

class Loop : public testing::Test {
protected:
    Loop() { now.run.setDesk(u"run"_s); }

    QTemporaryDir folder;
    Morning morning;
    Running now{folder.path()};
};

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

class Armed : public Loop {
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

/// What the player showed, second by second, is what the timeline says, for whatever rule.
TEST(LoopModel, ThePlayerShowsTheTimeline) {
    std::mt19937 chance(20261004);
    const auto upTo = [&](int most) { return int(chance() % unsigned(most + 1)); };
    QTemporaryDir folder;
    PretendedPlayer player(folder.path());
    Running now{folder.path()};
    OnScreen onScreen{now.run, now.player};
    now.player.start();
    ASSERT_TRUE(waitUntil([&] { return now.player.isConnected(); }));
    int compared = 0;
    for (int turn = 0; turn < 1000; ++turn) {
        LoopItem rule;
        rule.seconds = 1 + upTo(5);
        rule.isShuffled = upTo(1) == 1;
        rule.until = LoopUntil(1 + upTo(2));
        rule.rounds = 1 + upTo(3);
        rule.length = 5 + upTo(40);
        rule.untilTime = Clock::the().time().addSecs(5 + upTo(40));
        rule.ending = LoopEnding(upTo(2));
        rule.then = LoopThen::Stays;
        std::vector<Item> items{{ItemId::create(), rule}};
        const int members = 1 + upTo(3);
        for (int i = 0; i < members; ++i) {
            Item member{ItemId::create(), PauseItem{u"%1"_s.arg(i)}};
            if (upTo(2) == 0) {
                FilmItem film;
                film.title = u"film %1"_s.arg(i);
                film.name = QString(64, QChar(u'a' + i)) + u".mp4"_s;
                film.seconds = 2 + upTo(8);
                member.words = film;
            } else if (upTo(1) == 0) {
                PictureItem set;
                for (int p = 0; p <= upTo(3); ++p)
                    set.pictures.push_back(
                        {QString(64, QChar(u'a' + p)) + u".png"_s, u"picture %1"_s.arg(p)});
                member.words = set;
            }
            member.inLoop.seconds = upTo(3);
            member.inLoop.everyRounds = 1 + upTo(2);
            member.plan.skipped = upTo(6) == 0;
            items.push_back(std::move(member));
        }
        for (Item& item : items)
            item.group = GroupId::fromNumber(1);
        const ItemId loop = items.front().id;
        now.document.startNew();
        now.begin(std::move(items));
        const QDateTime begun = Clock::the().now();
        const LoopPlan plan = loopPlanOf(*now.document.service().item(loop), now.document.service(), begun,
                                         knownMembers(now.book));
        if (!now.loop.begin(loop, begun)) {
            ASSERT_TRUE(plan.timeline.showings.empty());
            continue;
        }
        const qint64 steady = Clock::the().steady();
        for (int second = 0; second < 50; ++second) {
            Clock::the().jump(kSecond);
            const qint64 ms = Clock::the().steady() - steady;
            int at = plan.timeline.at(ms);
            if (at < 0)
                at = int(plan.timeline.showings.size()) - 1; // its last picture stays
            constexpr qint64 kEdge = 60;                     // ms: the test's own time is in it, too
            if (plan.timeline.at(ms - kEdge) != plan.timeline.at(ms + kEdge))
                continue;
            const auto cue = cueOf(plan.stillOf(plan.timeline.showings[size_t(at)]), now.book);
            ASSERT_TRUE(cue);
            const auto isShown = [&] {
                QCoreApplication::processEvents();
                return onScreen.of(u"hall"_s).origin.cue == cue;
            };
            for (int i = 0; i < 10 && !isShown(); ++i) // as quick as it can: there are many
                QCoreApplication::processEvents(QEventLoop::AllEvents, 5);
            if (!isShown())
                waitUntil(isShown);
            ASSERT_TRUE(isShown()) << "loop " << turn << " after " << ms << " ms";
            ++compared;
        }
    }
    EXPECT_GT(compared, 20'000);
}

} // namespace
} // namespace mivanta
