// SPDX-License-Identifier: GPL-3.0-or-later
#include "RunBench.h"
#include "Figures.h"
#include "Memory.h"
#include "Processor.h"
#include "SongMaker.h"
#include "Timing.h"
#include "desk/run/RunDesk.h"
#include "desk/window/MainWindow.h"
#include "store/ServiceStore.h"
#include "store/ShippedThemes.h"
#include "store/ThisComputer.h"
#include <QApplication>
#include <QDir>
#include <QFile>
#include <QKeyEvent>
#include <QProcess>
#include <QScreen>
#include <QThread>
#include <QTimer>
#include <algorithm>
#include <malloc.h>
#include <map>

namespace mivanta {

namespace {

using namespace Qt::StringLiterals;

constexpr int kItems = 60;
constexpr int kTakes = 1000;
constexpr int kManyTakes = 10'000; // about four hours of singing
constexpr int kPauseMs = 250;      // nobody presses faster in earnest
constexpr int kIdleSeconds = 30;
constexpr int kSettleSeconds = 60; // until what a start leaves to be done in the background is done

Service songs() {
    SongMaker maker;
    Service service;
    service.id = ServiceId::create();
    service.title = u"Bench"_s;
    service.theme = shippedThemes().front();
    service.theme.look.transition.kind = TransitionKind::Cut;
    service.theme.look.backdropTransition.kind = TransitionKind::Cut;
    for (int i = 0; i < kItems; ++i)
        service.items.push_back({ItemId::create(), songItem(maker.make(i))});
    return service;
}

/// The usual three, all of which change as the service says: at once.
std::vector<Output> outputs() {
    auto all = usualOutputs();
    for (Output& output : all)
        std::erase(output.insists, LookGroup::Transition);
    return all;
}

/// As the application waits: asleep until something happens.
void wait(int ms) {
    QEventLoop loop;
    QTimer::singleShot(ms, Qt::PreciseTimer, &loop, &QEventLoop::quit);
    loop.exec();
}

/// The real window on its Run desk, with the real player.
class RunWindow {
public:
    RunWindow(const QString& library, const ThisComputer& computer, const QString& file)
        : m_folder(sessionFolder(library)),
          m_session({library, computer, file, true, {}, QStringLiteral(MIVANTA_BIN_DIR "/mivanta-player")}),
          m_window(m_session, std::make_unique<DialogPrompts>(nullptr)) {
        m_window.resize(1280, 800);
        m_window.show();
        bool opened = false;
        QObject::connect(&m_session.document(), &ServiceDocument::opened, &m_window, [&] { opened = true; });
        QObject::connect(&m_session.player(), &PlayerClient::painted, &m_window,
                         [this](const QString& output, quint64 take, bool wasReady) {
                             m_painted[output] = take;
                             m_ready[output] = wasReady;
                         });
        m_session.start();
        waitUntil([&] { return opened && m_session.outputs().placements().size() == 3; });
        m_window.goTo(MainWindow::RunAt);
        waitUntil([&] { return m_session.book().isComplete(); }, 60'000);
        for (const Placement& placement : m_session.outputs().placements())
            if (placement.kind != Placement::Kind::FullScreen)
                qFatal("an output is not on a monitor");
        wait(500);
    }
    ~RunWindow() {
        m_session.player().quit();
        QDir(m_folder).removeRecursively();
    }
    void press(int key) {
        QKeyEvent event(QEvent::KeyPress, key, Qt::NoModifier);
        QApplication::sendEvent(m_window.runDesk(), &event);
    }
    /// From the key to all three outputs painted, ms.
    double take() {
        const quint64 before = last();
        QElapsedTimer time;
        time.start();
        press(Qt::Key_Space);
        m_desks = msOf(time);
        while (!(last() > before && isPainted()) && time.elapsed() < 20'000)
            QCoreApplication::processEvents(QEventLoop::WaitForMoreEvents);
        return msOf(time);
    }
    /// What the desks did themselves in the last take, before they slept again: their own pictures come
    /// later.
    [[nodiscard]] double desks() const { return m_desks; }
    /// How many of the three pictures had been drawn ahead.
    [[nodiscard]] int ready() const {
        int count = 0;
        for (const auto& [output, ready] : m_ready)
            count += ready ? 1 : 0;
        return count;
    }
    [[nodiscard]] bool isAtEnd() { return !m_session.run().state().next.has_value(); }
    void jumpTo(int item) { m_session.run().lookAtItem(item); }
    [[nodiscard]] qint64 player() const { return playerPid(m_folder); }

private:
    [[nodiscard]] quint64 last() { return m_painted[u"hall"_s]; }
    [[nodiscard]] bool isPainted() {
        return m_painted[u"hall"_s] == m_painted[u"stage"_s] &&
               m_painted[u"hall"_s] == m_painted[u"stream"_s];
    }

    QString m_folder;
    Session m_session;
    MainWindow m_window;
    std::map<QString, quint64> m_painted;
    std::map<QString, bool> m_ready;
    double m_desks = 0;
};

void benchTakes(Figures& figures, RunWindow& window) {
    std::vector<double> all;
    std::vector<double> desks;
    std::vector<double> missed;
    int ready = 0;
    for (int i = 0; i < kTakes; ++i) {
        if (window.isAtEnd())
            window.jumpTo(0);
        wait(kPauseMs);
        const double ms = window.take();
        all.push_back(ms);
        desks.push_back(window.desks());
        ready += window.ready();
        if (window.ready() < 3)
            missed.push_back(ms);
    }
    figures.addTimes(u"run: take to painted on three outputs at 1080p"_s, all);
    figures.addTimes(u"run: of that the desks' own work at the key"_s, desks);
    figures.add(u"run: pictures that had been drawn ahead"_s, 100.0 * ready / (3.0 * kTakes), u"%"_s);
    if (!missed.empty())
        figures.addTimes(u"run: takes of which a picture was not drawn ahead"_s, missed);
    std::vector<double> far;
    std::vector<double> looked;
    for (int i = 0; i < 40; ++i) {
        window.jumpTo((i * 37 + 11) % kItems);
        far.push_back(window.take());
        wait(kPauseMs);
        window.jumpTo((i * 23 + 40) % kItems);
        wait(kPauseMs);
        looked.push_back(window.take());
        wait(kPauseMs);
    }
    figures.addTimes(u"run: jump to a far item and take it at once"_s, far);
    figures.addTimes(u"run: jump to a far item, look at it, take it"_s, looked);
}

/// Of both programs together, in % of one core.
void benchIdle(Figures& figures, RunWindow& window, const QString& name) {
    wait(kSettleSeconds * 1000);
    const qint64 player = window.player();
    const double before = processorSeconds(player);
    const double desksBefore = processorSeconds(::getpid());
    wait(kIdleSeconds * 1000);
    figures.add(u"run: idle player, %1"_s.arg(name), 100 * (processorSeconds(player) - before) / kIdleSeconds,
                u"% of a core"_s);
    figures.add(u"run: idle desks, %1"_s.arg(name),
                100 * (processorSeconds(::getpid()) - desksBefore) / kIdleSeconds, u"% of a core"_s);
}

/// Looked at whenever the service begins again, so that the same pictures are held; the first rounds fill
/// what is remembered.
void benchManyTakes(Figures& figures, RunWindow& window) {
    const qint64 player = window.player();
    std::vector<double> players;
    std::vector<double> desks;
    for (int i = 0; i < kManyTakes; ++i) {
        if (window.isAtEnd()) {
            malloc_trim(0);
            players.push_back(memoryOf(player, "Private_Dirty"));
            desks.push_back(memoryOf(::getpid(), "Private_Dirty"));
            window.jumpTo(0);
        }
        static_cast<void>(window.take());
    }
    constexpr size_t kFilling = 2;
    const auto tell = [&](const QString& name, const std::vector<double>& rounds) {
        if (rounds.size() <= kFilling + 1)
            return;
        figures.add(u"run: memory of the %1 after %2 rounds"_s.arg(name).arg(kFilling + 1), rounds[kFilling],
                    u"MiB"_s);
        figures.add(u"run: growth of the %1 until round %2 of 10,000 takes"_s.arg(name).arg(rounds.size()),
                    rounds.back() - rounds[kFilling], u"MiB"_s);
        figures.add(u"run: most of the %1 in between, above that"_s.arg(name),
                    *std::max_element(rounds.begin() + kFilling, rounds.end()) - rounds[kFilling], u"MiB"_s);
    };
    tell(u"player"_s, players);
    tell(u"desks"_s, desks);
}

/// A library with the service, and a monitor for each of its outputs.
struct Prepared {
    QString library;
    ThisComputer computer;
    QString file;
};
Prepared prepare(const QString& folder, const std::vector<Output>& outputs) {
    QProcess::execute(u"xrandr"_s, {u"--addmode"_s, u"DUMMY3"_s, u"mivanta-1920x1080"_s});
    QProcess::execute(u"xrandr"_s, {u"--output"_s, u"DUMMY3"_s, u"--mode"_s, u"mivanta-1920x1080"_s,
                                    u"--pos"_s, u"5120x0"_s});
    waitUntil([] { return QGuiApplication::screens().size() == 4; });
    const Prepared prepared{folder + u"/library"_s, ThisComputer(folder + u"/computer"_s),
                            folder + u"/run.mivanta"_s};
    QDir().mkpath(prepared.library);
    if (const auto saved = saveService(songs(), prepared.file, {}); !saved)
        qFatal("%s", qPrintable(saved.error().text()));
    if (const auto saved = prepared.computer.saveOutputs(outputs); !saved)
        qFatal("%s", qPrintable(saved.error().text()));
    return prepared;
}

} // namespace

void benchRun(Figures& figures, const QString& folder) {
    const Prepared prepared = prepare(folder + u"/run"_s, outputs());
    RunWindow window(prepared.library, prepared.computer, prepared.file);
    benchTakes(figures, window);
    benchIdle(figures, window, u"three outputs"_s);
    benchManyTakes(figures, window);
}

void benchClocks(Figures& figures, const QString& folder) {
    auto withClock = outputs();
    withClock[1].look.theme = u"stage-leader"_s; // a clock with seconds, a stopwatch, what the hall shows
    const Prepared prepared = prepare(folder + u"/clocks"_s, withClock);
    RunWindow window(prepared.library, prepared.computer, prepared.file);
    static_cast<void>(window.take());
    benchIdle(figures, window, u"with a clock and a stopwatch on the stage"_s);
}

} // namespace mivanta
