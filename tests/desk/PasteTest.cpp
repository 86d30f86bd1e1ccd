// SPDX-License-Identifier: GPL-3.0-or-later
#include "Window.h"
#include "core/song/SingingOrder.h"
#include "desk/kit/OneLineFields.h"
#include "desk/library/LibraryDesk.h"
#include "desk/prepare/PrepareDesk.h"
#include "desk/song/WordsSheet.h"
#include <QClipboard>
#include <QLineEdit>
#include <QPushButton>

namespace mivanta {
namespace {

const QString kSheet =
    u"LANTERN AT LOW TIDE\n\nWords: Ivo Tarnwell\nMusic: Petra Osk\n\u00a9 2019 Quillhaven Songs\n"
    "Key: G\n\nVerse 1\nWhen the bell is low\nwe row\n\nChorus\nShine on us\n\nVerse 2\nNight is "
    "long\n\nChorus\n"_s;

class Paste : public WindowTest {
protected:
    void copy(const QString& text) { QGuiApplication::clipboard()->setText(text); }
    void paste() { press(Qt::Key_V, Qt::ControlModifier); }
    void newSong() {
        press(Qt::Key_1, Qt::AltModifier);
        press(Qt::Key_N, Qt::ControlModifier | Qt::ShiftModifier);
        ASSERT_TRUE(waitUntil([&] { return child<QLineEdit>(u"detail-title"_s)->hasFocus(); }));
    }
    std::optional<Song> saved() {
        press(Qt::Key_S, Qt::ControlModifier);
        std::optional<Song> song;
        waitUntil([&] {
            session->library().ask<Song>(
                window.get(),
                [](Library& library) -> Result<Song> {
                    const auto all = library.songs();
                    return all && !all->empty() ? library.song(all->front().id)
                                                : Result<Song>(failure(u"no song"_s, {}));
                },
                [&](const Result<Song>& found) {
                    if (found)
                        song = *found;
                });
            QTest::qWait(50);
            return song.has_value();
        });
        return song;
    }
};

TEST_F(Paste, AWholeSongIntoTheTitleOfANewOneIsTheSong) {
    newSong();
    copy(kSheet);
    paste();
    EXPECT_TRUE(child<QLabel>(u"editor-message"_s)->text().contains(u"Lantern at Low Tide"_s));
    const auto song = saved();
    ASSERT_TRUE(song);
    EXPECT_EQ(song->title, u"Lantern at Low Tide"_s);
    EXPECT_EQ(song->authorNames(AuthorRole::Words), QStringList{u"Ivo Tarnwell"_s});
    EXPECT_EQ(song->authorNames(AuthorRole::Music), QStringList{u"Petra Osk"_s});
    EXPECT_EQ(song->copyright, u"\u00a9 2019 Quillhaven Songs"_s);
    EXPECT_EQ(song->key, u"G"_s);
    ASSERT_EQ(song->parts.size(), 3u);
    EXPECT_EQ(song->parts[0].label(), u"Verse 1"_s);
    EXPECT_EQ(singingOrderText(*song), u"V1 C V2 C"_s);
}

TEST_F(Paste, AWholeSongIntoTheWordsOfANewOneIsOneStepOfUndo) {
    newSong();
    press(Qt::Key_F2);
    auto* words = child<WordsSheet>(u"words-sheet"_s);
    words->setFocus();
    copy(kSheet);
    paste();
    EXPECT_EQ(words->parts().size(), 3u);
    press(Qt::Key_Z, Qt::ControlModifier);
    EXPECT_EQ(words->parts().size(), 1u);
    EXPECT_TRUE(child<QLabel>(u"song-title"_s)->text().startsWith(u"New song"_s));
}

TEST_F(Paste, AFieldOfOneLineTakesOneLine) {
    newSong();
    auto* copyright = child<QLineEdit>(u"detail-copyright"_s);
    copyright->setFocus();
    copy(u"2019\nQuillhaven\r\n  Songs"_s);
    paste();
    EXPECT_EQ(copyright->text(), u"2019 Quillhaven Songs"_s);
    EXPECT_EQ(asOneLine(u"a\n\n\tb"_s), u"a b"_s);
    EXPECT_EQ(asOneLine(u"two  spaces stay"_s), u"two  spaces stay"_s);
}

TEST_F(Paste, TheWindowStaysOnItsMonitorWhateverStandsInIt) {
    const QSize before = window->size();
    const QString endless(500, u'w');
    session->document().setTitle(endless);
    for (const QString& title : {endless, u"many words "_s.repeated(60)}) {
        Song song;
        song.id = SongId::create();
        song.title = title;
        song.parts = {{PartId::create(), PartKind::Verse, 1, {}, false, {}, {Line{u"la"_s}}}};
        session->document().insert(0, songItem(song));
    }
    for (const Qt::Key desk : {Qt::Key_1, Qt::Key_2, Qt::Key_3, Qt::Key_4, Qt::Key_5}) {
        press(desk, Qt::AltModifier);
        settle();
        EXPECT_EQ(window->size(), before) << int(desk);
    }
    press(Qt::Key_2, Qt::AltModifier);
    window->findChild<OrderSheet*>()->select(session->document().service().items[0].id);
    auto* title = child<QWidget>(u"bench-title"_s);
    ASSERT_TRUE(waitUntil([&] { return title->isVisible(); }));
    settle();
    EXPECT_LE(title->height(), 60);
    EXPECT_EQ(window->size(), before);
}

TEST_F(Paste, AWindowThatWasLeftTooLargeOrElsewhereComesBackOnItsMonitor) {
    window->setGeometry(-300, 500, 3000, 1400);
    QSettings().setValue(u"window/geometry"_s, window->saveGeometry());
    session->player().quit();
    window.reset();
    session.reset();
    QDir(sessionFolder(libraryFolder)).removeRecursively();
    window = nullptr;
    session = std::make_unique<Session>(
        Session::Options{libraryFolder, computer(), {}, false, {}, playerProgram()});
    window = std::make_unique<MainWindow>(*session, std::make_unique<Answers>());
    window->show();
    const QRect room = window->screen()->availableGeometry();
    // Not counting the frame, which is drawn around it here once it is shown.
    EXPECT_TRUE(waitUntil([&] { return room.adjusted(-2, -2, 2, 2).contains(window->geometry()); }))
        << window->x() << "," << window->y() << " " << window->width() << "x" << window->height() << " in "
        << room.x() << "," << room.y() << " " << room.width() << "x" << room.height();
}

TEST_F(Paste, SeveralLinesInFindOfferANewSongOrAnOrder) {
    importDemo();
    press(Qt::Key_2, Qt::AltModifier);
    press(Qt::Key_F, Qt::ControlModifier);
    copy(kSheet);
    paste();
    EXPECT_EQ(
        window->findChild<QWidget*>(u"prepare-desk"_s)->findChild<QLineEdit*>(u"prepare-find-box"_s)->text(),
        u"LANTERN AT LOW TIDE"_s);
    auto* order = child<QPushButton>(u"pasted-order"_s);
    EXPECT_TRUE(order->isVisible());
    auto* song = child<QPushButton>(u"pasted-new-song"_s);
    ASSERT_TRUE(song->isVisible());
    QTest::mouseClick(song, Qt::LeftButton);
    EXPECT_EQ(window->currentDesk(), MainWindow::LibraryAt);
    EXPECT_EQ(child<QLabel>(u"song-title"_s)->text(), u"Lantern at Low Tide"_s);
    EXPECT_FALSE(song->isVisible());
}

TEST_F(Paste, TextsWithQuestionsComeInTheirOrderAndAsOneStep) {
    std::vector<FindPick> picks;
    for (const QString& name : {u"Reader"_s, u"Preacher"_s}) {
        SpokenText text;
        text.id = TextId::create();
        text.title = name;
        text.lines = {{u"Leader"_s, u"Thanks to {ask %1}"_s.arg(name), {}, false}};
        bool done = false;
        session->library().ask<SpokenText>(
            window.get(), [text](Library& library) { return library.texts().save(text); },
            [&](const Result<SpokenText>& stored) {
                ASSERT_TRUE(stored);
                picks.emplace_back(stored->id);
                done = true;
            });
        ASSERT_TRUE(waitUntil([&] { return done; }));
    }
    answers->answered = u"Maren"_s;
    window->findChild<PrepareDesk*>()->add(picks);
    ASSERT_TRUE(waitUntil([&] { return titles().size() == 2; }));
    EXPECT_EQ(titles(), (QStringList{u"Reader"_s, u"Preacher"_s}));
    EXPECT_EQ(answers->questions, (QStringList{u"Reader"_s, u"Preacher"_s}));
    session->document().undoStack().undo();
    EXPECT_TRUE(titles().isEmpty());
}

TEST_F(Paste, ANewSongFromTheSideOfSomethingUnsavedAsksFirst) {
    newSong();
    press(Qt::Key_F2);
    child<WordsSheet>(u"words-sheet"_s)->setFocus();
    type(u"la"_s);
    answers->unsaved = Prompts::Unsaved::Cancel;
    window->findChild<LibraryDesk*>()->newSongFrom(kSheet);
    EXPECT_EQ(answers->asked, 1);
    EXPECT_TRUE(child<QLabel>(u"song-title"_s)->text().startsWith(u"New song"_s));
}

} // namespace
} // namespace mivanta
