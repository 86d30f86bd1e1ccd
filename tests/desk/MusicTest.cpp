// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/Window.h"
#include "desk/run/FilmPanel.h"
#include "support/Samples.h"
#include <QCheckBox>
#include <QComboBox>
#include <QDoubleSpinBox>
#include <QLabel>
#include <QLineEdit>
#include <QListWidget>
#include <QPushButton>
#include <QSpinBox>
#include <QTabBar>
#include <QToolButton>

namespace mivanta {
namespace {

/// Music in the order, from the files to the player.
class Music : public PlayerTest {
protected:
    void SetUp() override {
        PlayerTest::SetUp();
        sheet = window->findChild<OrderSheet*>();
        answers->files = {demo(u"morning-on-the-quay"_s), demo(u"low-tide"_s)};
        window->goTo(MainWindow::PrepareAt);
        window->findChild<QAction*>(u"add-music"_s)->trigger();
        ASSERT_TRUE(waitUntil([&] { return session->document().service().items.size() == 1; }));
        id = session->document().service().items[0].id;
        session->document().insert(1, songItem(samples::harbourSong(u"After"_s)));
        sheet->select(id);
    }
    static QString demo(const QString& name) {
        return QStringLiteral(MIVANTA_SOURCE_DIR "/data/demo/music/%1.ogg").arg(name);
    }
    const MusicItem& music() { return std::get<MusicItem>(session->document().service().item(id)->words); }
    void set(const std::function<void(MusicItem&)>& work) {
        MusicItem changed = music();
        work(changed);
        session->document().change(id, changed, u"x"_s);
    }
    void take(int item) {
        window->goTo(MainWindow::RunAt);
        session->run().lookAtItem(item);
        press(Qt::Key_Space);
    }
    const message::Sounding& sounding() { return session->sounds().sounding(SoundChannel::Music); }
    bool plays(int piece) {
        return waitUntil(
            [&] { return sounding().piece == piece && !sounding().isPaused && sounding().position > 0; });
    }
    bool isSilent() {
        return waitUntil([&] { return sounding().name.isEmpty(); });
    }

    OrderSheet* sheet = nullptr;
    ItemId id;
};

TEST_F(Music, IsAnItemOfItsPiecesAndChangedOnTheBench) {
    ASSERT_EQ(music().pieces.size(), 2u);
    EXPECT_NEAR(music().pieces[0].seconds, 32, 0.2);
    EXPECT_EQ(session->document().service().item(id)->title(), u"morning on the quay"_s);
    auto* pieces = child<QListWidget>(u"music-pieces"_s);
    ASSERT_EQ(pieces->count(), 2);
    EXPECT_TRUE(pieces->item(1)->text().contains(u"0:24"_s));
    pieces->setFocus();
    pieces->setCurrentRow(1);
    press(Qt::Key_Up, Qt::AltModifier);
    EXPECT_EQ(music().pieces[0].caption, u"low tide"_s);
    EXPECT_EQ(pieces->currentRow(), 0);
    auto* from = child<QLineEdit>(u"piece-from"_s);
    from->setFocus();
    from->selectAll();
    type(u"0:04\n"_s);
    EXPECT_DOUBLE_EQ(music().pieces[0].from, 4);
    from->selectAll();
    type(u"9:00\n"_s); // it is not that long
    EXPECT_DOUBLE_EQ(music().pieces[0].from, 4);
    EXPECT_EQ(from->text(), u"0:04"_s);
    auto* fade = child<QDoubleSpinBox>(u"music-crossfade"_s)->findChild<QLineEdit*>();
    fade->setFocus();
    fade->selectAll();
    type(u"3\n"_s);
    EXPECT_DOUBLE_EQ(music().crossfade, 3);
    child<QCheckBox>(u"music-shuffled"_s)->click();
    EXPECT_TRUE(music().isShuffled);
    pieces->setFocus();
    press(Qt::Key_Delete);
    EXPECT_EQ(music().pieces.size(), 1u);
    press(Qt::Key_Delete); // the last one stays
    EXPECT_EQ(music().pieces.size(), 1u);
    EXPECT_FALSE(child<QCheckBox>(u"music-shuffled"_s)->isEnabled());
    session->document().undoStack().undo();
    EXPECT_EQ(music().pieces.size(), 2u);
    answers->files = {demo(u"low-tide"_s), QStringLiteral(MIVANTA_SOURCE_DIR "/README.md")};
    child<QToolButton>(u"piece-add"_s)->click();
    EXPECT_TRUE(waitUntil([&] { return music().pieces.size() == 3; }));
    EXPECT_TRUE(waitUntil([&] { return window->notices()->text().contains(u"README"_s); }));
}

TEST_F(Music, UnderALoopItPlaysOnFromMemberToMemberAndFadesAtTheChosenItem) {
    ServiceDocument& document = session->document();
    const ItemId loop = document.insert(0, LoopItem{u"Notices"_s});
    document.insert(1, PauseItem{u"One"_s});
    document.insert(2, PauseItem{u"Two"_s});
    const std::vector<Item>& items = document.service().items; // the loop, two, the music, the song
    document.putIntoLoop({items[1].id, items[2].id, id}, loop);
    const ItemId song = items[4].id;
    const ItemId last = document.insert(9, songItem(samples::harbourSong(u"Last"_s)));
    sheet->select(id);
    EXPECT_FALSE(child<QComboBox>(u"music-until"_s)->isEnabled());
    child<QCheckBox>(u"music-goes-on"_s)->click();
    auto* until = child<QComboBox>(u"music-until"_s);
    until->setCurrentIndex(until->findText(u"Last"_s));
    Q_EMIT until->activated(until->currentIndex());
    EXPECT_EQ(music().until, last);
    EXPECT_EQ(session->book().itemCount(), 4); // music of a loop is no item of the run
    take(0);
    ASSERT_TRUE(plays(0));
    const auto before = sounding().position;
    Clock::the().jump(7000);
    EXPECT_EQ(session->run().state().onScreen->item, document.service().items[2].id);
    EXPECT_TRUE(waitUntil([&] { return sounding().position > before; }));
    EXPECT_EQ(sounding().piece, 0); // it was not begun again
    session->run().take();          // leaves the loop
    EXPECT_EQ(session->run().state().onScreen->item, song);
    QTest::qWait(300);
    EXPECT_FALSE(sounding().name.isEmpty());
    session->run().lookAtItem(session->book().indexOf(last));
    session->run().take();
    EXPECT_TRUE(isSilent());
}

TEST_F(Music, PlaysFromTheTakeIsSteeredAndEndsWithItsItem) {
    take(1);
    EXPECT_TRUE(sounding().name.isEmpty());
    take(0);
    ASSERT_TRUE(plays(0));
    EXPECT_TRUE(
        waitUntil([&] { return child<QLabel>(u"run-sound"_s)->text().contains(u"morning on the quay"_s); }));
    press(Qt::Key_Comma);
    ASSERT_TRUE(waitUntil([&] { return sounding().isPaused; }));
    press(Qt::Key_N);
    press(Qt::Key_Comma);
    ASSERT_TRUE(plays(1));
    press(Qt::Key_N); // there is no other
    EXPECT_TRUE(plays(1));
    take(1);
    EXPECT_TRUE(isSilent());
}

TEST_F(Music, GoesOnToTheNextItemAtItsEndUnlessSomebodyLooksElsewhere) {
    set([](MusicItem& item) {
        item.pieces.resize(1);
        item.pieces[0].from = 31;
        item.end = MusicEnd::NextItem;
    });
    take(0);
    ASSERT_TRUE(waitUntil(
        [&] { return session->run().state().onScreen->item == session->document().service().items[1].id; }));
    EXPECT_TRUE(isSilent());
    set([](MusicItem& item) { item.pieces[0].from = 30; });
    session->document().insert(2, songItem(samples::harbourSong(u"Later"_s)));
    take(0);
    ASSERT_TRUE(plays(0));
    session->run().lookAtItem(2);
    ASSERT_TRUE(isSilent());
    settle();
    EXPECT_EQ(session->run().state().onScreen->item, id);
}

TEST_F(Music, ThatGoesOnIsFadedOutByItsKeyAlone) {
    set([](MusicItem& item) { item.goesOn = true; });
    take(0);
    ASSERT_TRUE(plays(0));
    take(1);
    settle();
    EXPECT_FALSE(sounding().name.isEmpty());
    press(Qt::Key_S);
    EXPECT_TRUE(isSilent());
}

TEST_F(Music, ATrackBeginsWithTheTakeOfItsSlide) {
    const ItemId song = session->document().service().items[1].id;
    sheet->select(song);
    window->goTo(MainWindow::PrepareAt);
    child<QTabBar>(u"bench-tabs"_s)->setCurrentIndex(4);
    answers->files = {demo(u"low-tide"_s)};
    child<QPushButton>(u"track-choose"_s)->click();
    const auto track = [&] { return session->document().service().item(song)->plan.track; };
    ASSERT_TRUE(waitUntil([&] { return track().has_value(); }));
    EXPECT_EQ(track()->title, u"low-tide"_s);
    auto* slides = child<QComboBox>(u"track-slide"_s);
    ASSERT_GT(slides->count(), 2);
    slides->setCurrentIndex(2);
    Q_EMIT slides->activated(2);
    EXPECT_FALSE(track()->begins.part.isEmpty());
    EXPECT_EQ(slides->currentIndex(), 2);
    auto* from = child<QLineEdit>(u"track-from"_s);
    from->setFocus();
    from->selectAll();
    type(u"0:05\n"_s);
    EXPECT_DOUBLE_EQ(track()->from, 5);
    from->selectAll();
    type(u"bar 3\n"_s); // the song has no tempo
    EXPECT_DOUBLE_EQ(track()->from, 5);
    const auto heard = [&]() -> const message::Sounding& {
        return session->sounds().sounding(SoundChannel::Track);
    };
    take(1);
    settle();
    EXPECT_TRUE(heard().name.isEmpty()); // its first slide is another one
    press(Qt::Key_Space);                // another step of it, for the stream
    press(Qt::Key_Space);
    ASSERT_TRUE(waitUntil([&] { return heard().position > 5000; }));
    press(Qt::Key_Comma);
    EXPECT_TRUE(waitUntil([&] { return heard().isPaused; }));
    take(0);
    EXPECT_TRUE(waitUntil([&] { return heard().name.isEmpty(); }));
}

TEST_F(Music, GoesOnAtTheSamePlaceWithAnotherPlayer) {
    take(0);
    ASSERT_TRUE(plays(0));
    press(Qt::Key_N);
    ASSERT_TRUE(waitUntil([&] { return sounding().piece == 1 && sounding().position > 1500; }));
    QProcess::execute(u"pkill"_s, {u"-9"_s, u"-f"_s, sessionFolder(libraryFolder)});
    ASSERT_TRUE(waitUntil([&] { return sounding().name.isEmpty(); }));
    ASSERT_TRUE(plays(1));
    EXPECT_GT(sounding().position, 1500);
    EXPECT_LT(sounding().position, 12'000);
}

TEST_F(Music, ThatGoesOnIsKnownToDesksThatAreStartedAgain) {
    set([](MusicItem& item) { item.goesOn = true; });
    take(0);
    ASSERT_TRUE(plays(0));
    take(1);
    settle();
    window.reset();
    session.reset();
    open();
    ASSERT_TRUE(waitUntil([&] { return !sounding().name.isEmpty(); }));
    EXPECT_EQ(session->sounds().title(SoundChannel::Music), u"morning on the quay"_s);
    window->goTo(MainWindow::RunAt);
    press(Qt::Key_N);
    EXPECT_TRUE(plays(1));
    press(Qt::Key_S);
    EXPECT_TRUE(isSilent());
}

} // namespace
} // namespace mivanta
