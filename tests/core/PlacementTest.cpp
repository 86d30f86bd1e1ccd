// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/run/Placement.h"
#include "support/Text.h"
#include <gtest/gtest.h>
#include <rapidcheck/gtest.h>

namespace mivanta {
namespace {

using Kind = Placement::Kind;

/// Side by side, each at the place of its letter.
Monitor monitor(const QString& name, bool isDesk = false, const MonitorIdentity& identity = {}) {
    return {name, QRect(1920 * (name[0].unicode() - u'A'), 0, 1920, 1080), isDesk, identity};
}

std::vector<Placement> placed(const std::vector<Output>& outputs, const std::vector<Monitor>& monitors) {
    Homes homes;
    return placementsFor(outputs, monitors, homes);
}

const Monitor desk = monitor(u"A"_s, true);

TEST(Placements, OutputsTakeTheFreeMonitorsAndNeverTheDesks) {
    const auto all = placed(usualOutputs(), {desk, monitor(u"B"_s), monitor(u"C"_s)});
    EXPECT_EQ(all[0], (Placement{Kind::FullScreen, u"B"_s}));
    EXPECT_EQ(all[1], (Placement{Kind::FullScreen, u"C"_s}));
    EXPECT_EQ(all[2].kind, Kind::Window);
    for (const Placement& p : placed(usualOutputs(), {desk}))
        EXPECT_EQ(p.kind, Kind::Window);
}

TEST(Placements, AChosenMonitorComesFirstAndIsSharedByNobody) {
    auto outputs = usualOutputs();
    outputs[1].place = {PlaceKind::Monitor, u"B"_s};
    outputs[2].place = {PlaceKind::Closed};
    auto all = placed(outputs, {desk, monitor(u"B"_s)});
    EXPECT_EQ(all[0].kind, Kind::Window);
    EXPECT_EQ(all[1].monitor, u"B"_s);
    EXPECT_EQ(all[2].kind, Kind::Closed);
    outputs[0].place = {PlaceKind::Monitor, u"B"_s};
    all = placed(outputs, {desk, monitor(u"B"_s)});
    EXPECT_EQ(all[0].monitor, u"B"_s);
    EXPECT_EQ(all[1].kind, Kind::Missing);
    outputs[0].place = {PlaceKind::Monitor, u"A"_s}; // the desks' own, when that is what was chosen
    EXPECT_EQ(placed(outputs, {desk})[0].monitor, u"A"_s);
}

TEST(Placements, AnUnpluggedMonitorMovesNobodyElseAndGetsItsOutputBack) {
    Homes homes;
    const auto outputs = usualOutputs();
    const auto before = placementsFor(outputs, {desk, monitor(u"B"_s), monitor(u"C"_s)}, homes);
    const auto without = placementsFor(outputs, {desk, monitor(u"C"_s)}, homes);
    EXPECT_EQ(without[0], (Placement{Kind::Missing, u"B"_s}));
    EXPECT_EQ(without[1], before[1]);
    EXPECT_EQ(without[2], before[2]);
    EXPECT_EQ(placementsFor(outputs, {desk, monitor(u"B"_s), monitor(u"C"_s)}, homes), before);
    // A spare one shows it meanwhile.
    const auto spare = placementsFor(outputs, {desk, monitor(u"C"_s), monitor(u"D"_s)}, homes);
    EXPECT_EQ(spare[0].monitor, u"D"_s);
    EXPECT_EQ(spare[1], before[1]);
    EXPECT_EQ(placementsFor(outputs, {desk, monitor(u"B"_s), monitor(u"C"_s), monitor(u"D"_s)}, homes)[0],
              before[0]);
}

TEST(Placements, MonitorsAreKnownByWhatTheyAre) {
    const MonitorIdentity projector{u"Seaview"_s, u"P-20"_s, u"001"_s};
    const MonitorIdentity twin{u"Seaview"_s, u"P-20"_s, u"002"_s};
    const MonitorIdentity other{u"Dunmoor"_s, u"TV"_s, u"7"_s};
    auto outputs = usualOutputs();
    outputs[0].place = {PlaceKind::Monitor, u"B"_s, projector};
    outputs[1].place = {PlaceKind::Monitor, u"C"_s, twin};
    // The cables are swapped.
    auto all = placed(outputs, {desk, monitor(u"B"_s, false, twin), monitor(u"C"_s, false, projector)});
    EXPECT_EQ(all[0].monitor, u"C"_s);
    EXPECT_EQ(all[1].monitor, u"B"_s);
    // It is on another connector, and its own has another monitor.
    outputs[1].place = {PlaceKind::Closed};
    all = placed(outputs, {desk, monitor(u"B"_s, false, other), monitor(u"D"_s, false, projector)});
    EXPECT_EQ(all[0].monitor, u"D"_s);
    // It is nowhere, but its connector has a new one.
    all = placed(outputs, {desk, monitor(u"B"_s, false, other)});
    EXPECT_EQ(all[0].monitor, u"B"_s);
    // The twin is not it, and says so.
    all = placed(outputs, {desk, monitor(u"D"_s, false, twin)});
    EXPECT_EQ(all[0].kind, Kind::Missing);
    EXPECT_EQ(all[0].monitor, u"Seaview P-20 at B"_s);
    // A cable that does not tell what is behind it.
    EXPECT_EQ(placed(outputs, {desk, monitor(u"B"_s)})[0].monitor, u"B"_s);
}

TEST(Placements, NoOutputGoesWhereTheDesksAreMirrored) {
    Monitor mirror = monitor(u"B"_s);
    mirror.geometry = desk.geometry;
    EXPECT_EQ(placed(usualOutputs(), {desk, mirror})[0].kind, Kind::Window);
    Monitor second = monitor(u"C"_s);
    Monitor third = monitor(u"D"_s);
    third.geometry = second.geometry;
    const auto all = placed(usualOutputs(), {desk, second, third});
    EXPECT_EQ(all[0].monitor, u"C"_s);
    EXPECT_EQ(all[1].kind, Kind::Window); // not under the other one
    EXPECT_EQ(mirroredMonitors({desk, mirror, second, third}),
              (std::vector<std::vector<int>>{{0, 1}, {2, 3}}));
    EXPECT_TRUE(mirroredMonitors({desk, second}).empty());
}

RC_GTEST_PROP(Placements, HoldWhateverIsPluggedInAndOut, ()) {
    auto outputs = usualOutputs();
    outputs.push_back(outputs.front());
    outputs.back().name = u"overflow"_s;
    for (Output& output : outputs)
        if (*rc::gen::inRange(0, 4) == 0)
            output.place = {PlaceKind::Monitor, QString(QChar(u'A' + *rc::gen::inRange(0, 6)))};
    Homes homes;
    std::map<QString, Placement> first;
    for (int round = 0; round < 8; ++round) {
        std::vector<Monitor> monitors{desk};
        for (char16_t letter = u'B'; letter < u'G'; ++letter)
            if (*rc::gen::inRange(0, 3) > 0)
                monitors.push_back(monitor(QString(QChar(letter))));
        const auto all = placementsFor(outputs, monitors, homes);
        RC_ASSERT(all.size() == outputs.size());
        std::set<QString> taken;
        for (size_t i = 0; i < all.size(); ++i) {
            const bool isChosen = outputs[i].place.kind == PlaceKind::Monitor;
            if (all[i].kind != Kind::FullScreen)
                continue;
            RC_ASSERT(taken.insert(all[i].monitor).second);
            RC_ASSERT((isChosen || all[i].monitor != desk.name));
            RC_ASSERT((!isChosen || all[i].monitor == outputs[i].place.monitor));
        }
        // Where an output was first, it is whenever nobody has chosen that monitor and it is there.
        for (size_t i = 0; i < all.size(); ++i) {
            if (outputs[i].place.kind != PlaceKind::Automatic)
                continue;
            if (all[i].kind == Kind::FullScreen)
                first.try_emplace(outputs[i].name, all[i]);
            const auto home = first.find(outputs[i].name);
            const bool isThere =
                home != first.end() && std::any_of(monitors.begin(), monitors.end(), [&](const Monitor& m) {
                    return m.name == home->second.monitor;
                });
            if (isThere)
                RC_ASSERT((all[i] == home->second || taken.contains(home->second.monitor)));
        }
    }
}

} // namespace
} // namespace mivanta
