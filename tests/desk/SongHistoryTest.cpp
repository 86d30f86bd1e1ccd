// SPDX-License-Identifier: GPL-3.0-or-later
// What becomes of a song that was changed: earlier versions, work that was not saved, the bin.
#include "EditorTest.h"
#include <QMenu>
#include <QTextBrowser>
#include <QToolButton>

namespace mivanta {
namespace {

class History : public Editor {};

TEST_F(History, AnEarlierVersionComesBack) {
    importDemo();
    openSong(u"every tide"_s, u"Every Tide"_s);
    const QString before = words()->toPlainText();
    type(u"Changed "_s);
    save();
    QTest::mouseClick(child<QPushButton>(u"view-parts"_s), Qt::LeftButton);
    auto* more = child<QToolButton>(u"song-more"_s);
    more->menu()->actions().front()->trigger();
    auto* compared = child<QWidget>(u"song-history"_s)->findChild<QTextBrowser*>(u"compare-view"_s);
    ASSERT_TRUE(waitUntil([&] { return compared->toPlainText().contains(u"Now: other words"_s); }));
    EXPECT_TRUE(compared->toPlainText().contains(u"Changed Every tide"_s));
    press(Qt::Key_Return);
    EXPECT_TRUE(waitUntil([&] { return words()->toPlainText() == before; }));
    save();
    EXPECT_EQ(stored(u"every tide"_s).revision, 3);
}

TEST_F(History, WhatWasTypedOutlivesTheProgram) {
    importDemo();
    openSong(u"every tide"_s, u"Every Tide"_s);
    type(u"Unsaved "_s);
    const QString typed = words()->toPlainText();
    dieAndComeBack(u"song"_s);
    EXPECT_EQ(answers->asked, 0);
    press(Qt::Key_1, Qt::AltModifier);
    EXPECT_EQ(words()->toPlainText(), typed);
    press(Qt::Key_Z, Qt::ControlModifier);
    EXPECT_FALSE(words()->toPlainText().contains(u"Unsaved"_s));
    press(Qt::Key_Z, Qt::ControlModifier | Qt::ShiftModifier);
    save();
    EXPECT_EQ(stored(u"every tide"_s).revision, 2);
    EXPECT_TRUE(waitUntil([&] { return !QFile::exists(unsavedPath(u"song"_s)); }));
}

TEST_F(History, ASongThatWasNeverSavedOutlivesTheProgramToo) {
    newSong(u"Half Written"_s);
    ASSERT_TRUE(waitUntil([&] { return QFile::exists(unsavedPath(u"song"_s)); }));
    window->findChild<LibraryDesk*>()->keepNow();
    window.reset();
    session.reset();
    open();
    press(Qt::Key_1, Qt::AltModifier);
    EXPECT_TRUE(waitUntil([&] { return titleShown() == u"Half Written"_s; }));
    EXPECT_EQ(answers->asked, 0);
}

TEST_F(History, ASongThatWasChangedElsewhereIsNeverOverwrittenInSilence) {
    importDemo();
    openSong(u"every tide"_s, u"Every Tide"_s);
    type(u"Mine "_s);
    { // another window
        auto other = Library::open(libraryFolder);
        ASSERT_TRUE(other);
        Song theirs = stored(u"every tide"_s);
        theirs.notes = u"theirs"_s;
        ASSERT_TRUE((*other)->save(theirs));
    }
    press(Qt::Key_S, Qt::ControlModifier);
    auto* history = child<QWidget>(u"song-history"_s);
    ASSERT_TRUE(waitUntil([&] { return history->isVisible(); }));
    EXPECT_TRUE(history->findChild<QTextBrowser*>(u"compare-view"_s)->toPlainText().contains(u"theirs"_s));
    EXPECT_EQ(stored(u"every tide"_s).notes, u"theirs"_s);
    QTest::mouseClick(child<QPushButton>(u"history-keep"_s), Qt::LeftButton);
    ASSERT_TRUE(waitUntil([&] { return stored(u"every tide"_s).revision == 3; }));
    EXPECT_EQ(stored(u"every tide"_s).notes, QString());
    EXPECT_TRUE(words()->toPlainText().contains(u"Mine"_s));
}

TEST_F(History, ADeletedSongIsInTheBinAndComesBack) {
    importDemo();
    openSong(u"every tide"_s, u"Every Tide"_s);
    child<QToolButton>(u"song-more"_s)->menu()->actions()[1]->trigger();
    ASSERT_TRUE(waitUntil([&] { return window->notices()->text().contains(u"bin"_s); }));
    EXPECT_NE(stored(u"every tide"_s).title, u"Every Tide"_s);
    QMenu* bin = child<QToolButton>(u"bin"_s)->menu();
    Q_EMIT bin->aboutToShow();
    ASSERT_TRUE(waitUntil([&] { return bin->actions().front()->text().contains(u"Every Tide"_s); }));
    bin->actions().front()->trigger();
    EXPECT_TRUE(waitUntil([&] { return stored(u"every tide"_s).title == u"Every Tide"_s; }));
    EXPECT_TRUE(waitUntil([&] { return words()->isVisible() && titleShown() == u"Every Tide"_s; }));
}

} // namespace
} // namespace mivanta
