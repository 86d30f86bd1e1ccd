// SPDX-License-Identifier: GPL-3.0-or-later
#include "media/Recorder.h"
#include "support/Loudspeakers.h"
#include "support/Processes.h"
#include "support/TestFilm.h"
#include "support/Text.h"
#include "support/WaitUntil.h"
#include <QDir>
#include <QFileInfo>
#include <QPainter>
#include <QTemporaryDir>
#include <csignal>
#include <gtest/gtest.h>

namespace mivanta {
namespace {

/// Pictures with numbers that go up, as a film that is on a screen.
class Recorded : public ::testing::Test {
protected:
    Recorder::Seen numbers() {
        return {[this] { return isMoving || number == 0; },
                [this](QPainter& painter) {
                    number = isMoving ? number + 1 : 1;
                    TestFilm film;
                    film.size = {640, 360};
                    painter.drawImage(0, 0, pictureOfFilm(film, number));
                }};
    }
    RecordingPlan plan(const QString& soundFrom = {}) {
        return {folder.filePath(u"hall.mkv"_s), {640, 360}, 30, soundFrom};
    }
    void watch(Recorder& recorder) {
        QObject::connect(&recorder, &Recorder::finished, &recorder, [this](const QString& why) {
            isFinished = true;
            problem = why;
        });
    }
    /// The numbers of a file's pictures, in their order.
    static std::vector<int> read(const QString& path) {
        QTemporaryDir pictures;
        QProcess ffmpeg;
        ffmpeg.start(u"ffmpeg"_s, {u"-loglevel"_s, u"error"_s, u"-i"_s, path, u"-fps_mode"_s,
                                   u"passthrough"_s, pictures.filePath(u"%05d.png"_s)});
        EXPECT_TRUE(ffmpeg.waitForFinished(60'000));
        std::vector<int> all;
        for (const QString& name : QDir(pictures.path()).entryList({u"*.png"_s}, QDir::Files, QDir::Name))
            all.push_back(numberOnPicture(QImage(pictures.filePath(name))));
        return all;
    }
    /// That of this process.
    static void killFfmpeg() {
        for (const QString& entry : QDir(u"/proc"_s).entryList({u"[0-9]*"_s}, QDir::Dirs)) {
            QFile name(u"/proc/%1/comm"_s.arg(entry));
            if (name.open(QIODevice::ReadOnly) && name.readAll().trimmed() == "ffmpeg" &&
                parentOf(entry.toLongLong()) == ::getpid())
                ::kill(entry.toInt(), SIGKILL);
        }
    }
    static double seconds(const QString& path) {
        QProcess probe;
        probe.start(u"ffprobe"_s, {u"-v"_s, u"error"_s, u"-show_entries"_s, u"format=duration"_s, u"-of"_s,
                                   u"csv=p=0"_s, path});
        EXPECT_TRUE(probe.waitForFinished(60'000));
        return probe.readAll().trimmed().toDouble();
    }

    QTemporaryDir folder;
    int number = 0;
    bool isMoving = true;
    bool isFinished = false;
    QString problem;
};

TEST_F(Recorded, EveryPictureIsThereOnceInItsOrder) {
    Recorder recorder(plan(), numbers());
    watch(recorder);
    recorder.start();
    ASSERT_TRUE(waitUntil([&] { return number > 60; }, 30'000));
    recorder.stop();
    ASSERT_TRUE(waitUntil([&] { return isFinished; }));
    EXPECT_TRUE(problem.isEmpty()) << problem.toStdString();
    const std::vector<int> all = read(plan().path);
    ASSERT_GT(all.size(), 20u); // a busy machine leaves some out
    for (size_t i = 1; i < all.size(); ++i)
        EXPECT_GT(all[i], all[i - 1]);
    EXPECT_EQ(all.back(), number);
    EXPECT_NEAR(seconds(plan().path), double(recorder.length()) / 1000, 1.0);
    EXPECT_EQ(recorder.bytes(), QFileInfo(plan().path).size());
}

TEST_F(Recorded, StandStillForAsLongAsWhatTheyShow) {
    isMoving = false;
    Recorder recorder(plan(), numbers());
    watch(recorder);
    recorder.start();
    ASSERT_TRUE(waitUntil([&] { return recorder.length() > 3200; }));
    recorder.stop();
    ASSERT_TRUE(waitUntil([&] { return isFinished; }));
    EXPECT_LT(read(plan().path).size(), 10u);
    EXPECT_NEAR(seconds(plan().path), 3.2, 1.3);
}

TEST_F(Recorded, WhatIsCutOffIsWholeUpToItsEnd) {
    Recorder recorder(plan(), numbers());
    watch(recorder);
    recorder.start();
    ASSERT_TRUE(waitUntil([&] { return recorder.length() > 4000 && recorder.bytes() > 0; }, 30'000));
    killFfmpeg();
    ASSERT_TRUE(waitUntil([&] { return isFinished; }));
    EXPECT_FALSE(problem.isEmpty());
    const std::vector<int> all = read(plan().path);
    ASSERT_FALSE(all.empty());
    EXPECT_GT(all.back(), number / 3);
}

TEST_F(Recorded, EndCleanlyBeforeTheDiskIsFull) {
    qint64 free = 10'000'000'000;
    Recorder recorder(plan(), numbers());
    recorder.setFreeSpace([&] { return free; });
    watch(recorder);
    recorder.start();
    ASSERT_TRUE(waitUntil([&] { return recorder.length() > 2000; }));
    EXPECT_FALSE(isFinished);
    free = Recorder::kLeastSpace - 1;
    ASSERT_TRUE(waitUntil([&] { return isFinished; }));
    EXPECT_TRUE(problem.contains(u"full"_s));
    EXPECT_FALSE(read(plan().path).empty());
}

TEST_F(Recorded, NeverTakeThePlaceOfAnotherFile) {
    QFile other(plan().path);
    ASSERT_TRUE(other.open(QIODevice::WriteOnly));
    other.write("somebody's");
    other.close();
    Recorder recorder(plan(), numbers());
    watch(recorder);
    recorder.start();
    ASSERT_TRUE(waitUntil([&] { return isFinished; }));
    EXPECT_FALSE(problem.isEmpty());
    EXPECT_EQ(other.size(), 10);
}

TEST_F(Recorded, HearWhatTheLoudspeakersPlay) {
    Loudspeakers loudspeakers;
    ASSERT_TRUE(loudspeakers.isThere());
    QProcess tone;
    tone.start(u"ffmpeg"_s,
               {u"-loglevel"_s, u"error"_s, u"-re"_s, u"-f"_s, u"lavfi"_s, u"-i"_s,
                u"sine=frequency=440:duration=8"_s, u"-f"_s, u"pulse"_s, u"-device"_s, u"hall"_s, u"tone"_s});
    ASSERT_TRUE(tone.waitForStarted());
    Recorder recorder(plan(u"hall.monitor"_s), numbers());
    watch(recorder);
    recorder.start();
    ASSERT_TRUE(waitUntil([&] { return recorder.length() > 5000; }, 30'000));
    recorder.stop();
    ASSERT_TRUE(waitUntil([&] { return isFinished; }));
    EXPECT_TRUE(problem.isEmpty()) << problem.toStdString();
    tone.kill();
    tone.waitForFinished();
    QProcess heard;
    heard.start(u"ffmpeg"_s,
                {u"-i"_s, plan().path, u"-af"_s, u"volumedetect"_s, u"-vn"_s, u"-f"_s, u"null"_s, u"-"_s});
    ASSERT_TRUE(heard.waitForFinished(60'000));
    const QString said = QString::fromUtf8(heard.readAllStandardError());
    const double mean = said.section(u"mean_volume: "_s, 1).section(u' ', 0, 0).toDouble();
    EXPECT_GT(mean, -40) << said.toStdString();
    EXPECT_LT(mean, -5);
    // Neither is much longer than the other.
    const double length = double(recorder.length()) / 1000;
    EXPECT_GT(seconds(plan().path), length - 1.5);
    EXPECT_LT(seconds(plan().path), length + 6); // it began before its file grew
    EXPECT_FALSE(read(plan().path).empty());
}

TEST_F(Recorded, WithoutFfmpegThatIsSaid) {
    const QByteArray path = qgetenv("PATH");
    qputenv("PATH", folder.path().toLocal8Bit());
    Recorder recorder(plan(), numbers());
    watch(recorder);
    recorder.start();
    const bool isTold = waitUntil([&] { return isFinished; });
    qputenv("PATH", path);
    ASSERT_TRUE(isTold);
    EXPECT_TRUE(problem.contains(u"ffmpeg"_s));
}

TEST(RecordedSize, HasEvenSidesAndIsNotLargerThanFullHd) {
    EXPECT_EQ(recordedSize({1920, 1080}), QSize(1920, 1080));
    EXPECT_EQ(recordedSize({3840, 2160}), QSize(1920, 1080));
    EXPECT_EQ(recordedSize({1081, 1921}), QSize(606, 1080));
    EXPECT_EQ(recordedSize({641, 361}), QSize(640, 360));
    EXPECT_EQ(recordedSize({1, 1}), QSize(2, 2));
}

} // namespace
} // namespace mivanta
