// SPDX-License-Identifier: GPL-3.0-or-later
#include "LoopRunning.h"
#include "session/run/OnScreen.h"
#include "support/PretendedPlayer.h"
#include "support/WaitUntil.h"
#include <random>

namespace mivanta {
namespace {

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
