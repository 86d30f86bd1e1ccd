// SPDX-License-Identifier: GPL-3.0-or-later
#include "session/media/FolderWatch.h"
#include "session/media/MediaBook.h"
#include "session/media/MediaTwins.h"
#include "session/media/ShownMedium.h"
#include "session/service/ServiceDocument.h"
#include "store/ShippedThemes.h"
#include "support/Text.h"
#include "support/WaitUntil.h"
#include <QDir>
#include <QImage>
#include <QTemporaryDir>
#include <gtest/gtest.h>

namespace mivanta {
namespace {

/// Media in the library and in watched folders, without a window.
class Media : public ::testing::Test {
protected:
    void SetUp() override {
        folders.setRoots([this] { return roots; });
        QObject::connect(&folders, &FolderWatch::notice, [this](const QString& text) { notices << text; });
        QObject::connect(&book, &MediaBook::problem, [this](const Error& e) { problems << e.text(); });
        client.open();
        ASSERT_TRUE(waitUntil([&] { return book.isLoaded(); }));
    }
    QString picture(const QString& path, QRgb colour) const {
        const QString all = folder.filePath(path);
        QDir().mkpath(QFileInfo(all).path());
        QImage image(40, 30, QImage::Format_RGB32);
        image.fill(colour);
        EXPECT_TRUE(image.save(all));
        return all;
    }
    QString bring(const QString& path) {
        QString name;
        client.askAside<StoredMedium>(
            &asker,
            [path](Library& library, const LibraryClient::GoOn& goOn) {
                return library.media().bringIn(path, goOn);
            },
            [&](const Result<StoredMedium>& medium) { name = medium->name; });
        EXPECT_TRUE(waitUntil([&] { return book.medium(name) != nullptr; }));
        return name;
    }
    const FolderWatch::Entry& watched(size_t i = 0) { return folders.all()[i]; }
    QStringList on(const MediaShelf& shelf, const MediaFilter& filter = {}) {
        const auto all = allMedia(book, folders, twins);
        QStringList titles;
        for (const int at : mediaOn(all, shelf, filter))
            titles << all[size_t(at)].medium.title;
        return titles;
    }

    QTemporaryDir folder;
    QObject asker;
    QStringList roots;
    QStringList notices;
    QStringList problems;
    LibraryClient client{folder.filePath(u"library"_s)};
    ServiceDocument document{LibraryAddress(folder.filePath(u"library"_s)).mediaFolder(),
                             Journal(folder.filePath(u"unsaved"_s), {}, folder.filePath(u"library"_s)),
                             shippedThemes().front()};
    MediaBook book{client, document};
    FolderWatch folders{ThisComputer(folder.filePath(u"computer"_s))};
    MediaTwins twins{book, folders};
};

TEST_F(Media, AreLookedAtInTheBackground) {
    const QString name = bring(picture(u"one.png"_s, qRgb(10, 20, 30)));
    ASSERT_TRUE(waitUntil([&] { return book.medium(name)->facts.has_value(); }));
    EXPECT_EQ(book.medium(name)->facts->size, QSize(40, 30));
    QFile broken(folder.filePath(u"broken.png"_s));
    ASSERT_TRUE(broken.open(QIODevice::WriteOnly));
    broken.write("no picture");
    broken.close();
    const QString other = bring(broken.fileName());
    ASSERT_TRUE(waitUntil([&] { return !book.medium(other)->problem.isEmpty(); }));
    EXPECT_TRUE(problems.isEmpty()); // it is said where it is shown
}

TEST_F(Media, ItemsOfTheServiceFollowTheChosenPart) {
    const QString name = bring(picture(u"one.png"_s, 0)).replace(u".png"_s, u".png"_s);
    FilmItem film;
    film.name = name;
    FilmItem own = film;
    own.from = 3;
    document.insert(0, film);
    document.insert(1, own);
    const int steps = document.undoStack().count();
    Medium changed = *book.medium(name);
    changed.from = 1;
    changed.to = 2;
    book.change(changed);
    const auto from = [&](size_t i) { return std::get<FilmItem>(document.service().items[i].words).from; };
    EXPECT_DOUBLE_EQ(from(0), 1);
    EXPECT_DOUBLE_EQ(from(1), 3); // says otherwise
    EXPECT_EQ(document.undoStack().count(), steps + 1);
    EXPECT_EQ(book.usesInService(name), 2);
    document.undoStack().undo();
    EXPECT_DOUBLE_EQ(from(0), 0);
}

TEST_F(Media, OfAWatchedFolderComeAndGo) {
    picture(u"pictures/one.png"_s, 1);
    picture(u"pictures/2026/two.png"_s, 2);
    folders.watch(folder.filePath(u"pictures"_s));
    ASSERT_TRUE(waitUntil([&] { return watched().isRead; }));
    EXPECT_EQ(on({}).size(), 2);
    EXPECT_EQ(on({MediaShelf::Kind::Folder, folder.filePath(u"pictures/2026"_s)}), QStringList{u"two"_s});
    EXPECT_EQ(on({MediaShelf::Kind::Library, {}}), QStringList());
    picture(u"pictures/three.png"_s, 3);
    folders.look();
    EXPECT_TRUE(waitUntil([&] { return on({}).size() == 3; }));
    folders.watch(folder.filePath(u"pictures/2026"_s)); // is in it already
    EXPECT_EQ(folders.all().size(), 1u);
    EXPECT_EQ(notices.size(), 1);
    MediaFilter filter;
    filter.query = u"2026 tw"_s;
    EXPECT_EQ(on({}, filter), QStringList{u"two"_s});
    filter.kinds = {MediumKind::Film};
    EXPECT_EQ(on({}, filter), QStringList());
    folders.leave(folder.filePath(u"pictures"_s));
    EXPECT_EQ(on({}), QStringList());
    EXPECT_TRUE(QFile::exists(folder.filePath(u"pictures/one.png"_s)));
}

TEST_F(Media, OfAFolderThatIsPulledAreFoundAgainUnderAnotherName) {
    for (int i = 0; i < 4; ++i)
        picture(u"sticks/A/Films/%1.png"_s.arg(i), QRgb(i));
    folders.watch(folder.filePath(u"sticks/A/Films"_s));
    ASSERT_TRUE(waitUntil([&] { return watched().isRead && watched().files.size() == 4; }));
    const QDir sticks(folder.filePath(u"sticks"_s));
    ASSERT_TRUE(QDir(folder.path()).mkpath(u"drawer"_s));
    ASSERT_TRUE(QDir().rename(sticks.filePath(u"A"_s), folder.filePath(u"drawer/A"_s)));
    folders.look();
    ASSERT_TRUE(waitUntil([&] { return !watched().isHere; }));
    EXPECT_EQ(on({}), QStringList());
    EXPECT_EQ(watched().folder.files, 4); // is remembered
    ASSERT_TRUE(QDir().rename(folder.filePath(u"drawer/A"_s), sticks.filePath(u"B"_s)));
    roots = {sticks.filePath(u"B"_s)};
    folders.look();
    ASSERT_TRUE(waitUntil([&] { return watched().isHere; }));
    EXPECT_EQ(watched().folder.path, sticks.filePath(u"B/Films"_s));
    EXPECT_EQ(on({}).size(), 4);
    ASSERT_TRUE(waitUntil([&] { // it is on the disk
        const auto kept = ThisComputer(folder.filePath(u"computer"_s)).watchedFolders();
        return kept && kept->size() == 1 && kept->front().path == sticks.filePath(u"B/Films"_s);
    }));
    FolderWatch later{ThisComputer(folder.filePath(u"computer"_s))}; // the next start
    later.load();
    EXPECT_TRUE(waitUntil([&] { return !later.all().empty() && later.all()[0].isHere; }));
    EXPECT_EQ(later.all()[0].folder.path, sticks.filePath(u"B/Films"_s));
}

TEST_F(Media, OfTheSameContentAreShownOnce) {
    const QString one = picture(u"pictures/one.png"_s, 1);
    ASSERT_TRUE(QFile::copy(one, folder.filePath(u"pictures/a copy.png"_s)));
    picture(u"pictures/other.png"_s, qRgb(200, 0, 0));
    bring(one);
    folders.watch(folder.filePath(u"pictures"_s));
    EXPECT_TRUE(waitUntil([&] { return on({}).size() == 2; })) << on({}).join(u',').toStdString();
    const auto all = allMedia(book, folders, twins);
    EXPECT_TRUE(all[size_t(mediaOn(all, {}, {.order = MediaOrder::ByName}).front())].isInLibrary());
    EXPECT_EQ(on({MediaShelf::Kind::Folder, folder.filePath(u"pictures"_s)}).size(), 2);
}

TEST_F(Media, ComeInTheWantedOrder) {
    QFile first(picture(u"pictures/b.png"_s, 1));
    picture(u"pictures/a.png"_s, 2);
    ASSERT_TRUE(first.open(QIODevice::Append));
    first.write(QByteArray(5000, 'x'));
    first.close();
    folders.watch(folder.filePath(u"pictures"_s));
    ASSERT_TRUE(waitUntil([&] { return on({}).size() == 2; }));
    EXPECT_EQ(on({}, {.order = MediaOrder::ByName}), (QStringList{u"a"_s, u"b"_s}));
    EXPECT_EQ(on({}, {.order = MediaOrder::LargestFirst}), (QStringList{u"b"_s, u"a"_s}));
}

} // namespace
} // namespace mivanta
