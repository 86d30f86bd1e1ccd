// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/Dropping.h"
#include "desk/Window.h"
#include "desk/media/ClipStrip.h"
#include "desk/media/FilmPreview.h"
#include "desk/media/MediaGrid.h"
#include "desk/media/ShelfList.h"
#include "media/MediumLook.h"
#include "store/MediaIntake.h"
#include "support/TestFilm.h"
#include <QComboBox>
#include <QImage>
#include <QLabel>
#include <QLineEdit>
#include <QListView>
#include <QMenu>
#include <QMimeData>
#include <QPushButton>
#include <QSlider>
#include <QToolButton>
#include <QWheelEvent>

namespace mivanta {
namespace {

/// The page of media, by mouse and by keys.
class MediaPage : public WindowTest {
protected:
    static void SetUpTestSuite() {
        files = std::make_unique<QTemporaryDir>();
        for (const auto& [name, colour] :
             {std::pair{u"harbour"_s, qRgb(10, 80, 90)}, {u"nets"_s, qRgb(200, 90, 40)}}) {
            QImage image(160, 90, QImage::Format_RGB32);
            image.fill(colour);
            ASSERT_TRUE(image.save(files->filePath(name + u".png"_s)));
        }
        ASSERT_TRUE(makeFilm(files->filePath(u"crossing.mp4"_s), {.pictures = 250}));
        ASSERT_TRUE(QFile::copy(QStringLiteral(MIVANTA_SOURCE_DIR "/data/demo/sounds/harbour-bell.ogg"),
                                files->filePath(u"bell.ogg"_s)));
    }
    static void TearDownTestSuite() { files.reset(); }

    void SetUp() override {
        WindowTest::SetUp();
        press(Qt::Key_1, Qt::AltModifier);
        press(Qt::Key_4, Qt::AltModifier | Qt::ShiftModifier);
        grid = child<MediaGrid>(u"media-grid"_s);
        ASSERT_TRUE(waitUntil([&] { return grid->isVisible() && session->media().isLoaded(); }));
    }
    void bringIn(const QStringList& names) {
        const size_t before = session->media().all().size();
        answers->files.clear();
        for (const QString& name : names)
            answers->files << files->filePath(name);
        press(Qt::Key_I, Qt::ControlModifier);
        ASSERT_TRUE(
            waitUntil([&] { return session->media().all().size() == before + size_t(names.size()); }));
        ASSERT_TRUE(waitUntil([&] { // looked at
            return std::all_of(session->media().all().begin(), session->media().all().end(),
                               [](const Medium& medium) { return medium.facts.has_value(); });
        }));
    }
    QStringList titles() {
        QStringList all;
        for (int row = 0; row < grid->model()->rowCount(); ++row)
            all << grid->model()->index(row, 0).data().toString();
        return all;
    }
    void choose(const QString& title) {
        grid->setFocus();
        grid->selectionModel()->setCurrentIndex(grid->model()->index(int(titles().indexOf(title)), 0),
                                                QItemSelectionModel::ClearAndSelect);
        ASSERT_EQ(grid->currentIndex().data().toString(), title);
    }
    const Medium& medium(const QString& title) {
        return *std::find_if(session->media().all().begin(), session->media().all().end(),
                             [&](const Medium& each) { return each.title == title; });
    }

    static inline std::unique_ptr<QTemporaryDir> files;
    MediaGrid* grid = nullptr;
};

TEST_F(MediaPage, SaysWhatToDoWhileItIsEmptyAndTakesFilesByKeyAndDrop) {
    EXPECT_TRUE(child<QPushButton>(u"empty-bring-in-media"_s)->isVisible());
    bringIn({u"harbour.png"_s, u"crossing.mp4"_s});
    EXPECT_FALSE(child<QPushButton>(u"empty-bring-in-media"_s)->isVisible());
    EXPECT_TRUE(Dropping(filesToDrag({files->filePath(u"bell.ogg"_s)}))
                    .drop(child<QWidget>(u"library-desk"_s), {600, 400}));
    ASSERT_TRUE(waitUntil([&] { return titles().size() == 3; }));
    EXPECT_EQ(titles().front(), u"bell"_s); // the newest first
    answers->files = {QStringLiteral(MIVANTA_SOURCE_DIR "/README.md")};
    press(Qt::Key_I, Qt::ControlModifier);
    EXPECT_TRUE(waitUntil([&] { return window->notices()->text().contains(u"README.md"_s); }));
    EXPECT_EQ(titles().size(), 3);
}

TEST_F(MediaPage, IsSearchedSortedAndShownAsOneLikes) {
    bringIn({u"harbour.png"_s, u"nets.png"_s, u"crossing.mp4"_s});
    press(Qt::Key_F, Qt::ControlModifier);
    type(u"har"_s);
    EXPECT_EQ(titles(), QStringList{u"harbour"_s});
    child<QLineEdit>(u"media-find-box"_s)->clear();
    child<QToolButton>(u"show-films"_s)->click();
    EXPECT_EQ(titles().size(), 2);
    child<QToolButton>(u"show-films"_s)->click();
    auto* order = child<QComboBox>(u"media-order"_s);
    order->setFocus();
    press(Qt::Key_Down); // by name
    EXPECT_EQ(titles(), (QStringList{u"crossing"_s, u"harbour"_s, u"nets"_s}));
    const int width = grid->pictureWidth();
    QWheelEvent wheel({50, 50}, grid->mapToGlobal(QPoint(50, 50)), {}, {0, 120}, Qt::NoButton,
                      Qt::ControlModifier, Qt::NoScrollPhase, false);
    QApplication::sendEvent(grid->viewport(), &wheel);
    EXPECT_GT(grid->pictureWidth(), width);
    EXPECT_EQ(child<QSlider>(u"media-size"_s)->value(), grid->pictureWidth());
    child<QToolButton>(u"media-as-list"_s)->click();
    EXPECT_EQ(grid->shape(), MediaGrid::Shape::List);
    EXPECT_EQ(titles().size(), 3);
}

TEST_F(MediaPage, OneIsNamedStarredAndTakenBack) {
    bringIn({u"harbour.png"_s, u"nets.png"_s});
    choose(u"nets"_s);
    auto* title = child<QLineEdit>(u"medium-title"_s);
    title->setFocus();
    title->selectAll();
    type(u"nets on the wall\n"_s);
    ASSERT_TRUE(waitUntil([&] { return titles().contains(u"nets on the wall"_s); }));
    auto* caption = child<QLineEdit>(u"medium-caption"_s);
    caption->setFocus();
    type(u"drying in autumn\n"_s);
    press(Qt::Key_M, Qt::ControlModifier);
    EXPECT_TRUE(waitUntil([&] { return medium(u"nets on the wall"_s).isStarred; }));
    press(Qt::Key_F, Qt::ControlModifier);
    type(u"autumn"_s); // words about it are found
    EXPECT_EQ(titles(), QStringList{u"nets on the wall"_s});
    child<QLineEdit>(u"media-find-box"_s)->clear();
    auto* shelves = child<ShelfList>(u"media-shelves"_s);
    shelves->setFocus();
    press(Qt::Key_Down);
    press(Qt::Key_Down); // starred
    EXPECT_EQ(shelves->shelf().kind, MediaShelf::Kind::Starred);
    EXPECT_EQ(titles(), QStringList{u"nets on the wall"_s});
    press(Qt::Key_Z, Qt::ControlModifier);
    press(Qt::Key_Z, Qt::ControlModifier);
    press(Qt::Key_Z, Qt::ControlModifier);
    EXPECT_EQ(titles(), QStringList());
    EXPECT_FALSE(medium(u"nets"_s).isStarred);
    press(Qt::Key_Z, Qt::ControlModifier | Qt::ShiftModifier);
    EXPECT_EQ(medium(u"nets on the wall"_s).caption, QString());
}

TEST_F(MediaPage, SeveralAreAddedToTheServiceAndOneIsFoundByFind) {
    bringIn({u"harbour.png"_s, u"crossing.mp4"_s, u"bell.ogg"_s});
    choose(u"bell"_s);
    press(Qt::Key_A, Qt::ControlModifier);
    press(Qt::Key_Return);
    const auto& items = session->document().service().items;
    ASSERT_TRUE(waitUntil([&] { return items.size() == 3; }));
    EXPECT_EQ(window->currentDesk(), MainWindow::PrepareAt);
    EXPECT_TRUE(std::holds_alternative<MusicItem>(items[0].words));
    const auto& film = std::get<FilmItem>(items[1].words);
    EXPECT_NEAR(film.seconds, 10, 0.1);
    EXPECT_TRUE(film.isHeard);
    EXPECT_EQ(std::get<PictureItem>(items[2].words).pictures[0].caption, u"harbour"_s);
    press(Qt::Key_F, Qt::ControlModifier);
    type(u"cross"_s);
    auto* found = child<QListView>(u"find-results"_s);
    ASSERT_TRUE(waitUntil([&] { return found->model()->rowCount() == 1; }));
    press(Qt::Key_Return);
    EXPECT_TRUE(waitUntil([&] { return items.size() == 4; }));
}

TEST_F(MediaPage, SeveralStayChosenWhileOthersComeAndMoreBecomesKnown) {
    bringIn({u"harbour.png"_s, u"nets.png"_s});
    choose(u"harbour"_s);
    press(Qt::Key_A, Qt::ControlModifier);
    const auto chosen = [&] {
        QStringList all;
        for (const QModelIndex& index : grid->selectionModel()->selectedIndexes())
            all << index.data().toString();
        all.sort();
        return all;
    };
    const QStringList both{u"harbour"_s, u"nets"_s};
    ASSERT_EQ(chosen(), both);
    press(Qt::Key_M, Qt::ControlModifier); // the current one
    ASSERT_TRUE(waitUntil([&] { return medium(u"harbour"_s).isStarred || medium(u"nets"_s).isStarred; }));
    EXPECT_EQ(chosen(), both);
    session->library().ask<Medium>( // as from the command line
        window.get(),
        [path = files->filePath(u"bell.ogg"_s)](Library& library) {
            return bringInMedium(library, path, lookAtMedium);
        },
        [](const Result<Medium>&) {});
    ASSERT_TRUE(waitUntil([&] { return titles().size() == 3; }));
    EXPECT_EQ(chosen(), both);
}

TEST_F(MediaPage, DraggedOnesBecomeItemsAndBackdrops) {
    bringIn({u"harbour.png"_s});
    choose(u"harbour"_s);
    const std::unique_ptr<QMimeData> data(grid->model()->mimeData({grid->currentIndex()}));
    ASSERT_EQ(data->urls().size(), 1);
    child<QPushButton>(u"use-as-backdrop"_s)->click();
    ASSERT_TRUE(waitUntil([&] { return window->notices()->text().contains(u"harbour"_s); }));
    const auto& look = session->document().service().look;
    EXPECT_EQ(std::get<QString>(*look.own.value(*lookProperty(u"backdrop.picture"_s))),
              medium(u"harbour"_s).name);
    auto* order = window->findChild<OrderModel*>();
    const auto picks = picksFromBytes(data->data(u"application/x-mivanta-found"_s));
    ASSERT_EQ(picks.size(), 1u);
    Q_EMIT order->picksDropped(picks, 0);
    EXPECT_TRUE(waitUntil([&] { return session->document().service().items.size() == 1; }));
}

TEST_F(MediaPage, FilesOfWatchedFoldersAreFoundOnThePrepareDeskAndCopiedWhenTheyAreAdded) {
    answers->folder = files->path();
    press(Qt::Key_I, Qt::ControlModifier | Qt::ShiftModifier);
    ASSERT_TRUE(waitUntil([&] { return titles().contains(u"nets"_s); }));
    press(Qt::Key_2, Qt::AltModifier);
    press(Qt::Key_F, Qt::ControlModifier);
    type(u"nets"_s);
    auto* found = window->findChild<QWidget*>(u"prepare-desk"_s)->findChild<QListView*>(u"find-results"_s);
    ASSERT_TRUE(waitUntil([&] { return found->currentIndex().data().toString() == u"nets"_s; }));
    const std::unique_ptr<QMimeData> dragged(found->model()->mimeData({found->currentIndex()}));
    EXPECT_EQ(dragged->urls(), QList<QUrl>{QUrl::fromLocalFile(files->filePath(u"nets.png"_s))});
    EXPECT_TRUE(session->media().all().empty());
    press(Qt::Key_Return);
    ASSERT_TRUE(waitUntil([&] { return session->document().service().items.size() == 1; }));
    EXPECT_EQ(session->media().all().size(), 1u);
    ASSERT_TRUE(waitUntil([&] { // from now on the one of the library is found, and no other
        return found->model()->rowCount() == 1 &&
               picksFromBytes(
                   std::unique_ptr<QMimeData>(found->model()->mimeData({found->model()->index(0, 0)}))
                       ->data(u"application/x-mivanta-found"_s)) ==
                   std::vector<FindPick>{MediumPick{session->media().all().front().name, {}}};
    }));
}

TEST_F(MediaPage, ThePartOfAFilmIsChosenByKeysAndServesNewItems) {
    bringIn({u"crossing.mp4"_s});
    choose(u"crossing"_s);
    auto* strip = child<ClipStrip>(u"clip-strip"_s);
    auto* preview = child<FilmPreview>(u"film-preview"_s);
    strip->setFocus();
    for (int i = 0; i < 3; ++i)
        press(Qt::Key_Right);
    EXPECT_DOUBLE_EQ(preview->position(), 3);
    press(Qt::Key_BracketLeft);
    press(Qt::Key_Right, Qt::ShiftModifier);
    EXPECT_NEAR(preview->position(), 10, 0.1);
    press(Qt::Key_Left);
    press(Qt::Key_Left);
    press(Qt::Key_BracketRight);
    EXPECT_DOUBLE_EQ(medium(u"crossing"_s).from, 3);
    EXPECT_NEAR(medium(u"crossing"_s).to, 8, 0.1);
    press(Qt::Key_Space);
    ASSERT_TRUE(waitUntil([&] { return preview->isPlaying(); }));
    press(Qt::Key_Space);
    EXPECT_TRUE(waitUntil([&] { return !preview->isPlaying(); }));
    grid->setFocus();
    press(Qt::Key_Return);
    ASSERT_TRUE(waitUntil([&] { return session->document().service().items.size() == 1; }));
    EXPECT_DOUBLE_EQ(std::get<FilmItem>(session->document().service().items[0].words).from, 3);
    EXPECT_FALSE(preview->isPlaying());
}

TEST_F(MediaPage, TheLargePictureOfAFilmComesBeforeTheMomentsOfItsStrip) {
    bringIn({u"crossing.mp4"_s});
    choose(u"crossing"_s);
    auto* preview = child<FilmPreview>(u"film-preview"_s);
    ASSERT_TRUE(waitUntil([&] { return !preview->picture().isNull(); }));
    const auto isThere = [](const QImage& moment) { return !moment.isNull(); };
    const auto moments = child<ClipStrip>(u"clip-strip"_s)->moments();
    EXPECT_GT(moments.size(), 4u);
    EXPECT_LE(std::count_if(moments.begin(), moments.end(), isThere), 2) << "those that were begun before";
    EXPECT_TRUE(waitUntil([&] {
        const auto& now = child<ClipStrip>(u"clip-strip"_s)->moments();
        return std::all_of(now.begin(), now.end(), isThere);
    }));
}

TEST_F(MediaPage, ThoseOfAServiceAreNamedBeforeTheyGoIntoTheBin) {
    bringIn({u"harbour.png"_s, u"nets.png"_s});
    session->document().insert(0, std::get<PictureItem>(itemOf(medium(u"harbour"_s))));
    choose(u"harbour"_s);
    answers->quit = false;
    press(Qt::Key_Delete);
    EXPECT_TRUE(answers->questions.last().contains(u"harbour"_s));
    EXPECT_EQ(titles().size(), 2);
    choose(u"nets"_s); // nobody uses it
    const auto asked = answers->questions.size();
    press(Qt::Key_Delete);
    ASSERT_TRUE(waitUntil([&] { return titles().size() == 1; }));
    EXPECT_EQ(answers->questions.size(), asked);
    auto* bin = child<QToolButton>(u"removed-media"_s)->menu();
    Q_EMIT bin->aboutToShow();
    ASSERT_TRUE(waitUntil([&] { return bin->actions().size() == 3; }));
    bin->actions()[0]->trigger();
    EXPECT_TRUE(waitUntil([&] { return titles().size() == 2; }));
}

TEST_F(MediaPage, WhatCannotBeUsedIsSaidOnTheCheckDeskAndFilmsAreMeasured) {
    bringIn({u"crossing.mp4"_s});
    QFile broken(folder.filePath(u"broken.png"_s));
    ASSERT_TRUE(broken.open(QIODevice::WriteOnly));
    broken.write("no picture");
    broken.close();
    QString name;
    session->library().ask<StoredMedium>( // as an older program may have let it in
        window.get(), [&](Library& library) { return library.media().bringIn(broken.fileName()); },
        [&](const Result<StoredMedium>& medium) { name = medium->name; });
    ASSERT_TRUE(waitUntil(
        [&] { return session->media().medium(name) && !session->media().medium(name)->problem.isEmpty(); }));
    session->document().insert(0, PictureItem{{}, {{name, u"A broken one"_s}}});
    session->document().insert(1, itemOf(medium(u"crossing"_s)));
    press(Qt::Key_3, Qt::AltModifier);
    const auto says = [&](const QString& text) {
        const auto labels = child<QWidget>(u"check-desk"_s)->findChildren<QLabel*>();
        return std::any_of(labels.begin(), labels.end(),
                           [&](QLabel* label) { return label->text().contains(text); });
    };
    EXPECT_TRUE(waitUntil([&] { return says(u"\u201cbroken\u201d cannot be shown"_s); }));
    EXPECT_TRUE(
        waitUntil([&] { return session->filmLoads().coresOf(medium(u"crossing"_s).name).has_value(); }));
    EXPECT_LT(*session->filmLoads().coresOf(medium(u"crossing"_s).name), FilmLoads::most());
    EXPECT_FALSE(says(u"more than this computer"_s));
}

TEST_F(MediaPage, WatchedFoldersAreShownWithWhatIsInThem) {
    QDir watched(folder.filePath(u"pictures"_s));
    ASSERT_TRUE(watched.mkpath(u"2026"_s));
    ASSERT_TRUE(QFile::copy(files->filePath(u"harbour.png"_s), watched.filePath(u"one.png"_s)));
    ASSERT_TRUE(QFile::copy(files->filePath(u"nets.png"_s), watched.filePath(u"2026/two.png"_s)));
    answers->folder = watched.path();
    child<QToolButton>(u"watch-folder"_s)->click();
    ASSERT_TRUE(waitUntil([&] { return titles().size() == 2; }));
    auto* shelves = child<ShelfList>(u"media-shelves"_s);
    ASSERT_EQ(shelves->topLevelItemCount(), 2);
    QTreeWidgetItem* item = shelves->topLevelItem(1)->child(0);
    EXPECT_EQ(item->text(0), u"pictures"_s);
    EXPECT_EQ(item->text(1), u"2"_s);
    shelves->setCurrentItem(item->child(0));
    EXPECT_EQ(titles(), QStringList{u"two"_s});
    choose(u"two"_s);
    press(Qt::Key_Delete); // is not the library's to delete
    EXPECT_TRUE(window->notices()->text().contains(u"stay where they are"_s));
    press(Qt::Key_Return);
    ASSERT_TRUE(waitUntil([&] { return session->document().service().items.size() == 1; }));
    EXPECT_TRUE(waitUntil([&] { return session->media().all().size() == 1; })); // copied
    press(Qt::Key_1, Qt::AltModifier);
    QDir().rename(watched.path(), folder.filePath(u"away"_s));
    session->folders().look();
    ASSERT_TRUE(waitUntil([&] {
        return shelves->topLevelItem(1) && shelves->topLevelItem(1)->child(0)->text(1) == u"not here now"_s;
    }));
    shelves->setCurrentItem(shelves->topLevelItem(1)->child(0));
    shelves->setFocus();
    press(Qt::Key_Delete);
    EXPECT_TRUE(session->folders().all().empty());
    EXPECT_EQ(titles(), QStringList{u"two"_s}); // the library's, as the shelf says that is chosen now
}

} // namespace
} // namespace mivanta
