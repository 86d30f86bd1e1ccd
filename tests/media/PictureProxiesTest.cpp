// SPDX-License-Identifier: GPL-3.0-or-later
#include "media/PictureProxies.h"
#include "support/Text.h"
#include <QDir>
#include <QFileInfo>
#include <QPainter>
#include <QTemporaryDir>
#include <fstream>
#include <gtest/gtest.h>
#include <thread>

namespace mivanta {
namespace {

class Proxies : public ::testing::Test {
protected:
    QString path(const QString& name) const { return folder.filePath(name); }
    /// Left half blue, right half yellow.
    QString halves(const QString& name, QSize size, QImage::Format format = QImage::Format_RGB32) {
        QImage image(size, format);
        image.fill(QColor(220, 190, 60));
        QPainter(&image).fillRect(0, 0, size.width() / 2, size.height(), QColor(20, 60, 200));
        EXPECT_TRUE(image.save(path(name)));
        return name;
    }
    void write(const QString& name, const QByteArray& bytes) {
        QFile file(path(name));
        ASSERT_TRUE(file.open(QIODevice::WriteOnly));
        file.write(bytes);
    }
    QStringList cached() const { return QDir(cache.path()).entryList(QDir::Files); }

    QTemporaryDir folder;
    QTemporaryDir cache;
    PictureProxies proxies{folder.path(), cache.path()};
};

TEST_F(Proxies, AProxyIsOnlyAsLargeAsTheScreenNeeds) {
    halves(u"a.jpg"_s, {4000, 3000});
    const QImage image = proxies.picture(u"a.jpg"_s, {1920, 1080});
    EXPECT_EQ(image.size(), QSize(1920, 1440)); // covers the screen
    EXPECT_EQ(image.format(), QImage::Format_RGB32);
    EXPECT_LT(qRed(image.pixel(100, 100)), 60);
    EXPECT_GT(qRed(image.pixel(1800, 100)), 180);
    EXPECT_EQ(proxies.picture(u"a.jpg"_s, {200, 100}).size(), QSize(480, 360));
    EXPECT_EQ(cached().size(), 2);
}

TEST_F(Proxies, ASmallPictureStaysAsItIs) {
    halves(u"a.png"_s, {300, 200});
    EXPECT_EQ(proxies.picture(u"a.png"_s, {1920, 1080}).size(), QSize(300, 200));
}

TEST_F(Proxies, ALongOneIsBounded) {
    halves(u"a.png"_s, {20'000, 100});
    const QImage image = proxies.picture(u"a.png"_s, {1920, 1080});
    EXPECT_EQ(image.width(), 4800);
}

TEST_F(Proxies, TheFirstTimeShowsTheVerySameAsEveryLaterOne) {
    QImage rough(700, 500, QImage::Format_RGB32);
    for (int y = 0; y < rough.height(); ++y)
        for (int x = 0; x < rough.width(); ++x)
            rough.setPixel(x, y, qRgb(x * 7 % 256, y * 5 % 256, (x ^ y) % 256)); // keeping it loses a little
    ASSERT_TRUE(rough.save(path(u"rough.png"_s)));
    const QImage first = proxies.picture(u"rough.png"_s, {1920, 1080});
    PictureProxies later(folder.path(), cache.path());
    EXPECT_EQ(later.picture(u"rough.png"_s, {1920, 1080}), first);
    EXPECT_EQ(proxies.picture(u"rough.png"_s, {1920, 1080}), first);
}

TEST_F(Proxies, APictureThatComesLaterIsShownThen) {
    EXPECT_TRUE(proxies.picture(u"late.png"_s, {480, 270}).isNull());
    EXPECT_TRUE(cached().isEmpty());
    halves(u"late.png"_s, {400, 300});
    EXPECT_FALSE(proxies.picture(u"late.png"_s, {480, 270}).isNull());
}

TEST_F(Proxies, WhatIsSeeThroughStaysSo) {
    QImage image(400, 400, QImage::Format_ARGB32);
    image.fill(Qt::transparent);
    QPainter(&image).fillRect(100, 100, 200, 200, Qt::red);
    image.save(path(u"a.png"_s));
    for (int round = 0; round < 2; ++round) { // made, then from the cache
        PictureProxies fresh(folder.path(), cache.path());
        const QImage proxy = fresh.picture(u"a.png"_s, {480, 270});
        EXPECT_EQ(proxy.format(), QImage::Format_ARGB32_Premultiplied);
        EXPECT_EQ(qAlpha(proxy.pixel(2, 2)), 0);
        EXPECT_EQ(proxy.pixel(200, 200), qRgba(255, 0, 0, 255));
    }
}

TEST_F(Proxies, TheCacheOnTheDiskIsUsedAndMadeAgainWhenItIsBroken) {
    halves(u"a.jpg"_s, {3000, 2000});
    ASSERT_FALSE(proxies.picture(u"a.jpg"_s, {1920, 1080}).isNull());
    QFile::rename(path(u"a.jpg"_s), path(u"b.jpg"_s)); // the original is not looked at again
    {
        PictureProxies fresh(folder.path(), cache.path());
        EXPECT_FALSE(fresh.picture(u"a.jpg"_s, {1920, 1080}).isNull());
    }
    QFile::rename(path(u"b.jpg"_s), path(u"a.jpg"_s));
    QFile broken(cache.filePath(cached().first()));
    ASSERT_TRUE(broken.open(QIODevice::WriteOnly));
    broken.write("no picture");
    broken.close();
    PictureProxies fresh(folder.path(), cache.path());
    EXPECT_EQ(fresh.picture(u"a.jpg"_s, {1920, 1080}).width(), 1920);
}

TEST_F(Proxies, TheOldestGoWhenTheCacheIsFull) {
    PictureProxies small(folder.path(), cache.path(), 1);
    halves(u"a.jpg"_s, {800, 600});
    halves(u"b.jpg"_s, {800, 600});
    EXPECT_FALSE(small.picture(u"a.jpg"_s, {480, 270}).isNull());
    EXPECT_FALSE(small.picture(u"b.jpg"_s, {480, 270}).isNull());
    EXPECT_TRUE(cached().isEmpty());
}

TEST_F(Proxies, BrokenMissingAndForeignFilesGiveNothing) {
    write(u"text.jpg"_s, "this is a text");
    write(u"script.svg"_s, "<svg xmlns='http://www.w3.org/2000/svg' width='10' height='10'></svg>");
    halves(u"whole.png"_s, {600, 600});
    QFile whole(path(u"whole.png"_s));
    ASSERT_TRUE(whole.open(QIODevice::ReadOnly));
    write(u"half.png"_s, whole.readAll().left(60));
    write(u"empty.png"_s, {});
    for (const QString& name : {u"text.jpg"_s, u"script.svg"_s, u"half.png"_s, u"empty.png"_s, u"gone.png"_s,
                                u"../whole.png"_s, QString()}) {
        EXPECT_TRUE(proxies.picture(name, {480, 270}).isNull()) << name.toStdString();
        if (!name.isEmpty() && !name.contains(u'/')) {
            EXPECT_FALSE(lookAtPicture(path(name))) << name.toStdString();
        }
    }
    EXPECT_TRUE(lookAtPicture(path(u"text.jpg"_s)).error().where.contains(u"text.jpg"_s));
}

/// A PNG header that promises more than there is memory for.
TEST_F(Proxies, ABombIsRefusedBeforeItIsDecoded) {
    QByteArray png = QByteArray::fromHex("89504e470d0a1a0a0000000d49484452");
    png += QByteArray::fromHex("000186a0000186a0"); // 100,000 x 100,000
    png += QByteArray::fromHex("0802000000");
    png += QByteArray::fromHex("00000000"); // a wrong checksum is no matter: it is refused either way
    png += QByteArray::fromHex("0000000049454e44ae426082");
    write(u"bomb.png"_s, png);
    EXPECT_FALSE(lookAtPicture(path(u"bomb.png"_s)));
    EXPECT_TRUE(proxies.picture(u"bomb.png"_s, {1920, 1080}).isNull());
}

TEST_F(Proxies, HalfAPictureIsNone) {
    for (const QString& name : {u"a.jpg"_s, u"a.png"_s}) {
        halves(name, {600, 600});
        EXPECT_TRUE(checkPicture(path(name)));
        QFile whole(path(name));
        ASSERT_TRUE(whole.open(QIODevice::ReadOnly));
        const QByteArray bytes = whole.readAll();
        write(u"half-"_s + name, bytes.left(bytes.size() / 2));
        const auto half = checkPicture(path(u"half-"_s + name));
        ASSERT_FALSE(half) << name.toStdString();
        EXPECT_FALSE(half.error().remedy.isEmpty());
        EXPECT_FALSE(half.error().what.endsWith(u": "_s)) << half.error().what.toStdString();
    }
}

TEST_F(Proxies, FactsAreThoseOfTheUprightPicture) {
    halves(u"a.png"_s, {640, 480});
    const auto facts = lookAtPicture(path(u"a.png"_s));
    ASSERT_TRUE(facts);
    EXPECT_EQ(facts->size, QSize(640, 480));
    EXPECT_FALSE(facts->hasAlpha);
}

TEST_F(Proxies, ManyThreadsGetTheSamePicture) {
    halves(u"a.jpg"_s, {2400, 1600});
    std::vector<QImage> got(6);
    std::vector<std::thread> threads;
    for (QImage& image : got)
        threads.emplace_back([&] { image = proxies.picture(u"a.jpg"_s, {1920, 1080}); });
    for (std::thread& thread : threads)
        thread.join();
    for (const QImage& image : got)
        EXPECT_EQ(image.size(), QSize(1920, 1280));
}

/// Peak memory of this process, kB (Linux).
long peakKb() {
    std::ifstream status("/proc/self/status");
    std::string line;
    while (std::getline(status, line))
        if (line.rfind("VmHWM:", 0) == 0)
            return std::stol(line.substr(6));
    return 0;
}

TEST_F(Proxies, AHugePictureCostsLittleMoreThanItsProxy) {
    {
        QImage image(10'000, 6'000, QImage::Format_Indexed8); // 60 megapixels
        image.setColorTable({qRgb(20, 60, 200), qRgb(220, 190, 60)});
        image.fill(1);
        ASSERT_TRUE(image.save(path(u"huge.png"_s), "PNG", 90));
    }
    std::ofstream("/proc/self/clear_refs") << 5; // begin counting anew
    const long before = peakKb();
    ASSERT_EQ(proxies.picture(u"huge.png"_s, {1920, 1080}).width(), 1920);
    EXPECT_LT(peakKb() - before, 100 * 1024); // decoded it would be 180 MB or more
}

} // namespace
} // namespace mivanta
