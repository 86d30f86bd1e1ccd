// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/order/UsedMedia.h"
#include "desk/Dropping.h"
#include "desk/Window.h"
#include "desk/prepare/SoundInService.h"
#include "desk/run/Lane.h"
#include "store/MediaFiles.h"
#include "support/Samples.h"
#include <QCheckBox>
#include <QProcess>
#include <QPushButton>
#include <QToolButton>

namespace mivanta {
namespace {

const QString kBell = QStringLiteral(MIVANTA_SOURCE_DIR "/data/demo/sounds/harbour-bell.ogg");

/// What sounds when an item is taken, from the bench to the player.
class Sounds : public PlayerTest {
protected:
    void SetUp() override {
        PlayerTest::SetUp();
        for (const auto& title : {u"First"_s, u"Second"_s, u"Third"_s})
            ids.push_back(session->document().insert(9, songItem(samples::harbourSong(title))));
        sheet = window->findChild<OrderSheet*>();
        sheet->select(ids[0]);
    }
    const std::optional<ItemSound>& soundOf(int item) {
        return session->document().service().item(ids[size_t(item)])->plan.sound;
    }
    /// By the button of the bench.
    void choose(int item) {
        sheet->select(ids[size_t(item)]);
        answers->files = {kBell};
        child<QPushButton>(u"sound-choose"_s)->click();
        ASSERT_TRUE(waitUntil([&] { return bool(soundOf(item)); }));
    }
    void take(int item) {
        session->run().lookAtItem(item);
        press(Qt::Key_Space);
        ASSERT_TRUE(session->run().state().onScreen->item == ids[size_t(item)]);
    }
    bool isSounding() { return !session->sounds().sounding(SoundChannel::Item).name.isEmpty(); }
    std::vector<ItemId> ids;
    OrderSheet* sheet = nullptr;
};

TEST_F(Sounds, AChosenSoundIsHeardWhenItsItemIsTakenAndEndsWithIt) {
    choose(0);
    EXPECT_EQ(soundOf(0)->title, u"harbour-bell"_s);
    EXPECT_TRUE(QFile::exists(LibraryAddress(libraryFolder).mediaFolder() + u'/' + soundOf(0)->name));
    window->goTo(MainWindow::RunAt);
    session->run().lookAtItem(1);
    EXPECT_FALSE(isSounding()); // looking sounds as little as it shows
    take(0);
    ASSERT_TRUE(waitUntil([&] { return isSounding(); }));
    EXPECT_TRUE(child<QLabel>(u"run-sound"_s)->text().contains(u"harbour-bell"_s));
    press(Qt::Key_Space); // another slide of the same item
    EXPECT_TRUE(isSounding());
    take(1);
    EXPECT_TRUE(waitUntil([&] { return !isSounding(); }));
    EXPECT_FALSE(child<QLabel>(u"run-sound"_s)->isVisible());
}

TEST_F(Sounds, OneThatGoesOnIsFadedOutByItsKeyAlone) {
    choose(0);
    child<QCheckBox>(u"sound-goes-on"_s)->click();
    EXPECT_TRUE(soundOf(0)->goesOn);
    window->goTo(MainWindow::RunAt);
    take(0);
    ASSERT_TRUE(waitUntil([&] { return isSounding(); }));
    take(1);
    take(2);
    settle();
    EXPECT_TRUE(isSounding());
    press(Qt::Key_S);
    EXPECT_TRUE(waitUntil([&] { return !isSounding(); }));
}

TEST_F(Sounds, ItGoesOnWithAnotherPlayerAndAnOldOneIsNotHeardAgain) {
    choose(0);
    child<QCheckBox>(u"sound-goes-on"_s)->click();
    window->goTo(MainWindow::RunAt);
    take(0);
    ASSERT_TRUE(waitUntil([&] { return session->sounds().sounding(SoundChannel::Item).position > 0; }));
    QProcess::execute(u"pkill"_s, {u"-9"_s, u"-f"_s, sessionFolder(libraryFolder)});
    ASSERT_TRUE(waitUntil([&] { return !isSounding(); }));
    ASSERT_TRUE(waitUntil([&] {
        return session->sounds().sounding(SoundChannel::Item).position > 1000;
    }));                                                           // not from its begin
    ASSERT_TRUE(waitUntil([&] { return !isSounding(); }, 20'000)); // to its end
    QProcess::execute(u"pkill"_s, {u"-9"_s, u"-f"_s, sessionFolder(libraryFolder)});
    ASSERT_TRUE(waitUntil([&] { return session->player().isConnected(); }));
    settle();
    EXPECT_FALSE(isSounding());
}

TEST_F(Sounds, OneThatCannotBePlayedIsToldAndTheScreensGoOn) {
    choose(0);
    QFile file(LibraryAddress(libraryFolder).mediaFolder() + u'/' + soundOf(0)->name);
    ASSERT_TRUE(file.open(QIODevice::WriteOnly | QIODevice::Truncate));
    file.write("broken");
    file.close();
    window->goTo(MainWindow::RunAt);
    take(0);
    EXPECT_TRUE(waitUntil([&] { return window->notices()->text().contains(u"harbour-bell"_s); }));
    EXPECT_TRUE(waitUntil([&] { return !shown(u"hall"_s).isNull(); }));
}

TEST_F(Sounds, DroppedRemovedAndOfSeveralItemsWhatIsCommon) {
    auto* field = window->findChild<SoundInService*>();
    sheet->selectAll({ids[0], ids[1]});
    EXPECT_TRUE(Dropping(filesToDrag({kBell})).drop(field, {5, 5}));
    ASSERT_TRUE(waitUntil([&] { return soundOf(0) && soundOf(1); }));
    EXPECT_FALSE(soundOf(2));
    auto* choose = child<QPushButton>(u"sound-choose"_s);
    EXPECT_EQ(choose->text(), u"harbour-bell"_s);
    sheet->selectAll({ids[0], ids[2]});
    EXPECT_EQ(choose->text(), u"different"_s);
    child<QToolButton>(u"sound-remove"_s)->click();
    EXPECT_FALSE(soundOf(0));
    EXPECT_TRUE(soundOf(1));
    session->document().undoStack().undo();
    EXPECT_TRUE(soundOf(0));
    EXPECT_FALSE(Dropping(filesToDrag({u"/nowhere/a.png"_s})).drop(field, {5, 5}));
    answers->files = {QStringLiteral(MIVANTA_SOURCE_DIR "/README.md")};
    choose->click();
    EXPECT_TRUE(waitUntil([&] { return window->notices()->text().contains(u"cannot be played"_s); }));
    EXPECT_FALSE(soundOf(2));
}

TEST_F(Sounds, TheLaneSaysWhatWillSoundAndPackingTakesItAlong) {
    choose(1);
    EXPECT_EQ(mediaOf(session->document().service()), QStringList{soundOf(1)->name});
    window->goTo(MainWindow::RunAt);
    const auto lanes = window->findChildren<Lane*>();
    ASSERT_EQ(lanes.size(), 3);
    EXPECT_TRUE(lanes[1]->side().contains(u"harbour-bell"_s));
    EXPECT_FALSE(lanes[0]->side().contains(u"harbour-bell"_s));
}

} // namespace
} // namespace mivanta
