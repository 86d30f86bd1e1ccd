// SPDX-License-Identifier: GPL-3.0-or-later
#include "media/DiscRun.h"
#include "media/FilmLook.h"
#include "media/LoudnessMeasure.h"
#include "support/TestDisc.h"
#include "support/Text.h"
#include <QFile>
#include <QTemporaryDir>
#include <cmath>
#include <gtest/gtest.h>
#include <random>

namespace mivanta {
namespace {

class DiscFiles : public ::testing::Test {
protected:
    static void SetUpTestSuite() {
        made = std::make_unique<QTemporaryDir>();
        const auto disc = makeDisc(made->path());
        ASSERT_TRUE(disc);
        original = *disc;
    }
    static void TearDownTestSuite() { made.reset(); }

    /// To be damaged.
    TestDisc copied() {
        const TestDisc copy{folder.filePath(u"copy"_s)};
        QDir(copy.folder).removeRecursively();
        QDir().mkpath(copy.file({}));
        for (const QString& name : QDir(original.file({})).entryList(QDir::Files))
            EXPECT_TRUE(QFile::copy(original.file(name), copy.file(name)));
        return copy;
    }
    static QByteArray bytesOf(const QString& path) {
        QFile file(path);
        EXPECT_TRUE(file.open(QIODevice::ReadOnly));
        return file.readAll();
    }
    static void write(const QString& path, const QByteArray& bytes) {
        QFile file(path);
        ASSERT_TRUE(file.open(QIODevice::WriteOnly | QIODevice::Truncate));
        file.write(bytes);
    }
    static DiscTitle title(int number) {
        DiscTitle title;
        title.number = number;
        return title;
    }
    static int numberAt(const QString& file, double seconds) {
        const auto picture = pictureOfFilm(file, seconds, {352, 288});
        return picture ? numberOnPicture(*picture) : -1;
    }

    static inline std::unique_ptr<QTemporaryDir> made;
    static inline TestDisc original;
    QTemporaryDir folder;
};

TEST_F(DiscFiles, AFolderAndAnImageHaveTheSameTitles) {
    const auto disc = lookAtDisc(original.folder);
    ASSERT_TRUE(disc) << disc.error().text().toStdString();
    ASSERT_EQ(disc->titles.size(), 2u);
    const DiscTitle& first = disc->titles[0];
    EXPECT_EQ(first.number, 1);
    EXPECT_NEAR(first.seconds, 10, 0.1);
    ASSERT_EQ(first.chapters.size(), 3u);
    EXPECT_NEAR(first.chapters[1], 4, 0.5);
    EXPECT_NEAR(first.chapters[2], 8, 0.5);
    ASSERT_EQ(first.sounds.size(), 2u);
    EXPECT_EQ(first.sounds[0], (DiscTrack{0x80, u"en"_s, 1}));
    EXPECT_EQ(first.sounds[1], (DiscTrack{0x81, u"de"_s, 1}));
    EXPECT_FALSE(first.isProtected);
    EXPECT_NEAR(disc->titles[1].seconds, 3, 0.1);
    EXPECT_TRUE(disc->titles[1].sounds.empty());

    const QString image = imageOf(original, folder.filePath(u"disc.iso"_s));
    const auto same = lookAtDisc(image);
    ASSERT_TRUE(same) << same.error().text().toStdString();
    EXPECT_EQ(same->name, u"HARBOUR"_s);
    EXPECT_EQ(same->titles, disc->titles);
    EXPECT_EQ(lookAtDisc(original.file({}))->titles, disc->titles);
}

TEST_F(DiscFiles, APartIsCopiedToThePicture) {
    const QString image = imageOf(original, folder.filePath(u"disc.iso"_s));
    const QString file = folder.filePath(u"part.mkv"_s);
    for (const QString& path : {original.folder, image})
        for (const double from : {0.0, 0.4, 3.72, 4.6, 7.0, 9.2}) {
            std::vector<double> places;
            const auto part =
                copyFromDisc(path, {title(1), from, from + 0.8, 0x80, {}}, file, [&](double done) {
                    places.push_back(done);
                    return true;
                });
            ASSERT_TRUE(part) << from << ' ' << part.error().text().toStdString();
            EXPECT_NEAR(part->to - part->from, 0.8, 1e-6);
            EXPECT_EQ(numberAt(file, part->from), int(std::lround(from * 25))) << from;
            EXPECT_LT(lookAtFilm(file)->seconds, 3.5) << "not the whole title";
            EXPECT_TRUE(std::is_sorted(places.begin(), places.end()));
        }
}

TEST_F(DiscFiles, TheWholeOfATitleIsCopied) {
    const QString file = folder.filePath(u"whole.mkv"_s);
    const auto part = copyFromDisc(original.folder, {title(1), 0, 10, 0x80, {}}, file);
    ASSERT_TRUE(part);
    for (const int number : {0, 1, 100, 101, 200, 249})
        EXPECT_EQ(numberAt(file, part->from + number / 25.0), number);
    EXPECT_NEAR(lookAtFilm(file)->seconds, 10, 0.7);
}

TEST_F(DiscFiles, TheSoundThatWasChosenIsCopied) {
    const QString file = folder.filePath(u"sound.mkv"_s);
    const auto lufs = [&](std::optional<int> sound) -> std::optional<double> {
        if (!copyFromDisc(original.folder, {title(1), 1, 8, sound, {}}, file))
            return {};
        const auto loudness = measuredLoudness(file);
        return loudness ? std::optional(loudness->lufs) : std::nullopt;
    };
    const auto english = lufs(0x80);
    ASSERT_TRUE(english);
    EXPECT_GT(*english, -45);
    const auto german = lufs(0x81);
    EXPECT_TRUE(!german || *german < -60);
    ASSERT_TRUE(copyFromDisc(original.folder, {title(1), 1, 8, {}, {}}, file));
    EXPECT_FALSE(lookAtFilm(file)->hasSound);
}

TEST_F(DiscFiles, SubtitlesThatWereChosenAreSeen) {
    const QString demo = QStringLiteral(MIVANTA_SOURCE_DIR "/data/demo/discs/boats-at-dusk.iso");
    const auto disc = lookAtDisc(demo);
    ASSERT_TRUE(disc);
    ASSERT_EQ(disc->titles[0].subtitles.size(), 1u);
    EXPECT_EQ(disc->titles[0].subtitles[0].language, u"en"_s);
    const auto brightest = [&](std::optional<int> subtitles) { // where they are
        const QString file = folder.filePath(u"read.mkv"_s);
        const auto part = copyFromDisc(demo, {disc->titles[0], 0, 8, {}, subtitles}, file);
        EXPECT_TRUE(part);
        const auto picture = pictureOfFilm(file, part->from + 2.2, {720, 576});
        EXPECT_TRUE(picture);
        int most = 0;
        for (int y = picture->height() * 3 / 4; y < picture->height(); ++y)
            for (int x = 0; x < picture->width(); ++x)
                most = std::max(most, qGray(picture->pixel(x, y)));
        return most;
    };
    EXPECT_EQ(disc->titles[0].palette.size(), 16);
    EXPECT_EQ(disc->titles[0].size, QSize(720, 576));
    EXPECT_LT(brightest({}), 150);
    EXPECT_GT(brightest(disc->titles[0].subtitles[0].id), 200);
}

TEST_F(DiscFiles, AMomentIsSeen) {
    for (const double at : {0.0, 2.0, 5.48, 9.8}) {
        const auto picture = pictureOfDisc(original.folder, 1, at, {176, 144});
        ASSERT_TRUE(picture) << picture.error().text().toStdString();
        EXPECT_EQ(numberOnPicture(*picture), int(std::lround(at * 25))) << at;
    }
}

TEST_F(DiscFiles, AProtectedDiscIsNotOpened) {
    const TestDisc disc = copied();
    QByteArray film = bytesOf(disc.file(u"VTS_01_1.VOB"_s));
    for (qsizetype at = 0; at + 2048 <= film.size(); at += 2048)
        if (quint8(film[at + 17]) == 0xe0)
            film[at + 20] = char(film[at + 20] | 0x10);
    write(disc.file(u"VTS_01_1.VOB"_s), film);
    const auto titles = lookAtDisc(disc.folder);
    ASSERT_TRUE(titles);
    EXPECT_TRUE(titles->titles[0].isProtected);
    EXPECT_FALSE(titles->titles[1].isProtected);
    const QString file = folder.filePath(u"part.mkv"_s);
    const auto part = copyFromDisc(disc.folder, {title(1), 2, 4, {}, {}}, file);
    ASSERT_FALSE(part);
    EXPECT_TRUE(part.error().what.contains(u"protected"_s));
    EXPECT_FALSE(QFile::exists(file));
    EXPECT_TRUE(copyFromDisc(disc.folder, {title(2), 0, 2, {}, {}}, file)) << "the other one may be copied";
}

TEST_F(DiscFiles, OneScrambledSectorEndsIt) {
    const TestDisc disc = copied();
    QByteArray film = bytesOf(disc.file(u"VTS_01_1.VOB"_s));
    const qsizetype middle = film.size() / 2 / 2048 * 2048;
    for (qsizetype at = middle;; at += 2048)
        if (quint8(film[at + 17]) == 0xe0) {
            film[at + 20] = char(film[at + 20] | 0x10);
            break;
        }
    write(disc.file(u"VTS_01_1.VOB"_s), film);
    const QString file = folder.filePath(u"part.mkv"_s);
    EXPECT_FALSE(copyFromDisc(disc.folder, {title(1), 0, 10, {}, {}}, file));
    EXPECT_FALSE(QFile::exists(file));
}

TEST_F(DiscFiles, WhatIsNoDiscIsSaid) {
    write(folder.filePath(u"words.iso"_s), "We are all going to the harbour");
    QDir(folder.path()).mkpath(u"empty/VIDEO_TS"_s);
    for (const QString& path : {folder.filePath(u"words.iso"_s), folder.filePath(u"empty"_s), folder.path(),
                                folder.filePath(u"nowhere"_s), u"/dev/null"_s}) {
        const auto disc = lookAtDisc(path);
        ASSERT_FALSE(disc) << path.toStdString();
        EXPECT_EQ(disc.error().where, path);
        EXPECT_FALSE(disc.error().remedy.isEmpty());
    }
}

TEST_F(DiscFiles, FilmDataFromElsewhereIsNotRead) {
    const TestDisc disc = copied();
    const QString film = disc.file(u"VTS_01_1.VOB"_s);
    ASSERT_TRUE(QFile::remove(film));
    ASSERT_TRUE(QFile::link(original.file(u"VTS_01_1.VOB"_s), film));
    const QString file = folder.filePath(u"part.mkv"_s);
    EXPECT_FALSE(copyFromDisc(disc.folder, {title(1), 0, 2, {}, {}}, file));
}

TEST_F(DiscFiles, ACopyCanBeStopped) {
    const QString file = folder.filePath(u"part.mkv"_s);
    const auto part =
        copyFromDisc(original.folder, {title(1), 0, 10, {}, {}}, file, [](double) { return false; });
    // A small disc may be copied before it is asked for the first time.
    EXPECT_EQ(bool(part), QFile::exists(file));
}

TEST_F(DiscFiles, DamagedDiscsAreReadOrRefusedInTime) {
    std::mt19937 random(7);
    const auto upTo = [&](qsizetype most) { return qsizetype(random() % quint32(most)); };
    const QString file = folder.filePath(u"part.mkv"_s);
    for (int i = 0; i < 60; ++i) {
        const TestDisc disc = copied();
        const QString name =
            std::array{u"VIDEO_TS.IFO"_s, u"VTS_01_0.IFO"_s, u"VTS_01_1.VOB"_s}[size_t(i % 3)];
        QByteArray bytes = bytesOf(disc.file(name));
        if (i % 5 == 0)
            bytes.truncate(upTo(bytes.size()));
        for (int flips = 0; flips < 20 && !bytes.isEmpty(); ++flips)
            bytes[upTo(bytes.size())] = char(random());
        write(disc.file(name), bytes);
        for (const QString& copy : {u"VIDEO_TS.BUP"_s, u"VTS_01_0.BUP"_s})
            QFile::remove(disc.file(copy));
        const auto titles = lookAtDisc(disc.folder);
        EXPECT_TRUE(titles || !titles.error().remedy.isEmpty()) << i;
        const auto part = copyFromDisc(disc.folder, {title(1), 3, 6, 0x80, {}}, file);
        EXPECT_EQ(bool(part), QFile::exists(file)) << i;
        QFile::remove(file);
    }
}

} // namespace
} // namespace mivanta
