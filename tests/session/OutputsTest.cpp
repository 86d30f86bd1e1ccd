// SPDX-License-Identifier: GPL-3.0-or-later
#include "session/outputs/Outputs.h"
#include "link/PlayerClient.h"
#include "session/run/RunController.h"
#include "session/service/ServiceDocument.h"
#include "session/service/SlideBook.h"
#include "support/Samples.h"
#include "support/Text.h"
#include "support/WaitUntil.h"
#include <QTemporaryDir>
#include <gtest/gtest.h>

namespace mivanta {
namespace {

/// The outputs of this computer, without a player and without a window.
class OutputsOfThisComputer : public ::testing::Test {
protected:
    void SetUp() override { begin(); }
    /// As a new start of the program.
    void begin() {
        outputs.reset();
        outputs = std::make_unique<Outputs>(book, run, player, ThisComputer(folder.path()), folder.path());
        QObject::connect(
            outputs.get(), &Outputs::offered,
            [this](const QString&, const QString&, const std::function<void()>& act) { offer = act; });
        for (auto told : {&Outputs::notice, &Outputs::warning})
            QObject::connect(outputs.get(), told, [this](const QString& text) { said << text; });
        outputs->load();
        ASSERT_TRUE(waitUntil([&] { return outputs->isLoaded(); }));
    }
    [[nodiscard]] QStringList names() const {
        QStringList result;
        for (const Output& output : outputs->all())
            result << output.name;
        return result;
    }
    /// What the player says of the screens.
    void place(const QStringList& monitors, const Placement& first) {
        std::vector<Monitor> connected;
        for (const QString& name : monitors) {
            connected.emplace_back();
            connected.back().name = name;
            connected.back().geometry = {1000 * int(connected.size()), 0, 800, 600};
        }
        std::vector<Placement> places(outputs->all().size());
        places[0] = first;
        said.clear();
        Q_EMIT player.placesChanged(connected, places);
    }

    QTemporaryDir folder;
    ServiceDocument document{LibraryAddress(folder.path()).mediaFolder(), Journal(folder.path()),
                             samples::theme()};
    SlideBook book{document, {samples::theme()}};
    PlayerClient player{{folder.path(), {}, {}}};
    RunController run{book, document, player};
    std::unique_ptr<Outputs> outputs;
    std::function<void()> offer;
    QStringList said;
};

TEST_F(OutputsOfThisComputer, AreTheUsualOnesAtFirstAndAsTheyWereLeftLater) {
    ASSERT_EQ(names(), QStringList({u"hall"_s, u"stage"_s, u"stream"_s}));
    Output hall = outputs->all()[0];
    hall.backRow = 21;
    outputs->change(hall);
    begin();
    EXPECT_EQ(outputs->all()[0].backRow, 21);
}

TEST_F(OutputsOfThisComputer, OneMoreGetsANameOfItsOwn) {
    EXPECT_EQ(outputs->add(OutputKind::Stage), u"stage 2"_s);
    EXPECT_EQ(outputs->add(OutputKind::Stage), u"stage 3"_s);
    EXPECT_EQ(outputs->all().back().kind, OutputKind::Stage);
    begin();
    EXPECT_EQ(names().last(), u"stage 3"_s);
}

TEST_F(OutputsOfThisComputer, ANameIsOneOutputsOnly) {
    EXPECT_FALSE(outputs->rename(u"hall"_s, u"stage"_s));
    EXPECT_FALSE(outputs->rename(u"hall"_s, u"  "_s));
    EXPECT_TRUE(outputs->rename(u"hall"_s, u" Front "_s));
    EXPECT_EQ(names(), QStringList({u"Front"_s, u"stage"_s, u"stream"_s}));
}

TEST_F(OutputsOfThisComputer, WhatWasRemovedComesBackWhereItWasAndTheLastOneStays) {
    outputs->remove(u"stage"_s);
    EXPECT_EQ(names(), QStringList({u"hall"_s, u"stream"_s}));
    ASSERT_TRUE(offer);
    offer();
    offer(); // pressed twice
    EXPECT_EQ(names(), QStringList({u"hall"_s, u"stage"_s, u"stream"_s}));
    for (const QString& name : names())
        outputs->remove(name);
    EXPECT_EQ(names(), QStringList{u"stream"_s});
}

TEST_F(OutputsOfThisComputer, AScreenThatIsPulledIsToldAndThatItIsBack) {
    using Kind = Placement::Kind;
    Placement screen;
    screen.kind = Kind::FullScreen;
    screen.monitor = u"HDMI-1"_s;
    place({u"eDP-1"_s, u"HDMI-1"_s}, screen);
    EXPECT_EQ(said, QStringList()); // as it always is
    Placement none = screen;
    none.kind = Kind::Missing;
    place({u"eDP-1"_s}, none);
    ASSERT_EQ(said.size(), 1);
    EXPECT_TRUE(said[0].contains(u"unplugged (HDMI-1)"_s)) << said[0].toStdString();
    place({u"eDP-1"_s, u"HDMI-1"_s}, screen);
    ASSERT_EQ(said.size(), 1);
    EXPECT_TRUE(said[0].contains(u"is back on its screen: HDMI-1"_s)) << said[0].toStdString();
    Placement other = screen;
    other.monitor = u"DP-2"_s;
    place({u"eDP-1"_s, u"DP-2"_s}, other);
    ASSERT_EQ(said.size(), 1);
    EXPECT_TRUE(said[0].contains(u"Its picture is on DP-2"_s)) << said[0].toStdString();
}

} // namespace
} // namespace mivanta
