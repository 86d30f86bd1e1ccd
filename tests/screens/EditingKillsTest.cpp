// SPDX-License-Identifier: GPL-3.0-or-later
#include "screens/Screens.h"
#include "store/Journal.h"
#include <QRandomGenerator>

namespace mivanta {
namespace {

constexpr int kKills = 50;
constexpr qint64 kLongestEditingMs = 1500;
constexpr qint64 kLossMs = 1000; ///< what the journal is made for
constexpr qint64 kBusyMs = 2000; ///< on top, for a machine that has no time for the desks

/// The service as the journal has it.
std::optional<Service> journalled(const QString& unsavedFolder) {
    const auto entry = Journal(unsavedFolder).read();
    if (!entry || !*entry)
        return std::nullopt;
    return (*entry)->service;
}

TEST_F(Screens, EditingKillsLoseAtMostTheLastMoment) {
    start({});
    ASSERT_TRUE(waitUntil([&] { return state()[u"desk"_s] == u"prepare"_s; }));
    pass(500);
    press({u"ctrl+f"_s});
    type(u"fire burning"_s);
    pass(2000);
    press({u"Return"_s});
    ASSERT_TRUE(waitUntil([&] {
        const auto service = journalled(computer().unsavedFolder(library));
        return service && service->items.size() == 1;
    }));
    QRandomGenerator random(11);
    std::vector<qint64> lost;
    for (int kill = 0; kill < kKills; ++kill) {
        const auto pids = deskPids();
        ASSERT_EQ(pids.size(), 1u) << kill;
        const auto before = journalled(computer().unsavedFolder(library));
        ASSERT_TRUE(before) << kill;
        press({u"ctrl+f"_s});
        pass(500); // Find shows the library's songs, the first of them chosen
        // One item more at each press, until the kill.
        std::vector<qint64> pressedAt;
        QElapsedTimer time;
        time.start();
        const qint64 end = 200 + qint64(random.bounded(quint64(kLongestEditingMs)));
        while (time.elapsed() < end) {
            run(u"xdotool"_s, {u"key"_s, u"Return"_s});
            pressedAt.push_back(time.elapsed());
        }
        const qint64 killedAt = time.elapsed();
        const int seen = states;
        ::kill(pid_t(pids[0]), SIGKILL);
        ASSERT_TRUE(waitUntil([&] { return !isAlive(pids[0]); }));
        const auto kept = journalled(computer().unsavedFolder(library));
        ASSERT_TRUE(kept) << "the journal cannot be read after kill " << kill;
        const auto has = qint64(kept->items.size()) - qint64(before->items.size());
        ASSERT_GE(has, 0) << kill;
        ASSERT_LE(has, qint64(pressedAt.size())) << kill;
        const qint64 loss = has < qint64(pressedAt.size()) ? killedAt - pressedAt[size_t(has)] : 0;
        EXPECT_LE(loss, kLossMs + kBusyMs) << "kill " << kill;
        lost.push_back(loss);
        // Exactly what was kept is there again.
        ASSERT_TRUE(waitUntil([&] {
            const auto now = deskPids();
            return states > seen && now.size() == 1 && now != pids;
        })) << kill;
        pass(700);
        const auto again = journalled(computer().unsavedFolder(library));
        ASSERT_TRUE(again) << kill;
        ASSERT_EQ(again->items.size(), kept->items.size()) << kill;
        for (size_t i = 0; i < kept->items.size(); ++i)
            EXPECT_TRUE(again->items[i].id == kept->items[i].id);
    }
    std::sort(lost.begin(), lost.end());
    std::printf("lost by a kill while editing: %lld ms of work (median), %lld ms (worst)\n",
                static_cast<long long>(lost[lost.size() / 2]), static_cast<long long>(lost.back()));
    EXPECT_LE(lost[lost.size() / 2], kLossMs);
}

} // namespace
} // namespace mivanta
