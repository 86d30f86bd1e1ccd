// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/Window.h"
#include <QCheckBox>
#include <QComboBox>
#include <QLabel>
#include <QLineEdit>
#include <QListWidget>
#include <QMenu>
#include <QPlainTextEdit>
#include <QPushButton>
#include <QToolButton>

namespace mivanta {
namespace {

class LibraryKinds : public WindowTest {
protected:
    void SetUp() override {
        WindowTest::SetUp();
        importDemoScripture();
        press(Qt::Key_1, Qt::AltModifier);
    }
    QListView* verses() { return child<QListView>(u"scripture-results"_s); }
    QListWidget* chapter() { return child<QListWidget>(u"verses"_s); }
    /// The Scripture page with the demo's first translation.
    void openScripture() {
        press(Qt::Key_2, Qt::AltModifier | Qt::ShiftModifier);
        auto* list = child<QListWidget>(u"translation-list"_s);
        ASSERT_TRUE(waitUntil([&] { return list->count() == 2; }));
        list->setCurrentRow(0);
    }
    QString passage() { return child<QLabel>(u"scripture-passage"_s)->text(); }
    QPlainTextEdit* words() { return child<QPlainTextEdit>(u"text-editor-words"_s); }
    /// The stored text of a title.
    std::optional<SpokenText> stored(const QString& title) {
        std::optional<SpokenText> found;
        bool answered = false;
        session->library().ask<SpokenText>(
            window.get(),
            [title](Library& library) -> Result<SpokenText> {
                const auto hits = library.texts().find(title);
                return hits && !hits->empty() ? library.texts().text(hits->front().text.id)
                                              : failure(u"none"_s);
            },
            [&](const Result<SpokenText>& text) {
                answered = true;
                if (text)
                    found = *text;
            });
        EXPECT_TRUE(waitUntil([&] { return answered; }));
        return found;
    }
};

TEST_F(LibraryKinds, VersesAreFoundShownAmongTheirNeighboursAndMerged) {
    openScripture();
    type(u"love is"_s);
    ASSERT_TRUE(waitUntil([&] { return verses()->isVisible() && verses()->model()->rowCount() == 2; }));
    ASSERT_TRUE(waitUntil([&] { return passage() == u"1 Corinthians 13:4 (QST)"_s; }));
    ASSERT_TRUE(waitUntil([&] { return chapter()->count() == 13; }));
    EXPECT_TRUE(chapter()->item(3)->isSelected());
    verses()->setFocus();
    verses()->selectAll();
    QTest::mouseClick(child<QPushButton>(u"scripture-add-together"_s), Qt::LeftButton);
    ASSERT_TRUE(waitUntil([&] { return titles().size() == 1; }));
    EXPECT_EQ(titles().front(), u"1 Corinthians 13:4, 13 (QST)"_s);
    EXPECT_EQ(window->currentDesk(), MainWindow::PrepareAt);
}

TEST_F(LibraryKinds, AReferenceIsReadAndVersesChosenByHandTakeItsPlace) {
    openScripture();
    type(u"ju"_s);
    EXPECT_TRUE(waitUntil([&] { return child<QLabel>(u"scripture-help"_s)->text().contains(u"Jude"_s); }));
    auto* box = child<QLineEdit>(u"scripture-find-box"_s);
    box->selectAll();
    type(u"jude 24-25"_s);
    ASSERT_TRUE(waitUntil([&] { return passage() == u"Jude 24\u201325 (QST)"_s; }));
    chapter()->setFocus();
    chapter()->clearSelection();
    chapter()->item(1)->setSelected(true);
    ASSERT_TRUE(waitUntil([&] { return passage() == u"Jude 2 (QST)"_s; }));
    QTest::mouseClick(child<QPushButton>(u"scripture-add"_s), Qt::LeftButton);
    ASSERT_TRUE(waitUntil([&] { return titles() == QStringList{u"Jude 2 (QST)"_s}; }));
}

TEST_F(LibraryKinds, AllTranslationsAreSearchedAndTheOtherOneIsRead) {
    openScripture();
    child<QComboBox>(u"scripture-scope"_s)->setFocus();
    press(Qt::Key_Down);
    child<QLineEdit>(u"scripture-find-box"_s)->setFocus();
    type(u"maschen"_s);
    ASSERT_TRUE(waitUntil([&] { return passage() == u"Lukas 5:6 (HMT)"_s; }));
    press(Qt::Key_Return);
    ASSERT_TRUE(waitUntil([&] { return titles() == QStringList{u"Lukas 5:6 (HMT)"_s}; }));
}

TEST_F(LibraryKinds, DetailsOfATranslationAreKeptAndItCanBeRemoved) {
    openScripture();
    auto* list = child<QListWidget>(u"translation-list"_s);
    ASSERT_TRUE(waitUntil([&] { return list->count() == 2; }));
    auto* copyright = child<QLineEdit>(u"translation-copyright"_s);
    copyright->setFocus();
    copyright->selectAll();
    type(u"Free to read"_s);
    press(Qt::Key_Return);
    QString kept;
    const auto ask = [&] {
        session->library().ask<Translation>(
            window.get(), [](Library& library) { return library.scripture().translation(u"QST"_s); },
            [&](const Result<Translation>& t) { kept = t ? t->copyright : QString(); });
        QTest::qWait(50);
        return kept == u"Free to read"_s;
    };
    EXPECT_TRUE(waitUntil(ask));
    auto* menu = child<QToolButton>(u"translation-more"_s)->menu();
    Q_EMIT menu->aboutToShow();
    menu->actions()[1]->trigger(); // remove
    ASSERT_TRUE(waitUntil([&] { return list->count() == 1; }));
    Q_EMIT menu->aboutToShow();
    ASSERT_TRUE(waitUntil(
        [&] { return menu->actions().size() > 3 && menu->actions()[3]->text().startsWith(u"Restore"_s); }));
    menu->actions()[3]->trigger(); // take it back
    EXPECT_TRUE(waitUntil([&] { return list->count() == 2; }));
}

TEST_F(LibraryKinds, ABrokenTranslationIsRefusedAndTheOldOneStays) {
    openScripture();
    QFile broken(folder.filePath(u"QST.usfm"_s));
    ASSERT_TRUE(broken.open(QIODevice::WriteOnly));
    broken.write("\\id LUK\n\\v 1 before any chapter\n");
    broken.close();
    answers->files = {broken.fileName()};
    press(Qt::Key_I, Qt::ControlModifier);
    ASSERT_TRUE(waitUntil([&] { return window->notices()->text().contains(u"line 2"_s); }));
    EXPECT_EQ(child<QListWidget>(u"translation-list"_s)->count(), 2);
}

TEST_F(LibraryKinds, ATextIsWrittenWithRolesSavedAndBroughtBack) {
    press(Qt::Key_3, Qt::AltModifier | Qt::ShiftModifier);
    press(Qt::Key_N, Qt::ControlModifier | Qt::ShiftModifier);
    auto* title = child<QLineEdit>(u"text-title"_s);
    ASSERT_TRUE(waitUntil([&] { return title->hasFocus(); }));
    type(u"Blessing of the nets"_s);
    words()->setFocus();
    type(u"Bless these knots"_s);
    press(Qt::Key_1, Qt::ControlModifier); // the leader says it
    press(Qt::Key_End);
    press(Qt::Key_Return);
    type(u"and the hands that tied them."_s);
    press(Qt::Key_2, Qt::ControlModifier); // all do
    EXPECT_EQ(words()->toPlainText(), u"Leader: Bless these knots\nAll: and the hands that tied them."_s);
    press(Qt::Key_S, Qt::ControlModifier);
    ASSERT_TRUE(waitUntil([&] { return stored(u"Blessing of the nets"_s).has_value(); }));
    EXPECT_EQ(stored(u"Blessing of the nets"_s)->lines[1].role, u"All"_s);

    words()->setFocus();
    press(Qt::Key_End, Qt::ControlModifier);
    type(u" Amen."_s);
    press(Qt::Key_S, Qt::ControlModifier);
    ASSERT_TRUE(waitUntil([&] { return stored(u"Blessing of the nets"_s)->revision == 2; }));
    QTest::mouseClick(child<QPushButton>(u"text-history"_s), Qt::LeftButton);
    auto* versions = child<QListWidget>(u"text-version-list"_s);
    ASSERT_TRUE(waitUntil([&] { return versions->count() == 1; }));
    auto* restore = child<QPushButton>(u"text-history-restore"_s);
    ASSERT_TRUE(waitUntil([&] { return restore->isEnabled(); }));
    QTest::mouseClick(restore, Qt::LeftButton);
    EXPECT_FALSE(words()->toPlainText().contains(u"Amen"_s));
    press(Qt::Key_S, Qt::ControlModifier);
    EXPECT_TRUE(waitUntil([&] { return stored(u"Blessing of the nets"_s)->revision == 3; }));
}

TEST_F(LibraryKinds, WordsAndDetailsOfATextAreUndoneAlike) {
    press(Qt::Key_3, Qt::AltModifier | Qt::ShiftModifier);
    type(u"crew"_s);
    auto* title = child<QLineEdit>(u"text-title"_s);
    ASSERT_TRUE(waitUntil([&] { return title->text() == u"Prayer of the crew"_s; }));
    const QString before = words()->toPlainText();
    words()->setFocus();
    type(u"New "_s); // is one step
    press(Qt::Key_End, Qt::ControlModifier);
    type(u" Two"_s); // elsewhere
    child<QLineEdit>(u"text-author"_s)->setFocus();
    press(Qt::Key_End);
    type(u"Bram"_s);
    EXPECT_EQ(child<QLineEdit>(u"text-author"_s)->text(), u"Bram"_s);
    const auto undo = [&] { press(Qt::Key_Z, Qt::ControlModifier); };
    undo();
    EXPECT_TRUE(words()->toPlainText().contains(u"Two"_s));
    EXPECT_FALSE(child<QLineEdit>(u"text-author"_s)->text().contains(u"Bram"_s));
    undo();
    EXPECT_TRUE(words()->toPlainText().startsWith(u"New "_s)) << words()->toPlainText().toStdString();
    EXPECT_FALSE(words()->toPlainText().contains(u"Two"_s));
    words()->setFocus(); // the caret's place makes no difference
    undo();
    EXPECT_EQ(words()->toPlainText(), before);
    EXPECT_FALSE(child<QPushButton>(u"text-save"_s)->isEnabled());
    press(Qt::Key_Y, Qt::ControlModifier);
    EXPECT_TRUE(words()->toPlainText().startsWith(u"New "_s));
}

TEST_F(LibraryKinds, ATextHasAPictureAndALastDay) {
    press(Qt::Key_3, Qt::AltModifier | Qt::ShiftModifier);
    type(u"crew"_s);
    auto* title = child<QLineEdit>(u"text-title"_s);
    ASSERT_TRUE(waitUntil([&] { return title->text() == u"Prayer of the crew"_s; }));
    auto* lastDay = child<QLineEdit>(u"text-last-day"_s);
    lastDay->setFocus();
    type(u"never ever"_s);
    EXPECT_EQ(lastDay->text(), u"never ever"_s);
    words()->setFocus();
    EXPECT_TRUE(child<QLabel>(u"text-state"_s)->text().contains(u"is no day"_s))
        << child<QLabel>(u"text-state"_s)->text().toStdString();
    lastDay->setFocus();
    lastDay->selectAll();
    type(u"2031-10-05"_s);
    words()->setFocus();
    const QString picture = folder.filePath(u"nets.png"_s);
    QImage image(64, 36, QImage::Format_RGB32);
    image.fill(Qt::darkCyan);
    ASSERT_TRUE(image.save(picture));
    answers->files = {picture};
    auto* remove = child<QToolButton>(u"text-no-picture"_s);
    EXPECT_TRUE(remove->isHidden());
    child<QPushButton>(u"text-picture"_s)->click();
    ASSERT_TRUE(waitUntil([&] { return !remove->isHidden(); }));
    press(Qt::Key_S, Qt::ControlModifier);
    ASSERT_TRUE(waitUntil([&] { return stored(u"Prayer of the crew"_s)->lastDay.isValid(); }));
    EXPECT_EQ(stored(u"Prayer of the crew"_s)->lastDay, QDate(2031, 10, 5));
    EXPECT_TRUE(stored(u"Prayer of the crew"_s)->picture.endsWith(u".png"_s));
    remove->click();
    EXPECT_TRUE(remove->isHidden());
    press(Qt::Key_Z, Qt::ControlModifier);
    EXPECT_FALSE(remove->isHidden());
}

TEST_F(LibraryKinds, AChangedTextIsAskedAboutBeforeAnotherIsShown) {
    press(Qt::Key_3, Qt::AltModifier | Qt::ShiftModifier);
    type(u"crew"_s);
    auto* title = child<QLineEdit>(u"text-title"_s);
    ASSERT_TRUE(waitUntil([&] { return title->text() == u"Prayer of the crew"_s; }));
    words()->setFocus();
    type(u"x"_s);
    answers->unsaved = Prompts::Unsaved::Cancel;
    auto* box = child<QLineEdit>(u"text-find-box"_s);
    box->setFocus();
    box->clear();
    settle();
    EXPECT_EQ(answers->asked, 0); // another query is no other text
    press(Qt::Key_Down);
    EXPECT_TRUE(waitUntil([&] { return answers->asked > 0; }));
    EXPECT_EQ(title->text(), u"Prayer of the crew"_s);
    answers->unsaved = Prompts::Unsaved::GiveUp;
    press(Qt::Key_Down);
    EXPECT_TRUE(waitUntil([&] { return title->text() != u"Prayer of the crew"_s; }));
}

TEST_F(LibraryKinds, AnUnsavedTextOutlivesTheProgram) {
    press(Qt::Key_3, Qt::AltModifier | Qt::ShiftModifier);
    type(u"crew"_s);
    auto* title = child<QLineEdit>(u"text-title"_s);
    ASSERT_TRUE(waitUntil([&] { return title->text() == u"Prayer of the crew"_s; }));
    words()->setFocus();
    type(u"New first line. "_s);
    dieAndComeBack(u"text"_s);
    press(Qt::Key_1, Qt::AltModifier);
    press(Qt::Key_3, Qt::AltModifier | Qt::ShiftModifier);
    EXPECT_TRUE(words()->toPlainText().startsWith(u"New first line."_s));
    press(Qt::Key_S, Qt::ControlModifier);
    EXPECT_TRUE(waitUntil([&] { return stored(u"crew"_s)->lines[0].words.startsWith(u"New first"_s); }));
    EXPECT_TRUE(waitUntil([&] { return !QFile::exists(unsavedPath(u"text"_s)); }));
}

TEST_F(LibraryKinds, TextsGoToTheBinAndOutToAFile) {
    press(Qt::Key_3, Qt::AltModifier | Qt::ShiftModifier);
    type(u"crew"_s);
    auto* title = child<QLineEdit>(u"text-title"_s);
    ASSERT_TRUE(waitUntil([&] { return title->text() == u"Prayer of the crew"_s; }));
    answers->saveTo = folder.filePath(u"crew.txt"_s);
    QTest::mouseClick(child<QToolButton>(u"send-out-text"_s), Qt::LeftButton);
    ASSERT_TRUE(waitUntil([&] { return QFile::exists(answers->saveTo); }));
    QFile file(answers->saveTo);
    ASSERT_TRUE(file.open(QIODevice::ReadOnly));
    EXPECT_TRUE(file.readAll().startsWith("Title: Prayer of the crew\nKind: prayer\n"));
    QTest::mouseClick(child<QPushButton>(u"text-delete"_s), Qt::LeftButton);
    ASSERT_TRUE(waitUntil([&] { return !stored(u"crew"_s); }));
    auto* menu = child<QToolButton>(u"text-bin"_s)->menu();
    Q_EMIT menu->aboutToShow();
    ASSERT_TRUE(waitUntil([&] { return menu->actions().front()->isEnabled(); }));
    menu->actions().front()->trigger();
    EXPECT_TRUE(waitUntil([&] { return stored(u"crew"_s).has_value(); }));
}

} // namespace
} // namespace mivanta
