// SPDX-License-Identifier: GPL-3.0-or-later
#include "Dropping.h"
#include "Window.h"
#include "core/order/Groups.h"
#include "desk/prepare/PasteOrder.h"
#include "desk/window/StartMenu.h"
#include "store/ServiceTemplates.h"
#include "support/Samples.h"
#include <QClipboard>
#include <QComboBox>
#include <QLineEdit>
#include <QMimeData>
#include <QPushButton>
#include <QTableWidget>

namespace mivanta {
namespace {

/// Services that do not begin empty, places to fill, and items that stay together.
class StartTest : public WindowTest {
protected:
    void SetUp() override {
        WindowTest::SetUp();
        importDemo();
        importDemoScripture();
        press(Qt::Key_2, Qt::AltModifier);
    }
    ServiceDocument& document() { return session->document(); }
    const Item& item(int index) { return document().service().items[size_t(index)]; }
    /// Opens the menu by its key and takes an entry of it.
    void begin(const QString& entry) {
        press(Qt::Key_N, Qt::ControlModifier | Qt::AltModifier);
        auto* menu = window->findChild<StartMenu*>();
        QAction* action = nullptr;
        ASSERT_TRUE(waitUntil([&] {
            action = menu->findChild<QAction*>(entry); // templates are looked for on another thread
            return menu->isVisible() && action && action->isEnabled();
        })) << entry.toStdString();
        action->trigger();
        menu->close();
        window->activateWindow();
    }
    PasteOrder* dialog() {
        PasteOrder* found = nullptr;
        EXPECT_TRUE(waitUntil([&] {
            found = window->findChild<PasteOrder*>();
            return found && found->isVisible();
        }));
        return found;
    }
    QString choiceOf(PasteOrder* dialog, int row) {
        auto* box = dialog->findChild<QComboBox*>(u"paste-choice-%1"_s.arg(row));
        return box ? box->currentText() : QString();
    }
    void waitForLines(PasteOrder* dialog, int count) {
        ASSERT_TRUE(waitUntil(
            [&] { return dialog->findChild<QTableWidget*>(u"paste-lines"_s)->rowCount() == count; }));
    }
    OrderSheet* sheet() { return window->findChild<OrderSheet*>(); }
};

TEST_F(StartTest, ATemplateHasPlacesThatFindFillsOneByOne) {
    begin(u"template-A usual Sunday"_s);
    ASSERT_TRUE(waitUntil([&] { return document().service().items.size() > 10; }));
    EXPECT_TRUE(document().isModified());
    EXPECT_TRUE(document().path().isEmpty());
    EXPECT_EQ(item(2).title(), u"Words of welcome"_s);
    EXPECT_TRUE(item(2).isSlot());
    EXPECT_TRUE(sheet()->current() == item(2).id); // the first one to fill
    const auto count = document().service().items.size();
    const auto fillWith = [&](const QString& words, int at, const QString& title) {
        press(Qt::Key_F, Qt::ControlModifier);
        EXPECT_TRUE(child<QLineEdit>(u"prepare-find-box"_s)->placeholderText().contains(item(at).title()));
        type(words);
        auto* list = desk(u"prepare-desk"_s)->findChild<QListView*>(u"find-results"_s);
        ASSERT_TRUE(waitUntil([&] { return list->currentIndex().data().toString() == title; }));
        press(Qt::Key_Return);
        ASSERT_TRUE(waitUntil([&] { return !item(at).isSlot(); }));
        EXPECT_EQ(item(at).title(), title);
    };
    fillWith(u"words of wel"_s, 2, u"Words of welcome at the harbour"_s);
    fillWith(u"lantern on"_s, 3, u"Lantern on the Water"_s); // went on to the next one
    EXPECT_EQ(document().service().items.size(), count);
    press(Qt::Key_Z, Qt::ControlModifier);
    if (!item(3).isSlot()) // the first undid the typing
        document().undoStack().undo();
    EXPECT_TRUE(item(3).isSlot());
}

TEST_F(StartTest, AnOrderIsKeptAsATemplateAndBegunWithAgain) {
    addByFind(u"lantern on"_s, u"Lantern on the Water"_s);
    document().insert(0, Heading{u"Gathering"_s});
    document().insert(9, NoteItem{u"Lights"_s});
    answers->typed = u"Our Sunday"_s;
    begin(u"keep-template"_s);
    ASSERT_TRUE(waitUntil([&] { return templatesOf(libraryFolder).front().name == u"Our Sunday"; }));
    answers->unsaved = Prompts::Unsaved::GiveUp;
    begin(u"template-Our Sunday"_s);
    ASSERT_TRUE(waitUntil([&] { return document().service().items.size() == 3 && item(1).isSlot(); }));
    EXPECT_EQ(titles(), (QStringList{u"Gathering"_s, u"A song"_s, u"Lights"_s}));
    begin(u"keep-template"_s); // the same name: asked, and not agreed to
    EXPECT_EQ(answers->questions.size(), 1);
}

TEST_F(StartTest, AServiceBeginsLikeLastWeeks) {
    addByFind(u"lantern on"_s, u"Lantern on the Water"_s);
    document().setStart(QDateTime(QDate::currentDate().addDays(-7), QTime(10, 30)));
    answers->saveTo = folder.filePath(u"last.mivanta"_s);
    press(Qt::Key_S, Qt::ControlModifier);
    ASSERT_TRUE(waitUntil([&] { return !document().isModified(); }));
    begin(u"like-last"_s);
    ASSERT_TRUE(waitUntil([&] { return document().path().isEmpty(); }));
    EXPECT_EQ(titles(), QStringList{u"Lantern on the Water"_s});
    EXPECT_EQ(document().service().start, QDateTime(QDate::currentDate(), QTime(10, 30)));
    answers->unsaved = Prompts::Unsaved::GiveUp;
    begin(u"anew-last"_s);
    ASSERT_TRUE(waitUntil([&] { return item(0).isSlot(); }));
}

TEST_F(StartTest, AnEmailBecomesAnOrderWithItsDoubtfulLinesOffered) {
    QGuiApplication::clipboard()->setText(
        u"Gathering:\nOpening song: Lantern on the Water (Maren)\n"
        "luke 5:1-11\nSalt and Bred\nSong of praise: ???\nPlease be early!"_s);
    begin(u"start-from-text"_s);
    PasteOrder* paste = dialog();
    ASSERT_TRUE(paste);
    waitForLines(paste, 6);
    auto* summary = paste->findChild<QLabel*>(u"paste-summary"_s);
    EXPECT_EQ(summary->text(), u"6 lines, 2 to look at"_s) << summary->text().toStdString();
    EXPECT_EQ(choiceOf(paste, 1), u"Song: Lantern on the Water"_s);
    EXPECT_TRUE(choiceOf(paste, 2).startsWith(u"Scripture: Luke 5"_s)) << choiceOf(paste, 2).toStdString();
    EXPECT_EQ(choiceOf(paste, 3), u"Song: Salt and Bread"_s);
    EXPECT_EQ(choiceOf(paste, 4), u"To be chosen: Song of praise"_s);
    paste->activateWindow();
    ASSERT_TRUE(waitUntil([&] { return paste->isActiveWindow(); }));
    QTest::keyClick(paste, Qt::Key_N, Qt::AltModifier);
    auto* doubtful = paste->findChild<QComboBox*>(u"paste-choice-3"_s);
    ASSERT_TRUE(waitUntil([&] { return doubtful->hasFocus(); }));
    QTest::keyClick(paste, Qt::Key_Return, Qt::ControlModifier);
    ASSERT_TRUE(waitUntil([&] { return document().service().items.size() == 6; }));
    EXPECT_EQ(titles(), (QStringList{u"Gathering"_s, u"Lantern on the Water"_s, u"Luke 5:1\u201311 (QST)"_s,
                                     u"Salt and Bread"_s, u"Song of praise"_s, u"Please be early!"_s}));
    EXPECT_EQ(item(1).plan.leader, u"Maren"_s);
    EXPECT_TRUE(item(4).isSlot());
}

TEST_F(StartTest, LinesPastedOntoTheSheetAreOneStepAndNothingWhenGivenUp) {
    addByFind(u"lantern on"_s, u"Lantern on the Water"_s);
    addByFind(u"every tide"_s, u"Every Tide"_s);
    sheet()->select(item(0).id);
    sheet()->view()->setFocus();
    QGuiApplication::clipboard()->setText(u"Salt and Bread\nBless the Hands"_s);
    press(Qt::Key_V, Qt::ControlModifier);
    PasteOrder* paste = dialog();
    waitForLines(paste, 2);
    QTest::keyClick(paste, Qt::Key_Escape);
    EXPECT_EQ(document().service().items.size(), 2u);
    ASSERT_TRUE(waitUntil([&] { return !window->findChild<PasteOrder*>(); }));
    QMimeData dropped; // the same, dragged from an e-mail
    dropped.setText(u"Salt and Bread\nBless the Hands"_s);
    EXPECT_TRUE(sheet()->model()->dropMimeData(&dropped, Qt::CopyAction, 1, 0, {}));
    paste = dialog();
    waitForLines(paste, 2);
    paste->findChild<QPushButton*>(u"paste-take"_s)->click();
    ASSERT_TRUE(waitUntil([&] { return document().service().items.size() == 4; }));
    EXPECT_EQ(titles(), (QStringList{u"Lantern on the Water"_s, u"Salt and Bread"_s, u"Bless the Hands"_s,
                                     u"Every Tide"_s}));
    document().undoStack().undo();
    EXPECT_EQ(document().service().items.size(), 2u);
}

TEST_F(StartTest, ItemsStayTogetherByKeysAndLeaveAlone) {
    for (const auto& [words, title] : {std::pair{u"lantern on"_s, u"Lantern on the Water"_s},
                                       {u"every tide"_s, u"Every Tide"_s},
                                       {u"salt and"_s, u"Salt and Bread"_s},
                                       {u"bless the"_s, u"Bless the Hands"_s}})
        addByFind(words, title);
    sheet()->view()->setFocus();
    sheet()->selectAll({item(0).id, item(2).id});
    press(Qt::Key_G, Qt::ControlModifier);
    EXPECT_EQ(titles(), (QStringList{u"Lantern on the Water"_s, u"Salt and Bread"_s, u"Every Tide"_s,
                                     u"Bless the Hands"_s})); // one behind the other
    EXPECT_EQ(document().undoStack().undoText(), u"grouping 2 items"_s);
    sheet()->select(item(1).id);
    press(Qt::Key_G, Qt::ControlModifier); // all of it is chosen
    EXPECT_EQ(sheet()->selected().size(), 2u);
    press(Qt::Key_Down, Qt::AltModifier);
    EXPECT_EQ(titles().first(), u"Every Tide"_s);
    EXPECT_EQ(groupOf(document().service().items, item(1).id).size(), 2u);
    press(Qt::Key_D, Qt::ControlModifier); // copies stay together among themselves
    EXPECT_EQ(groupOf(document().service().items, item(1).id).size(), 2u);
    EXPECT_EQ(groupOf(document().service().items, item(3).id).size(), 2u);
    sheet()->select(item(1).id);
    document().move({item(1).id}, 6); // one alone leaves, and the other is in none then
    EXPECT_EQ(groupOf(document().service().items, item(1).id).size(), 1u);
    sheet()->select(item(2).id);
    press(Qt::Key_G, Qt::ControlModifier | Qt::ShiftModifier);
    for (const Item& each : document().service().items)
        EXPECT_TRUE(each.group.isNull());
}

TEST_F(StartTest, ItemsDraggedFromAnotherWindowAreBroughtAlongWithTheirPlans) {
    addByFind(u"lantern on"_s, u"Lantern on the Water"_s);
    document().changePlan(
        {item(0).id}, [](ItemPlan& plan) { plan.leader = u"Maren"_s; }, u"who"_s);
    const LibraryAddress library = folder.filePath(u"other"_s);
    ServiceDocument other(library.mediaFolder(), Journal(library.folder()), samples::theme());
    OrderModel there(other);
    std::unique_ptr<QMimeData> dragged(sheet()->model()->mimeData({sheet()->model()->index(0)}));
    EXPECT_TRUE(there.dropMimeData(dragged.get(), Qt::MoveAction, 0, 0, {}));
    ASSERT_EQ(other.service().items.size(), 1u);
    EXPECT_EQ(other.service().items[0].plan.leader, u"Maren"_s);
    EXPECT_FALSE(other.service().items[0].id == item(0).id);
    EXPECT_EQ(document().service().items.size(), 1u); // it stays here, too
    other.undoStack().undo();
    EXPECT_TRUE(other.service().items.empty());
}

TEST_F(StartTest, WhatWasChosenIsChosenAnew) {
    addByFind(u"lantern on"_s, u"Lantern on the Water"_s);
    document().insert(9, NoteItem{u"Lights"_s});
    sheet()->view()->setFocus();
    sheet()->selectAll({item(0).id, item(1).id});
    press(Qt::Key_C, Qt::ControlModifier | Qt::ShiftModifier);
    EXPECT_TRUE(item(0).isSlot());
    EXPECT_EQ(item(1).title(), u"Lights"_s);
    press(Qt::Key_3, Qt::AltModifier);
    ASSERT_TRUE(
        waitUntil([&] { return textsOf(u"check-desk"_s).filter(u"Nothing is chosen yet"_s).size() == 1; }));
}

} // namespace
} // namespace mivanta
