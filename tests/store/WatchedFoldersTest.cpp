// SPDX-License-Identifier: GPL-3.0-or-later
#include "store/WatchedFolders.h"
#include "support/Text.h"
#include <QDir>
#include <QFile>
#include <QTemporaryDir>
#include <gtest/gtest.h>
#include <rapidcheck/gtest.h>

namespace mivanta {
namespace {

class WatchedFolders : public ::testing::Test {
protected:
    QString write(const QString& path, const QByteArray& bytes) const {
        const QString all = folder.filePath(path);
        QDir().mkpath(QFileInfo(all).path());
        QFile file(all);
        EXPECT_TRUE(file.open(QIODevice::WriteOnly));
        file.write(bytes);
        return all;
    }
    QStringList pathsIn(const QString& path) const {
        QStringList paths;
        const auto files = readMediaFolder(folder.filePath(path));
        for (const FolderFile& file : *files)
            paths << file.path;
        return paths;
    }
    WatchedFolder watched(const QString& path) const {
        const auto files = readMediaFolder(folder.filePath(path));
        return {folder.filePath(path), int(files->size()), marksOf(folder.filePath(path), *files)};
    }
    QTemporaryDir folder;
};

TEST_F(WatchedFolders, HoldPicturesFilmsAndSoundsOfEveryDepth) {
    write(u"a/one.png"_s, "1");
    write(u"a/2026/crossing.mp4"_s, "film");
    write(u"a/2026/deep/er/Bell.OGG"_s, "sound");
    write(u"a/letter.txt"_s, "words");
    write(u"a/.hidden/two.png"_s, "2");
    write(u"a/.three.png"_s, "3");
    write(u"b/far.png"_s, "4");
    QFile::link(folder.filePath(u"b"_s), folder.filePath(u"a/link"_s));
    EXPECT_EQ(pathsIn(u"a"_s),
              (QStringList{u"2026/crossing.mp4"_s, u"2026/deep/er/Bell.OGG"_s, u"one.png"_s}));
    const auto files = readMediaFolder(folder.filePath(u"a"_s));
    EXPECT_EQ(files->front().kind, MediumKind::Film);
    EXPECT_EQ(files->front().bytes, 4);
    EXPECT_FALSE(readMediaFolder(folder.filePath(u"nowhere"_s)));
    EXPECT_FALSE(readMediaFolder(folder.filePath(u"a/one.png"_s)));
    EXPECT_TRUE(readMediaFolder(folder.filePath(u"a"_s), [] { return false; })); // with what was found so far
}

TEST_F(WatchedFolders, TellByTheirStateThatSomethingCameOrWent) {
    const QString one = write(u"a/inside/one.png"_s, "1");
    const QString path = folder.filePath(u"a"_s);
    const quint64 before = folderState(path);
    EXPECT_NE(before, 0u);
    EXPECT_EQ(folderState(path), before);
    QFile::remove(one);
    EXPECT_NE(folderState(path), before);
    QDir(path).removeRecursively();
    EXPECT_EQ(folderState(path), 0u);
}

TEST_F(WatchedFolders, AreFoundAgainUnderAnotherNameByWhatIsInThem) {
    for (int i = 0; i < 12; ++i)
        write(u"STICK/Films/%1.mp4"_s.arg(i), QByteArray(1000 + i, char('a' + i)));
    const WatchedFolder films = watched(u"STICK/Films"_s);
    ASSERT_EQ(films.marks.size(), 8u);
    write(u"OTHER/Films/0.mp4"_s, QByteArray(1000, 'x')); // is called the same
    ASSERT_TRUE(QDir(folder.path()).rename(u"STICK"_s, u"STICK1"_s));
    const QStringList roots{folder.filePath(u"OTHER"_s), folder.filePath(u"STICK1"_s)};
    EXPECT_EQ(findFolderAgain(films, roots), folder.filePath(u"STICK1/Films"_s));
    QFile::remove(folder.filePath(u"STICK1/Films/0.mp4"_s)); // most is enough
    EXPECT_EQ(findFolderAgain(films, roots), folder.filePath(u"STICK1/Films"_s));
    EXPECT_EQ(findFolderAgain(films, {folder.filePath(u"OTHER"_s)}), QString());
    EXPECT_EQ(findFolderAgain({films.path, 0, {}}, roots), QString()); // nothing is known of it
}

TEST_F(WatchedFolders, FilesAreTheSameByLengthBeginningAndEnd) {
    QByteArray bytes(300'000, 'a');
    const QByteArray first = quickDigest(write(u"1.png"_s, bytes));
    EXPECT_EQ(quickDigest(write(u"2.png"_s, bytes)), first);
    for (const qsizetype at : {qsizetype(0), bytes.size() - 1}) {
        QByteArray other = bytes;
        other[at] = 'b';
        EXPECT_NE(quickDigest(write(u"3.png"_s, other)), first) << at;
    }
    EXPECT_NE(quickDigest(write(u"4.png"_s, bytes + 'a')), first);
    EXPECT_TRUE(quickDigest(folder.path()).isEmpty());
    EXPECT_TRUE(quickDigest(folder.filePath(u"none"_s)).isEmpty());
}

TEST_F(WatchedFolders, SettingsOfOthersAreRefusedOrTakenWithCare) {
    for (const QByteArray& wrong : {QByteArray(), QByteArray("{"), QByteArray("{\"format\":\"other\"}")})
        EXPECT_FALSE(watchedFoldersFromJson(wrong, u"x"_s));
    const auto read = watchedFoldersFromJson(
        R"({"format":"mivanta-media-folders","folders":[{"path":"relative"},7,{"path":"/a","files":-4,
            "marks":[{"path":"../../etc/passwd","bytes":1,"digest":"00"}]}]})",
        u"x"_s);
    ASSERT_TRUE(read);
    EXPECT_EQ(*read, (std::vector<WatchedFolder>{{u"/a"_s, 0, {}}}));
}

RC_GTEST_PROP(WatchedFoldersJson, ComesBackAsItWas, ()) {
    std::vector<WatchedFolder> folders;
    for (int i = *rc::gen::inRange(0, 4); i > 0; --i) {
        WatchedFolder folder{u"/media/%1"_s.arg(i), *rc::gen::inRange(0, 1000), {}};
        for (int m = *rc::gen::inRange(0, 9); m > 0; --m)
            folder.marks.push_back({u"%1.mp4"_s.arg(m), *rc::gen::inRange(0, 1'000'000'000),
                                    QByteArray::fromStdString(*rc::gen::arbitrary<std::string>())});
        folders.push_back(std::move(folder));
    }
    RC_ASSERT(*watchedFoldersFromJson(watchedFoldersToJson(folders), {}) == folders);
}

} // namespace
} // namespace mivanta
