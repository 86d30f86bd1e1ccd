// SPDX-License-Identifier: GPL-3.0-or-later
#include "store/ServiceStore.h"
#include "formats/SongJson.h"
#include "store/Journal.h"
#include "store/Settings.h"
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

TEST(UnsavedFile, HoldsWorkUntilItIsForgottenAndADamagedOneStays) {
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
    EXPECT_FALSE(file.read());
    EXPECT_EQ(bytesOf(file.path()).size(), 40);
    file.clear();
    EXPECT_FALSE(*file.read());
    EXPECT_FALSE(UnsavedFile(folder.path() + u"/gone"_s, u"song"_s).write({}));
}

TEST(Settings, OutputsAreTheUsualOnesUntilSaved) {
    const QTemporaryDir folder;
    EXPECT_EQ(*loadOutputs(folder.path()), usualOutputs());
    auto outputs = usualOutputs();
    outputs[0].linesAtMost = 3;
    ASSERT_TRUE(saveOutputs(folder.path(), outputs));
    EXPECT_EQ(*loadOutputs(folder.path()), outputs);
    QFile file(folder.filePath(u"outputs.json"_s));
    ASSERT_TRUE(file.open(QIODevice::WriteOnly));
    file.write("[{");
    file.close();
    EXPECT_FALSE(loadOutputs(folder.path()));
}

TEST(Settings, TheShippedThemesAreThere) {
    const auto themes = shippedThemes();
    ASSERT_GE(themes.size(), 3u);
    for (const Output& output : usualOutputs())
        EXPECT_TRUE(output.look.theme.isEmpty() || themeOf(output.look.theme, themes));
}

} // namespace
} // namespace mivanta
