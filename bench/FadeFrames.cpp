// SPDX-License-Identifier: GPL-3.0-or-later
#include "FadeFrames.h"
#include "Figures.h"
#include "player/Films.h"
#include "player/OutputPicture.h"
#include "player/OutputWindow.h"
#include <QBackingStore>
#include <QGuiApplication>
#include <QPainter>
#include <QScreen>
#include <QTimer>
#include <QWindow>

namespace mivanta {

using namespace Qt::StringLiterals;

namespace {

/// A window that copies one of two pictures into itself at every tick.
class BlitWindow : public QWindow {
public:
    BlitWindow(QScreen* screen, FrameWatch& watch) : m_watch(watch), m_store(this) {
        setSurfaceType(RasterSurface);
        setFlags(Qt::Window | Qt::FramelessWindowHint | Qt::WindowDoesNotAcceptFocus);
        setScreen(screen);
        setGeometry(screen->geometry());
        for (QImage& picture : m_pictures) {
            picture = QImage(kFullHd, QImage::Format_RGB32);
            picture.fill(&picture == m_pictures ? Qt::darkBlue : Qt::darkGreen);
        }
        m_ticks.setTimerType(Qt::PreciseTimer);
        m_ticks.setInterval(16);
        connect(&m_ticks, &QTimer::timeout, this, [this] { blit(); });
    }
    void begin() {
        m_store.resize(size());
        m_watch.begin();
        m_ticks.start();
    }

private:
    void blit() {
        const QRect area(QPoint(0, 0), size());
        m_store.beginPaint(area);
        QPainter(m_store.paintDevice()).drawImage(0, 0, m_pictures[++m_count % 2]);
        m_store.endPaint();
        m_store.flush(area);
        m_watch.frame();
    }
    FrameWatch& m_watch;
    QBackingStore m_store;
    QImage m_pictures[2];
    int m_count = 0;
    QTimer m_ticks;
};

} // namespace

FrameWatches blitOnly() {
    const auto screens = QGuiApplication::screens();
    FrameWatches watches;
    BlitWindow one(screens[1], watches[0]);
    BlitWindow two(screens[2], watches[1]);
    one.setVisible(true);
    two.setVisible(true);
    waitUntil([&] { return one.isExposed() && two.isExposed(); });
    one.begin();
    two.begin();
    QElapsedTimer time;
    time.start();
    waitUntil([&] { return time.elapsed() > 9'000; });
    return watches;
}

FrameWatches fadeThrough(const std::vector<Scene>& scenes, PreparedFrames& frames) {
    const auto screens = QGuiApplication::screens();
    Films films;
    OutputPicture one(frames, films, u"hall"_s);
    OutputPicture two(frames, films, u"second"_s);
    OutputWindow windowOne(one, Output{});
    OutputWindow windowTwo(two, Output{});
    windowOne.showFullScreenOn(screens[1]);
    windowTwo.showFullScreenOn(screens[2]);
    waitUntil([&] { return windowOne.isExposed() && windowTwo.isExposed(); });
    FrameWatches watches;
    int settled = 0;
    const std::array pictures{&one, &two};
    for (size_t i = 0; i < pictures.size(); ++i) {
        QObject::connect(pictures[i], &OutputPicture::changed, [&watches, i] { watches[i].frame(); });
        QObject::connect(pictures[i], &OutputPicture::settled, [&settled] { ++settled; });
    }
    for (size_t at = 0; at < scenes.size(); ++at) {
        const Scene& scene = scenes[at];
        frames.prepare(scene, kFullHd);
        waitUntil([&] { return frames.get(scene, kFullHd) != nullptr; });
        settled = 0;
        for (size_t i = 0; i < pictures.size(); ++i) {
            watches[i].begin();
            pictures[i]->show(scene, quint64(at + 1), at == 0 ? Arrival::Cut : Arrival::Turning);
        }
        if (at + 1 < scenes.size())
            frames.prepare(scenes[at + 1], kFullHd);
        waitUntil([&] { return settled == 2; });
    }
    return watches;
}

void addFrames(Figures& figures, const QString& what, const FrameWatches& watches) {
    std::vector<double> gaps = watches[0].gaps();
    gaps.insert(gaps.end(), watches[1].gaps().begin(), watches[1].gaps().end());
    figures.addTimes(u"from frame to frame of %1, two outputs at 1080p"_s.arg(what), gaps);
    figures.add(u"frames that came late in it"_s, std::max(watches[0].lateShare(), watches[1].lateShare()),
                u"%"_s);
}

} // namespace mivanta
