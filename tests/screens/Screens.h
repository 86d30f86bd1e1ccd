// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "link/PlayerClient.h"
#include "store/ServiceStore.h"
#include "store/ThisComputer.h"
#include "support/Golden.h"
#include "support/Processes.h"
#include "support/Text.h"
#include "support/WaitUntil.h"
#include <QDir>
#include <QElapsedTimer>
#include <QFile>
#include <QGuiApplication>
#include <QJsonDocument>
#include <QJsonObject>
#include <QPixmap>
#include <QProcess>
#include <QProcessEnvironment>
#include <QScreen>
#include <QTemporaryDir>
#include <QThread>
#include <csignal>
#include <gtest/gtest.h>
#include <map>

namespace mivanta {

inline void pass(int milliseconds) {
    QElapsedTimer time;
    time.start();
    while (time.elapsed() < milliseconds)
        waitForEvents(10);
}

inline bool isAlive(qint64 pid) {
    QFile file(u"/proc/%1/stat"_s.arg(pid));
    return file.open(QIODevice::ReadOnly) && !file.readAll().contains(") Z ");
}

/// The real programs on a display with three monitors, with the demo library, driven by real key presses.
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
        // The usual layout of a stage has a clock: no two pictures of it are alike.
        std::vector<Output> outputs = usualOutputs();
        for (Output& output : outputs)
            if (output.look.theme == u"stage-words-and-next"_s)
                output.look.theme = u"stage-plain"_s;
        ASSERT_TRUE(computer().saveOutputs(outputs));
        session = sessionFolder(library);
    }

    /// Each of the two starts the other again when it dies: both are stopped before they are killed, until
    /// none comes any more. One that came later would open its windows on the next test's display.
    void TearDown() override {
        for (int quiet = 0, i = 0; quiet < 3 && i < 100; ++i) {
            std::vector<qint64> all = playerPids();
            const auto desks = deskPids();
            all.insert(all.end(), desks.begin(), desks.end());
            quiet = all.empty() ? quiet + 1 : 0;
            for (const int signal : {SIGSTOP, SIGKILL})
                for (const qint64 pid : all)
                    ::kill(pid_t(pid), signal);
            pass(100);
        }
        QDir(session).removeRecursively();
    }

    [[nodiscard]] ThisComputer computer() const { return ThisComputer(folder.filePath(u"computer"_s)); }
    [[nodiscard]] std::vector<qint64> deskPids() const { return pidsOf(u"mivanta"_s, library); }
    [[nodiscard]] std::vector<qint64> playerPids() const { return pidsOf(u"mivanta-player"_s, session); }

    void cli(const QStringList& arguments) const {
        QProcess process;
        process.start(QStringLiteral(MIVANTA_BIN_DIR "/mivanta-cli"),
                      QStringList{u"--library"_s, library, u"--computer"_s, computer().folder()} + arguments);
        ASSERT_TRUE(process.waitForFinished());
        ASSERT_EQ(process.exitCode(), 0) << process.readAllStandardError().constData();
    }

    void start(const QStringList& arguments) {
        QProcess program;
        program.setProgram(QStringLiteral(MIVANTA_BIN_DIR "/mivanta"));
        program.setArguments(QStringList{u"--library"_s, library, u"--computer"_s, computer().folder()} +
                             arguments);
        auto all = QProcessEnvironment::systemEnvironment();
        all.insert(u"XDG_CACHE_HOME"_s, folder.filePath(u"home/.cache"_s));
        for (const auto& [name, value] : environment)
            all.insert(name, value);
        program.setProcessEnvironment(all);
        ASSERT_TRUE(program.startDetached());
        ASSERT_TRUE(
            waitUntil([&] { return !playerPids().empty() && QFile::exists(playerSocketPath(session)); }));
        watch();
    }

    void startOnRun() {
        const QString file = folder.filePath(u"sunday.mivanta"_s);
        const bool isDemo = !QFile::exists(file);
        if (isDemo)
            cli({u"service"_s, u"new"_s, QStringLiteral(MIVANTA_SOURCE_DIR "/data/demo/sea-harvest.txt"),
                 u"--to"_s, file});
        start({u"--run"_s, file});
        ASSERT_TRUE(waitUntil([&] { return state()[u"desk"_s] == u"run"_s && state().contains(u"next"_s); }));
        if (!isDemo)
            return;
        const QJsonValue loop = state()[u"next"_s]; // of the time before the service, which goes by itself
        press({u"5"_s});
        ASSERT_TRUE(waitUntil([&] { return state()[u"next"_s] != loop; }));
    }

    void watch() {
        observer = std::make_unique<PlayerClient>(PlayerClient::Setup{session, {}, {false, {}, {}}});
        QObject::connect(observer.get(), &PlayerClient::welcomed,
                         [this](const QByteArray& kept) { remember(kept); });
        QObject::connect(observer.get(), &PlayerClient::stateChanged,
                         [this](const QByteArray& kept) { remember(kept); });
        QObject::connect(observer.get(), &PlayerClient::placesChanged,
                         [this](const auto& monitors, const auto& places) {
                             seen = monitors;
                             placements = places;
                         });
        QObject::connect(observer.get(), &PlayerClient::painted,
                         [this](const QString& output, quint64 take, bool) { painted[output] = take; });
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
    /// Takes what is next, and waits until it is on screen.
    void take() {
        const QJsonValue next = state()[u"next"_s];
        press({u"space"_s});
        ASSERT_TRUE(waitUntil([&] { return state()[u"onScreen"_s] == next; }));
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
    /// A part of the desktop, whatever monitors there are.
    [[nodiscard]] static QImage grabbed(const QRect& area) {
        QScreen* screen = QGuiApplication::primaryScreen();
        const QPoint origin = screen->geometry().topLeft();
        return screen
            ->grabWindow(0, area.x() - origin.x(), area.y() - origin.y(), area.width(), area.height())
            .toImage()
            .convertToFormat(QImage::Format_RGB32);
    }
    /// The same once it has stopped changing: between two takes it stands still, too, on a busy machine.
    [[nodiscard]] static QImage settled(const QRect& area) {
        constexpr int kStill = 6;
        QImage before = grabbed(area);
        int still = 0;
        for (int i = 0; i < 80 && still < kStill; ++i) {
            pass(120);
            const QImage now = grabbed(area);
            still = now == before ? still + 1 : 0;
            before = now;
        }
        return before;
    }
    [[nodiscard]] static QImage settledHall() { return settled(QGuiApplication::screens()[1]->geometry()); }

    QTemporaryDir folder;
    QString library;
    QString session;
    std::unique_ptr<PlayerClient> observer;
    std::vector<std::pair<QString, QString>> environment; ///< more of it, for the programs
    std::vector<Monitor> seen;                            ///< by the player
    std::vector<Placement> placements;                    ///< of the outputs
    std::map<QString, quint64> painted;                   ///< the last take that stands on an output
    QByteArray kept_;
    int states = 0;
};

inline bool isBlack(const QImage& image) {
    for (int y = 0; y < image.height(); y += 9)
        for (int x = 0; x < image.width(); x += 9)
            if (image.pixel(x, y) != qRgb(0, 0, 0))
                return false;
    return true;
}

} // namespace mivanta
