// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/kit/Folders.h"
#include "support/Text.h"
#include <QDir>
#include <QSettings>
#include <QStandardPaths>
#include <QTemporaryDir>
#include <gtest/gtest.h>

namespace mivanta {
namespace {

class Folders : public ::testing::Test {
protected:
    void SetUp() override {
        QSettings::setPath(QSettings::NativeFormat, QSettings::UserScope, folder.filePath(u"config"_s));
        QSettings().clear();
    }
    QTemporaryDir folder;
};

TEST_F(Folders, EachKindRemembersItsOwn) {
    const QString songs = folder.filePath(u"songs"_s);
    const QString pictures = folder.filePath(u"pictures"_s);
    QDir().mkpath(songs);
    QDir().mkpath(pictures);
    noteFolder(FolderKind::Songs, songs);
    noteFile(FolderKind::Pictures, pictures + u"/boats.jpg"_s);
    EXPECT_EQ(folderFor(FolderKind::Songs), songs);
    EXPECT_EQ(folderFor(FolderKind::Pictures), pictures);
    noteFile(FolderKind::Songs, {}); // given up
    EXPECT_EQ(folderFor(FolderKind::Songs), songs);
    QDir(songs).removeRecursively();
    EXPECT_TRUE(QDir(folderFor(FolderKind::Songs)).exists()); // a stick that was pulled
}

TEST_F(Folders, ServicesHaveAFolderFromTheFirst) {
    const QString services = folderFor(FolderKind::Services);
    EXPECT_TRUE(QDir(services).exists());
    EXPECT_NE(services, QDir::currentPath());
}

} // namespace
} // namespace mivanta
