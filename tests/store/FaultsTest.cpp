// SPDX-License-Identifier: GPL-3.0-or-later
#include "OpenLibrary.h"
#include "store/Journal.h"
#include "store/MediaFiles.h"
#include "store/ServicePack.h"
#include "support/Samples.h"
#include "support/SmallDisk.h"
#include "support/Text.h"
#include <gtest/gtest.h>

namespace mivanta {
namespace {

Service serviceOf(const QString& title, int songs) {
    Service service;
    service.id = ServiceId::create();
    service.title = title;
    service.theme = samples::theme();
    for (int i = 0; i < songs; ++i)
        service.items.push_back({ItemId::create(), songItem(samples::harbourSong(title))});
    return service;
}

/// What is kept of unsaved work, while the disk fails at one byte after the other.
class JournalFaults : public ::testing::Test {
protected:
    [[nodiscard]] QStringList files() const {
        return QDir(folder.path()).entryList(QDir::Files | QDir::Hidden);
    }
    void expectKept(const QString& title) {
        const auto read = journal.read();
        ASSERT_TRUE(read && *read);
        EXPECT_EQ((*read)->service.title, title);
        EXPECT_EQ(files().size(), 1) << files().join(u' ').toStdString();
    }
    QTemporaryDir folder;
    Journal journal{folder.path()};
};

TEST_F(JournalFaults, AFullDiskAtAnyByteKeepsTheLastWork) {
    ASSERT_TRUE(journal.write({serviceOf(u"Before"_s, 1), {}, {}, true}));
    const Service larger = serviceOf(u"After"_s, 3);
    const qint64 size = QFileInfo(folder.filePath(files().front())).size();
    for (qint64 room = 0; room < size; room += size / 60 + 1) {
        const auto written = [&] {
            const SmallDisk disk{rlim_t(room)};
            return journal.write({larger, {}, {}, true});
        }();
        ASSERT_FALSE(written) << room;
        EXPECT_FALSE(written.error().remedy.isEmpty());
        expectKept(u"Before"_s);
    }
    ASSERT_TRUE(journal.write({larger, {}, {}, true})); // there is room again
    expectKept(u"After"_s);
}

TEST_F(JournalFaults, AFolderThatIsGoneIsSaidAndItsReturnIsEnough) {
    ASSERT_TRUE(QDir(folder.path()).removeRecursively());
    const auto written = journal.write({serviceOf(u"Before"_s, 1), {}, {}, true});
    ASSERT_FALSE(written);
    EXPECT_TRUE(written.error().where.contains(folder.path()));
    const auto read = journal.read();
    EXPECT_TRUE(read && !*read); // nothing to recover is no error
    ASSERT_TRUE(QDir().mkpath(folder.path()));
    EXPECT_TRUE(journal.write({serviceOf(u"After"_s, 1), {}, {}, true}));
    expectKept(u"After"_s);
}

TEST_F(JournalFaults, SomethingElseInItsPlaceIsNotLost) {
    ASSERT_TRUE(QDir(folder.path()).mkpath(u"unsaved-service.json/inside"_s));
    EXPECT_FALSE(journal.write({serviceOf(u"Before"_s, 1), {}, {}, true}));
    const auto read = journal.read();
    ASSERT_FALSE(read);
    EXPECT_TRUE(QDir(read.error().where + u"/inside"_s).exists()); // put aside
    EXPECT_TRUE(journal.write({serviceOf(u"Before"_s, 1), {}, {}, true}));
}

TEST_F(JournalFaults, CutOffAtAnyTenthItIsReportedAndNothingIsMadeUp) {
    ASSERT_TRUE(journal.write({serviceOf(u"Before"_s, 2), u"/a.mivanta"_s, {}, true}));
    const QString path = folder.filePath(files().front());
    QFile in(path);
    ASSERT_TRUE(in.open(QIODevice::ReadOnly));
    const QByteArray whole = in.readAll();
    in.close();
    for (int tenth = 0; tenth < 10; ++tenth) {
        QFile out(path);
        ASSERT_TRUE(out.open(QIODevice::WriteOnly));
        out.write(whole.left(whole.size() * tenth / 10));
        out.close();
        const auto read = journal.read();
        ASSERT_FALSE(read) << tenth;
        QFile aside(read.error().where); // kept as it is, and out of the way
        ASSERT_TRUE(aside.open(QIODevice::ReadOnly));
        EXPECT_EQ(aside.readAll(), whole.left(whole.size() * tenth / 10));
        const auto next = journal.read();
        EXPECT_TRUE(next && !*next);
    }
}

/// Packing and unpacking while the disk fails.
class PackFaults : public LibraryTest {
protected:
    void SetUp() override {
        LibraryTest::SetUp();
        service = serviceOf(u"Sunday"_s, 2);
        for (const char letter : {'a', 'b'}) {
            const auto kept = library->media().bringIn(QByteArray(40'000, letter), u"p.png"_s);
            ASSERT_TRUE(kept);
            service.items.push_back({ItemId::create(), PictureItem{{}, {{kept->name, {}}}}});
        }
        service.media = mediaFactsOf(service, library->media().folder(), {});
    }
    [[nodiscard]] QStringList filesIn(const QString& where) const {
        return QDir(path(where)).entryList(QDir::AllEntries | QDir::Hidden | QDir::NoDotAndDotDot);
    }
    Result<FileStamp> pack() {
        return packService(service, packListOf(service, library->media().folder(), {}), path(u"a.mivanta"_s),
                           {});
    }
    Service service;
};

TEST_F(PackFaults, AFullDiskAtAnyPlaceLeavesTheOldFileAndNothingElse) {
    ASSERT_TRUE(pack());
    const auto before = stampOfFile(path(u"a.mivanta"_s));
    const QStringList files = filesIn(u"."_s);
    service.title = u"Changed"_s;
    for (qint64 room = 0; room < before->size; room += before->size / 25) {
        const auto packed = [&] {
            const SmallDisk disk{rlim_t(room)};
            return pack();
        }();
        ASSERT_FALSE(packed) << room;
        EXPECT_EQ(*stampOfFile(path(u"a.mivanta"_s)), *before);
        EXPECT_EQ(filesIn(u"."_s), files) << room;
    }
    ASSERT_TRUE(pack());
    EXPECT_EQ(openService(path(u"a.mivanta"_s))->service.title, u"Changed"_s);
}

TEST_F(PackFaults, AFullDiskWhileUnpackingWritesNothing) {
    ASSERT_TRUE(pack());
    for (const qint64 room : {0, 1'000, 39'999}) {
        const auto unpacked = [&] {
            const SmallDisk disk{rlim_t(room)};
            return unpackService(path(u"a.mivanta"_s), path(u"out"_s));
        }();
        ASSERT_FALSE(unpacked) << room;
        EXPECT_FALSE(QFileInfo::exists(path(u"out"_s))) << room;
    }
    EXPECT_TRUE(unpackService(path(u"a.mivanta"_s), path(u"out"_s)));
}

TEST_F(PackFaults, AFullDiskWhileComingInLeavesTheLibraryAsItWas) {
    ASSERT_TRUE(pack());
    auto other = std::move(*Library::open(path(u"other"_s)));
    ASSERT_TRUE(QDir().mkpath(other->media().folder()));
    for (const qint64 room : {0, 1'000, 39'999}) {
        const auto brought = [&] {
            const SmallDisk disk{rlim_t(room)};
            return bringInMedia(path(u"a.mivanta"_s), other->media(), path(u"fonts"_s));
        }();
        ASSERT_FALSE(brought) << room;
        EXPECT_TRUE(filesIn(u"other/media"_s).isEmpty()) << room;
        EXPECT_TRUE(other->media().all()->empty());
    }
    EXPECT_EQ(bringInMedia(path(u"a.mivanta"_s), other->media(), path(u"fonts"_s))->added, 2);
}

} // namespace
} // namespace mivanta
