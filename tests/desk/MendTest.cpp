// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/Window.h"
#include "support/Samples.h"
#include <QCheckBox>
#include <QPlainTextEdit>
#include <QPushButton>

namespace mivanta {
namespace {

/// Words that are mended while they are on screen, by keys and by mouse.
class Mend : public PlayerTest {
protected:
    void SetUp() override {
        PlayerTest::SetUp();
        Song song = samples::harbourSong(u"First"_s);
        song.parts[0].lines[0].chords = {{0, u"G"_s}};
        bool saved = false;
        session->library().save(window.get(), song, [&](const Result<Song>& result) {
            ASSERT_TRUE(result);
            song = *result;
            saved = true;
        });
        ASSERT_TRUE(waitUntil([&] { return saved; }));
        id = song.id;
        item = session->document().insert(9, songItem(song));
        session->document().insert(9, songItem(samples::harbourSong(u"Second"_s)));
        window->goTo(MainWindow::RunAt);
        press(Qt::Key_Space);
    }
    QPlainTextEdit* words() { return child<QPlainTextEdit>(u"mend-words"_s); }
    QWidget* sheet() { return child<QWidget>(u"mend-sheet"_s); }
    QString wordsOn(const QString& output) {
        QStringList rows;
        for (const Scene& scene : session->run().shownNow())
            if (scene.output == output)
                for (const SceneRow& row : scene.rows)
                    rows << row.text;
        return rows.join(u' ');
    }
    QString wordsHere() { return session->document().service().item(item)->song()->parts[0].lines[0].words; }
    QString wordsInLibrary() {
        std::optional<Song> found;
        session->library().song(window.get(), id, [&](const Result<Song>& song) { found = *song; });
        EXPECT_TRUE(waitUntil([&] { return found.has_value(); }));
        return found->parts[0].lines[0].words;
    }

    SongId id;
    ItemId item;
};

TEST_F(Mend, AMistakeIsMendedOnTheScreensAtOnceForThisService) {
    const QImage before = shown(u"hall"_s);
    press(Qt::Key_F2);
    ASSERT_TRUE(sheet()->isVisible());
    EXPECT_TRUE(words()->hasFocus());
    EXPECT_TRUE(words()->toPlainText().startsWith(u"one line here,"_s));
    type(u"The "_s); // the letters of parts, and Space, are words now
    EXPECT_EQ(wordsOn(u"hall"_s).left(8), u"one line"_s);
    press(Qt::Key_Return, Qt::ControlModifier);
    EXPECT_FALSE(sheet()->isVisible());
    EXPECT_EQ(wordsOn(u"hall"_s).left(12), u"The one line"_s);
    EXPECT_EQ(wordsHere(), u"The one line here,"_s);
    EXPECT_EQ(session->document().service().item(item)->song()->parts[0].lines[0].chords.size(), 1u);
    EXPECT_TRUE(waitUntil([&] { return shown(u"hall"_s) != before; }));
    EXPECT_EQ(wordsInLibrary(), u"one line here,"_s);
    EXPECT_EQ(session->book().indexOf(session->run().state().onScreen->item), 0);
    press(Qt::Key_Space); // keys run the service again
    press(Qt::Key_Space); // the one before may be a step of the stream alone
    EXPECT_NE(wordsOn(u"hall"_s).left(12), u"The one line"_s);
    session->document().undoStack().undo();
    EXPECT_EQ(wordsHere(), u"one line here,"_s);
}

TEST_F(Mend, OrWithTheNextTakeAndInTheLibrary) {
    press(Qt::Key_F2);
    child<QCheckBox>(u"mend-at-once"_s)->click();
    child<QCheckBox>(u"mend-in-library"_s)->click();
    words()->setPlainText(words()->toPlainText().replace(u"one"_s, u"won"_s));
    child<QPushButton>(u"mend-do"_s)->click();
    EXPECT_EQ(wordsOn(u"hall"_s).left(8), u"one line"_s);
    ASSERT_TRUE(waitUntil([&] { return window->notices()->text().contains(u"in the library"_s); }));
    EXPECT_EQ(wordsInLibrary(), u"won line here,"_s);
    press(Qt::Key_R); // the part again
    press(Qt::Key_Space);
    EXPECT_EQ(wordsOn(u"hall"_s).left(8), u"won line"_s);
}

TEST_F(Mend, TheLibrarysOtherWordsAreLeftAlone) {
    bool done = false;
    session->library().edit(
        window.get(), {id}, [](Song& song) { song.parts[0].lines[3].words = u"changed there"_s; },
        [&](const auto&) { done = true; });
    ASSERT_TRUE(waitUntil([&] { return done; }));
    press(Qt::Key_F2);
    child<QCheckBox>(u"mend-in-library"_s)->setChecked(true);
    type(u"X"_s);
    press(Qt::Key_Return, Qt::ControlModifier);
    ASSERT_TRUE(waitUntil([&] { return window->notices()->text().contains(u"stays as it is"_s); }));
    EXPECT_EQ(wordsInLibrary(), u"one line here,"_s);
    EXPECT_EQ(wordsHere(), u"Xone line here,"_s);
}

TEST_F(Mend, LeavingItChangesNothingAndAFrozenScreenStays) {
    const int steps = session->document().undoStack().count();
    press(Qt::Key_F2);
    EXPECT_FALSE(child<QPushButton>(u"mend-do"_s)->isEnabled()); // nothing was typed yet
    type(u"nothing"_s);
    press(Qt::Key_Escape);
    EXPECT_FALSE(sheet()->isVisible());
    EXPECT_EQ(session->document().undoStack().count(), steps);
    session->run().setFrozen(u"hall"_s, true);
    press(Qt::Key_F2);
    type(u"Y"_s);
    press(Qt::Key_Return, Qt::ControlModifier);
    EXPECT_EQ(wordsOn(u"hall"_s).left(8), u"one line"_s);
    EXPECT_EQ(wordsOn(u"stage"_s).left(9), u"Yone line"_s);
    press(Qt::Key_F2);
    words()->clear();
    EXPECT_FALSE(child<QPushButton>(u"mend-do"_s)->isEnabled()); // a part needs words
    press(Qt::Key_2, Qt::AltModifier);                           // another desk: the sheet does not wait
    press(Qt::Key_4, Qt::AltModifier);
    EXPECT_FALSE(sheet()->isVisible());
}

TEST_F(Mend, AnUnplannedSongIsMendedToo) {
    session->run().lookAtUnplanned(songItem(samples::harbourSong(u"Extra"_s)));
    press(Qt::Key_Space);
    press(Qt::Key_F2);
    type(u"An "_s);
    press(Qt::Key_Return, Qt::ControlModifier);
    EXPECT_EQ(wordsOn(u"hall"_s).left(11), u"An one line"_s);
    press(Qt::Key_K);
    ASSERT_EQ(titles(), (QStringList{u"First"_s, u"Extra"_s, u"Second"_s}));
    EXPECT_EQ(session->document().service().items[1].song()->parts[0].lines[0].words, u"An one line here,"_s);
}

TEST_F(Mend, WhereThereAreNoWordsItSaysSo) {
    session->document().insert(9, PauseItem{u"Quiet"_s});
    session->run().lookAtItem(2);
    press(Qt::Key_Space);
    press(Qt::Key_F2);
    EXPECT_FALSE(sheet()->isVisible());
    EXPECT_TRUE(window->notices()->text().contains(u"Nothing to mend"_s));
}

} // namespace
} // namespace mivanta
