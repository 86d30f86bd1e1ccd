// SPDX-License-Identifier: GPL-3.0-or-later
#include "screens/Edid.h"
#include "screens/Screens.h"

namespace mivanta {
namespace {

/// Monitors that come and go while a service runs.
class Monitors : public Screens {
protected:
    void SetUp() override {
        Screens::SetUp();
        plug(u"DUMMY1"_s, u"1280x0"_s);
        plug(u"DUMMY2"_s, u"3200x0"_s);
    }
    void TearDown() override {
        Screens::TearDown();
        for (const char* name : {"DUMMY1", "DUMMY2"})
            setEdid(name, QByteArray());
        plug(u"DUMMY1"_s, u"1280x0"_s);
        plug(u"DUMMY2"_s, u"3200x0"_s);
    }
    static void plug(const QString& name, const QString& place) {
        change({name, u"--mode"_s, u"mivanta-1920x1080"_s, u"--pos"_s, place});
    }
    static void change(const QStringList& arguments) {
        run(u"xrandr"_s, QStringList{u"--output"_s} + arguments);
        run(u"xrandr"_s, {u"--query"_s}); // this server tells of a change when it is asked next
    }
    static void unplug(const QString& name) { change({name, u"--off"_s}); }
    [[nodiscard]] Placement::Kind hallKind() const {
        return placements.empty() ? Placement::Kind::Closed : placements[0].kind;
    }
    /// Until it stands on every monitor.
    void takeAndWait() {
        const QJsonObject before = state();
        const auto paintedBefore = painted;
        press({u"space"_s});
        ASSERT_TRUE(waitUntil([&] { return state()[u"onScreen"_s] != before[u"onScreen"_s]; }));
        const std::vector<Output> outputs = usualOutputs();
        for (size_t i = 0; i < placements.size(); ++i)
            if (placements[i].kind == Placement::Kind::FullScreen) {
                const QString& name = outputs.at(i).name;
                const auto at = paintedBefore.find(name);
                ASSERT_TRUE(waitUntil([&] {
                    return painted.contains(name) &&
                           (at == paintedBefore.end() || painted[name] > at->second);
                })) << name.toStdString();
            }
    }
    static const QRect hallArea;
    static const QRect stageArea;
};
const QRect Monitors::hallArea(1280, 0, 1920, 1080);
const QRect Monitors::stageArea(3200, 0, 1920, 1080);

TEST_F(Monitors, PulledAndPutBackShowsWhatItShouldAndDisturbsNobody) {
    startOnRun();
    takeAndWait();
    takeAndWait();
    takeAndWait(); // the slide that the hall is to show when it is back
    const QImage later = settled(hallArea);
    press({u"u"_s});
    ASSERT_TRUE(waitUntil([&] { return grabbed(hallArea) != later; }));
    const QImage hall = settled(hallArea);
    const QImage stage = settled(stageArea);

    unplug(u"DUMMY1"_s);
    ASSERT_TRUE(waitUntil([&] { return hallKind() == Placement::Kind::Missing; }));
    EXPECT_EQ(placements[1], (Placement{Placement::Kind::FullScreen, u"DUMMY2"_s}));
    for (int i = 0; i < 10; ++i) {
        EXPECT_EQ(grabbed(stageArea), stage);
        EXPECT_NE(grabbed(QRect(0, 0, 1280, 800)), hall.copy(0, 0, 1280, 800)); // the desks stay to be seen
        pass(80);
    }
    takeAndWait(); // the service goes on
    plug(u"DUMMY1"_s, u"1280x0"_s);
    ASSERT_TRUE(waitUntil([&] { return hallKind() == Placement::Kind::FullScreen; }));
    EXPECT_EQ(placements[0].monitor, u"DUMMY1"_s);
    EXPECT_TRUE(waitUntil([&] { return grabbed(hallArea) == later; }));
    EXPECT_EQ(deskPids().size(), 1u);
    EXPECT_EQ(playerPids().size(), 1u);
}

TEST_F(Monitors, AMonitorIsKnownAtAnotherConnector) {
    const QByteArray projector = edidOf("SEA", "Seaview P-20", "0042");
    const QByteArray screen = edidOf("SEA", "Seaview TV", "7");
    unplug(u"DUMMY1"_s);
    unplug(u"DUMMY2"_s);
    ASSERT_TRUE(setEdid("DUMMY1", projector));
    ASSERT_TRUE(setEdid("DUMMY2", screen));
    plug(u"DUMMY1"_s, u"1280x0"_s);
    plug(u"DUMMY2"_s, u"3200x0"_s);
    startOnRun();
    ASSERT_TRUE(waitUntil([&] { return seen.size() == 3; }));
    const auto monitorAt = [&](const QString& name) {
        for (const Monitor& monitor : seen)
            if (monitor.name == name)
                return monitor;
        return Monitor();
    };
    EXPECT_EQ(monitorAt(u"DUMMY1"_s).identity.model, u"Seaview P-20"_s);
    EXPECT_EQ(monitorAt(u"DUMMY1"_s).identity.serial, u"0042"_s);
    takeAndWait();
    const QImage hall = settled(hallArea);
    const QImage stage = settled(stageArea);

    unplug(u"DUMMY1"_s); // the cables are swapped
    unplug(u"DUMMY2"_s);
    ASSERT_TRUE(waitUntil([&] { return seen.size() == 1; }));
    ASSERT_TRUE(setEdid("DUMMY1", screen));
    ASSERT_TRUE(setEdid("DUMMY2", projector));
    plug(u"DUMMY1"_s, u"1280x0"_s);
    plug(u"DUMMY2"_s, u"3200x0"_s);
    ASSERT_TRUE(waitUntil([&] { return placements.size() > 1 && placements[0].monitor == u"DUMMY2"_s; }));
    EXPECT_EQ(placements[1].monitor, u"DUMMY1"_s);
    EXPECT_TRUE(waitUntil([&] { return grabbed(stageArea) == hall; }));
    EXPECT_TRUE(waitUntil([&] { return grabbed(hallArea) == stage; }));
}

TEST_F(Monitors, MirroredWithTheDesksNoOutputCoversThem) {
    startOnRun();
    takeAndWait();
    const QImage hall = settled(hallArea);
    run(u"xrandr"_s,
        {u"--output"_s, u"DUMMY1"_s, u"--mode"_s, u"mivanta-1920x1080"_s, u"--same-as"_s, u"DUMMY0"_s});
    ASSERT_TRUE(waitUntil([&] { return hallKind() == Placement::Kind::Missing; }));
    EXPECT_FALSE(mirroredMonitors(seen).empty());
    pass(500);
    EXPECT_NE(grabbed(QRect(0, 0, 1280, 800)), hall.copy(0, 0, 1280, 800));
    plug(u"DUMMY1"_s, u"1280x0"_s);
    ASSERT_TRUE(waitUntil([&] { return hallKind() == Placement::Kind::FullScreen; }));
    EXPECT_TRUE(waitUntil([&] { return grabbed(hallArea) == hall; }));
}

} // namespace
} // namespace mivanta
