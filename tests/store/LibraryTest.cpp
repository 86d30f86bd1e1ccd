// SPDX-License-Identifier: GPL-3.0-or-later
#include "OpenLibrary.h"
#include "formats/SongJson.h"
#include "store/Backups.h"
#include "store/Database.h"
#include "store/Migrations.h"
#include "store/StoredSong.h"
#include "support/Samples.h"

namespace mivanta {
namespace {

TEST_F(LibraryTest, ImportingTheSameAgainAddsNothing) {
    file(u"songs/a.txt"_s, "Title: A\n\nVerse 1\none\n");
    file(u"songs/deep/b.cho"_s, "{title: B}\n{sov}\ntwo\n{eov}\n");
    file(u"songs/not-a-song.png"_s, "\x89PNG");
    EXPECT_EQ(outcomes({path(u"songs"_s)}), u"AA"_s);
    EXPECT_EQ(outcomes({path(u"songs"_s)}), u"=="_s);
    open();
    EXPECT_EQ(outcomes({path(u"songs"_s)}), u"=="_s);
    EXPECT_EQ(*library->songCount(), 2);
}

TEST_F(LibraryTest, AChangedFileChangesItsSongAndKeepsTheIdsOfItsParts) {
    const QString song = file(u"a.txt"_s, "Title: A\n\nVerse 1\none\n\nChorus\nsing\n");
    EXPECT_EQ(outcomes({song}), u"A"_s);
    const auto before = library->song(library->songs()->front().id);
    file(u"a.txt"_s, "Title: A\n\nVerse 1\none and more\n\nChorus\nsing\n");
    EXPECT_EQ(outcomes({song}), u"C"_s);
    const auto after = library->song(before->id);
    ASSERT_TRUE(after);
    EXPECT_EQ(after->revision, 2);
    EXPECT_EQ(after->parts[0].id, before->parts[0].id);
    EXPECT_EQ(after->parts[0].lines[0].words, u"one and more"_s);
    EXPECT_EQ(*library->songCount(), 1);
    EXPECT_EQ(found(u"more"_s), QStringList{u"A"_s});
}

TEST_F(LibraryTest, ASongEditedInTheLibraryIsNotOverwrittenByItsFile) {
    const QString song = file(u"a.txt"_s, "Title: A\n\nVerse 1\none\n");
    EXPECT_EQ(outcomes({song}), u"A"_s);
    Song edited = *library->song(library->songs()->front().id);
    edited.parts[0].lines[0].words = u"mended here"_s;
    ASSERT_TRUE(library->save(edited));
    file(u"a.txt"_s, "Title: A\n\nVerse 1\nother\n");
    const auto entries = library->import({song});
    EXPECT_EQ(entries[0].outcome, ImportOutcome::Refused);
    EXPECT_FALSE(entries[0].reason.isEmpty());
    EXPECT_EQ(found(u"mended"_s), QStringList{u"A"_s});
}

TEST_F(LibraryTest, BadFilesAmongFiveHundredStopNoOther) {
    for (int i = 0; i < 497; ++i)
        file(u"many/%1.txt"_s.arg(i, 3, 10, QLatin1Char('0')),
             "Verse 1\nsong number " + QByteArray::number(i) + "\n");
    file(u"many/bad-empty.txt"_s, "");
    file(u"many/bad-binary.txt"_s, QByteArray("\0\1\2", 3));
    file(u"many/bad-nothing.cho"_s, "{title: Nothing}\n");
    int refused = 0;
    int added = 0;
    for (const ImportEntry& entry : library->import({path(u"many"_s)})) {
        refused += entry.outcome == ImportOutcome::Refused;
        added += entry.outcome == ImportOutcome::Added;
        if (entry.outcome == ImportOutcome::Refused) {
            EXPECT_TRUE(entry.file.contains(u"bad-"_s));
            EXPECT_FALSE(entry.reason.isEmpty());
        }
    }
    EXPECT_EQ(refused, 3);
    EXPECT_EQ(added, 497);
    EXPECT_EQ(*library->songCount(), 497);
}

TEST_F(LibraryTest, MissingFilesFoldersAndOddFilesAreRefusedByName) {
    QDir().mkpath(path(u"empty"_s));
    EXPECT_EQ(outcomes({path(u"nowhere.txt"_s), path(u"empty"_s), u"/dev/null"_s}), u"XXX"_s);
    QFile huge(path(u"huge.txt"_s));
    ASSERT_TRUE(huge.open(QIODevice::WriteOnly));
    ASSERT_TRUE(huge.resize(200 * 1024 * 1024)); // no bytes on the disk
    EXPECT_EQ(outcomes({huge.fileName()}), u"X"_s);
}

TEST_F(LibraryTest, AWarningComesWithItsLine) {
    const auto entries =
        library->import({file(u"a.cho"_s, "{title: T}\n{meta: order V1 Q}\n{sov}\nx\n{eov}\n")});
    ASSERT_EQ(entries.size(), 1u);
    EXPECT_EQ(entries[0].outcome, ImportOutcome::Added);
    EXPECT_EQ(entries[0].line, 2);
    EXPECT_TRUE(entries[0].reason.contains(u'Q'));
}

TEST_F(LibraryTest, AnImportCanBeStopped) {
    for (int i = 0; i < 20; ++i)
        file(u"many/%1.txt"_s.arg(i), "Verse 1\nsong " + QByteArray::number(i) + "\n");
    const auto entries = library->import({path(u"many"_s)}, [](int done, int total) {
        EXPECT_EQ(total, 20);
        return done < 5;
    });
    EXPECT_EQ(entries.size(), 5u);
    EXPECT_EQ(*library->songCount(), 5);
}

TEST_F(LibraryTest, FindsByTitleWordsAuthorsAndNumber) {
    EXPECT_EQ(outcomes({QStringLiteral(MIVANTA_SOURCE_DIR "/data/demo/songs")}), u"A"_s.repeated(14));
    EXPECT_EQ(found(u"lantern"_s).value(0), u"Lantern on the Water"_s);
    EXPECT_EQ(found(u"ETOILE"_s).value(0), u"\u00c9toile du port"_s);
    EXPECT_EQ(found(u"theres a light"_s).value(0), u"Lantern on the Water"_s);
    EXPECT_EQ(found(u"vandermark"_s), QStringList{u"Eight Bells over the Water"_s});
    EXPECT_EQ(found(u"shore hymnal 203"_s), QStringList{u"Lantern on the Water"_s});
    EXPECT_EQ(found(u"203"_s), QStringList{u"Lantern on the Water"_s});
    EXPECT_EQ(found(u"\u05d0\u05d5\u05e8 \u05e2\u05dc"_s).size(), 1);
    EXPECT_EQ(found(u"room beyond"_s).value(0), u"Through the Open Door"_s);
    EXPECT_EQ(found(u"no such words anywhere"_s), QStringList());
    EXPECT_EQ(found(u"\"* ^ ( : NEARMISS AND"_s), QStringList());
    const auto hits = library->find(u"open door"_s);
    EXPECT_EQ(hits->front().song.title, u"Through the Open Door"_s);
    EXPECT_EQ((*hits)[1].matchingLine, u"you have held an open door"_s);
}

TEST_F(LibraryTest, FindsByScrapsMisspeltWordsNumbersAndTopics) {
    EXPECT_EQ(outcomes({QStringLiteral(MIVANTA_SOURCE_DIR "/data/demo/songs")}), u"A"_s.repeated(14));
    const QString lantern = u"Lantern on the Water"_s;
    EXPECT_EQ(found(u"lanturn"_s).value(0), lantern);                // a letter wrong
    EXPECT_EQ(found(u"harbuor bell is rining"_s).value(0), lantern); // swapped, left out
    EXPECT_EQ(found(u"ringing and the night"_s).value(0), lantern);  // across a line's end
    EXPECT_EQ(found(u"SH 203"_s).value(0), lantern);
    EXPECT_EQ(found(u"sh203"_s).value(0), lantern);
    EXPECT_EQ(found(u"550 1203"_s).value(0), lantern); // licence
    EXPECT_EQ(found(u"5501203"_s).value(0), lantern);
    EXPECT_EQ(found(u"evening tarnwell"_s).value(0), lantern); // topic and author
    EXPECT_TRUE(found(u"xyzzyq"_s).isEmpty());
    EXPECT_TRUE(found(u"lan zzz"_s).isEmpty());
    const auto hits = library->find(u"harbuor bell"_s);
    EXPECT_EQ(hits->front().matchingLine, u"When the harbour bell is ringing"_s);
    EXPECT_TRUE(hits->front().marked.contains(u"harbour"_s));
}

TEST_F(LibraryTest, HitsComeInTheOrderOfWhatTheyMatch) {
    const auto with = [&](const QString& title, const std::function<void(Song&)>& work) {
        Song song = samples::harbourSong(title);
        work(song);
        ASSERT_TRUE(library->save(song));
    };
    with(u"In the words"_s, [](Song& s) { s.parts[2].lines[1].words = u"anchor in the deep tide"_s; });
    with(u"By author"_s, [](Song& s) { s.authors = {{AuthorRole::Words, u"Tide Anchor"_s}}; });
    with(u"Also called"_s, [](Song& s) { s.otherTitles = {u"Anchor of the tide"_s}; });
    with(u"A tide and an anchor"_s, [](Song&) {});
    with(u"Anchor Tide"_s, [](Song&) {});
    with(u"First line"_s, [](Song& s) { s.parts[0].lines[0].words = u"tide, o anchor mine"_s; });
    EXPECT_EQ(found(u"anchor tide"_s),
              (QStringList{u"Anchor Tide"_s, u"A tide and an anchor"_s, u"Also called"_s, u"By author"_s,
                           u"First line"_s, u"In the words"_s}));
}

TEST_F(LibraryTest, ATitleThatBeginsWithTheQueryComesFirst) {
    for (const char* text :
         {"Title: Sea of many words\n\nVerse 1\nharvest harvest harvest harvest\n",
          "Title: Harvest\n\nVerse 1\nother\n", "Title: The Harvest\n\nVerse 1\nharvest\n"})
        EXPECT_EQ(outcomes({file(u"%1.txt"_s.arg(qHash(QByteArray(text))), text)}), u"A"_s);
    EXPECT_EQ(found(u"harv"_s), (QStringList{u"Harvest"_s, u"The Harvest"_s, u"Sea of many words"_s}));
}

TEST_F(LibraryTest, AStaleRevisionIsNotSaved) {
    const Song first = *library->save(samples::harbourSong());
    EXPECT_EQ(first.revision, 1);
    EXPECT_EQ(library->save(first)->revision, 2);
    const auto stale = library->save(first);
    ASSERT_FALSE(stale);
    EXPECT_TRUE(stale.error().what.contains(u"changed"_s));
}

TEST_F(LibraryTest, AFullDiskSaysSoAndChangesNothing) {
    ASSERT_TRUE(library->save(samples::harbourSong(u"Before"_s)));
    const auto pages =
        library->database().first(u"PRAGMA page_count"_s, {}, [](const Row& row) { return row.number(0); });
    ASSERT_TRUE(pages && *pages);
    ASSERT_TRUE(library->database().change(u"PRAGMA max_page_count=%1"_s.arg(**pages)));
    int refused = 0;
    for (int i = 0; i < 200 && refused == 0; ++i) {
        const auto saved = library->save(samples::harbourSong(u"Song %1"_s.arg(i)));
        if (!saved) {
            ++refused;
            EXPECT_TRUE(saved.error().what.contains(u"disk is full"_s)) << saved.error().text().toStdString();
            EXPECT_TRUE(found(u"song %1"_s.arg(i)).isEmpty());
        }
    }
    EXPECT_EQ(refused, 1);
    EXPECT_EQ(found(u"before"_s), QStringList{u"Before"_s});
    ASSERT_TRUE(library->database().change(u"PRAGMA max_page_count=%1"_s.arg(**pages + 1000)));
    EXPECT_TRUE(library->save(samples::harbourSong(u"After"_s)));
    EXPECT_TRUE(checkIntegrity(library->database()));
}

TEST_F(LibraryTest, AFullDiskDuringAnImportRefusesByNameWhatIsNotStored) {
    const QString files = folder.filePath(u"many"_s);
    QDir().mkpath(files);
    for (int i = 0; i < 150; ++i) {
        QFile file(u"%1/%2.txt"_s.arg(files).arg(i, 3, 10, QLatin1Char('0')));
        ASSERT_TRUE(file.open(QIODevice::WriteOnly));
        file.write(u"Title: Full %1\n\nVerse 1\nwords %1\n"_s.arg(i).toUtf8());
    }
    const auto pages =
        library->database().first(u"PRAGMA page_count"_s, {}, [](const Row& row) { return row.number(0); });
    ASSERT_TRUE(pages && *pages);
    ASSERT_TRUE(library->database().change(u"PRAGMA max_page_count=%1"_s.arg(**pages + 12)));
    const auto entries = library->import({files});
    ASSERT_EQ(entries.size(), 150u);
    int added = 0;
    for (const ImportEntry& entry : entries) {
        if (entry.outcome == ImportOutcome::Added)
            ++added;
        else
            EXPECT_TRUE(entry.reason.contains(u"full"_s)) << entry.reason.toStdString();
    }
    EXPECT_LT(added, 150);
    EXPECT_EQ(*library->songCount(), added); // what is called added is there, and no more
    ASSERT_TRUE(library->database().change(u"PRAGMA max_page_count=%1"_s.arg(**pages + 5000)));
    static_cast<void>(library->import({files}));
    EXPECT_EQ(*library->songCount(), 150);
}

TEST_F(LibraryTest, EveryChangeKeepsTheVersionBefore) {
    Song song = *library->save(samples::harbourSong(u"Tide"_s));
    EXPECT_TRUE(library->versions(song.id)->empty());
    song.title = u"Every Tide"_s;
    song = *library->save(song);
    song.parts[0].lines[0].words = u"other words"_s;
    song = *library->save(song);
    const auto versions = library->versions(song.id);
    ASSERT_EQ(versions->size(), 2u);
    EXPECT_EQ(versions->front().revision, 2);
    EXPECT_EQ(library->version(song.id, 1)->title, u"Tide"_s);
    EXPECT_EQ(library->version(song.id, 2)->parts[0].lines[0].words, u"one line here,"_s);
    EXPECT_FALSE(library->version(song.id, 9));
}

TEST_F(LibraryTest, TheBinHidesSongsAndGivesThemBack) {
    const Song song = *library->save(samples::harbourSong(u"Tide"_s));
    ASSERT_TRUE(library->putInBin({song.id}));
    EXPECT_TRUE(found(u"tide"_s).isEmpty());
    EXPECT_TRUE(library->songs()->empty());
    EXPECT_EQ(*library->songCount(), 0);
    ASSERT_EQ(library->bin()->size(), 1u);
    EXPECT_EQ(library->bin()->front().title, u"Tide"_s);
    ASSERT_TRUE(library->takeFromBin({song.id}));
    EXPECT_EQ(found(u"tide"_s), QStringList{u"Tide"_s});
    ASSERT_TRUE(library->putInBin({song.id}));
    const QString again = file(u"again.txt"_s, "Title: Again\n\nVerse 1\nwords\n");
    EXPECT_EQ(outcomes({again}), u"A"_s);
    ASSERT_TRUE(library->putInBin({library->songs()->front().id}));
    EXPECT_EQ(outcomes({again}), u"A"_s); // what comes in again leaves the bin
    EXPECT_EQ(found(u"again"_s), QStringList{u"Again"_s});
    EXPECT_EQ(*library->emptyBin(), 1);
    EXPECT_FALSE(library->song(song.id));
    EXPECT_TRUE(checkIntegrity(library->database()));
}

TEST(LibraryOpening, AFolderThatCannotBeMadeSaysSo) {
    const auto library = Library::open(u"/proc/mivanta/library"_s);
    ASSERT_FALSE(library);
    EXPECT_EQ(library.error().where, u"/proc/mivanta/library"_s);
    EXPECT_FALSE(library.error().remedy.isEmpty());
}

TEST(LibraryOpening, AFileThatIsNoDatabaseIsLeftAsItIs) {
    const QTemporaryDir folder;
    QFile file(folder.filePath(u"library.db"_s));
    ASSERT_TRUE(file.open(QIODevice::WriteOnly));
    const QByteArray bytes = QByteArray("not a database at all ").repeated(400);
    file.write(bytes);
    file.close();
    const auto library = Library::open(folder.path());
    ASSERT_FALSE(library);
    EXPECT_TRUE(library.error().what.contains(u"damaged"_s));
    ASSERT_TRUE(file.open(QIODevice::ReadOnly));
    EXPECT_EQ(file.readAll(), bytes);
}

TEST(LibraryOpening, DamageInsideIsFoundByTheCheck) {
    const QTemporaryDir folder;
    {
        auto library = Library::open(folder.path());
        ASSERT_TRUE(library);
        for (int i = 0; i < 60; ++i)
            ASSERT_TRUE((*library)->save(samples::harbourSong(u"Song %1"_s.arg(i))));
        ASSERT_TRUE(checkIntegrity((*library)->database()));
        ASSERT_TRUE((*library)->database().change(u"PRAGMA wal_checkpoint(TRUNCATE)"_s));
    }
    QFile file(folder.filePath(u"library.db"_s));
    ASSERT_TRUE(file.open(QIODevice::ReadWrite));
    file.seek(4096 * 6);
    file.write(QByteArray(4096 * 20, 'x'));
    file.close();
    auto library = Library::open(folder.path());
    const auto error =
        library ? checkIntegrity((*library)->database()) : Result<void>(tl::unexpected(library.error()));
    ASSERT_FALSE(error);
    EXPECT_TRUE(error.error().what.contains(u"damaged"_s));
    EXPECT_FALSE(error.error().remedy.isEmpty());
}

TEST(LibraryOpening, ANewerLibraryIsRefusedUnchanged) {
    const QTemporaryDir folder;
    {
        auto library = Library::open(folder.path());
        ASSERT_TRUE((*library)->database().change(u"PRAGMA user_version=999"_s));
    }
    const auto library = Library::open(folder.path());
    ASSERT_FALSE(library);
    EXPECT_TRUE(library.error().what.contains(u"newer"_s));
}

TEST(Migrations, ALibraryOfTheFirstVersionIsFoundAndSearchedAsBefore) {
    const QTemporaryDir folder;
    Song song = samples::harbourSong(u"Old Anchor"_s);
    song.topics = {u"storm"_s};
    song.revision = 1;
    {
        auto database = Database::open(folder.filePath(u"library.db"_s));
        ASSERT_TRUE(migrate(**database, {libraryMigrations().front()}, folder.path()));
        const StoredSong stored = storedForm(song);
        ASSERT_TRUE((*database)->change(
            u"INSERT INTO song(revision, changed_at, title, title_key, first_line, number, lines, content,"
            " content_hash, id) VALUES (1, 0, ?, ?, ?, '', ?, ?, ?, ?)"_s,
            {song.title, stored.titleKey, stored.firstLine, stored.lines, stored.content, stored.hash,
             song.id.text()}));
    }
    auto library = Library::open(folder.path());
    ASSERT_TRUE(library);
    for (const auto& query : {u"old anchor"_s, u"storm"_s, u"three lines here"_s, u"ancor"_s}) {
        const auto hits = (*library)->find(query);
        ASSERT_EQ(hits->size(), 1u) << query.toStdString();
        EXPECT_EQ(hits->front().song.id, song.id);
    }
    EXPECT_FALSE(QDir(folder.filePath(u"backups"_s)).isEmpty());
}

TEST(Migrations, EachRunsOnceBehindABackupAndAFailingOneLeavesTheOldVersion) {
    const QTemporaryDir folder;
    auto database = Database::open(folder.filePath(u"test.db"_s));
    ASSERT_TRUE(database);
    const QString backups = folder.filePath(u"backups"_s);
    const std::vector<Migration> first{{u"CREATE TABLE a (x INTEGER)"_s, u"INSERT INTO a VALUES (1)"_s}};
    ASSERT_TRUE(migrate(**database, first, folder.path()));
    ASSERT_TRUE(migrate(**database, first, folder.path())); // a re-run does nothing
    EXPECT_FALSE(QDir(backups).exists());

    std::vector<Migration> second = first;
    second.push_back({u"ALTER TABLE a ADD COLUMN y INTEGER"_s, u"INSERT INTO nowhere VALUES (1)"_s});
    EXPECT_FALSE(migrate(**database, second, folder.path()));
    EXPECT_EQ(QDir(backups).entryList({u"*.db"_s}).size(), 1);
    const auto values = [](const Row& row) { return std::pair(row.number(0), row.number(1)); };
    EXPECT_FALSE((*database)->first(u"SELECT y, y FROM a"_s, {}, values));
    second.back()[1] = u"UPDATE a SET y = 2"_s;
    ASSERT_TRUE(migrate(**database, second, folder.path()));
    const auto row = (*database)->first(u"SELECT x, y FROM a"_s, {}, values);
    ASSERT_TRUE(row && *row);
    EXPECT_EQ(**row, std::pair(qint64(1), qint64(2)));
}

} // namespace
} // namespace mivanta
