// SPDX-License-Identifier: GPL-3.0-or-later
#include "EditorTest.h"
#include "core/song/SingingOrder.h"
#include "desk/library/LibraryDesk.h"
#include "desk/look/LookForm.h"
#include "desk/prepare/PrepareDesk.h"
#include <QClipboard>
#include <QComboBox>
#include <QListWidget>
#include <QRegularExpression>
#include <QScrollArea>
#include <QToolButton>

namespace mivanta {
namespace {

/// Common tasks on the real window, with their actions counted and held to docs/effort.md.
class Effort : public Editor {
protected:
    void SetUp() override {
        Editor::SetUp();
        importDemo();
        press(Qt::Key_2, Qt::AltModifier);
        actions = 0;
    }
    // Each is one action.
    void key(Qt::Key which, Qt::KeyboardModifiers modifiers = Qt::NoModifier) {
        press(which, modifiers);
        ++actions;
    }
    void click(QWidget* widget, QPoint at = {}) {
        ASSERT_TRUE(widget && widget->isVisible());
        for (QWidget* above = widget->parentWidget(); above; above = above->parentWidget())
            if (auto* area = qobject_cast<QScrollArea*>(above))
                area->ensureWidgetVisible(widget);
        widget->setFocus();
        QTest::mouseClick(widget, Qt::LeftButton, {}, at);
        ++actions;
    }
    void clickItem(const ItemId& id) {
        window->findChild<PrepareDesk*>()->selectItem(id); // what a click on its row does
        ++actions;
    }
    QLineEdit* find() {
        return window->findChild<QWidget*>(u"prepare-desk"_s)->findChild<QLineEdit*>(u"prepare-find-box"_s);
    }
    QListView* found() {
        return window->findChild<QWidget*>(u"prepare-desk"_s)->findChild<QListView*>(u"find-results"_s);
    }
    /// A row of the table: its number, once it is as counted.
    static void expect(const QString& task, int counted, int atMost) {
        EXPECT_LE(counted, atMost) << task.toStdString();
        QFile file(QStringLiteral(MIVANTA_SOURCE_DIR "/docs/effort.md"));
        ASSERT_TRUE(file.open(QIODevice::ReadOnly));
        const QRegularExpression row(u"\\| %1 \\| (\\d+) \\|"_s.arg(QRegularExpression::escape(task)));
        const auto match = row.match(QString::fromUtf8(file.readAll()));
        ASSERT_TRUE(match.hasMatch()) << task.toStdString();
        EXPECT_EQ(match.captured(1).toInt(), counted) << task.toStdString();
    }
    int actions = 0;
};

TEST_F(Effort, ANewSongFromTheClipboardToTheOrder) {
    find()->setFocus(); // as the desk opens
    QGuiApplication::clipboard()->setText(
        u"Low Tide\n\nVerse 1\nthe water is out\n\nChorus\nit will be back\n"_s);
    key(Qt::Key_V, Qt::ControlModifier);
    click(WindowTest::child<QPushButton>(u"pasted-new-song"_s));
    key(Qt::Key_S, Qt::ControlModifier);
    ASSERT_TRUE(waitUntil([&] { return WindowTest::child<QPushButton>(u"library-add"_s)->isVisible(); }));
    click(WindowTest::child<QPushButton>(u"library-add"_s));
    ASSERT_TRUE(waitUntil([&] { return titles() == QStringList{u"Low Tide"_s}; }));
    expect(u"New song from the clipboard to the order"_s, actions, 5);
}

TEST_F(Effort, AReferenceIntoTheOrder) {
    importDemoScripture();
    actions = 0;
    key(Qt::Key_F, Qt::ControlModifier);
    type(u"luk 5 1-11"_s);
    ASSERT_TRUE(
        waitUntil([&] { return found()->currentIndex().data().toString().startsWith(u"Luke 5:1"_s); }));
    key(Qt::Key_Return);
    ASSERT_TRUE(waitUntil([&] { return titles().size() == 1; }));
    expect(u"Reference into the order"_s, actions, 2);
}

TEST_F(Effort, ASongByAHalfRememberedLine) {
    key(Qt::Key_F, Qt::ControlModifier);
    type(u"mooring every evening"_s);
    ASSERT_TRUE(waitUntil([&] { return found()->currentIndex().data().toString() == u"Every Tide"_s; }));
    key(Qt::Key_Return);
    ASSERT_TRUE(waitUntil([&] { return titles() == QStringList{u"Every Tide"_s}; }));
    expect(u"Find a song by a half-remembered line and add it"_s, actions, 2);
}

TEST_F(Effort, TheSameSongShorterForOneService) {
    addByFind(u"every tide"_s, u"Every Tide"_s);
    addByFind(u"lantern on"_s, u"Lantern on the Water"_s);
    actions = 0;
    clickItem(session->document().service().items[0].id);
    auto* order = window->findChild<QWidget*>(u"bench"_s)->findChild<QLineEdit*>(u"order-text"_s);
    click(order);
    key(Qt::Key_A, Qt::ControlModifier);
    type(u"v1 v3"_s);
    EXPECT_EQ(singingOrderText(*session->document().service().items[0].song()), u"V1 V3"_s);
    expect(u"Same song shorter for one service"_s, actions, 3);
}

TEST_F(Effort, AllWordsWhite) {
    addByFind(u"every tide"_s, u"Every Tide"_s);
    session->document().setTheme(*themeOf(u"plain-paper"_s, session->book().themes()));
    actions = 0;
    key(Qt::Key_W, Qt::ControlModifier | Qt::AltModifier);
    const auto* slides = session->book().slidesOf(session->document().service().items[0].id);
    EXPECT_EQ(slides->outputs[0].look.words.colour, (Colour{255, 255, 255, 255}));
    expect(u"All words white"_s, actions, 1);
}

TEST_F(Effort, AWordMendedFromTheOrderInTheLibraryToo) {
    addByFind(u"every tide"_s, u"Every Tide"_s);
    addByFind(u"lantern on"_s, u"Lantern on the Water"_s);
    actions = 0;
    clickItem(session->document().service().items[0].id);
    click(WindowTest::child<QPushButton>(u"words-here"_s));
    auto* here = window->findChild<QWidget*>(u"words-in-service"_s);
    auto* words = here->findChild<WordsSheet*>(u"words-sheet"_s);
    ASSERT_TRUE(waitUntil([&] { return words->isVisible(); }));
    words->setFocus();
    words->setPlace({0, 0, 0});
    QTextCursor word = words->textCursor();
    word.select(QTextCursor::WordUnderCursor); // what a double click on it does
    words->setTextCursor(word);
    ++actions;
    type(u"Each"_s);
    click(here->findChild<QPushButton*>(u"words-in-service-both"_s));
    const SongId id = session->document().service().items[0].song()->id;
    EXPECT_TRUE(
        session->document().service().items[0].song()->parts[0].lines[0].words.startsWith(u"Each tide"_s));
    const auto stored = std::make_shared<QString>();
    ASSERT_TRUE(waitUntil([&] {
        session->library().song(window.get(), id, [stored](const Result<Song>& song) {
            *stored = song ? song->parts[0].lines[0].words : QString();
        });
        QTest::qWait(50);
        return stored->startsWith(u"Each tide"_s);
    })) << stored->toStdString()
        << window->notices()->text().toStdString();
    expect(u"Mend a word of a song from the order, in the library, too"_s, actions, 4);
}

TEST_F(Effort, AServiceToAnotherComputer) {
    addByFind(u"every tide"_s, u"Every Tide"_s);
    actions = 0;
    const QString stick = folder.filePath(u"stick.mivanta"_s);
    answers->saveTo = stick;
    answers->quit = true; // "Yes" and "Save", an action each
    key(Qt::Key_E, Qt::ControlModifier | Qt::ShiftModifier);
    ASSERT_TRUE(waitUntil([&] { return QFile::exists(stick); }));
    expect(u"Service to another computer"_s, actions + 2, 3);
    TearDown();
    libraryFolder = folder.filePath(u"other-computer"_s);
    open(stick); // what a double click on the file starts the program with
    ASSERT_TRUE(waitUntil([&] { return titles() == QStringList{u"Every Tide"_s}; }));
    expect(u"Service opened there"_s, 1, 1);
}

TEST_F(Effort, ANewThemeFromAnOldOneWithASolidBackdrop) {
    press(Qt::Key_1, Qt::AltModifier);
    press(Qt::Key_5, Qt::AltModifier | Qt::ShiftModifier);
    auto* list = WindowTest::child<QListWidget>(u"theme-list"_s);
    ASSERT_TRUE(waitUntil([&] { return list->count() > 3; }));
    actions = 0;
    const auto rows = list->findItems(u"Dusk water"_s, Qt::MatchContains);
    ASSERT_FALSE(rows.isEmpty());
    list->setCurrentItem(rows.front());
    ++actions;
    click(WindowTest::child<QPushButton>(u"theme-duplicate"_s));
    QTest::qWait(50); // it is laid out
    auto* backdrop = WindowTest::child<QToolButton>(u"group-backdrop"_s);
    ASSERT_TRUE(waitUntil([&] { return backdrop->isVisible(); }));
    if (!backdrop->isChecked()) // a group stays as it was left
        click(backdrop);
    QWidget* above = backdrop;
    while (above && !qobject_cast<LookForm*>(above))
        above = above->parentWidget();
    ASSERT_TRUE(above);
    auto* form = qobject_cast<LookForm*>(above);
    QWidget* kind = form->editor(u"backdrop.kind"_s);
    ASSERT_TRUE(kind);
    ASSERT_TRUE(waitUntil([&] { return kind->isVisible(); })) << backdrop->isChecked();
    auto* box =
        qobject_cast<QComboBox*>(kind) ? qobject_cast<QComboBox*>(kind) : kind->findChild<QComboBox*>();
    ASSERT_TRUE(box);
    box->setCurrentIndex(box->findText(u"one colour"_s));
    Q_EMIT box->activated(box->currentIndex());
    ++actions;
    key(Qt::Key_S, Qt::ControlModifier);
    ASSERT_TRUE(waitUntil([&] {
        for (const Theme& theme : session->book().themes())
            if (theme.name.contains(u"copy"_s) && theme.look.backdrop.kind == BackdropKind::Plain)
                return true;
        return false;
    }));
    expect(u"New theme from an old one with a solid backdrop"_s, actions, 5);
}

} // namespace
} // namespace mivanta
