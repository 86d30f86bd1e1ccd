// SPDX-License-Identifier: GPL-3.0-or-later
#include "Window.h"
#include "session/service/MissingFiles.h"
#include "store/Backups.h"
#include "store/SafeFiles.h"
#include "store/ServicePack.h"
#include "support/Samples.h"
#include <QPushButton>
#include <QSettings>
#include <QTreeWidget>

namespace mivanta {
namespace {

QString pictureFile(const QString& path, QColor colour) {
    QDir().mkpath(QFileInfo(path).path());
    QImage picture(40, 30, QImage::Format_RGB32);
    picture.fill(colour);
    EXPECT_TRUE(picture.save(path));
    return path;
}

/// A service whose pictures are not on this computer.
class MissingPictures : public ::testing::Test {
protected:
    void SetUp() override {
        ASSERT_TRUE(Library::open(libraryFolder));
        missing.setKnownFolders({path(u"known"_s)});
        QObject::connect(&missing, &MissingFiles::failed, [&](const Error& error) { errors << error.what; });
    }
    [[nodiscard]] QString path(const QString& name) const { return folder.filePath(name); }
    /// Shows the pictures of these files, as on the computer where it was made.
    void openServiceWith(const QStringList& files) {
        Service service;
        service.id = ServiceId::create();
        service.theme = samples::theme();
        PictureItem set;
        for (const QString& file : files) {
            const QString name = *contentHash(file) + u".png"_s;
            set.pictures.push_back({name, {}});
            service.media.push_back({name, QFileInfo(file).fileName(), QFileInfo(file).size()});
        }
        service.items.push_back({ItemId::create(), set});
        ASSERT_TRUE(saveService(service, path(u"elsewhere/a.mivanta"_s), {}));
        document.open(path(u"elsewhere/a.mivanta"_s));
        settle([&] { return !document.path().isEmpty(); });
        settle();
    }
    template <typename Condition>
    void settle(Condition condition) {
        ASSERT_TRUE(QTest::qWaitFor([&] { return condition() && !missing.isSearching(); }, 10'000));
    }
    void settle() {
        settle([] { return true; });
    }
    [[nodiscard]] QStringList shown() const { return mediaOf(document.service()); }
    [[nodiscard]] bool isThere(const QString& name) const {
        return QFile::exists(LibraryAddress(libraryFolder).mediaFolder() + u'/' + name);
    }

    QTemporaryDir folder;
    QString libraryFolder = folder.filePath(u"library"_s);
    ServiceDocument document{LibraryAddress(libraryFolder).mediaFolder(), Journal(libraryFolder),
                             samples::theme()};
    MissingFiles missing{document, libraryFolder};
    QStringList errors;
};

TEST_F(MissingPictures, TheSameContentIsFoundUnderAnotherNameAndBroughtInByItself) {
    QDir().mkpath(path(u"elsewhere"_s));
    const QString file = pictureFile(path(u"gone/harbour.png"_s), Qt::darkBlue);
    pictureFile(path(u"known/deep/inside/harbour.png"_s), Qt::red); // called the same
    QFile::copy(file, path(u"known/deep/renamed.png"_s));
    openServiceWith({file});
    settle([&] { return isThere(shown().value(0)); });
    EXPECT_TRUE(missing.all().empty());
    EXPECT_FALSE(document.isModified()); // it shows what it showed
    EXPECT_TRUE(errors.isEmpty());
}

TEST_F(MissingPictures, WhatIsOnlyCalledTheSameIsOfferedAndTakenWhenChosen) {
    QDir().mkpath(path(u"elsewhere"_s));
    openServiceWith({pictureFile(path(u"gone/harbour.png"_s), Qt::darkBlue)});
    ASSERT_EQ(missing.all().size(), 1u);
    EXPECT_TRUE(missing.all().front().offered.isEmpty());
    const QString offered = pictureFile(path(u"known/Harbour.PNG"_s), Qt::red);
    missing.look();
    settle([&] { return !missing.all().empty() && !missing.all().front().offered.isEmpty(); });
    EXPECT_EQ(missing.all().front().offered, offered);
    const QString before = shown().value(0);
    missing.use(before, offered);
    settle([&] { return missing.all().empty(); });
    EXPECT_NE(shown().value(0), before);
    EXPECT_TRUE(isThere(shown().value(0)));
    document.undoStack().undo();
    EXPECT_EQ(shown().value(0), before);
    settle([&] { return missing.all().size() == 1; }); // and it is missing again
}

TEST_F(MissingPictures, OneChosenByHandBringsThoseBesideItAlong) {
    QDir().mkpath(path(u"elsewhere"_s));
    openServiceWith({pictureFile(path(u"gone/a.png"_s), Qt::darkBlue),
                     pictureFile(path(u"gone/b.png"_s), Qt::darkGreen),
                     pictureFile(path(u"gone/c.png"_s), Qt::darkRed)});
    ASSERT_EQ(missing.all().size(), 3u);
    pictureFile(path(u"moved/b.png"_s), Qt::green); // the same name, newer content
    pictureFile(path(u"moved/holiday.png"_s), Qt::yellow);
    missing.use(shown().value(0), pictureFile(path(u"moved/other-name.png"_s), Qt::blue));
    settle([&] { return missing.all().size() == 1; });
    EXPECT_EQ(missing.all().front().fact.title, u"c.png"_s);
    for (int i = 0; i < 2; ++i)
        EXPECT_TRUE(isThere(shown().value(i)));
    missing.lookIn(path(u"gone"_s)); // the folder by hand: the same content is there
    settle([&] { return missing.all().empty(); });
}

TEST_F(MissingPictures, AFileThatIsNoPictureIsRefusedAndChangesNothing) {
    QDir().mkpath(path(u"elsewhere"_s));
    openServiceWith({pictureFile(path(u"gone/a.png"_s), Qt::darkBlue)});
    QFile words(path(u"words.png"_s));
    ASSERT_TRUE(words.open(QIODevice::WriteOnly));
    words.write("no picture at all");
    words.close();
    const QString before = shown().value(0);
    missing.use(before, words.fileName());
    settle([&] { return !errors.isEmpty(); });
    EXPECT_EQ(shown().value(0), before);
    EXPECT_EQ(missing.all().size(), 1u);
    EXPECT_FALSE(document.isModified());
}

class OpeningTest : public WindowTest {
protected:
    void SetUp() override {
        QSettings().remove(u"differences/kept"_s);
        WindowTest::SetUp();
    }
    void clickIn(const QString& name) {
        QPushButton* button = nullptr;
        ASSERT_TRUE(waitUntil([&] { // rows are made when they are seen
            button = child<QPushButton>(name);
            return button && button->isVisible() && button->isEnabled();
        })) << name.toStdString();
        button->setFocus();
        press(Qt::Key_Space);
    }
    [[nodiscard]] size_t differences() const { return session->differences().all().size(); }
    /// The library's song becomes another one.
    void changeInLibrary(const SongId& id, const QString& title) {
        bool done = false;
        session->library().edit(
            window.get(), {id}, [title](Song& song) { song.title = title; },
            [&](const Result<std::vector<SongEdit>>& edited) { done = edited.has_value(); });
        ASSERT_TRUE(waitUntil([&] { return done; }));
    }
    const Song& songAt(int index) { return *session->document().service().items[size_t(index)].song(); }
};

TEST_F(OpeningTest, DifferencesFromTheLibraryAreToldAndSettledEitherWay) {
    importDemo();
    press(Qt::Key_2, Qt::AltModifier);
    addByFind(u"lantern on"_s, u"Lantern on the Water"_s);
    const SongId changed = songAt(0).id;
    session->document().insert(1, songItem(samples::harbourSong(u"Brought by a guest"_s)));
    answers->saveTo = folder.filePath(u"sunday.mivanta"_s);
    press(Qt::Key_S, Qt::ControlModifier);
    ASSERT_TRUE(waitUntil([&] { return !session->document().isModified(); }));
    changeInLibrary(changed, u"Lantern over the Water"_s);

    answers->open = answers->saveTo;
    press(Qt::Key_O, Qt::ControlModifier);
    auto* bar = child<QWidget>(u"opening-bar"_s);
    ASSERT_TRUE(waitUntil([&] { return bar->isVisible(); }));
    EXPECT_TRUE(waitUntil([&] { return differences() == 2u; }));
    clickIn(u"opening-look"_s);
    EXPECT_EQ(window->currentDesk(), MainWindow::CheckAt);
    EXPECT_FALSE(bar->isVisible());

    clickIn(u"difference-take"_s);
    EXPECT_EQ(songAt(0).title, u"Lantern over the Water"_s);
    ASSERT_TRUE(waitUntil([&] { return differences() == 1; }));
    press(Qt::Key_Z, Qt::ControlModifier);
    EXPECT_EQ(songAt(0).title, u"Lantern on the Water"_s);
    ASSERT_TRUE(waitUntil([&] { return differences() == 2; }));

    clickIn(u"differences-put-all"_s); // the library becomes as the service is
    ASSERT_TRUE(waitUntil([&] { return differences() == 0; }));
    QString stored;
    session->library().song(window.get(), changed, [&](const Result<Song>& song) { stored = song->title; });
    ASSERT_TRUE(waitUntil([&] { return !stored.isEmpty(); }));
    EXPECT_EQ(stored, u"Lantern on the Water"_s);
}

TEST_F(OpeningTest, WhatIsLeftAsItIsIsNotToldAgainAndWhatWasMeantForTheServiceIsNoDifference) {
    importDemo();
    press(Qt::Key_2, Qt::AltModifier);
    addByFind(u"lantern on"_s, u"Lantern on the Water"_s);
    addByFind(u"salt and"_s, u"Salt and Bread"_s);
    Song here = songAt(1);
    here.capo = 3; // for this service only
    session->document().change(session->document().service().items[1].id, songItem(here), u"capo"_s);
    changeInLibrary(songAt(0).id, u"Lantern over the Water"_s);
    ASSERT_TRUE(waitUntil([&] { return differences() == 1; }));
    press(Qt::Key_3, Qt::AltModifier);
    clickIn(u"difference-keep"_s);
    ASSERT_TRUE(waitUntil([&] { return differences() == 0; }));
    changeInLibrary(songAt(0).id, u"Lantern under the Water"_s); // something new to decide
    ASSERT_TRUE(waitUntil([&] { return differences() == 1; }));
}

TEST_F(OpeningTest, ABackupIsMadeAndBroughtBackFromTheProgram) {
    importDemo();
    press(Qt::Key_2, Qt::AltModifier);
    press(Qt::Key_5, Qt::AltModifier);
    auto* list = child<QTreeWidget>(u"backups"_s);
    clickIn(u"back-up-now"_s);
    ASSERT_TRUE(waitUntil([&] { return list->topLevelItemCount() >= 1; }));
    press(Qt::Key_2, Qt::AltModifier);
    addByFind(u"lantern on"_s, u"Lantern on the Water"_s);
    const SongId id = songAt(0).id;
    changeInLibrary(id, u"Spoiled"_s);
    press(Qt::Key_5, Qt::AltModifier);
    list->setCurrentItem(list->topLevelItem(0));
    clickIn(u"bring-back"_s); // asked, and not agreed to
    EXPECT_EQ(answers->questions.size(), 1);
    const auto title = [&] {
        QString found;
        session->library().song(window.get(), id,
                                [&](const Result<Song>& song) { found = song ? song->title : u"-"_s; });
        EXPECT_TRUE(waitUntil([&] { return !found.isEmpty(); }));
        return found;
    };
    EXPECT_EQ(title(), u"Spoiled"_s);
    answers->quit = true;
    clickIn(u"bring-back"_s);
    ASSERT_TRUE(waitUntil([&] { return window->notices()->text().contains(u"The library is as it was"_s); }));
    EXPECT_EQ(title(), u"Lantern on the Water"_s);
    ASSERT_TRUE(waitUntil([&] { return backupsOf(libraryFolder).front().kind == Backup::Kind::SetAside; }));
    EXPECT_EQ(titles(), QStringList{u"Lantern on the Water"_s}); // the service is not touched
}

} // namespace
} // namespace mivanta
