// SPDX-License-Identifier: GPL-3.0-or-later
#include "Window.h"
#include "desk/song/WordsSheet.h"
#include <QComboBox>
#include <QLineEdit>
#include <QMimeData>
#include <QPushButton>
#include <QToolButton>

namespace mivanta {
namespace {

class Desks : public PlayerTest {
protected:
    QListView* results() {
        return window->findChild<QWidget*>(u"song-library"_s)->findChild<QListView*>(u"find-results"_s);
    }
};

TEST_F(Desks, AnEmptyLibrarySaysWhatToDo) {
    press(Qt::Key_1, Qt::AltModifier);
    auto* hint = window->findChild<QWidget*>(u"song-library"_s)->findChild<QLabel*>(u"find-empty"_s);
    EXPECT_TRUE(waitUntil([&] { return hint->isVisible(); }));
    EXPECT_TRUE(hint->text().contains(u"Bring in"_s));
}

TEST_F(Desks, ImportFindReadAndTranspose) {
    importDemo();
    EXPECT_TRUE(window->notices()->text().contains(u"14 added"_s));
    press(Qt::Key_1, Qt::AltModifier);
    ASSERT_TRUE(waitUntil([&] { return results()->model()->rowCount() == 14; }));
    type(u"harbour bell is ringing"_s);
    ASSERT_TRUE(
        waitUntil([&] { return child<QLabel>(u"song-title"_s)->text() == u"Lantern on the Water"_s; }));
    EXPECT_EQ(child<WordsSheet>(u"words-sheet"_s)->parts().size(), 5u);
    press(Qt::Key_F4);
    EXPECT_EQ(child<QLabel>(u"shown-key"_s)->text(), u"G"_s);
    QTest::mouseClick(child<QToolButton>(u"transpose-up"_s), Qt::LeftButton);
    EXPECT_EQ(child<QLabel>(u"shown-key"_s)->text(), u"Ab"_s);
    press(Qt::Key_F, Qt::ControlModifier);
    press(Qt::Key_Return);
    EXPECT_EQ(window->currentDesk(), MainWindow::PrepareAt);
    EXPECT_TRUE(waitUntil([&] { return titles() == QStringList{u"Lantern on the Water"_s}; }));
    EXPECT_EQ(session->document().service().items[0].song()->key, u"G"_s); // transposing was for reading only
}

TEST_F(Desks, ASongIsFoundByAnyScrapOfIt) {
    importDemo();
    const std::pair<QString, QString> scraps[]{
        {u"harbuor bel"_s, u"Lantern on the Water"_s},         // misspelt, and not to its end
        {u"coming down there's"_s, u"Lantern on the Water"_s}, // over the end of a line
        {u"SH 203"_s, u"Lantern on the Water"_s},
        {u"203"_s, u"Lantern on the Water"_s},
        {u"550 0988"_s, u"Every Tide"_s},           // its licence number
        {u"iver tarnwell tide"_s, u"Every Tide"_s}, // its author, and a word of its title
        {u"etoile"_s, u"\u00c9toile du port"_s},
        {u"MORNING OVER"_s, u"Morning over Quillhaven"_s}};
    for (const auto& [desk, key] :
         {std::pair{u"song-library"_s, Qt::Key_1}, std::pair{u"prepare-desk"_s, Qt::Key_2}}) {
        press(key, Qt::AltModifier);
        auto* list = window->findChild<QWidget*>(desk)->findChild<QListView*>(u"find-results"_s);
        for (const auto& [scrap, title] : scraps) {
            press(Qt::Key_F, Qt::ControlModifier);
            type(scrap);
            EXPECT_TRUE(waitUntil([&] { return list->model()->index(0, 0).data().toString() == title; }))
                << scrap.toStdString() << " on " << desk.toStdString();
        }
    }
}

TEST_F(Desks, BadFilesAreNamedAndTheRestComesIn) {
    QFile bad(folder.filePath(u"bad.txt"_s));
    ASSERT_TRUE(bad.open(QIODevice::WriteOnly));
    bad.close();
    answers->files = {bad.fileName(), QStringLiteral(MIVANTA_SOURCE_DIR "/data/demo/songs/every-tide.txt")};
    press(Qt::Key_I, Qt::ControlModifier);
    ASSERT_TRUE(waitUntil([&] { return child<QWidget>(u"import-review"_s)->isVisible(); }));
    press(Qt::Key_Return, Qt::ControlModifier);
    ASSERT_TRUE(waitUntil([&] { return window->notices()->isVisible(); }));
    EXPECT_TRUE(window->notices()->text().contains(u"1 added"_s));
    EXPECT_TRUE(window->notices()->text().contains(u"bad.txt: the file is empty"_s));
    QTest::mouseClick(child<QPushButton>(u"put-notice-away"_s), Qt::LeftButton);
    EXPECT_FALSE(window->notices()->isVisible());
}

TEST_F(Desks, CheckNamesWhatIsMissing) {
    importDemo();
    press(Qt::Key_2, Qt::AltModifier);
    addByFind(u"morning over"_s, u"Morning over Quillhaven"_s);
    press(Qt::Key_3, Qt::AltModifier);
    EXPECT_TRUE(waitUntil([&] {
        for (const QLabel* label : window->findChild<QWidget*>(u"check-desk"_s)->findChildren<QLabel*>())
            if (label->text().contains(u"Morning over Quillhaven"_s) &&
                label->text().contains(u"No licence number"_s))
                return true;
        return false;
    }));
}

TEST_F(Desks, SetupMovesAnOutputAndRemembersIt) {
    press(Qt::Key_5, Qt::AltModifier);
    ASSERT_TRUE(waitUntil([&] {
        return !session->outputs().placements().empty() && window->findChild<QComboBox*>(u"place-stage"_s);
    }));
    auto* place = child<QComboBox>(u"place-stage"_s);
    place->setFocus();
    press(Qt::Key_End);
    ASSERT_TRUE(
        waitUntil([&] { return session->outputs().placements()[1].kind == Placement::Kind::Closed; }));
    EXPECT_TRUE(waitUntil([&] { return QFile::exists(computer().folder() + u"/outputs.json"_s); }));
    EXPECT_EQ((*computer().outputs(libraryFolder))[1].place.kind, PlaceKind::Closed);
}

TEST_F(Desks, TwoScreensGiveTheHallOneOfItsOwn) {
    if (QGuiApplication::screens().size() < 2)
        GTEST_SKIP() << "one screen here";
    ASSERT_TRUE(waitUntil([&] { return !session->outputs().placements().empty(); }));
    EXPECT_EQ(session->outputs().placements()[0].kind, Placement::Kind::FullScreen);
    EXPECT_EQ(session->outputs().placements()[1].kind, Placement::Kind::Window);
}

TEST_F(Desks, EveryControlHasANameAndATip) {
    importDemo();
    for (int desk = 0; desk < 5; ++desk) {
        window->goTo(MainWindow::Desk(desk));
        for (const QAbstractButton* button : window->findChildren<QAbstractButton*>()) {
            const bool inherited =
                qobject_cast<QLineEdit*>(button->parent()); // a line edit's own clear button
            EXPECT_TRUE(inherited || !button->isVisible() || !button->toolTip().isEmpty())
                << button->objectName().toStdString() << button->text().toStdString();
            EXPECT_TRUE(inherited || !button->isVisible() ||
                        !(button->text() + button->accessibleName()).isEmpty())
                << button->objectName().toStdString();
        }
    }
}

class BrokenLibrary : public PlayerTest {
protected:
    void SetUp() override {
        libraryFolder = folder.filePath(u"library"_s);
        QDir().mkpath(libraryFolder);
        QFile file(libraryFolder + u"/library.db"_s);
        ASSERT_TRUE(file.open(QIODevice::WriteOnly));
        file.write(QByteArray(9000, 'x'));
        file.close();
        Service service;
        service.id = ServiceId::create();
        service.title = u"From elsewhere"_s;
        service.theme = shippedThemes().front();
        Song song;
        song.id = SongId::create();
        song.title = u"Carried"_s;
        song.parts = {{PartId::create(), PartKind::Verse, 1, {}, false, {}, {{u"words"_s, {}, false, {}}}}};
        service.items = {{ItemId::create(), songItem(song)}};
        ASSERT_TRUE(saveService(service, folder.filePath(u"a.mivanta"_s), std::nullopt));
        open(folder.filePath(u"a.mivanta"_s));
    }
};

TEST_F(BrokenLibrary, IsSaidAndAServiceRunsAllTheSame) {
    ASSERT_TRUE(waitUntil([&] { return window->notices()->isVisible(); }));
    EXPECT_TRUE(window->notices()->text().contains(u"damaged"_s));
    ASSERT_TRUE(waitUntil([&] { return titles() == QStringList{u"Carried"_s}; }));
    press(Qt::Key_4, Qt::AltModifier);
    press(Qt::Key_Space);
    EXPECT_TRUE(waitUntil(
        [&] { return !shown(u"hall"_s).isNull() && shown(u"hall"_s).pixel(240, 10) != qRgb(0, 0, 0); }));
}

} // namespace
} // namespace mivanta
