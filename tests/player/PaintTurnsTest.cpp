// SPDX-License-Identifier: GPL-3.0-or-later
#include "player/PaintTurns.h"
#include "support/Text.h"
#include "support/WaitUntil.h"
#include <gtest/gtest.h>

namespace mivanta {
namespace {

class PaintTurn : public ::testing::Test {
protected:
    std::function<void()> notes(const QString& what) {
        return [this, what] { noted << what; };
    }
    PaintTurns turns;
    QObject hall;
    QObject stage;
    QStringList noted;
};

TEST_F(PaintTurn, AnOrderThatComesWaitsForOneOutputAtMost) {
    turns.ask(&hall, [this] {
        noted << u"hall"_s;
        QMetaObject::invokeMethod(&hall, notes(u"order"_s), Qt::QueuedConnection);
    });
    turns.ask(&stage, notes(u"stage"_s));
    EXPECT_TRUE(noted.isEmpty()) << "nothing is painted at once";
    ASSERT_TRUE(waitUntil([&] { return noted.size() == 3; }));
    EXPECT_EQ(noted, (QStringList{u"hall"_s, u"order"_s, u"stage"_s}));
}

TEST_F(PaintTurn, WhoAsksTwiceIsPaintedOnceAsItIsThen) {
    turns.ask(&hall, notes(u"old"_s));
    turns.ask(&stage, notes(u"stage"_s));
    turns.ask(&hall, notes(u"new"_s));
    ASSERT_TRUE(waitUntil([&] { return noted.size() == 2; }));
    QCoreApplication::processEvents();
    EXPECT_EQ(noted, (QStringList{u"new"_s, u"stage"_s}));
}

TEST_F(PaintTurn, WhoIsGoneOrWantsItNoMoreIsNotPainted) {
    auto gone = std::make_unique<QObject>();
    turns.ask(gone.get(), notes(u"gone"_s));
    turns.ask(&hall, notes(u"hall"_s));
    turns.ask(&stage, notes(u"stage"_s));
    gone.reset();
    turns.forget(&hall);
    ASSERT_TRUE(waitUntil([&] { return !noted.isEmpty(); }));
    QCoreApplication::processEvents();
    EXPECT_EQ(noted, QStringList{u"stage"_s});
}

} // namespace
} // namespace mivanta
