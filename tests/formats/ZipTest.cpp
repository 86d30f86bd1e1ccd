// SPDX-License-Identifier: GPL-3.0-or-later
#include "formats/Zip.h"
#include "support/Text.h"
#include "support/ZipWith.h"
#include <QBuffer>
#include <QCoreApplication>
#include <QDir>
#include <QFile>
#include <QTemporaryDir>
#include <gtest/gtest.h>

namespace mivanta {
namespace {

constexpr qint64 kLarge = 1 << 30;

/// One packed entry of random bytes, listed so many times under names of their own.
QByteArray overlapping(int times) {
    QByteArray noise(4000, Qt::Uninitialized);
    quint32 state = 7;
    for (char& c : noise)
        c = char((state = state * 1664525 + 1013904223) >> 24);
    QByteArray bytes = zipWith({{"a", noise}});
    const qsizetype end = bytes.lastIndexOf("PK\x05\x06");
    const qsizetype list = bytes.lastIndexOf("PK\x01\x02");
    const QByteArray record = bytes.mid(list, end - list);
    QByteArray records;
    for (int i = 0; i < times; ++i) {
        QByteArray copy = record;
        copy[46] = char('a' + i); // its name
        records += copy;
    }
    QByteArray closing = bytes.mid(end);
    closing[8] = closing[10] = char(times);
    for (int i = 0; i < 4; ++i)
        closing[12 + i] = char((records.size() >> (8 * i)) & 0xff);
    return bytes.left(list) + records + closing;
}

/// Takes no more than so many bytes, as a full disk does.
class SmallDevice : public QBuffer {
public:
    explicit SmallDevice(qint64 most) : m_most(most) { open(QIODevice::WriteOnly); }

protected:
    qint64 writeData(const char* data, qint64 bytes) override {
        if (pos() + bytes > m_most) {
            setErrorString(u"no room"_s);
            return -1;
        }
        return QBuffer::writeData(data, bytes);
    }

private:
    qint64 m_most;
};

class LargeZip : public ::testing::Test {
protected:
    QString file(const QString& name, const QByteArray& bytes) {
        QFile out(path(name));
        EXPECT_TRUE(out.open(QIODevice::WriteOnly));
        out.write(bytes);
        return out.fileName();
    }
    [[nodiscard]] QString path(const QString& name) const { return folder.filePath(name); }
    [[nodiscard]] QStringList names() const { return QDir(folder.path()).entryList(QDir::Files); }
    QTemporaryDir folder;
};

TEST_F(LargeZip, HoldsWhatCameFromMemoryAndFromFiles) {
    const QByteArray large(5 << 20, 'x');
    const QString source = file(u"film"_s, large);
    ASSERT_TRUE(writeZipFile(path(u"a.zip"_s), {{u"words"_s, "hello", {}}, {u"media/film"_s, {}, source}}));
    const auto zip = ZipReader::openFile(path(u"a.zip"_s), kLarge);
    ASSERT_TRUE(zip) << zip.error().text().toStdString();
    EXPECT_EQ(*zip->read(u"words"_s, 100), "hello");
    EXPECT_EQ(zip->sizeOf(u"media/film"_s), large.size());
    EXPECT_EQ(zip->sizeOf(u"nothing"_s), -1);
    QBuffer copied;
    ASSERT_TRUE(copied.open(QIODevice::WriteOnly));
    ASSERT_TRUE(zip->copy(u"media/film"_s, copied));
    EXPECT_EQ(copied.data(), large);
    EXPECT_GT(QFileInfo(path(u"a.zip"_s)).size(), large.size()); // kept as it is, not packed again
    EXPECT_FALSE(zip->copy(u"nothing"_s, copied));
}

TEST_F(LargeZip, WritesOverNothingAndSaysWhatIsMissing) {
    const QString there = file(u"a.zip"_s, "something");
    EXPECT_FALSE(writeZipFile(there, {{u"words"_s, "hello", {}}}));
    EXPECT_EQ(QFileInfo(there).size(), 9);
    const auto missing = writeZipFile(path(u"b.zip"_s), {{u"film"_s, {}, path(u"no-such-film"_s)}});
    ASSERT_FALSE(missing);
    EXPECT_FALSE(missing.error().remedy.isEmpty());
    EXPECT_EQ(names(), QStringList{u"a.zip"_s});
}

TEST_F(LargeZip, StoppedAnywhereItLeavesNothing) {
    const QString source = file(u"film"_s, QByteArray(3 << 20, 'x'));
    for (const int calls : {0, 1, 5}) {
        int told = 0;
        const auto stopped = writeZipFile(path(u"a.zip"_s), {{u"film"_s, {}, source}},
                                          [&](qint64, qint64) { return told++ < calls; });
        EXPECT_FALSE(stopped);
        EXPECT_EQ(names(), QStringList{u"film"_s}) << calls;
    }
}

TEST_F(LargeZip, TellsHowFarItIsAndNeverGoesBack) {
    const QString source = file(u"film"_s, QByteArray(3 << 20, 'x'));
    qint64 last = -1;
    ASSERT_TRUE(writeZipFile(path(u"a.zip"_s), {{u"film"_s, {}, source}}, [&](qint64 done, qint64 total) {
        EXPECT_GE(done, last);
        EXPECT_LE(done, total);
        EXPECT_EQ(total, 3 << 20);
        last = done;
        return true;
    }));
    EXPECT_GT(last, 0);
}

TEST_F(LargeZip, WhereThereIsNoRoomCopyingSaysSo) {
    ASSERT_TRUE(writeZipFile(path(u"a.zip"_s), {{u"film"_s, QByteArray(100'000, 'x'), {}}}));
    const auto zip = ZipReader::openFile(path(u"a.zip"_s), kLarge);
    SmallDevice small(10'000);
    const auto copied = zip->copy(u"film"_s, small);
    ASSERT_FALSE(copied);
    EXPECT_TRUE(copied.error().what.contains(u"no room"_s));
}

TEST_F(LargeZip, ADamagedEntryIsFoundWhenItIsCopied) {
    ASSERT_TRUE(writeZipFile(path(u"a.zip"_s), {{u"film"_s, {}, file(u"film"_s, QByteArray(100'000, 'x'))}}));
    QFile zipped(path(u"a.zip"_s));
    ASSERT_TRUE(zipped.open(QIODevice::ReadWrite));
    zipped.seek(50'000);
    zipped.write("y");
    zipped.close();
    const auto zip = ZipReader::openFile(path(u"a.zip"_s), kLarge);
    ASSERT_TRUE(zip);
    QBuffer copied;
    ASSERT_TRUE(copied.open(QIODevice::WriteOnly));
    EXPECT_FALSE(zip->copy(u"film"_s, copied));
}

TEST(SafeZip, OrdinaryNamesArePassedAndOthersRefused) {
    const auto isSafe = [](const QByteArray& name) {
        return bool(ZipReader::open(zipWith({{name, "x"}}), kLarge)->checkSafe(10));
    };
    for (const QByteArray& good : std::vector<QByteArray>{"a", "media/a.png", "media/..a", "a..b/c", "x:"})
        EXPECT_EQ(isSafe(good), good != "x:") << good.toStdString();
    for (const QByteArray& bad : std::vector<QByteArray>{"..", "../a", "a/../../b", "/a", "a\\b", "./a"})
        EXPECT_FALSE(isSafe(bad)) << bad.toStdString();
}

TEST(SafeZip, WhatUnpacksToMoreThanItMayIsRefused) {
    const QByteArray bytes = zipWith({{"a", QByteArray(600, 'x')}, {"b", QByteArray(600, 'y')}});
    EXPECT_TRUE(ZipReader::open(bytes, 1200));
    EXPECT_FALSE(ZipReader::open(bytes, 1199));
    EXPECT_FALSE(ZipReader::open(bytes, 500));
}

TEST(SafeZip, OneEntryReadAgainAndAgainIsRefusedInTheEnd) {
    const auto zip = ZipReader::open(zipWith({{"a", QByteArray(600, 'x')}}), 1500);
    ASSERT_TRUE(zip);
    EXPECT_TRUE(zip->read(u"a"_s, 600));
    EXPECT_TRUE(zip->read(u"a"_s, 600));
    EXPECT_FALSE(zip->read(u"a"_s, 600));
}

TEST(SafeZip, EntriesThatLieOverOneAnotherAreRefused) {
    EXPECT_TRUE(ZipReader::open(overlapping(1), kLarge));
    EXPECT_FALSE(ZipReader::open(overlapping(3), kLarge));
    QFile file(QDir::temp().filePath(u"mivanta-overlap-%1.zip"_s.arg(QCoreApplication::applicationPid())));
    ASSERT_TRUE(file.open(QIODevice::WriteOnly));
    file.write(overlapping(3));
    file.close();
    EXPECT_FALSE(ZipReader::openFile(file.fileName(), kLarge));
    file.remove();
}

TEST(SafeZip, WordsMayPackWellAndPicturesMayNot) {
    EXPECT_TRUE(ZipReader::open(zipWith({{"a", QByteArray(8 << 20, 'x')}}), kLarge)->checkSafe(10));
    EXPECT_FALSE(ZipReader::open(zipWith({{"a", QByteArray(20 << 20, 'x')}}), kLarge)->checkSafe(10));
}

TEST(SafeZip, WhatIsNoZipIsRefused) {
    EXPECT_FALSE(ZipReader::openFile(u"/nowhere.zip"_s, kLarge));
    EXPECT_FALSE(ZipReader::open("not a zip", kLarge));
}

} // namespace
} // namespace mivanta
