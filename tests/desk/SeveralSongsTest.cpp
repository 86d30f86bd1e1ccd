// SPDX-License-Identifier: GPL-3.0-or-later
#include "Window.h"
#include "store/Library.h"
#include <QComboBox>
#include <QLineEdit>
#include <QMenu>
#include <QPushButton>
#include <QToolButton>

namespace mivanta {
namespace {

/// Filters, several songs at once, and sending out, on the Library desk.
class Several : public WindowTest {
protected:
    void SetUp() override {
        WindowTest::SetUp();
        importDemo();
        press(Qt::Key_1, Qt::AltModifier);
        ASSERT_TRUE(waitUntil([&] { return list()->model()->rowCount() == 14; }));
    }
    QWidget* desk() { return child<QWidget>(u"song-library"_s); }
    QListView* list() { return desk()->findChild<QListView*>(u"find-results"_s); }
    QWidget* panel() { return child<QWidget>(u"several-songs"_s); }
    void click(const QString& button) { QTest::mouseClick(child<QPushButton>(button), Qt::LeftButton); }
    QString result() { return child<QLabel>(u"several-result"_s)->text(); }

    /// The first songs of the list, by keys.
    void choose(int songs) {
        list()->setFocus();
        press(Qt::Key_Home);
        for (int i = 1; i < songs; ++i)
            press(Qt::Key_Down, Qt::ShiftModifier);
        ASSERT_TRUE(panel()->isVisible());
    }
    /// An entry of the filter's menu, once it is filled.
    void filterBy(const QString& kind, const QString& value) {
        auto* button = desk()->findChild<QToolButton*>(u"filter"_s);
        QMenu* menu = button->menu();
        Q_EMIT menu->aboutToShow();
        const auto entry = [&](QMenu* of, const QString& text) -> QAction* {
            for (QAction* action : of->actions())
                if (action->text().section(u'\t', 0, 0) == text)
                    return action;
            return nullptr;
        };
        ASSERT_TRUE(waitUntil([&] { return entry(menu, kind); }));
        QAction* choice = entry(entry(menu, kind)->menu(), value);
        ASSERT_TRUE(choice) << value.toStdString();
        choice->trigger();
    }
    int withTopic(const QString& topic) {
        auto library = Library::open(libraryFolder);
        SongFilter filter;
        filter.topic = topic;
        return int((*library)->songs(filter)->size());
    }
};

TEST_F(Several, TabGoesFromTheBoxToTheFilterToTheList) {
    press(Qt::Key_F, Qt::ControlModifier);
    press(Qt::Key_Tab);
    EXPECT_EQ(QApplication::focusWidget()->objectName(), u"filter"_s);
    press(Qt::Key_Tab);
    EXPECT_EQ(QApplication::focusWidget(), list());
}

TEST_F(Several, FiltersNarrowTheListAndAreTakenAway) {
    filterBy(u"Topic"_s, u"trust"_s);
    const int trusting = withTopic(u"trust"_s);
    ASSERT_GT(trusting, 0);
    ASSERT_TRUE(waitUntil([&] { return list()->model()->rowCount() == trusting; }));
    filterBy(u"Not sung"_s, u"never yet"_s);
    QTest::qWait(50);
    EXPECT_EQ(list()->model()->rowCount(), trusting);
    const auto inForce = desk()->findChildren<QToolButton*>(u"filter-in-force"_s);
    ASSERT_EQ(inForce.size(), 2);
    for (QToolButton* chip : inForce)
        QTest::mouseClick(chip, Qt::LeftButton);
    EXPECT_TRUE(waitUntil([&] { return list()->model()->rowCount() == 14; }));
}

TEST_F(Several, ASongCountsAsSungOnceItWasOnScreen) {
    press(Qt::Key_2, Qt::AltModifier);
    addByFind(u"every tide"_s, u"Every Tide"_s);
    press(Qt::Key_4, Qt::AltModifier);
    press(Qt::Key_F9); // behind a closed curtain nobody sings
    ASSERT_NE(session->run().state().covers.curtain, Curtain::Open);
    press(Qt::Key_Space);
    ASSERT_TRUE(waitUntil([&] { return session->run().state().onScreen.has_value(); }));
    SongFilter filter;
    filter.neverSung = true;
    auto library = Library::open(libraryFolder);
    EXPECT_EQ((*library)->songs(filter)->size(), 14u);
    press(Qt::Key_F5);
    ASSERT_EQ(session->run().state().covers.curtain, Curtain::Open);
    EXPECT_TRUE(waitUntil([&] { return (*library)->songs(filter)->size() == 13; }));
    press(Qt::Key_1, Qt::AltModifier);
    EXPECT_TRUE(waitUntil([&] { return child<QLabel>(u"sung-facts"_s)->text() == u"Not sung here yet"_s; }));
    press(Qt::Key_F, Qt::ControlModifier);
    type(u"every tide"_s);
    EXPECT_TRUE(waitUntil([&] { return child<QLabel>(u"sung-facts"_s)->text().startsWith(u"Sung once"_s); }));
    desk()->findChild<QLineEdit*>(u"find-box"_s)->clear();
    filterBy(u"Not sung"_s, u"never yet"_s);
    EXPECT_TRUE(waitUntil([&] { return list()->model()->rowCount() == 13; }));
}

TEST_F(Several, ATopicIsGivenToAllAndTakenBack) {
    choose(5);
    EXPECT_EQ(child<QLabel>(u"several-heading"_s)->text(), u"5 songs chosen"_s);
    child<QComboBox>(u"several-topic"_s)->setEditText(u"harvest supper"_s);
    click(u"give-topic"_s);
    ASSERT_TRUE(waitUntil([&] { return result().contains(u"added to 5 songs"_s); }));
    EXPECT_EQ(withTopic(u"Harvest Supper"_s), 5);
    EXPECT_TRUE(waitUntil([&] { return panel()->isVisible(); })); // they are still chosen
    click(u"give-topic"_s);
    EXPECT_TRUE(waitUntil([&] { return result().contains(u"like that already"_s); }));
    press(Qt::Key_Z, Qt::ControlModifier);
    ASSERT_TRUE(waitUntil([&] { return result() == u"Undone."_s; }));
    EXPECT_EQ(withTopic(u"Harvest Supper"_s), 0);
}

TEST_F(Several, SongsGoToTheBinTogetherAndComeBack) {
    choose(4);
    click(u"several-bin"_s);
    ASSERT_TRUE(waitUntil([&] { return list()->model()->rowCount() == 10; }));
    press(Qt::Key_Z, Qt::ControlModifier);
    EXPECT_TRUE(waitUntil([&] { return list()->model()->rowCount() == 14; }));
}

TEST_F(Several, ThemeAndLanguageAndBackToOneSong) {
    choose(3);
    auto* theme = child<QComboBox>(u"several-theme"_s);
    theme->setCurrentIndex(1);
    click(u"set-theme"_s);
    ASSERT_TRUE(waitUntil([&] { return result().contains(u"for 3 songs"_s); })) << result().toStdString();
    child<QComboBox>(u"several-language"_s)->setEditText(u"cy"_s);
    click(u"set-language"_s);
    ASSERT_TRUE(waitUntil([&] { return result().contains(u"cy"_s); }));
    click(u"several-left"_s);
    EXPECT_FALSE(panel()->isVisible());
    auto library = Library::open(libraryFolder);
    SongFilter welsh;
    welsh.language = u"cy"_s;
    const auto songs = (*library)->songs(welsh);
    ASSERT_EQ(songs->size(), 3u);
    EXPECT_EQ((*library)->song(songs->front().id)->usualTheme, theme->itemData(1).toString());
}

TEST_F(Several, ChosenSongsAreAddedToTheService) {
    choose(3);
    click(u"several-add"_s);
    ASSERT_TRUE(waitUntil([&] { return session->document().service().items.size() == 3; }));
    QStringList inTheList;
    for (int row = 0; row < 3; ++row)
        inTheList << list()->model()->index(row, 0).data().toString();
    EXPECT_EQ(titles(), inTheList);
}

TEST_F(Several, SongsAreSentOutAsFilesTablesAndSheets) {
    const auto send = [&](const QString& text, QMenu* menu) {
        for (QAction* action : menu->actions())
            if (action->text().startsWith(text))
                return action->trigger();
        FAIL() << text.toStdString();
    };
    choose(3);
    answers->folder = folder.filePath(u"out"_s);
    QMenu* menu = child<QToolButton>(u"send-out"_s)->menu();
    send(u"ChordPro"_s, menu);
    ASSERT_TRUE(waitUntil([&] { return window->notices()->text().contains(u"3 files were written"_s); }));
    EXPECT_EQ(QDir(answers->folder).entryList({u"*.cho"_s}).size(), 3);
    QMenu* all = nullptr;
    for (QAction* action : menu->actions())
        if (action->menu())
            all = action->menu();
    ASSERT_TRUE(all);
    send(u"Text"_s, all);
    ASSERT_TRUE(waitUntil([&] { return window->notices()->text().contains(u"14 files were written"_s); }));
    send(u"Table"_s, all);
    ASSERT_TRUE(waitUntil([&] { return QFile::exists(answers->folder + u"/songs.csv"_s); }));
    answers->saveTo = folder.filePath(u"sheets.pdf"_s);
    ASSERT_TRUE(waitUntil([&] { return window->notices()->text().contains(u"songs.csv"_s); }));
    send(u"Lyric sheets"_s, menu);
    ASSERT_TRUE(waitUntil([&] { return window->notices()->text().contains(u"sheets.pdf"_s); }));
    QFile pdf(answers->saveTo);
    ASSERT_TRUE(pdf.open(QIODevice::ReadOnly));
    EXPECT_EQ(pdf.read(5), "%PDF-");
    answers->saveTo = folder.filePath(u"printed.pdf"_s);
    send(u"Print charts"_s, menu);
    ASSERT_TRUE(waitUntil([&] { return window->notices()->text().contains(u"sent to the printer"_s); }));
    EXPECT_GT(QFileInfo(answers->saveTo).size(), 1000);
}

TEST_F(Several, AFolderThatCannotBeWrittenToIsSaid) {
    choose(2);
    QFile blocked(folder.filePath(u"blocked"_s)); // a file where the folder should be
    ASSERT_TRUE(blocked.open(QIODevice::WriteOnly));
    answers->folder = blocked.fileName() + u"/out"_s;
    child<QToolButton>(u"send-out"_s)->menu()->actions().front()->trigger();
    EXPECT_TRUE(waitUntil([&] { return window->notices()->text().contains(u"could not be made"_s); }));
}

TEST_F(Several, AServicesChartsAreOfTheSongsAsTheyStandThere) {
    press(Qt::Key_2, Qt::AltModifier);
    addByFind(u"every tide"_s, u"Every Tide"_s);
    answers->saveTo = folder.filePath(u"service.pdf"_s);
    child<QToolButton>(u"service-sheets"_s)->menu()->actions().last()->menu()->actions().front()->trigger();
    EXPECT_TRUE(waitUntil([&] { return QFileInfo(answers->saveTo).size() > 1000; }));
}

} // namespace
} // namespace mivanta
