// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/Window.h"
#include "desk/prepare/LiveInService.h"
#include "desk/window/Header.h"
#include "support/CameraProcess.h"
#include "support/Samples.h"
#include "support/TestFilm.h"
#include <QComboBox>
#include <QLabel>
#include <QLineEdit>
#include <QMenu>
#include <QPushButton>
#include <QToolButton>

namespace mivanta {
namespace {

/// A live picture in the order, with the real player and a simulated camera.
class LiveItems : public PlayerTest {
protected:
    void SetUp() override {
        PlayerTest::SetUp();
        const LiveInputId id = session->liveInputs().add(LiveKind::Network);
        LiveInput input = *session->liveInputs().find(id);
        input.name = u"Harbour camera"_s;
        input.source = AddressSource{u"http://127.0.0.1:%1/harbour"_s.arg(port)};
        session->liveInputs().change(input);
        camera = id;
    }
    /// As a person adds it: Add, A live picture, Harbour camera.
    ItemId addByMenu() {
        auto* add = child<QToolButton>(u"add-menu"_s);
        auto* inputs = add->menu()->findChild<QMenu*>(u"add-live"_s);
        Q_EMIT inputs->aboutToShow();
        inputs->actions().first()->trigger();
        return session->document().service().items.back().id;
    }
    const LiveItem& live(int at) {
        return std::get<LiveItem>(session->document().service().items[size_t(at)].words);
    }
    QString lamp() { return window->findChild<Header*>()->lampText(); }
    bool isCameraOnHall() { return numberOnPicture(shown(u"hall"_s)) > 0; }

    quint16 port = CameraProcess::freePort();
    LiveInputId camera;
};

TEST_F(LiveItems, ACameraStaysBehindTheSongsUntilWhatComesThen) {
    CameraProcess process({u"--mjpeg"_s, QString::number(port)});
    addByMenu();
    session->document().insert(1, songItem(samples::harbourSong(u"First"_s)));
    const ItemId sermon = session->document().insert(2, songItem(samples::harbourSong(u"Last"_s)));
    window->findChild<OrderSheet*>()->select(session->document().service().items[0].id);
    EXPECT_TRUE(window->findChild<LiveInService*>()->isVisibleTo(window.get()));
    EXPECT_TRUE(child<QLabel>(u"live-behind"_s)->isHidden());
    choose(u"live-reach"_s, u"until \u201cLast\u201d"_s);
    EXPECT_EQ(live(0).reach, LiveReach::ToItem);
    EXPECT_EQ(live(0).until, sermon);
    EXPECT_TRUE(child<QLabel>(u"live-behind"_s)->text().contains(u"First"_s));
    window->goTo(MainWindow::RunAt);
    press(Qt::Key_Space);
    ASSERT_TRUE(waitUntil([&] { return isCameraOnHall(); }));
    ASSERT_TRUE(waitUntil([&] { return lamp().contains(u"Live picture on screen"_s); }));
    press(Qt::Key_Space); // the first words
    ASSERT_TRUE(waitUntil([&] { return lamp().contains(u"Words on screen"_s); }));
    EXPECT_TRUE(isCameraOnHall());
    // Its pictures stop, and come again.
    auto* line = child<QLabel>(u"run-live"_s);
    EXPECT_TRUE(line->isHidden());
    process.order("stall");
    ASSERT_TRUE(waitUntil([&] { return lamp().contains(u"Harbour camera: no picture since"_s); }, 30'000));
    EXPECT_FALSE(line->isHidden());
    EXPECT_TRUE(line->text().contains(u"Harbour camera: no picture since"_s));
    process.order("go");
    ASSERT_TRUE(waitUntil([&] { return line->isHidden(); }, 60'000));
    EXPECT_FALSE(lamp().contains(u"no picture"_s));
    EXPECT_TRUE(waitUntil([&] { return isCameraOnHall(); }));
    while (session->run().state().onScreen->item != sermon)
        press(Qt::Key_Space);
    EXPECT_TRUE(waitUntil([&] { return !isCameraOnHall(); }));
}

TEST_F(LiveItems, WordsThatCannotBeReadOverItAreToldAndMendedAtOnce) {
    const CameraProcess process({u"--mjpeg"_s, QString::number(port)});
    addByMenu();
    const ItemId song = session->document().insert(1, songItem(samples::harbourSong(u"First"_s)));
    choose(u"live-reach"_s, u"end of the service"_s);
    LookTarget kind{LookLevel::Kind, ItemKind::Song, {}, {}};
    session->document().changeLook( // too dark for whatever the camera shows
        kind, {},
        [](LookChoice& choice) {
            choice.own.set(*lookProperty(u"words.colour"_s), Colour{90, 90, 90, 255});
            choice.own.set(*lookProperty(u"words.outlineWidth"_s), 0.0);
            choice.own.set(*lookProperty(u"words.shadowColour"_s), Colour{0, 0, 0, 0});
        },
        u"look"_s);
    std::function<void()> mend;
    int measured = 0;
    LiveOnScreen& live = session->liveOnScreen();
    QObject::connect(&live, &LiveOnScreen::offered, window.get(),
                     [&](const QString& text, const QString&, const std::function<void()>& act) {
                         EXPECT_TRUE(text.contains(u"Harbour camera"_s));
                         mend = act;
                     });
    QObject::connect(&live, &LiveOnScreen::measured, window.get(), [&] { ++measured; });
    window->goTo(MainWindow::RunAt);
    press(Qt::Key_Space);
    press(Qt::Key_Space);
    ASSERT_TRUE(waitUntil([&] { return isCameraOnHall() && lamp().contains(u"Words"_s); }));
    ASSERT_TRUE(waitUntil([&] {
        const auto stands = session->liveInputs().standsOf(camera);
        return stands && stands->signal == message::FilmStands::Signal::There;
    }));
    for (int i = 0; i < 5 && !mend; ++i) {
        const int before = measured;
        live.measure();
        ASSERT_TRUE(waitUntil([&] { return measured > before; }, 90'000));
    }
    ASSERT_TRUE(mend);
    mend();
    ASSERT_TRUE(
        waitUntil([&] { return !session->document().service().item(song)->look.choice.isEmpty(); }, 90'000));
    const Item* item = session->document().service().item(song);
    EXPECT_TRUE(item->look.choice.own.has(*lookProperty(u"backdrop.tint"_s)));
    const auto scenes = session->run().takenScenes();
    EXPECT_GT(scenes.front().look.backdrop.treatment.tint.alpha, 0); // the screens have it
    session->document().undoStack().undo();
    EXPECT_TRUE(session->document().service().item(song)->look.choice.isEmpty());
}

TEST_F(LiveItems, OneThatIsNotSetUpHereIsSaidAndCanBeChosenAnew) {
    LiveItem elsewhere;
    elsewhere.input = LiveInputId::create();
    elsewhere.caption = u"Choir camera"_s;
    const ItemId id = session->document().insert(0, elsewhere);
    window->findChild<OrderSheet*>()->select(id);
    auto* input = child<QComboBox>(u"live-input"_s);
    EXPECT_TRUE(input->currentText().contains(u"Choir camera"_s));
    EXPECT_TRUE(child<QLabel>(u"live-item-state"_s)->text().contains(u"does not have it"_s));
    window->goTo(MainWindow::CheckAt);
    const auto isSaid = [&] {
        for (const QLabel* label : window->findChildren<QLabel*>())
            if (label->isVisible() && label->text().contains(u"Choir camera"_s) &&
                label->text().contains(u"not set up"_s))
                return true;
        return false;
    };
    EXPECT_TRUE(waitUntil(isSaid));
    window->goTo(MainWindow::PrepareAt);
    choose(u"live-input"_s, u"Harbour camera"_s);
    EXPECT_EQ(live(0).input, camera);
    EXPECT_EQ(session->document().service().items[0].title(), u"Harbour camera"_s);
    window->goTo(MainWindow::CheckAt);
    EXPECT_TRUE(waitUntil([&] { return !isSaid(); }));
}

TEST_F(LiveItems, ItIsSeenHereForAsLongAsThatIsWanted) {
    CameraProcess process({u"--mjpeg"_s, QString::number(port)});
    addByMenu();
    auto* see = child<QPushButton>(u"live-see"_s);
    auto* picture = child<QLabel>(u"live-item-picture"_s);
    EXPECT_FALSE(session->liveInputs().standsOf(camera)); // nothing needs it yet
    see->click();
    ASSERT_TRUE(waitUntil([&] { return picture->isVisible() && !picture->pixmap().isNull(); }));
    EXPECT_FALSE(session->run().state().onScreen);
    window->goTo(MainWindow::CheckAt);
    window->goTo(MainWindow::PrepareAt);
    EXPECT_FALSE(see->isChecked());
    EXPECT_FALSE(picture->isVisible());
}

TEST_F(LiveItems, FieldsOfTheItemAreKeptAndUndone) {
    window->findChild<OrderSheet*>()->select(addByMenu());
    auto* title = child<QLineEdit>(u"live-title"_s);
    title->setFocus();
    title->selectAll();
    QTest::keyClicks(title, u"The harbour now"_s);
    EXPECT_EQ(live(0).title, u"The harbour now"_s);
    choose(u"live-fit"_s, u"Fill"_s);
    EXPECT_EQ(live(0).fit, PictureFit::Fill);
    auto* outputs = child<QToolButton>(u"live-outputs"_s);
    Q_EMIT outputs->menu()->aboutToShow();
    outputs->menu()->findChild<QAction*>(u"live-on-stage"_s)->trigger();
    EXPECT_TRUE(live(0).isShownOn.value(u"stage"_s));
    EXPECT_TRUE(outputs->text().contains(u"Stage"_s));
    session->document().undoStack().undo();
    EXPECT_FALSE(live(0).isShownOn.contains(u"stage"_s));
}

} // namespace
} // namespace mivanta
