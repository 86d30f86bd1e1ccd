// SPDX-License-Identifier: GPL-3.0-or-later
#include "screens/Screens.h"

namespace mivanta {
namespace {

constexpr int kKills = 20;

TEST_F(Screens, SearchASongAddItRunItAndSeeItsWordsInTheHall) {
    start({});
    ASSERT_TRUE(waitUntil([&] { return state()[u"desk"_s] == u"prepare"_s; }));
    pass(500);
    press({u"ctrl+f"_s});
    type(u"fire burning"_s); // words of Lantern on the Water
    pass(2000);
    press({u"Return"_s});
    pass(1500);
    EXPECT_TRUE(isBlack(monitor(1)));
    press({u"alt+4"_s});
    ASSERT_TRUE(waitUntil([&] { return state()[u"desk"_s] == u"run"_s && state().contains(u"next"_s); }));
    EXPECT_TRUE(isBlack(monitor(1))); // nothing reaches a screen without a take
    press({u"space"_s});
    ASSERT_TRUE(waitUntil([&] { return state().contains(u"onScreen"_s); }));
    ASSERT_TRUE(waitUntil([] { return !isBlack(monitor(1)); }));
    const QImage hall = settledHall();

    cli({u"render"_s, u"Lantern on the Water"_s, u"--output"_s, u"hall"_s, u"--to"_s,
         folder.filePath(u"png"_s)});
    cli({u"render"_s, u"Lantern on the Water"_s, u"--output"_s, u"stage"_s, u"--to"_s,
         folder.filePath(u"png"_s)});
    EXPECT_LT(difference(hall, QImage(folder.filePath(u"png/hall-001.png"_s))).share, 0.001);
    EXPECT_LT(difference(monitor(2), QImage(folder.filePath(u"png/stage-002.png"_s))).share, 0.001);

    press({u"F9"_s});
    EXPECT_TRUE(waitUntil([&] { return isBlack(monitor(1)); }));
    press({u"F5"_s});
    EXPECT_TRUE(waitUntil([&] { return monitor(1) == hall; }));
}

TEST_F(Screens, DeskKillsLeaveThePictureAndComeBackToTheSameStep) {
    startOnRun();
    for (int i = 0; i < 3; ++i)
        take();
    ASSERT_TRUE(waitUntil([] { return !isBlack(monitor(1)); }));
    const QImage hall = settledHall();
    std::vector<qint64> times;
    for (int i = 0; i < kKills; ++i) {
        const QJsonObject before = state();
        const int seen = states;
        const auto pids = deskPids();
        ASSERT_EQ(pids.size(), 1u) << i;
        QElapsedTimer time;
        time.start();
        ::kill(pid_t(pids[0]), SIGKILL);
        ASSERT_TRUE(waitUntil([&] { return states > seen && deskPids() != pids; })) << "not back, kill " << i;
        times.push_back(time.elapsed());
        EXPECT_EQ(state()[u"desk"_s], u"run"_s) << i << ' ' << kept_.constData();
        EXPECT_EQ(state()[u"onScreen"_s], before[u"onScreen"_s]) << i << ' ' << kept_.constData();
        EXPECT_EQ(state()[u"next"_s], before[u"next"_s]) << i << ' ' << kept_.constData();
        EXPECT_EQ(monitor(1), hall) << i;
        pass(700); // desks that die again within this time would be left alone
        EXPECT_EQ(monitor(1), hall) << i;
    }
    std::sort(times.begin(), times.end());
    std::printf("desks back after %lld ms (median), %lld ms (worst)\n",
                static_cast<long long>(times[times.size() / 2]), static_cast<long long>(times.back()));
    take();
    take(); // the one before may be a step of the stream alone
    EXPECT_TRUE(waitUntil([&] { return monitor(1) != hall; }));
    // The player dies when the desks were just started again, and have shown nothing themselves.
    const QImage last = settledHall();
    const auto desks = deskPids();
    ASSERT_EQ(desks.size(), 1u);
    const int seen = states;
    ::kill(pid_t(desks[0]), SIGKILL);
    ASSERT_TRUE(waitUntil([&] { return states > seen && deskPids() != desks; }));
    const auto players = playerPids();
    ASSERT_EQ(players.size(), 1u);
    ::kill(pid_t(players[0]), SIGKILL);
    ASSERT_TRUE(waitUntil([&] { return playerPids() != players && !playerPids().empty(); }));
    EXPECT_TRUE(waitUntil([&] { return monitor(1) == last; }));
}

TEST_F(Screens, PlayerKillsBringTheSameSlideBack) {
    startOnRun();
    take();
    take();
    ASSERT_TRUE(waitUntil([] { return !isBlack(monitor(1)); }));
    const QImage hall = settledHall();
    std::vector<qint64> times;
    for (int i = 0; i < kKills; ++i) {
        const auto pids = playerPids();
        ASSERT_EQ(pids.size(), 1u);
        QElapsedTimer time;
        time.start();
        ::kill(pid_t(pids[0]), SIGKILL);
        ASSERT_TRUE(waitUntil([&] { return !isAlive(pids[0]); }));
        ASSERT_TRUE(waitUntil([&] {
            return playerPids().size() == 1 && playerPids() != pids && monitor(1) == hall;
        })) << "kill "
            << i;
        times.push_back(time.elapsed());
        pass(100);
    }
    std::sort(times.begin(), times.end());
    std::printf("picture back after %lld ms (median), %lld ms (worst)\n",
                static_cast<long long>(times[times.size() / 2]), static_cast<long long>(times.back()));
}

TEST_F(Screens, AnotherLibraryWaitsUntilTheScreensAreFree) {
    startOnRun();
    press({u"space"_s});
    ASSERT_TRUE(waitUntil([] { return !isBlack(monitor(1)); }));
    const QImage hall = settledHall();
    // The first library's programs step back; the fixture now knows those of another one.
    const auto firstPlayer = playerPids();
    const auto firstDesk = deskPids();
    const auto watching = std::move(observer);
    const std::pair first(library, session);
    placements.clear();
    library = folder.filePath(u"another"_s);
    session = sessionFolder(library);
    start({});
    ASSERT_TRUE(waitUntil([&] { return !placements.empty(); }));
    EXPECT_EQ(std::count_if(placements.begin(), placements.end(),
                            [](const Placement& place) { return place.kind == Placement::Kind::FullScreen; }),
              0);
    EXPECT_EQ(monitor(1), hall);
    for (const auto& pids : {firstDesk, firstPlayer}) // the desks first, which would start it again
        for (const qint64 pid : pids)
            ::kill(pid_t(pid), SIGTERM);
    for (const auto& pids : {firstDesk, firstPlayer})
        for (const qint64 pid : pids)
            ::kill(pid_t(pid), SIGKILL);
    EXPECT_TRUE(waitUntil([&] {
        return std::any_of(placements.begin(), placements.end(),
                           [](const Placement& place) { return place.kind == Placement::Kind::FullScreen; });
    }));
    EXPECT_TRUE(waitUntil([] { return isBlack(monitor(1)); })); // its own: nothing was taken there
    QDir(first.second).removeRecursively();
}

TEST_F(Screens, CleanQuitEndsBoth) {
    startOnRun();
    const auto desks = deskPids();
    const auto players = playerPids();
    press({u"ctrl+q"_s});
    EXPECT_TRUE(waitUntil([&] { return !isAlive(desks[0]) && !isAlive(players[0]); }));
    pass(1000);
    EXPECT_TRUE(deskPids().empty());
    EXPECT_TRUE(playerPids().empty());
}

} // namespace
} // namespace mivanta
