// SPDX-License-Identifier: GPL-3.0-or-later
#include "LiveBench.h"
#include "../tests/support/TestFilm.h"
#include "Figures.h"
#include "Processor.h"
#include "Timing.h"
#include "link/PlayerClient.h"
#include "store/ShippedThemes.h"
#include <QDateTime>
#include <QGuiApplication>
#include <QPainter>
#include <QPixmap>
#include <QProcess>
#include <QRasterWindow>
#include <QScreen>
#include <QTcpServer>
#include <QTimer>
#include <algorithm>
#include <map>

namespace mivanta {

namespace {

using namespace Qt::StringLiterals;

constexpr int kLatencySeconds = 20;
constexpr int kLiveMeasured = 15;
constexpr int kLosses = 50;
constexpr QSize kLiveFull{1920, 1080};

qint64 nowMs() {
    return QDateTime::currentMSecsSinceEpoch();
}

/// Shows another number thirty times a second, and knows when it painted which.
class Counter : public QRasterWindow {
public:
    explicit Counter(const QRect& place) {
        setTitle(u"counter"_s);
        setFlags(Qt::FramelessWindowHint | Qt::WindowDoesNotAcceptFocus);
        setGeometry(place);
        m_timer.setTimerType(Qt::PreciseTimer);
        m_timer.setInterval(33);
        connect(&m_timer, &QTimer::timeout, this, [this] {
            ++m_number;
            update();
        });
        m_timer.start();
        show();
    }
    std::map<int, qint64> painted; ///< ms since 1970

protected:
    void paintEvent(QPaintEvent*) override {
        QPainter(this).drawImage(QRect(QPoint(0, 0), size()), pictureOfFilm({}, m_number % 4096));
        painted[m_number % 4096] = nowMs();
    }

private:
    QTimer m_timer;
    int m_number = 0;
};

/// The simulated camera, in a process of its own.
class BenchCamera {
public:
    explicit BenchCamera(const QStringList& options) {
        m_process.start(QStringLiteral(MIVANTA_BIN_DIR "/mivanta-standins"),
                        QStringList{u"camera"_s, u"--numbers"_s} + options);
        m_process.waitForReadyRead(10'000);
        const QList<QByteArray> words = m_process.readLine().trimmed().split(' ');
        if (words.size() != 4)
            qFatal("the simulated camera does not start");
        begin = words[3].toLongLong();
    }
    ~BenchCamera() {
        m_process.kill();
        m_process.waitForFinished();
    }
    void order(const char* words) { m_process.write(QByteArray(words) + '\n'); }
    qint64 begin = 0; ///< when its picture 0 was taken, ms since 1970

private:
    QProcess m_process;
};

/// The real player with one output on the second monitor.
class OneOutput {
public:
    explicit OneOutput(const QString& session)
        : m_session(session),
          player({session, QStringLiteral(MIVANTA_BIN_DIR "/mivanta-player"), {}}) {
        bool isThere = false;
        QObject::connect(&player, &PlayerClient::welcomed, [&] { isThere = true; });
        QObject::connect(&player, &PlayerClient::painted,
                         [this](const QString&, quint64 take, bool) { m_painted = take; });
        player.start();
        waitUntil([&] { return isThere; });
        m_output = usualOutputs().front();
        m_output.size = kLiveFull;
        m_output.place.kind = PlaceKind::Monitor;
        m_output.place.monitor = QGuiApplication::screens()[2]->name();
        player.setOutputs({m_output}, QGuiApplication::primaryScreen()->name());
        passFor(500);
    }
    ~OneOutput() {
        player.quit();
        passFor(300);
    }
    void show(const LiveInput& input) {
        player.setLiveInputs({{input, {}}});
        Scene scene;
        scene.output = m_output.name;
        scene.size = m_output.size;
        scene.look = shippedThemes().front().look;
        scene.look.transition.kind = scene.look.backdropTransition.kind = TransitionKind::Cut;
        scene.look.words.box = {0.08, 0.6, 0.84, 0.35}; // under the number
        scene.look.backdrop.kind = BackdropKind::Live;
        scene.look.backdrop.live = input.id.text();
        scene.fontSize = 84;
        scene.rows = {{u"Slate and shutter, loaf and line"_s, {}, {}}};
        scene.film = filmOf(scene.look.backdrop);
        const quint64 take = player.show({scene});
        waitUntil([&] { return m_painted == take; });
    }
    /// What a strip of its window shows.
    [[nodiscard]] static int number() {
        QScreen* screen = QGuiApplication::screens()[2];
        const QImage strip =
            screen->grabWindow(0, 0, screen->geometry().height() / 4 - 4, screen->geometry().width(), 8)
                .toImage();
        return numberOnPicture(strip);
    }
    [[nodiscard]] qint64 pid() const { return playerPid(m_session); }

private:
    QString m_session;
    quint64 m_painted = 0;
    Output m_output;

public:
    PlayerClient player;
};

/// Ms from when a number was there to when it is read back from the output's window.
template <typename WhenOf>
std::vector<double> latencies(WhenOf whenOf) {
    std::vector<double> all;
    int last = -1;
    QElapsedTimer time;
    time.start();
    while (time.elapsed() < kLatencySeconds * 1000) {
        passFor(3);
        const int number = OneOutput::number();
        if (number < 0 || number == last)
            continue;
        last = number;
        const qint64 when = whenOf(number);
        if (when > 0)
            all.push_back(double(nowMs() - when));
    }
    return all;
}

void addLate(Figures& figures, const QString& what, std::vector<double> all) {
    if (all.size() < 100)
        qFatal("no pictures came");
    std::sort(all.begin(), all.end());
    figures.add(u"live: %1, median"_s.arg(what), all[all.size() / 2], u"ms"_s);
    figures.add(u"live: %1, p95"_s.arg(what), all[all.size() * 95 / 100], u"ms"_s);
}

LiveInput inputOf(const LiveSource& source) {
    LiveInput input;
    input.id = LiveInputId::create();
    input.name = u"bench"_s;
    input.source = source;
    return input;
}

void benchLateness(Figures& figures, OneOutput& output) {
    {
        Counter counter(QGuiApplication::screens()[1]->geometry());
        const auto when = [&](int number) {
            return counter.painted.contains(number) ? counter.painted[number] : 0;
        };
        output.show(inputOf(MonitorSource{QGuiApplication::screens()[1]->name()}));
        passFor(1500);
        addLate(figures, u"a monitor, shown to shown on the output"_s, latencies(when));
        output.show(inputOf(WindowSource{QCoreApplication::applicationName(), u"counter"_s}));
        passFor(1500);
        addLate(figures, u"a window, the same"_s, latencies(when));
    }
    for (const auto& [option, address] : {std::pair{u"--mjpeg"_s, u"http://127.0.0.1:18451/harbour"_s},
                                          {u"--rtsp"_s, u"rtsp://127.0.0.1:18452/harbour"_s},
                                          {u"--srt"_s, u"srt://127.0.0.1:18453?mode=caller"_s},
                                          {u"--udp"_s, u"udp://127.0.0.1:18454"_s}}) {
        const BenchCamera camera({option, QString::number(QUrl(address).port())});
        output.show(inputOf(AddressSource{address}));
        passFor(3000);
        const auto when = [&](int number) {
            const qint64 whole = (nowMs() - camera.begin) * 30 / 1000; // pictures so far; numbers begin anew
            const qint64 round = (whole - number) / 4096;
            return camera.begin + (round * 4096 + number) * 1000 / 30;
        };
        addLate(figures, u"a camera of the network by %1, taken to shown"_s.arg(option.mid(2)),
                latencies(when));
    }
}

/// In turn: ffmpeg decoding and scaling what the camera sends, and the film's process with the player.
void benchCores(Figures& figures, OneOutput& output) {
    const QString address = u"http://127.0.0.1:18455/harbour"_s;
    const BenchCamera camera({u"--mjpeg"_s, u"18455"_s, u"--size"_s, u"1920x1080"_s});
    const double floor =
        secondsToRun(u"ffmpeg"_s, {u"-v"_s, u"error"_s, u"-y"_s, u"-i"_s, address, u"-t"_s,
                                   QString::number(kLiveMeasured), u"-vf"_s, u"scale=1920:1080"_s, u"-f"_s,
                                   u"rawvideo"_s, u"-pix_fmt"_s, u"bgra"_s, u"/dev/null"_s}) /
        kLiveMeasured;
    output.show(inputOf(AddressSource{address}));
    passFor(2000);
    const qint64 player = output.pid();
    const double from = processorSeconds(player) + childrenSeconds(player);
    passFor(kLiveMeasured * 1000);
    const double ours = (processorSeconds(player) + childrenSeconds(player) - from) / kLiveMeasured;
    figures.add(u"live: ffmpeg decodes 1080p30 MJPEG to BGRA"_s, floor, u"cores"_s);
    figures.add(u"live: the same with words on one output"_s, ours, u"cores"_s);
    figures.add(u"live: against ffmpeg"_s, ours / floor, u"times"_s);
}

void benchDead(Figures& figures, OneOutput& output) {
    output.show(inputOf(AddressSource{u"rtsp://127.0.0.1:18456/nobody"_s}));
    passFor(5000); // its card is there by then
    const qint64 player = output.pid();
    const double from = processorSeconds(player) + childrenSeconds(player);
    passFor(kLiveMeasured * 1000);
    figures.add(u"live: a dead source"_s,
                100 * (processorSeconds(player) + childrenSeconds(player) - from) / kLiveMeasured,
                u"% of a core"_s);
}

struct Held {
    double mebibytes = 0;
    double threads = 0;
    double files = 0;
};

/// Of the player and its films together.
Held heldBy(qint64 player) {
    QStringList pids{QString::number(player)};
    QFile children(u"/proc/%1/task/%1/children"_s.arg(player));
    if (children.open(QIODevice::ReadOnly))
        pids << QString::fromLatin1(children.readAll()).split(u' ', Qt::SkipEmptyParts);
    Held held;
    for (const QString& pid : pids) {
        QFile status(u"/proc/%1/status"_s.arg(pid));
        if (status.open(QIODevice::ReadOnly))
            for (const QByteArray& line : status.readAll().split('\n')) {
                if (line.startsWith("RssAnon:"))
                    held.mebibytes += line.simplified().split(' ').value(1).toDouble() / 1024;
                if (line.startsWith("Threads:"))
                    held.threads += line.simplified().split(' ').value(1).toDouble();
            }
        held.files += double(QDir(u"/proc/%1/fd"_s.arg(pid))
                                 .entryList(QDir::AllEntries | QDir::System | QDir::NoDotAndDotDot)
                                 .size());
    }
    return held;
}

void benchLosses(Figures& figures, OneOutput& output) {
    BenchCamera camera({u"--mjpeg"_s, u"18457"_s});
    const LiveInput input = inputOf(AddressSource{u"http://127.0.0.1:18457/harbour"_s});
    output.show(input);
    const QByteArray key = filmKey(liveFilm(input.id));
    using Signal = message::FilmStands::Signal;
    const auto stands = [&](Signal signal) {
        return waitUntil([&] {
            const auto now = output.player.film(key);
            return now && now->signal == signal;
        });
    };
    Held first;
    int came = 0;
    for (int i = 0; i < kLosses; ++i) {
        camera.order("part");
        const bool isLost = stands(Signal::Lost);
        camera.order("go");
        came += isLost && stands(Signal::There) ? 1 : 0;
        if (i == 4)
            first = heldBy(output.pid()); // what is needed once is there by then
    }
    const Held last = heldBy(output.pid());
    figures.add(u"live: losses of %1 that it came back from"_s.arg(kLosses), came, u""_s);
    figures.add(u"live: memory, from the fifth to the last"_s, last.mebibytes - first.mebibytes, u"MiB"_s);
    figures.add(u"live: threads, the same"_s, last.threads - first.threads, u""_s);
    figures.add(u"live: open files and sockets, the same"_s, last.files - first.files, u""_s);
}

} // namespace

void benchLive(Figures& figures, const QString& folder) {
    if (QGuiApplication::screens().size() < 3)
        qFatal("two monitors besides the desks' are needed");
    const QString session = folder + u"/live/session"_s;
    QDir().mkpath(session);
    OneOutput output(session);
    benchLateness(figures, output);
    benchCores(figures, output);
    benchDead(figures, output);
    benchLosses(figures, output);
}

} // namespace mivanta
