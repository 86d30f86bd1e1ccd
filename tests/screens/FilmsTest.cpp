// SPDX-License-Identifier: GPL-3.0-or-later
#include "screens/Screens.h"
#include "support/TestFilm.h"

namespace mivanta {
namespace {

constexpr int kFilmKills = 20; // of the desks, the player and the film, in turn
constexpr int kRate = 25;

/// A film on two screens of the hall, each of whose pictures carries its number.
class Films : public Screens {
protected:
    void SetUp() override {
        Screens::SetUp();
        ASSERT_TRUE(
            makeFilm(folder.filePath(u"film.mp4"_s), {.size = {640, 360}, .rate = kRate, .pictures = 4000}));
        std::vector<Output> outputs{usualOutputs()[0], usualOutputs()[0]};
        outputs[1].name = u"second"_s;
        ASSERT_TRUE(computer().saveOutputs(outputs));
        QFile order(folder.filePath(u"order.txt"_s));
        ASSERT_TRUE(order.open(QIODevice::WriteOnly));
        order.write("Title: Films\n\n[film] film.mp4\nLantern on the Water\n");
        order.close();
        cli({u"service"_s, u"new"_s, order.fileName(), u"--to"_s, folder.filePath(u"sunday.mivanta"_s)});
    }
    static int number(int screen) { return numberOnPicture(monitor(screen)); }
    static bool plays(int from) {
        return waitUntil([&] { return number(1) > from && number(2) > from; });
    }
    std::vector<qint64> films() {
        const auto players = playerPids();
        return players.size() == 1 ? filmsOf(players[0]) : std::vector<qint64>();
    }
};

TEST_F(Films, AreAtTheSamePlaceOnBothScreensAndGoOnWhateverDies) {
    startOnRun();
    ASSERT_TRUE(waitUntil([] { return isBlack(monitor(1)); }));
    take();
    ASSERT_TRUE(plays(0));
    EXPECT_EQ(films().size(), 1u); // decoded once
    for (int i = 0; i < 10; ++i) {
        const int first = number(1);
        const int second = number(2);
        const int again = number(1);
        EXPECT_LE(first, second + 3) << i;
        EXPECT_LE(second, again + 3) << i;
        pass(100);
    }
    QElapsedTimer since;
    since.start();
    const int begun = number(1);
    for (int i = 0; i < kFilmKills; ++i) {
        const int before = number(1);
        ASSERT_GE(before, 0) << i;
        const int seenStates = states;
        const auto killed = i % 3 == 0 ? deskPids() : i % 3 == 1 ? playerPids() : films();
        ASSERT_EQ(killed.size(), 1u) << i;
        ::kill(pid_t(killed[0]), SIGKILL);
        ASSERT_TRUE(waitUntil([&] {
            const auto now = i % 3 == 0 ? deskPids() : i % 3 == 1 ? playerPids() : films();
            return now.size() == 1 && now != killed;
        })) << i;
        if (i % 3 == 0) { // the desks have what the player kept for them
            ASSERT_TRUE(waitUntil([&] { return states > seenStates; })) << i;
        }
        ASSERT_TRUE(plays(before)) << i << ": " << before << ' ' << number(1) << ' ' << number(2) << ' '
                                   << films().size();
        // In the second where it would be without the kill, the time that it stood still aside.
        const double expected = begun + double(since.elapsed()) / 1000 * kRate;
        EXPECT_LT(number(1), expected + kRate) << i;
        pass(1200); // what dies again within this time would be left alone
    }
}

TEST_F(Films, StandStillByAKeyAndFadeOutWithWhatIsTakenNext) {
    startOnRun();
    take();
    ASSERT_TRUE(plays(10));
    press({u"p"_s});
    pass(600);
    const int still = number(1);
    pass(600);
    EXPECT_EQ(number(1), still);
    EXPECT_EQ(number(2), still);
    press({u"l"_s}); // ten seconds on
    ASSERT_TRUE(waitUntil([&] { return number(1) >= still + 9 * kRate; }));
    press({u"p"_s});
    ASSERT_TRUE(plays(still + 10 * kRate + 5));
    press({u"F9"_s});
    ASSERT_TRUE(waitUntil([] { return isBlack(monitor(1)); }));
    const int hidden = still + 10 * kRate + 5;
    pass(1000);
    press({u"F5"_s});
    ASSERT_TRUE(plays(hidden + kRate / 2)); // it has gone on
    const auto film = films();
    ASSERT_EQ(film.size(), 1u);
    take();
    ASSERT_TRUE(waitUntil([&] { return !isAlive(film[0]); }));
    EXPECT_LE(number(1), 0); // words on their own backdrop, which is dark above
}

} // namespace
} // namespace mivanta
