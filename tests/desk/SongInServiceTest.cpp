// SPDX-License-Identifier: GPL-3.0-or-later
#include "Window.h"
#include "core/song/SingingOrder.h"
#include "desk/song/WordsSheet.h"
#include "store/Library.h"
#include <QDialog>
#include <QLineEdit>
#include <QPushButton>
#include <QSpinBox>
#include <QTextBrowser>
#include <QToolButton>

namespace mivanta {
namespace {

/// A song as it stands in a service, on the Prepare desk.
class InService : public WindowTest {
protected:
    void SetUp() override {
        WindowTest::SetUp();
        importDemo();
        press(Qt::Key_2, Qt::AltModifier);
        addByFind(u"lantern"_s, u"Lantern on the Water"_s);
        ASSERT_TRUE(waitUntil([&] { return state() == u"As in the library."_s; })) << state().toStdString();
    }

    QWidget* panel() { return child<QWidget>(u"song-in-service"_s); }
    QString state() { return child<QLabel>(u"service-song-state"_s)->text(); }
    const Song& song() { return *session->document().service().items[0].song(); }
    Song stored() {
        auto library = Library::open(libraryFolder);
        return *(*library)->song(song().id);
    }
    QLineEdit* order() { return panel()->findChild<QLineEdit*>(u"order-text"_s); }
    void typeOrder(const QString& text) {
        order()->setFocus();
        press(Qt::Key_A, Qt::ControlModifier);
        type(text);
    }
};

TEST_F(InService, AChangeHereLeavesTheLibraryAsItWas) {
    const QString before = singingOrderText(stored());
    typeOrder(u"v1 c"_s);
    EXPECT_EQ(singingOrderText(song()), u"V1 C"_s);
    EXPECT_EQ(state(), u"Changed for this service only: singing order."_s);
    QTest::mouseClick(panel()->findChild<QToolButton*>(u"service-up"_s), Qt::LeftButton);
    EXPECT_EQ(song().key, u"Ab"_s);
    child<QSpinBox>(u"service-capo"_s)->setValue(5);
    EXPECT_EQ(song().capo, 5);
    EXPECT_TRUE(state().contains(u"singing order, key, capo"_s) || state().contains(u"chords"_s));
    EXPECT_EQ(singingOrderText(stored()), before);
    EXPECT_EQ(stored().key, u"G"_s);
    EXPECT_TRUE(session->document().isModified());
}

TEST_F(InService, TheLibrarysSongIsTakenAndThatIsUndone) {
    typeOrder(u"v1"_s);
    auto* take = child<QPushButton>(u"take-from-library"_s);
    ASSERT_TRUE(take->isVisible());
    QTest::mouseClick(take, Qt::LeftButton);
    EXPECT_EQ(singingOrderText(song()), singingOrderText(stored()));
    EXPECT_EQ(state(), u"As in the library."_s);
    session->document().undoStack().undo();
    EXPECT_EQ(singingOrderText(song()), u"V1"_s);
}

TEST_F(InService, TheSongHereIsPutIntoTheLibrary) {
    typeOrder(u"c v1 c"_s);
    QTest::mouseClick(child<QPushButton>(u"put-into-library"_s), Qt::LeftButton);
    ASSERT_TRUE(waitUntil([&] { return state() == u"As in the library."_s; })) << state().toStdString();
    EXPECT_EQ(singingOrderText(stored()), u"C V1 C"_s);
    EXPECT_EQ(stored().revision, 2);
    EXPECT_EQ(song().revision, 2);
}

TEST_F(InService, AChangeInTheLibraryIsSaidAndNotMergedSilently) {
    Song other = stored();
    other.parts[1].lines[0].words = u"When the morning bell is ringing"_s;
    bool saved = false;
    session->library().save(window.get(), other, [&](const Result<Song>& done) { saved = done.has_value(); });
    ASSERT_TRUE(waitUntil([&] { return saved && state().contains(u"changed since"_s); }))
        << state().toStdString();
    EXPECT_TRUE(state().contains(u"words"_s));
    EXPECT_TRUE(song().parts[1].lines[0].words.contains(u"harbour"_s));
}

TEST_F(InService, WordsAreChangedForThisServiceOnlyAndOneUndoTakesTheVisitBack) {
    const Song before = stored();
    QTest::mouseClick(child<QPushButton>(u"words-here"_s), Qt::LeftButton);
    auto* page = child<QWidget>(u"words-in-service"_s);
    ASSERT_TRUE(page->isVisible());
    auto* words = page->findChild<WordsSheet*>(u"words-sheet"_s);
    words->setFocus();
    type(u"Only here "_s);
    press(Qt::Key_Down);
    type(u" and here"_s);
    const auto changed = [&] {
        QString all;
        for (const Part& part : song().parts)
            for (const Line& line : part.lines)
                all += line.words + u'\n';
        return all;
    };
    EXPECT_TRUE(changed().contains(u"Only here"_s)) << changed().toStdString();
    press(Qt::Key_Z, Qt::ControlModifier); // inside, a step is a step
    EXPECT_FALSE(changed().contains(u"and here"_s));
    EXPECT_TRUE(changed().contains(u"Only here"_s));
    press(Qt::Key_Escape);
    EXPECT_FALSE(page->isVisible());
    EXPECT_EQ(answers->asked, 0);
    EXPECT_TRUE(waitUntil([&] { return state() == u"Changed for this service only: words."_s; }))
        << state().toStdString();
    EXPECT_TRUE(sameContent(stored(), before));
    press(Qt::Key_Z, Qt::ControlModifier);
    EXPECT_TRUE(sameContent(song(), before));
    EXPECT_EQ(titles().size(), 1);
}

TEST_F(InService, TheOtherButtonOpensTheLibrarysSong) {
    QTest::mouseClick(child<QPushButton>(u"words-in-library"_s), Qt::LeftButton);
    EXPECT_EQ(window->currentDesk(), MainWindow::LibraryAt);
    EXPECT_TRUE(
        waitUntil([&] { return child<QLabel>(u"song-title"_s)->text() == u"Lantern on the Water"_s; }));
}

TEST_F(InService, BothSongsAreComparedSideBySide) {
    EXPECT_FALSE(child<QPushButton>(u"compare-with-library"_s)->isVisible());
    typeOrder(u"v1 c"_s);
    QTest::mouseClick(child<QPushButton>(u"compare-with-library"_s), Qt::LeftButton);
    auto* dialog = window->findChild<QDialog*>(u"comparison"_s);
    ASSERT_TRUE(dialog && dialog->isVisible());
    EXPECT_TRUE(dialog->findChild<QTextBrowser*>()->toPlainText().contains(u"In this service"_s));
    dialog->close();
}

} // namespace
} // namespace mivanta
