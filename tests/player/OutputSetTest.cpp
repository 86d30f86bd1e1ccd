// SPDX-License-Identifier: GPL-3.0-or-later
#include "player/OutputSet.h"
#include "player/PreparedFrames.h"
#include "support/Text.h"
#include "support/WaitUntil.h"
#include <QGuiApplication>
#include <QScreen>
#include <QWindow>
#include <gtest/gtest.h>

namespace mivanta {
namespace {

Output output(const QString& name, PlaceKind place = PlaceKind::Automatic) {
    Output result;
    result.name = name;
    result.size = {640, 360};
    result.place.kind = place;
    return result;
}

Scene sceneOf(const QString& words) {
    Scene result;
    result.output = u"hall"_s;
    result.size = {640, 360};
    result.fontSize = 30;
    result.rows = {{words, {}}};
    return result;
}

int openWindows() {
    int count = 0;
    for (const QWindow* window : QGuiApplication::topLevelWindows())
        count += window->isVisible() ? 1 : 0;
    return count;
}

/// With the one screen that the desks are on, outputs are windows on it.
class Outputs : public ::testing::Test {
protected:
    Outputs() {
        QObject::connect(&set, &OutputSet::placesChanged, [this] { ++placed; });
        QObject::connect(&set, &OutputSet::pictureAdded, [this] { ++added; });
    }
    [[nodiscard]] QString desk() const { return QGuiApplication::primaryScreen()->name(); }
    PreparedFrames frames;
    Films films;
    OutputSet set{frames, films};
    int placed = 0;
    int added = 0;
};

TEST_F(Outputs, OpenAsWindowsBesideTheDesksWhenThereIsNoOtherScreen) {
    set.setOutputs({output(u"hall"_s), output(u"stage"_s)}, desk());
    EXPECT_EQ(added, 2);
    EXPECT_EQ(placed, 1);
    ASSERT_EQ(set.placements().size(), 2u);
    for (const Placement& placement : set.placements())
        EXPECT_EQ(placement.kind, Placement::Kind::Window);
    EXPECT_EQ(openWindows(), 2);
    EXPECT_EQ(set.indexOf(u"stage"_s), 1);
    EXPECT_EQ(set.indexOf(u"nowhere"_s), -1);
    EXPECT_EQ(set.picture(u"nowhere"_s), nullptr);
}

TEST_F(Outputs, AnOutputThatStaysKeepsItsPictureThroughEveryChange) {
    set.setOutputs({output(u"hall"_s), output(u"stage"_s)}, desk());
    OutputPicture* hall = set.picture(u"hall"_s);
    set.setOutputs({output(u"stream"_s), output(u"hall"_s)}, desk());
    EXPECT_EQ(set.picture(u"hall"_s), hall);
    EXPECT_EQ(set.indexOf(u"hall"_s), 1);
    EXPECT_EQ(set.picture(u"stage"_s), nullptr);
    EXPECT_EQ(added, 3);
    EXPECT_EQ(openWindows(), 2);
    Output wider = output(u"hall"_s);
    wider.size = {800, 450};
    set.setOutputs({wider}, desk());
    EXPECT_EQ(set.picture(u"hall"_s), hall);
    EXPECT_EQ(openWindows(), 1);
}

TEST_F(Outputs, AClosedOneHasNoWindowAndOpensAgain) {
    set.setOutputs({output(u"hall"_s, PlaceKind::Closed)}, desk());
    EXPECT_EQ(set.placements()[0].kind, Placement::Kind::Closed);
    EXPECT_EQ(openWindows(), 0);
    ASSERT_NE(set.picture(u"hall"_s), nullptr);
    set.setOutputs({output(u"hall"_s)}, desk());
    EXPECT_EQ(openWindows(), 1);
    set.setOutputs({}, desk());
    EXPECT_EQ(openWindows(), 0);
    EXPECT_TRUE(set.pictures().empty());
}

TEST_F(Outputs, AMonitorNameThatIsNotThereLeavesTheDesksWhereTheyAre) {
    set.setOutputs({output(u"hall"_s)}, u"gone"_s);
    ASSERT_EQ(set.monitors().size(), 1u);
    EXPECT_TRUE(set.monitors()[0].isDesk);
    EXPECT_EQ(set.placements()[0].kind, Placement::Kind::Window);
}

class Frames : public ::testing::Test {
protected:
    Frames() {
        QObject::connect(&frames, &PreparedFrames::ready,
                         [this](const FramePtr& frame) { ready << frame->key; });
    }
    PreparedFrames frames;
    QList<QByteArray> ready;
};

TEST_F(Frames, AreDrawnOnceAndRemembered) {
    EXPECT_EQ(frames.get(sceneOf(u"one"_s), {640, 360}), nullptr);
    static_cast<void>(frames.get(sceneOf(u"one"_s), {640, 360})); // asked again while it is drawn
    ASSERT_TRUE(waitUntil([&] { return ready.size() == 1; }));
    const FramePtr frame = frames.get(sceneOf(u"one"_s), {640, 360});
    ASSERT_TRUE(frame);
    EXPECT_EQ(frame->behind->image.size(), QSize(640, 360));
    EXPECT_FALSE(frame->small.isNull());
    EXPECT_EQ(frames.get(sceneOf(u"one"_s), {640, 360}), frame);
    EXPECT_EQ(ready.size(), 1);
}

TEST_F(Frames, WhatIsPreparedIsThereWhenItIsAskedFor) {
    frames.prepare(sceneOf(u"next"_s), {640, 360});
    ASSERT_TRUE(waitUntil([&] { return ready.size() == 1; }));
    EXPECT_NE(frames.get(sceneOf(u"next"_s), {640, 360}), nullptr);
}

TEST_F(Frames, AnOutputWithoutAWindowGetsTheSmallPictureOnly) {
    frames.prepare(sceneOf(u"small"_s), {});
    ASSERT_TRUE(waitUntil([&] { return ready.size() == 1; }));
    const FramePtr frame = frames.get(sceneOf(u"small"_s), {});
    ASSERT_TRUE(frame);
    EXPECT_EQ(frame->behind, nullptr);
    EXPECT_FALSE(frame->small.isNull());
}

TEST_F(Frames, WhatIsWaitedForGoesBeforeWhatIsDrawnAhead) {
    for (int i = 0; i < 12; ++i)
        frames.prepare(sceneOf(u"ahead %1"_s.arg(i)), {640, 360});
    static_cast<void>(frames.get(sceneOf(u"now"_s), {640, 360}));
    const QByteArray now = PreparedFrames::keyOf(sceneOf(u"now"_s), {640, 360});
    ASSERT_TRUE(waitUntil([&] { return ready.contains(now); }));
    EXPECT_LT(ready.indexOf(now), 12);
}

TEST_F(Frames, WhatIsNotWantedAnyMoreIsNotDrawn) {
    for (int i = 0; i < 40; ++i)
        frames.prepare(sceneOf(u"old %1"_s.arg(i)), {640, 360});
    EXPECT_GE(frames.waiting(), 39u);
    frames.prepareNoMore();
    frames.prepare(sceneOf(u"new"_s), {640, 360});
    const QByteArray wanted = PreparedFrames::keyOf(sceneOf(u"new"_s), {640, 360});
    ASSERT_TRUE(waitUntil([&] { return ready.contains(wanted); }));
    EXPECT_LE(ready.size(), 2); // the one that was being drawn, and this
    EXPECT_EQ(frames.waiting(), 0u);
}

TEST_F(Frames, KeysTellScenesAndSizesApart) {
    const QByteArray key = PreparedFrames::keyOf(sceneOf(u"a"_s), {640, 360});
    EXPECT_EQ(key, PreparedFrames::keyOf(sceneOf(u"a"_s), {640, 360}));
    EXPECT_NE(key, PreparedFrames::keyOf(sceneOf(u"b"_s), {640, 360}));
    EXPECT_NE(key, PreparedFrames::keyOf(sceneOf(u"a"_s), {320, 180}));
    Scene black = sceneOf(u"a"_s);
    black.curtain = Curtain::Black;
    EXPECT_NE(key, PreparedFrames::keyOf(black, {640, 360}));
}

} // namespace
} // namespace mivanta
