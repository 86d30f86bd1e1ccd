// SPDX-License-Identifier: GPL-3.0-or-later
#include "Window.h"
#include "desk/find/FindPanel.h"
#include "support/Samples.h"
#include <QComboBox>
#include <QMenu>
#include <QMimeData>

namespace mivanta {
namespace {

class Prepare : public WindowTest {
protected:
    void SetUp() override {
        WindowTest::SetUp();
        importDemo();
        press(Qt::Key_2, Qt::AltModifier);
    }
};

TEST_F(Prepare, FindAddsAtTheMarkAndUndoTakesItBack) {
    EXPECT_TRUE(child<QLabel>(u"sheet-empty"_s)->isVisible());
    addByFind(u"fire burning"_s, u"Lantern on the Water"_s);
    addByFind(u"every tide"_s, u"Every Tide"_s);
    EXPECT_EQ(titles(), (QStringList{u"Lantern on the Water"_s, u"Every Tide"_s}));
    EXPECT_FALSE(child<QLabel>(u"sheet-empty"_s)->isVisible());
    EXPECT_EQ(child<QLabel>(u"bench-title"_s)->text(), u"Every Tide"_s);
    press(Qt::Key_Z, Qt::ControlModifier);
    EXPECT_EQ(titles(), QStringList{u"Lantern on the Water"_s});
    press(Qt::Key_Z, Qt::ControlModifier | Qt::ShiftModifier);
    EXPECT_EQ(titles().size(), 2);
    EXPECT_EQ(session->document().undoStack().undoText(), u"adding Every Tide"_s);
}

TEST_F(Prepare, ItemsAreMovedAndRemovedByKeys) {
    addByFind(u"lantern"_s, u"Lantern on the Water"_s);
    addByFind(u"every tide"_s, u"Every Tide"_s);
    addByFind(u"salt and"_s, u"Salt and Bread"_s);
    auto* view = child<QListView>(u"order-view"_s);
    view->setFocus();
    press(Qt::Key_Up, Qt::AltModifier);
    EXPECT_EQ(titles(), (QStringList{u"Lantern on the Water"_s, u"Salt and Bread"_s, u"Every Tide"_s}));
    press(Qt::Key_Up, Qt::AltModifier);
    press(Qt::Key_Up, Qt::AltModifier); // at the top already
    EXPECT_EQ(titles()[0], u"Salt and Bread"_s);
    press(Qt::Key_Down);
    press(Qt::Key_Delete);
    EXPECT_EQ(titles(), (QStringList{u"Salt and Bread"_s, u"Every Tide"_s}));
    press(Qt::Key_Z, Qt::ControlModifier);
    press(Qt::Key_Z, Qt::ControlModifier);
    EXPECT_EQ(titles()[0], u"Lantern on the Water"_s);
}

TEST_F(Prepare, SeveralItemsMoveTogether) {
    for (const auto& title : {u"Lantern on the Water"_s, u"Every Tide"_s, u"Salt and Bread"_s})
        addByFind(title.toLower(), title);
    child<QListView>(u"order-view"_s)->setFocus();
    press(Qt::Key_Up, Qt::ShiftModifier);
    press(Qt::Key_Up, Qt::AltModifier);
    EXPECT_EQ(titles(), (QStringList{u"Every Tide"_s, u"Salt and Bread"_s, u"Lantern on the Water"_s}));
    press(Qt::Key_Delete);
    EXPECT_EQ(titles(), QStringList{u"Lantern on the Water"_s});
}

TEST_F(Prepare, SongsAndItemsAreDropped) {
    addByFind(u"lantern"_s, u"Lantern on the Water"_s);
    addByFind(u"every tide"_s, u"Every Tide"_s);
    auto* find = window->findChild<QWidget*>(u"prepare-desk"_s)->findChild<QListView*>(u"find-results"_s);
    press(Qt::Key_F, Qt::ControlModifier);
    type(u"salt"_s);
    ASSERT_TRUE(waitUntil([&] { return find->model()->rowCount() == 1; }));
    auto* order = child<QListView>(u"order-view"_s)->model();
    const std::unique_ptr<QMimeData> song(find->model()->mimeData({find->model()->index(0, 0)}));
    EXPECT_TRUE(order->dropMimeData(song.get(), Qt::CopyAction, 0, 0, {}));
    ASSERT_TRUE(waitUntil([&] { return titles().size() == 3; }));
    EXPECT_EQ(titles()[0], u"Salt and Bread"_s);
    const std::unique_ptr<QMimeData> item(order->mimeData({order->index(0, 0)}));
    EXPECT_TRUE(order->dropMimeData(item.get(), Qt::MoveAction, 3, 0, {}));
    EXPECT_EQ(titles(), (QStringList{u"Lantern on the Water"_s, u"Every Tide"_s, u"Salt and Bread"_s}));
}

TEST_F(Prepare, ADoubleClickOnAFoundSongAddsIt) {
    auto* find = window->findChild<QWidget*>(u"prepare-desk"_s)->findChild<QListView*>(u"find-results"_s);
    ASSERT_TRUE(waitUntil([&] { return find->model()->rowCount() == 14; }));
    const QRect row = find->visualRect(find->model()->index(2, 0));
    QTest::mouseClick(find->viewport(), Qt::LeftButton, {}, row.center());
    QTest::mouseDClick(find->viewport(), Qt::LeftButton, {}, row.center());
    ASSERT_TRUE(waitUntil([&] { return titles().size() == 1; }));
    EXPECT_EQ(titles()[0], find->model()->index(2, 0).data().toString());
}

TEST_F(Prepare, HeadingsAreAddedAndRenamed) {
    addByFind(u"lantern"_s, u"Lantern on the Water"_s);
    answers->typed = u"Sending"_s;
    press(Qt::Key_H, Qt::ControlModifier);
    EXPECT_EQ(titles(), (QStringList{u"Lantern on the Water"_s, u"Sending"_s}));
    auto* view = child<QListView>(u"order-view"_s);
    view->setFocus();
    press(Qt::Key_F2);
    type(u"Going out"_s);
    press(Qt::Key_Return);
    EXPECT_TRUE(waitUntil([&] { return titles()[1] == u"Going out"_s; }));
}

TEST_F(Prepare, TheThemeOfTheServiceIsChangedAndUndone) {
    addByFind(u"lantern"_s, u"Lantern on the Water"_s);
    auto* theme = child<QComboBox>(u"theme"_s);
    const QString before = session->document().service().theme.id;
    theme->setFocus();
    press(Qt::Key_Down);
    EXPECT_NE(session->document().service().theme.id, before);
    press(Qt::Key_Z, Qt::ControlModifier);
    EXPECT_EQ(session->document().service().theme.id, before);
}

TEST_F(Prepare, SavedOpenedAndChangedByAnotherProgram) {
    addByFind(u"lantern"_s, u"Lantern on the Water"_s);
    EXPECT_TRUE(session->document().isModified());
    answers->saveTo = folder.filePath(u"sunday.mivanta"_s);
    press(Qt::Key_S, Qt::ControlModifier);
    ASSERT_TRUE(waitUntil([&] { return !session->document().isModified(); }));
    press(Qt::Key_N, Qt::ControlModifier);
    EXPECT_TRUE(titles().isEmpty());
    answers->open = answers->saveTo;
    press(Qt::Key_O, Qt::ControlModifier);
    ASSERT_TRUE(waitUntil([&] { return titles().size() == 1; }));

    Service other = session->document().service();
    other.title = u"Theirs"_s;
    ASSERT_TRUE(saveService(other, answers->saveTo, std::nullopt));
    addByFind(u"every tide"_s, u"Every Tide"_s);
    press(Qt::Key_S, Qt::ControlModifier);
    ASSERT_TRUE(waitUntil([&] {
        return window->notices()->isVisible() && window->notices()->text().contains(u"another program"_s);
    }));
    EXPECT_EQ(openService(answers->saveTo)->service.title, u"Theirs"_s);
    EXPECT_TRUE(session->document().isModified());
}

TEST_F(Prepare, UnsavedWorkIsAskedFor) {
    addByFind(u"lantern"_s, u"Lantern on the Water"_s);
    answers->unsaved = Prompts::Unsaved::Cancel;
    press(Qt::Key_N, Qt::ControlModifier);
    EXPECT_EQ(answers->asked, 1);
    EXPECT_EQ(titles().size(), 1);
    answers->unsaved = Prompts::Unsaved::GiveUp;
    press(Qt::Key_N, Qt::ControlModifier);
    EXPECT_TRUE(titles().isEmpty());
}

TEST_F(Prepare, WorkThatWasNotSavedIsThereAgainAfterTheProgramDied) {
    addByFind(u"lantern"_s, u"Lantern on the Water"_s);
    ASSERT_TRUE(waitUntil([&] { return QFile::exists(unsavedPath(u"service"_s)); }));
    session->document().keepNow();
    session->player().quit();
    window.reset(); // without being asked, as when it dies
    session.reset();
    open();
    EXPECT_EQ(titles(), QStringList{u"Lantern on the Water"_s});
    EXPECT_TRUE(session->document().isModified());
    EXPECT_TRUE(window->notices()->isVisible());
}

TEST_F(Prepare, ShiftEnterOpensTheSongInTheLibrary) {
    press(Qt::Key_F, Qt::ControlModifier);
    type(u"tide"_s);
    auto* list = window->findChild<QWidget*>(u"prepare-desk"_s)->findChild<QListView*>(u"find-results"_s);
    ASSERT_TRUE(waitUntil([&] {
        return list->currentIndex().data().toString() == u"Every Tide"_s || list->model()->rowCount() > 1;
    }));
    const QString title = list->currentIndex().data().toString();
    press(Qt::Key_Return, Qt::ShiftModifier);
    EXPECT_EQ(window->currentDesk(), MainWindow::LibraryAt);
    EXPECT_TRUE(waitUntil([&] { return child<QLabel>(u"song-title"_s)->text() == title; }));
}

TEST_F(Prepare, WhatWasOpenLastIsOpenedAgainFromItsMenu) {
    answers->saveTo = folder.filePath(u"first & best.mivanta"_s);
    session->document().insertHeading(0, u"Gathering"_s);
    press(Qt::Key_S, Qt::ControlModifier);
    ASSERT_TRUE(
        waitUntil([&] { return QFile::exists(answers->saveTo) && !session->document().isModified(); }));
    press(Qt::Key_N, Qt::ControlModifier);
    ASSERT_TRUE(waitUntil([&] { return titles().isEmpty(); }));
    press(Qt::Key_O, Qt::ControlModifier | Qt::ShiftModifier);
    auto* menu = window->findChild<QMenu*>(u"recent-services"_s);
    ASSERT_TRUE(waitUntil([&] { return menu->isVisible(); }));
    EXPECT_EQ(menu->actions().front()->toolTip(), answers->saveTo);
    QTest::keyClick(menu, Qt::Key_1);
    EXPECT_TRUE(waitUntil([&] { return titles() == QStringList{u"Gathering"_s}; }));
}

TEST_F(Prepare, QuietFactsAboutTheSongsStandAtTheFoot) {
    const Song song = samples::harbourSong(u"Harbour"_s);
    session->document().setStart(QDateTime(QDate(2026, 10, 4), QTime(10, 30)));
    session->library().noteSung({song.id, song.title, ServiceId::create(), u"Last week"_s,
                                 QDateTime(QDate(2026, 9, 27), QTime(11, 0))});
    session->document().insert(0, songItem(song));
    auto* facts = child<QLabel>(u"sheet-ahead"_s);
    ASSERT_TRUE(waitUntil([&] { return facts->text().contains(u"1 song sung lately"_s); }));
    EXPECT_TRUE(facts->text().contains(u"1 song without licence number"_s));
    EXPECT_TRUE(facts->toolTip().contains(u"Harbour was sung 7 days before"_s));
    session->document().undoStack().undo();
    EXPECT_TRUE(waitUntil([&] { return !facts->isVisible(); }));
}

} // namespace
} // namespace mivanta
