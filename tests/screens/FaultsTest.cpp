// SPDX-License-Identifier: GPL-3.0-or-later
#include "screens/Screens.h"
#include <QDateTime>
#include <sys/stat.h>

namespace mivanta {
namespace {

/// What may befall a machine during a service: the hall keeps a right picture, and the keys go on working.
class Faults : public Screens {
protected:
    void takeAndWait() {
        const QJsonObject before = state();
        press({u"space"_s});
        ASSERT_TRUE(waitUntil([&] { return state()[u"onScreen"_s] != before[u"onScreen"_s]; }));
    }
    /// Of the pixels: those that are neither as on one of the pictures nor on the way between them.
    static double shareOutside(const QImage& picture, const QImage& one, const QImage& other) {
        int all = 0;
        int off = 0;
        for (int y = 0; y < picture.height(); y += 5)
            for (int x = 0; x < picture.width(); x += 5) {
                const auto isOff = [&](int (*channel)(QRgb)) {
                    const std::pair<int, int> ends =
                        std::minmax({channel(one.pixel(x, y)), channel(other.pixel(x, y))});
                    const int value = channel(picture.pixel(x, y));
                    return value < ends.first - 12 || value > ends.second + 12;
                };
                ++all;
                off += isOff(qRed) || isOff(qGreen) || isOff(qBlue);
            }
        return double(off) / all;
    }
    void signalAll(int signal) const {
        for (const auto& pids : {deskPids(), playerPids()})
            for (const qint64 pid : pids)
                ::kill(pid_t(pid), signal);
    }
};

TEST_F(Faults, SuspendedAndWoken) {
    startOnRun();
    takeAndWait();
    takeAndWait();
    const QImage hall = settledHall();
    signalAll(SIGSTOP);
    pass(3000);
    EXPECT_EQ(monitor(1), hall);
    signalAll(SIGCONT);
    pass(500);
    EXPECT_EQ(monitor(1), hall);
    takeAndWait();
    takeAndWait();
    EXPECT_TRUE(waitUntil([&] { return monitor(1) != hall; }));
    EXPECT_FALSE(isBlack(settledHall()));
    EXPECT_EQ(deskPids().size(), 1u);
    EXPECT_EQ(playerPids().size(), 1u);
}

TEST_F(Faults, TheClockIsChanged) {
    // A clock of its own for both programs, which a file sets; what measures durations goes on as it is.
    const QString clock = folder.filePath(u"clock"_s);
    const auto setClock = [&](const QByteArray& offset) {
        QFile file(clock);
        ASSERT_TRUE(file.open(QIODevice::WriteOnly));
        file.write(offset + '\n');
    };
    setClock("+0");
    environment = {{u"LD_PRELOAD"_s, QStringLiteral("/usr/$LIB/faketime/libfaketimeMT.so.1")},
                   {u"FAKETIME_TIMESTAMP_FILE"_s, clock},
                   {u"FAKETIME_CACHE_DURATION"_s, u"1"_s},
                   {u"FAKETIME_DONT_FAKE_MONOTONIC"_s, u"1"_s},
                   {u"DONT_FAKE_MONOTONIC"_s, u"1"_s},
                   {u"FAKETIME_NO_CACHE"_s, u"0"_s}};
    startOnRun();
    takeAndWait();
    const auto takenAt = [&] {
        return QDateTime::fromString(state()[u"takenAt"_s].toString(), Qt::ISODateWithMs);
    };
    for (const auto& [offset, hours] : {std::pair{"+5h", 5}, std::pair{"-7h", -7}, std::pair{"+0", 0}}) {
        const QImage hall = settledHall();
        setClock(offset);
        pass(2500);
        EXPECT_EQ(monitor(1), hall) << offset;
        takeAndWait();
        EXPECT_NEAR(double(QDateTime::currentDateTime().secsTo(takenAt())), hours * 3600.0, 30) << offset;
        EXPECT_FALSE(isBlack(settledHall())) << offset;
    }
    EXPECT_EQ(deskPids().size(), 1u);
    EXPECT_EQ(playerPids().size(), 1u);
}

TEST_F(Faults, TheDiskOfTheLibraryHangsAndIsGone) {
    const QString order = folder.filePath(u"order.txt"_s);
    QFile file(order);
    ASSERT_TRUE(file.open(QIODevice::WriteOnly));
    const QByteArray pictures = MIVANTA_SOURCE_DIR "/data/demo/pictures/";
    file.write("Title: Slow disk\n\nLantern on the Water\n[pictures] " + pictures + "lighthouse.jpg, " +
               pictures + "nets-on-the-quay.jpg\nEvery Tide\n");
    file.close();
    const QString service = folder.filePath(u"sunday.mivanta"_s);
    cli({u"service"_s, u"new"_s, order, u"--to"_s, service});
    startOnRun();
    takeAndWait();
    const QImage words = settledHall();
    QImage black(words.size(), QImage::Format_RGB32);
    black.fill(Qt::black);
    // Every picture of the media folder cannot be opened any more: whoever tries to, waits.
    const QDir media(library + u"/media"_s);
    for (const QString& name : media.entryList(QDir::Files)) {
        ASSERT_TRUE(QFile::remove(media.filePath(name)));
        ASSERT_EQ(::mkfifo(QFile::encodeName(media.filePath(name)).constData(), 0600), 0);
    }
    QDir(folder.filePath(u"home/.cache"_s)).removeRecursively(); // nor from the cache
    press({u"Right"_s, u"space"_s});
    ASSERT_TRUE(waitUntil([&] { return state()[u"onScreen"_s] != QJsonValue(); }));
    for (int i = 0; i < 8;
         ++i) { // the song's slide, then the place of the picture without it; never an error
        const QImage now = monitor(1);
        EXPECT_LT(shareOutside(now, words, black), 0.02) << i;
        pass(400);
    }
    QElapsedTimer time;
    time.start();
    press({u"Right"_s, u"space"_s});
    ASSERT_TRUE(waitUntil([&] { return !isBlack(monitor(1)) && monitor(1) != words; }));
    EXPECT_LT(time.elapsed(), 15'000); // words do not wait for a picture
    const QImage tide = settledHall();
    // And now the whole library is away.
    ASSERT_TRUE(QDir().rename(library, library + u"-gone"_s));
    pass(500);
    EXPECT_EQ(monitor(1), tide);
    takeAndWait();
    takeAndWait();
    EXPECT_TRUE(waitUntil([&] { return monitor(1) != tide; }));
    EXPECT_FALSE(isBlack(settledHall()));
    EXPECT_EQ(deskPids().size(), 1u);
    EXPECT_EQ(playerPids().size(), 1u);
    ASSERT_TRUE(QDir().rename(library + u"-gone"_s, library));
}

} // namespace
} // namespace mivanta
