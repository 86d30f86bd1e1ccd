// SPDX-License-Identifier: GPL-3.0-or-later
#include "store/ServiceStore.h"
#include "formats/OutputsJson.h"
#include "formats/RunSettingsJson.h"
#include "formats/SongJson.h"
#include "store/Journal.h"
#include "store/SafeFiles.h"
#include "store/ShippedThemes.h"
#include "store/ThisComputer.h"
#include "store/UnsavedFile.h"
#include "support/Samples.h"
#include "support/SmallDisk.h"
#include "support/Text.h"
#include <QDir>
#include <QFile>
#include <QTemporaryDir>
#include <gtest/gtest.h>

namespace mivanta {
namespace {

Service sunday() {
    Service service;
    service.id = ServiceId::create();
    service.title = u"Sunday"_s;
    service.theme = samples::theme();
    service.items = {{ItemId::create(), songItem(samples::harbourSong())}};
    return service;
}

QByteArray bytesOf(const QString& path) {
    QFile file(path);
    return file.open(QIODevice::ReadOnly) ? file.readAll() : QByteArray();
}

TEST(ServiceStore, SavedAndOpenedAgain) {
    const QTemporaryDir folder;
    const QString path = folder.filePath(u"a.mivanta"_s);
    const auto stamp = saveService(sunday(), path, std::nullopt);
    ASSERT_TRUE(stamp);
    const auto opened = openService(path);
    ASSERT_TRUE(opened);
    EXPECT_EQ(opened->service.title, u"Sunday"_s);
    EXPECT_EQ(opened->stamp, *stamp);
    EXPECT_TRUE(saveService(opened->service, path, opened->stamp));
}

TEST(ServiceStore, RefusesToOverwriteWhatAnotherProgramWrote) {
    const QTemporaryDir folder;
    const QString path = folder.filePath(u"a.mivanta"_s);
    const auto stamp = saveService(sunday(), path, std::nullopt);
    Service other = sunday();
    other.title = u"Theirs"_s;
    ASSERT_TRUE(saveService(other, path, std::nullopt));
    const auto refused = saveService(sunday(), path, *stamp);
    ASSERT_FALSE(refused);
    EXPECT_TRUE(refused.error().what.contains(u"another program"_s));
    EXPECT_EQ(openService(path)->service.title, u"Theirs"_s);
}

TEST(ServiceStore, AFullDiskLeavesTheOldFileWholeAtEveryByte) {
    const QTemporaryDir folder;
    const QString path = folder.filePath(u"a.mivanta"_s);
    ASSERT_TRUE(saveService(sunday(), path, std::nullopt));
    const QByteArray before = bytesOf(path);
    for (rlim_t room = 0; room < rlim_t(before.size()); room += 97) {
        Service changed = sunday();
        changed.title = u"A much longer title than before"_s;
        const auto saved = [&] {
            const SmallDisk disk(room);
            return saveService(changed, path, std::nullopt);
        }();
        ASSERT_FALSE(saved) << room;
        EXPECT_FALSE(saved.error().remedy.isEmpty());
        ASSERT_EQ(bytesOf(path), before) << room;
    }
    EXPECT_EQ(QDir(folder.path()).entryList(QDir::Files).size(), 1); // nothing half-written stays
}

TEST(ServiceStore, MissingFoldersAndFilesSayWhere) {
    const auto saved = saveService(sunday(), u"/proc/nowhere/a.mivanta"_s, std::nullopt);
    ASSERT_FALSE(saved);
    EXPECT_EQ(saved.error().where, u"/proc/nowhere/a.mivanta"_s);
    EXPECT_FALSE(openService(u"/nowhere/a.mivanta"_s));
}

TEST(Journal, HoldsTheWorkUntilItIsForgotten) {
    const QTemporaryDir folder;
    const Journal journal(folder.path());
    EXPECT_FALSE(*journal.read());
    const FileStamp stamp{12, QByteArray::fromHex("00ff")};
    ASSERT_TRUE(journal.write({sunday(), u"/somewhere/a.mivanta"_s, stamp, true}));
    const auto read = journal.read();
    ASSERT_TRUE(read && *read);
    EXPECT_EQ((*read)->service.title, u"Sunday"_s);
    EXPECT_EQ((*read)->path, u"/somewhere/a.mivanta"_s);
    EXPECT_EQ((*read)->stamp, stamp);
    EXPECT_TRUE((*read)->unsaved);
    journal.clear();
    EXPECT_FALSE(*journal.read());
}

TEST(UnsavedFile, HoldsWorkUntilItIsForgottenAndADamagedOneIsPutAside) {
    const QTemporaryDir folder;
    const UnsavedFile file(folder.path(), u"song"_s);
    EXPECT_FALSE(*file.read());
    const Song song = samples::harbourSong();
    ASSERT_TRUE(file.write(songToJson(song)));
    ASSERT_TRUE(file.read() && *file.read());
    const auto read = songFromJson(**file.read(), file.path());
    EXPECT_TRUE(sameContent(*read, song));
    EXPECT_EQ(read->id, song.id);
    EXPECT_FALSE(*UnsavedFile(folder.path(), u"text"_s).read()); // another one
    ASSERT_TRUE(QFile::resize(file.path(), 40));
    const auto damaged = file.read();
    ASSERT_FALSE(damaged);
    EXPECT_EQ(bytesOf(damaged.error().where).size(), 40);
    EXPECT_FALSE(*file.read()); // and the next work has its place
    ASSERT_TRUE(file.write(songToJson(song)));
    EXPECT_EQ(bytesOf(damaged.error().where).size(), 40);
    file.clear();
    EXPECT_FALSE(*file.read());
    EXPECT_FALSE(UnsavedFile(folder.path() + u"/gone"_s, u"song"_s).write({}));
}

TEST(UnsavedFile, WhatAnEarlierProgramLeftInTheLibraryIsFoundUntilThereIsNewerWork) {
    const QTemporaryDir folder;
    const QTemporaryDir library;
    ASSERT_TRUE(UnsavedFile(library.path(), u"song"_s).write({{u"title"_s, u"old"_s}}));
    const UnsavedFile file(folder.path(), u"song"_s, library.path());
    EXPECT_EQ((**file.read())[u"title"_s], u"old"_s);
    ASSERT_TRUE(file.write({{u"title"_s, u"new"_s}}));
    EXPECT_FALSE(QFile::exists(library.filePath(u"unsaved-song.json"_s)));
    EXPECT_EQ((**file.read())[u"title"_s], u"new"_s);
    ASSERT_TRUE(UnsavedFile(library.path(), u"song"_s).write({{u"title"_s, u"old"_s}}));
    file.clear();
    EXPECT_FALSE(*file.read());
}

TEST(ThisComputer, OutputsAreTheUsualOnesUntilSaved) {
    const QTemporaryDir folder;
    const QTemporaryDir library;
    const ThisComputer computer(folder.filePath(u"computer"_s));
    EXPECT_EQ(*computer.outputs(library.path()), usualOutputs());
    auto outputs = usualOutputs();
    outputs[0].linesAtMost = 3;
    ASSERT_TRUE(computer.saveOutputs(outputs));
    EXPECT_EQ(*computer.outputs(library.path()), outputs);
    QFile file(computer.folder() + u"/outputs.json"_s);
    ASSERT_TRUE(file.open(QIODevice::WriteOnly));
    file.write("[{");
    file.close();
    EXPECT_FALSE(computer.outputs(library.path()));
}

TEST(ThisComputer, WhatAnEarlierProgramKeptInTheLibraryCountsUntilSomethingIsSavedHere) {
    const QTemporaryDir folder;
    const QTemporaryDir library;
    const ThisComputer vestry(folder.filePath(u"vestry"_s));
    const ThisComputer booth(folder.filePath(u"booth"_s));
    auto outputs = usualOutputs();
    outputs[0].linesAtMost = 3;
    RunSettings settings = usualRunSettings();
    settings.callOutSeconds = 7;
    ASSERT_TRUE(writeSafely(library.filePath(u"outputs.json"_s), outputsToJson(outputs)));
    ASSERT_TRUE(writeSafely(library.filePath(u"run.json"_s), runSettingsToJson(settings)));
    EXPECT_EQ(*vestry.outputs(library.path()), outputs);
    EXPECT_EQ(*vestry.runSettings(library.path()), settings);
    ASSERT_TRUE(vestry.saveOutputs(usualOutputs()));
    ASSERT_TRUE(vestry.saveRunSettings(usualRunSettings()));
    EXPECT_EQ(*vestry.outputs(library.path()), usualOutputs());
    EXPECT_EQ(*vestry.runSettings(library.path()), usualRunSettings());
    EXPECT_EQ(*booth.outputs(library.path()), outputs); // another computer is not asked
}

TEST(ThisComputer, EachLibraryHasItsUnsavedWorkHoweverItIsReached) {
    const QTemporaryDir folder;
    const ThisComputer computer(folder.filePath(u"computer"_s));
    const LibraryAddress one = LibraryAddress::made(folder.filePath(u"one"_s));
    const LibraryAddress other = LibraryAddress::made(folder.filePath(u"other"_s));
    ASSERT_TRUE(QFile::link(one.folder(), folder.filePath(u"link"_s)));
    EXPECT_EQ(LibraryAddress::made(folder.filePath(u"link"_s)), one);
    EXPECT_EQ(computer.unsavedFolder(folder.filePath(u"link"_s)), computer.unsavedFolder(one));
    EXPECT_NE(computer.unsavedFolder(other), computer.unsavedFolder(one));
    EXPECT_TRUE(QDir(computer.unsavedFolder(one)).exists());
}

TEST(Settings, TheShippedThemesAreThere) {
    const auto themes = shippedThemes();
    ASSERT_GE(themes.size(), 3u);
    for (const Output& output : usualOutputs())
        EXPECT_TRUE(output.look.theme.isEmpty() || themeOf(output.look.theme, themes));
}

} // namespace
} // namespace mivanta
