// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/Window.h"
#include "session/outputs/ScreenTexts.h"
#include "support/Samples.h"
#include <QCheckBox>
#include <QComboBox>
#include <QDoubleSpinBox>
#include <QLineEdit>
#include <QPushButton>
#include <QSpinBox>

namespace mivanta {
namespace {

/// How outputs stand on their screens, set by hand on the Setup desk. There are two screens: booth and hall.
class ScreensSetup : public PlayerTest {
protected:
    void SetUp() override {
        PlayerTest::SetUp();
        session->document().insert(0, songItem(samples::harbourSong(u"First"_s)));
        window->goTo(MainWindow::SetupAt);
        ASSERT_TRUE(waitUntil([&] { return !session->outputs().placements().empty(); }));
    }
    const Output& output(size_t index = 0) { return session->outputs().all()[index]; }
    Scene sceneOn(const QString& name) {
        for (const Scene& scene : session->run().shownNow())
            if (scene.output == name)
                return scene;
        return {};
    }
    QString lamp() { return window->findChild<Header*>(u"header"_s)->lampText(); }
    void check(const QString& name) { child<QCheckBox>(name)->click(); }
    void choose(const QString& name, int index) {
        auto* box = child<QComboBox>(name);
        box->setCurrentIndex(index);
        Q_EMIT box->activated(index);
    }
    void open(const QString& name) { QTest::mouseClick(child<QWidget>(u"output-"_s + name), Qt::LeftButton); }
};

TEST_F(ScreensSetup, EverythingThatIsSetIsKept) {
    child<QSpinBox>(u"picture-px-wide"_s)->setValue(1600);
    check(u"always-above"_s);
    check(u"hide-pointer"_s);
    choose(u"picture-turn"_s, int(Turn::Half));
    check(u"picture-mirrored"_s);
    check(u"picture-flipped"_s);
    child<QDoubleSpinBox>(u"margin-top"_s)->setValue(2.5);
    choose(u"picture-ground"_s, int(Ground::Key));
    for (const auto& layer : {u"layer-backdrop"_s, u"layer-call-outs"_s})
        check(layer);
    const Output expected = output();
    EXPECT_EQ(expected.size.width(), 1600);
    EXPECT_FALSE(expected.isAbove);
    EXPECT_FALSE(expected.hidesPointer);
    EXPECT_EQ(expected.shape, (OutputShape{Turn::Half, true, true, QMarginsF(0, 2.5, 0, 0)}));
    EXPECT_EQ(expected.ground, Ground::Key);
    EXPECT_EQ(expected.layers, (OutputLayers{true, false, true, true, false}));
    ASSERT_TRUE(waitUntil([&] {
        const auto kept = computer().outputs(libraryFolder);
        return kept && kept->front() == expected;
    }));
}

TEST_F(ScreensSetup, AnOutputShowsOnlyItsLayers) {
    check(u"layer-backdrop"_s);
    check(u"layer-credit"_s);
    window->goTo(MainWindow::RunAt);
    press(Qt::Key_Space);
    EXPECT_EQ(sceneOn(u"hall"_s).look.backdrop.kind, BackdropKind::None);
    EXPECT_TRUE(sceneOn(u"hall"_s).credit.isEmpty());
    EXPECT_FALSE(sceneOn(u"hall"_s).rows.empty());
    window->goTo(MainWindow::SetupAt);
    check(u"layer-words"_s);
    EXPECT_FALSE(sceneOn(u"hall"_s).rows.empty()); // nothing changes on a screen without a take
    window->goTo(MainWindow::RunAt);
    press(Qt::Key_Space);
    EXPECT_TRUE(sceneOn(u"hall"_s).rows.empty());
    EXPECT_FALSE(sceneOn(u"stage"_s).rows.empty());
}

TEST_F(ScreensSetup, ATestCardIsShownAndNobodyLeavesItThere) {
    auto* card = child<QPushButton>(u"test-card"_s);
    card->click();
    EXPECT_TRUE(sceneOn(u"hall"_s).isTestCard);
    EXPECT_FALSE(sceneOn(u"stage"_s).isTestCard);
    EXPECT_TRUE(waitUntil([&] { return lamp().contains(u"Test card"_s, Qt::CaseInsensitive); }));
    EXPECT_TRUE(waitUntil([&] { return !shown(u"hall"_s).isNull(); }));
    card->click();
    EXPECT_FALSE(sceneOn(u"hall"_s).isTestCard);
    card->click();
    window->goTo(MainWindow::RunAt);
    EXPECT_FALSE(sceneOn(u"hall"_s).isTestCard);
    EXPECT_TRUE(waitUntil([&] { return !lamp().contains(u"test card"_s, Qt::CaseInsensitive); }));
}

TEST_F(ScreensSetup, AnotherNameKeepsWhatTheOutputShows) {
    window->goTo(MainWindow::RunAt);
    press(Qt::Key_Space);
    session->run().covers().setOwnCurtain(u"hall"_s, Curtain::Plain);
    window->goTo(MainWindow::SetupAt);
    auto* name = child<QLineEdit>(u"output-name"_s);
    name->setFocus();
    name->selectAll();
    type(u"nave\n"_s);
    EXPECT_EQ(output().name, u"nave"_s);
    EXPECT_FALSE(sceneOn(u"nave"_s).rows.empty());
    EXPECT_EQ(session->run().state().covers.on(u"nave"_s), Curtain::Plain);
    EXPECT_TRUE(waitUntil([&] { return !shown(u"nave"_s).isNull(); }));
    name->setFocus();
    name->selectAll();
    type(u"stage\n"_s);
    EXPECT_EQ(output().name, u"nave"_s);
    EXPECT_EQ(name->text(), u"nave"_s);
    EXPECT_TRUE(window->notices()->text().contains(u"Another output"_s));
    session->run().undoTake();
    EXPECT_FALSE(session->run().takenScenes().empty());
}

TEST_F(ScreensSetup, AWindowGetsItsPlace) {
    choose(u"place-hall"_s, child<QComboBox>(u"place-hall"_s)->findData(int(PlaceKind::Window)));
    check(u"window-placed"_s);
    child<QSpinBox>(u"window-left"_s)->setValue(100);
    child<QSpinBox>(u"window-top"_s)->setValue(60);
    child<QSpinBox>(u"window-wide"_s)->setValue(640);
    child<QSpinBox>(u"window-high"_s)->setValue(360);
    EXPECT_EQ(output().place.window, QRect(100, 60, 640, 360));
    EXPECT_EQ(placeText({Placement::Kind::Window}, output()), u"In a window at 100, 60"_s);
}

TEST_F(ScreensSetup, AScreenThatIsMissingIsSaidAndComesBack) {
    Output hall = output();
    hall.place = {PlaceKind::Monitor, u"HDMI-9"_s, {u"Seaview"_s, u"P-20"_s, u"1"_s}};
    session->outputs().change(hall);
    ASSERT_TRUE(
        waitUntil([&] { return session->outputs().placements()[0].kind == Placement::Kind::Missing; }));
    EXPECT_TRUE(textsOf(u"setup-desk"_s).join(u' ').contains(u"Seaview P-20 at HDMI-9"_s));
    EXPECT_EQ(child<QComboBox>(u"place-hall"_s)->currentText(), u"Seaview P-20 at HDMI-9, not connected"_s);
    // What the session says when monitors come and go.
    const Placement there{Placement::Kind::FullScreen, u"HDMI-9"_s};
    const Placement gone{Placement::Kind::Missing, u"HDMI-9"_s};
    const auto others = std::vector<Placement>(session->outputs().placements().begin() + 1,
                                               session->outputs().placements().end());
    const auto tell = [&](const Placement& first) {
        std::vector<Placement> all{first};
        all.insert(all.end(), others.begin(), others.end());
        Q_EMIT session->player().placesChanged(session->outputs().monitors(), all);
        return window->notices()->text();
    };
    static_cast<void>(tell(there));
    EXPECT_TRUE(tell(gone).contains(u"was unplugged"_s));
    EXPECT_TRUE(tell(there).contains(u"is back on its screen"_s));
}

TEST(ScreenTexts, MirroredScreensAreExplained) {
    const Monitor desk{u"DP-1"_s, QRect(0, 0, 1280, 800), true};
    const Monitor same{u"HDMI-1"_s, QRect(0, 0, 1280, 800)};
    const Monitor other{u"HDMI-2"_s, QRect(1280, 0, 1920, 1080), false, {u"Seaview"_s, u"P-20"_s, {}}};
    EXPECT_TRUE(mirrorText({desk, other}).isEmpty());
    EXPECT_TRUE(mirrorText({desk, same}).contains(u"DP-1 and HDMI-1 mirror each other"_s));
    EXPECT_TRUE(mirrorText({desk, same}).contains(u"extend the desktop"_s));
    EXPECT_EQ(monitorText(2, other), u"Screen 2: Seaview P-20 at HDMI-2 (1920 \u00d7 1080)"_s);
    EXPECT_TRUE(monitorsText({desk}).contains(u"One screen"_s));
}

} // namespace
} // namespace mivanta
