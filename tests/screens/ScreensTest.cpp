// SPDX-License-Identifier: GPL-3.0-or-later
// The real programs on a display with three monitors, driven by real key presses.
#include "link/PlayerClient.h"
#include "store/ServiceStore.h"
#include "support/Golden.h"
#include "support/Text.h"
#include <QDir>
#include <QElapsedTimer>
#include <QFile>
#include <QGuiApplication>
#include <QJsonDocument>
#include <QJsonObject>
#include <QPixmap>
#include <QProcess>
#include <QScreen>
#include <QTemporaryDir>
#include <QThread>
#include <csignal>
#include <gtest/gtest.h>

namespace mivanta {
namespace {

constexpr int kKills = 20;

void pass(int milliseconds) {
    QElapsedTimer time;
    time.start();
    while (time.elapsed() < milliseconds)
        QCoreApplication::processEvents(QEventLoop::WaitForMoreEvents, 10);
}

template <typename Condition>
bool waitUntil(Condition condition, int milliseconds = 30'000) {
    QElapsedTimer time;
    time.start();
    while (time.elapsed() < milliseconds) {
        if (condition())
            return true;
        QCoreApplication::processEvents(QEventLoop::AllEvents, 5);
        QThread::msleep(5);
    }
    return condition();
}

/// Processes of a program that work on the folder.
std::vector<qint64> pidsOf(const QString& program, const QString& folder) {
    std::vector<qint64> pids;
    for (const QString& entry : QDir(u"/proc"_s).entryList({u"[0-9]*"_s}, QDir::Dirs)) {
        QFile file(u"/proc/%1/cmdline"_s.arg(entry));
        if (!file.open(QIODevice::ReadOnly))
            continue;
        const QList<QByteArray> words = file.readAll().split('\0');
        if (QString::fromUtf8(words[0]).endsWith(u"/bin/"_s + program) && words.contains(folder.toUtf8()))
            pids.push_back(entry.toLongLong());
    }
    return pids;
}

bool isAlive(qint64 pid) {
    QFile file(u"/proc/%1/stat"_s.arg(pid));
    return file.open(QIODevice::ReadOnly) && !file.readAll().contains(") Z ");
}

class Screens : public ::testing::Test {
protected:
    void SetUp() override {
        ASSERT_EQ(QGuiApplication::screens().size(), 3) << "run it through packaging/virtual-display";
        // Where no window is, the display is red: what a window leaves behind is no picture.
        run(u"xsetroot"_s, {u"-solid"_s, u"red"_s});
        library = folder.filePath(u"library"_s);
        const QString demo = QStringLiteral(MIVANTA_SOURCE_DIR "/data/demo");
        cli({u"import"_s, demo + u"/songs"_s});
        cli({u"import"_s, demo + u"/scripture/quayside"_s, u"--translation"_s, u"QST"_s});
        cli({u"import"_s, demo + u"/scripture/hafenmuster.osis.xml"_s, u"--translation"_s, u"HMT"_s});
        cli({u"import"_s, demo + u"/texts"_s, u"--texts"_s});
        session = sessionFolder(library);
    }

    void TearDown() override {
        for (const qint64 pid : deskPids())
            ::kill(pid_t(pid), SIGKILL);
        for (const qint64 pid : playerPids())
            ::kill(pid_t(pid), SIGKILL);
        QDir(session).removeRecursively();
    }

    [[nodiscard]] std::vector<qint64> deskPids() const { return pidsOf(u"mivanta"_s, library); }
    [[nodiscard]] std::vector<qint64> playerPids() const { return pidsOf(u"mivanta-player"_s, session); }

    void cli(const QStringList& arguments) const {
        QProcess process;
        process.start(QStringLiteral(MIVANTA_BIN_DIR "/mivanta-cli"),
                      QStringList{u"--library"_s, library} + arguments);
        ASSERT_TRUE(process.waitForFinished());
        ASSERT_EQ(process.exitCode(), 0) << process.readAllStandardError().constData();
    }

    void start(const QStringList& arguments) {
        ASSERT_TRUE(QProcess::startDetached(QStringLiteral(MIVANTA_BIN_DIR "/mivanta"),
                                            QStringList{u"--library"_s, library} + arguments));
        ASSERT_TRUE(
            waitUntil([&] { return !playerPids().empty() && QFile::exists(playerSocketPath(session)); }));
        watch();
    }

    void startOnRun() {
        const QString file = folder.filePath(u"sunday.mivanta"_s);
        if (!QFile::exists(file))
            cli({u"service"_s, u"new"_s, QStringLiteral(MIVANTA_SOURCE_DIR "/data/demo/sea-harvest.txt"),
                 u"--to"_s, file});
        start({u"--run"_s, file});
        ASSERT_TRUE(waitUntil([&] { return state()[u"desk"_s] == u"run"_s && state().contains(u"next"_s); }));
    }

    void watch() {
        observer = std::make_unique<PlayerClient>(PlayerClient::Setup{session, {}, {false, {}, {}}});
        QObject::connect(observer.get(), &PlayerClient::welcomed,
                         [this](const QByteArray& kept) { remember(kept); });
        QObject::connect(observer.get(), &PlayerClient::stateChanged,
                         [this](const QByteArray& kept) { remember(kept); });
        observer->start();
    }
    void remember(const QByteArray& kept) {
        kept_ = kept;
        ++states;
    }
    [[nodiscard]] QJsonObject state() const { return QJsonDocument::fromJson(kept_).object(); }

    /// Keys to the desks' window, as from a keyboard.
    void press(const QStringList& keys) const {
        const auto pids = deskPids();
        ASSERT_EQ(pids.size(), 1u);
        run(u"xdotool"_s, {u"search"_s, u"--sync"_s, u"--onlyvisible"_s, u"--pid"_s, QString::number(pids[0]),
                           u"--name"_s, u"^Mivanta$"_s, u"windowfocus"_s, u"--sync"_s});
        run(u"xdotool"_s, QStringList{u"key"_s, u"--delay"_s, u"60"_s} + keys);
    }
    static void type(const QString& text) { run(u"xdotool"_s, {u"type"_s, u"--delay"_s, u"40"_s, text}); }
    static void run(const QString& program, const QStringList& arguments) {
        QProcess process;
        process.start(program, arguments);
        EXPECT_TRUE(process.waitForFinished(20'000)) << program.toStdString();
    }

    [[nodiscard]] static QImage monitor(int number) {
        const QList<QScreen*> screens = QGuiApplication::screens();
        const QRect area = screens[number]->geometry();
        return screens[number]
            ->grabWindow(0, 0, 0, area.width(), area.height())
            .toImage()
            .convertToFormat(QImage::Format_RGB32);
    }
    /// The hall once it has stopped changing: between two takes it stands still, too, on a busy machine.
    [[nodiscard]] static QImage settledHall() {
        constexpr int kStill = 6;
        QImage before = monitor(1);
        int still = 0;
        for (int i = 0; i < 80 && still < kStill; ++i) {
            pass(120);
            const QImage now = monitor(1);
            still = now == before ? still + 1 : 0;
            before = now;
        }
        return before;
    }

    QTemporaryDir folder;
    QString library;
    QString session;
    std::unique_ptr<PlayerClient> observer;
    QByteArray kept_;
    int states = 0;
};

bool isBlack(const QImage& image) {
    for (int y = 0; y < image.height(); y += 9)
        for (int x = 0; x < image.width(); x += 9)
            if (image.pixel(x, y) != qRgb(0, 0, 0))
                return false;
    return true;
}

TEST_F(Screens, SearchASongAddItRunItAndSeeItsWordsInTheHall) {
    start({});
    ASSERT_TRUE(waitUntil([&] { return state()[u"desk"_s] == u"prepare"_s; }));
    pass(500);
    press({u"ctrl+f"_s});
    type(u"fire burning"_s); // words of Lantern on the Water
    pass(2000);
    press({u"Return"_s});
    pass(1500);
    EXPECT_TRUE(isBlack(monitor(1)));
    press({u"alt+4"_s});
    ASSERT_TRUE(waitUntil([&] { return state()[u"desk"_s] == u"run"_s && state().contains(u"next"_s); }));
    EXPECT_TRUE(isBlack(monitor(1))); // nothing reaches a screen without a take
    press({u"space"_s});
    ASSERT_TRUE(waitUntil([&] { return state().contains(u"onScreen"_s); }));
    ASSERT_TRUE(waitUntil([] { return !isBlack(monitor(1)); }));
    const QImage hall = settledHall();

    cli({u"render"_s, u"Lantern on the Water"_s, u"--output"_s, u"hall"_s, u"--to"_s,
         folder.filePath(u"png"_s)});
    cli({u"render"_s, u"Lantern on the Water"_s, u"--output"_s, u"stage"_s, u"--to"_s,
         folder.filePath(u"png"_s)});
    EXPECT_LT(difference(hall, QImage(folder.filePath(u"png/hall-001.png"_s))).worstShare, 0.001);
    EXPECT_LT(difference(monitor(2), QImage(folder.filePath(u"png/stage-002.png"_s))).worstShare, 0.001);

    press({u"F9"_s});
    EXPECT_TRUE(waitUntil([&] { return isBlack(monitor(1)); }));
    press({u"F5"_s});
    EXPECT_TRUE(waitUntil([&] { return monitor(1) == hall; }));
}

TEST_F(Screens, DeskKillsLeaveThePictureAndComeBackToTheSameStep) {
    startOnRun();
    press({u"space"_s, u"space"_s, u"space"_s});
    ASSERT_TRUE(waitUntil([&] { return state().contains(u"onScreen"_s); }));
    ASSERT_TRUE(waitUntil([] { return !isBlack(monitor(1)); }));
    const QImage hall = settledHall();
    std::vector<qint64> times;
    for (int i = 0; i < kKills; ++i) {
        const QJsonObject before = state();
        const int seen = states;
        const auto pids = deskPids();
        ASSERT_EQ(pids.size(), 1u) << i;
        QElapsedTimer time;
        time.start();
        ::kill(pid_t(pids[0]), SIGKILL);
        ASSERT_TRUE(waitUntil([&] { return states > seen && deskPids() != pids; })) << "not back, kill " << i;
        times.push_back(time.elapsed());
        EXPECT_EQ(state()[u"desk"_s], u"run"_s);
        EXPECT_EQ(state()[u"onScreen"_s], before[u"onScreen"_s]);
        EXPECT_EQ(state()[u"next"_s], before[u"next"_s]);
        EXPECT_EQ(monitor(1), hall) << i;
        pass(700); // desks that die again within this time would be left alone
        EXPECT_EQ(monitor(1), hall) << i;
    }
    std::sort(times.begin(), times.end());
    std::printf("desks back after %lld ms (median), %lld ms (worst)\n",
                static_cast<long long>(times[times.size() / 2]), static_cast<long long>(times.back()));
    const QJsonObject before = state();
    press({u"space"_s});
    ASSERT_TRUE(waitUntil([&] { return state()[u"onScreen"_s] != before[u"onScreen"_s]; }));
    EXPECT_EQ(state()[u"onScreen"_s], before[u"next"_s]);
    press({u"space"_s}); // the one before may be a step of the stream alone
    EXPECT_TRUE(waitUntil([&] { return monitor(1) != hall; }));
}

TEST_F(Screens, PlayerKillsBringTheSameSlideBack) {
    startOnRun();
    press({u"space"_s, u"space"_s});
    ASSERT_TRUE(waitUntil([&] { return state().contains(u"onScreen"_s); }));
    ASSERT_TRUE(waitUntil([] { return !isBlack(monitor(1)); }));
    const QImage hall = settledHall();
    std::vector<qint64> times;
    for (int i = 0; i < kKills; ++i) {
        const auto pids = playerPids();
        ASSERT_EQ(pids.size(), 1u);
        QElapsedTimer time;
        time.start();
        ::kill(pid_t(pids[0]), SIGKILL);
        ASSERT_TRUE(waitUntil([&] { return !isAlive(pids[0]); }));
        ASSERT_TRUE(waitUntil([&] {
            return playerPids().size() == 1 && playerPids() != pids && monitor(1) == hall;
        })) << "kill "
            << i;
        times.push_back(time.elapsed());
        pass(100);
    }
    std::sort(times.begin(), times.end());
    std::printf("picture back after %lld ms (median), %lld ms (worst)\n",
                static_cast<long long>(times[times.size() / 2]), static_cast<long long>(times.back()));
}

TEST_F(Screens, CleanQuitEndsBoth) {
    startOnRun();
    const auto desks = deskPids();
    const auto players = playerPids();
    press({u"ctrl+q"_s});
    EXPECT_TRUE(waitUntil([&] { return !isAlive(desks[0]) && !isAlive(players[0]); }));
    pass(1000);
    EXPECT_TRUE(deskPids().empty());
    EXPECT_TRUE(playerPids().empty());
}

} // namespace
} // namespace mivanta
