// SPDX-License-Identifier: GPL-3.0-or-later
#include "FilmTimingBench.h"
#include "../tests/support/Loudspeakers.h"
#include "../tests/support/TestFilm.h"
#include "Figures.h"
#include "Processor.h"
#include "Timing.h"
#include "player/OutputWindow.h"
#include "store/ShippedThemes.h"
#include <QBackingStore>
#include <QEventLoop>
#include <QGuiApplication>
#include <QScreen>
#include <QTimer>
#include <algorithm>
#include <array>

namespace mivanta {

namespace {

using namespace Qt::StringLiterals;

constexpr int kRounds = 6;
constexpr int kRoundSeconds = 10;
constexpr int kPlayedSeconds = 60; ///< of sound
constexpr int kLongSeconds = 5 * 60;
constexpr double kFrameMs = 1000.0 / 30;
constexpr int kFades = 20;
constexpr int kFadeMs = 800;
constexpr double kTickMs = 16;
constexpr QSize kFull{1920, 1080};

/// When something came, by its number.
using Seen = std::vector<std::pair<qint64, double>>;

/// Share of what was late by more than a step, or did not come; in per cent. When it should have come is what
/// fits most of those around it: a film that goes round may begin its next round a little later.
double lateIn(const Seen& seen, double stepMs) {
    constexpr size_t kAround = 60;
    if (seen.size() < kAround)
        return 100;
    qint64 late = 0;
    for (size_t from = 0; from < seen.size(); from += kAround) {
        std::vector<double> offsets;
        for (size_t i = from; i < std::min(from + kAround, seen.size()); ++i)
            offsets.push_back(seen[i].second - double(seen[i].first) * stepMs);
        std::vector<double> sorted = offsets;
        std::sort(sorted.begin(), sorted.end());
        late += std::count_if(offsets.begin(), offsets.end(),
                              [&](double offset) { return offset - sorted[sorted.size() / 2] > stepMs; });
    }
    const qint64 all = seen.back().first - seen.front().first + 1;
    return 100.0 * double(late + all - qint64(seen.size())) / double(all);
}

double longestGapIn(const Seen& seen) {
    double longest = 0;
    for (size_t i = 1; i < seen.size(); ++i)
        longest = std::max(longest, seen[i].second - seen[i - 1].second);
    return longest;
}

/// A window that only shows one of two pictures.
class BlitWindow : public QWindow {
public:
    explicit BlitWindow(QScreen* screen) : m_store(this) {
        setSurfaceType(RasterSurface);
        setScreen(screen);
        setFlags(Qt::FramelessWindowHint | Qt::WindowDoesNotAcceptFocus);
        setGeometry(screen->geometry());
        show();
        for (QImage& picture : m_pictures) {
            picture = QImage(kFull, QImage::Format_RGB32);
            picture.fill(&picture == &m_pictures[0] ? 0xff203040 : 0xff304050);
        }
        m_store.resize(size());
    }
    void blit(int number) {
        m_store.beginPaint(QRect(QPoint(0, 0), size()));
        {
            QPainter painter(m_store.paintDevice());
            painter.drawImage(0, 0, m_pictures[size_t(number % 2)]);
        }
        m_store.endPaint();
        m_store.flush(QRect(QPoint(0, 0), size()));
    }

private:
    QBackingStore m_store;
    std::array<QImage, 2> m_pictures;
};

/// The floor: two windows blit a picture at every step.
double blitLoop(double stepMs, int seconds) {
    const auto screens = QGuiApplication::screens();
    BlitWindow one(screens[1]);
    BlitWindow two(screens[2]);
    passFor(500);
    QElapsedTimer time;
    time.start();
    Seen seen;
    for (qint64 number = 0; time.elapsed() < seconds * 1000;
         number = std::max(number + 1, qint64(msOf(time) / stepMs))) {
        const double wait = double(number) * stepMs - msOf(time);
        if (wait > 0)
            passFor(int(wait));
        one.blit(int(number));
        two.blit(int(number));
        seen.emplace_back(number, msOf(time));
    }
    return lateIn(seen, stepMs);
}

/// Two outputs on two monitors.
class Screens {
public:
    explicit Screens(const QString& media) {
        films.setFolder(media);
        for (int i = 0; i < 2; ++i) {
            Output output = usualOutputs().front();
            output.name = u"screen %1"_s.arg(i);
            auto& picture =
                pictures.emplace_back(std::make_unique<OutputPicture>(frames, films, output.name));
            auto& window = windows.emplace_back(std::make_unique<OutputWindow>(*picture, output));
            window->showFullScreenOn(QGuiApplication::screens()[i + 1]);
            QObject::connect(picture.get(), &OutputPicture::settled,
                             [this, i](quint64 take) { settled[size_t(i)] = take; });
        }
        passFor(500);
    }
    void show(const Scene& scene) {
        ++take;
        for (const auto& picture : pictures) {
            Scene own = scene;
            own.output = picture->name();
            picture->show(own, take, Arrival::Turning);
        }
        waitUntil([this] { return settled[0] == take && settled[1] == take; });
    }

    PreparedFrames frames;
    Films films;
    std::vector<std::unique_ptr<OutputPicture>> pictures;
    std::vector<std::unique_ptr<OutputWindow>> windows;
    std::array<quint64, 2> settled{};
    quint64 take = 0;
};

Scene sceneOf(const QString& film, const QString& words) {
    Scene scene;
    scene.size = kFull;
    scene.look = shippedThemes().front().look;
    scene.look.transition.kind = scene.look.backdropTransition.kind = TransitionKind::Cut;
    scene.fontSize = 84;
    scene.rows.push_back({words, {}, {}});
    if (!film.isEmpty()) {
        scene.look.backdrop.kind = BackdropKind::Film;
        scene.look.backdrop.film = film;
        scene.film = filmOf(scene.look.backdrop);
    }
    return scene;
}

double medianOf(std::vector<double> values) {
    std::sort(values.begin(), values.end());
    return values[values.size() / 2];
}

/// In turn with the floor, so that both have the same neighbours on the machine.
void benchPictures(Figures& figures, const QString& media, const QString& film) {
    Screens screens(media);
    const Scene scene = sceneOf(film, u"Slate and shutter, loaf and line"_s);
    screens.show(scene);
    const FilmPtr playing = screens.films.open(*scene.film);
    std::vector<double> blits;
    std::vector<double> pictures;
    std::vector<double> stolen;
    double gap = 0;
    for (int round = 0; round < kRounds; ++round) {
        playing->pause();
        blits.push_back(blitLoop(kFrameMs, kRoundSeconds));
        playing->play();
        passFor(1000);
        QElapsedTimer time;
        time.start();
        Seen seen;
        const double before = stolenSeconds();
        // Its window has painted by then: it was connected before.
        const auto counting = QObject::connect(screens.pictures[1].get(), &OutputPicture::changed, [&] {
            const auto number = qint64(playing->picture().number);
            if (seen.empty() || seen.back().first < number)
                seen.emplace_back(number, msOf(time));
        });
        passFor(kRoundSeconds * 1000);
        QObject::disconnect(counting);
        stolen.push_back(100 * (stolenSeconds() - before) / kRoundSeconds);
        pictures.push_back(lateIn(seen, kFrameMs));
        gap = std::max(gap, longestGapIn(seen));
        figures.add(u"film: round %1, taken away by others"_s.arg(round + 1), stolen.back(),
                    u"% of a core"_s);
        figures.add(u"film: round %1, late blits at 30 a second on two outputs"_s.arg(round + 1),
                    blits.back(), u"%"_s);
        figures.add(u"film: round %1, pictures on both that were late or did not come"_s.arg(round + 1),
                    pictures.back(), u"%"_s);
    }
    figures.add(u"film: late blits, median of the rounds"_s, medianOf(blits), u"%"_s);
    figures.add(u"film: late pictures, median of the rounds"_s, medianOf(pictures), u"%"_s);
    figures.add(u"film: the longest time without a new one, its seam among them"_s, gap, u"ms"_s);
}

void benchFades(Figures& figures, const QString& media) {
    figures.add(u"film: blits at 62 a second on two outputs that were late"_s, blitLoop(kTickMs, 20), u"%"_s);
    Screens screens(media);
    Scene one = sceneOf({}, u"Slate and shutter"_s);
    Scene two = sceneOf({}, u"loaf and line"_s);
    one.look.backdrop.kind = two.look.backdrop.kind = BackdropKind::Plain;
    one.look.backdrop.colour = {20, 40, 60, 255};
    two.look.backdrop.colour = {60, 40, 20, 255};
    for (Scene* scene : {&one, &two})
        scene->look.transition = scene->look.backdropTransition = {TransitionKind::Fade, kFadeMs};
    screens.show(one);
    screens.show(two);
    qint64 steps = 0;
    double late = 0;
    QElapsedTimer time;
    double last = 0;
    QObject::connect(screens.pictures[1].get(), &OutputPicture::changed, [&] {
        const double now = msOf(time);
        if (last > 0) {
            ++steps;
            late += now - last > 2 * kTickMs ? 1 : 0;
        }
        last = now;
    });
    for (int i = 0; i < kFades; ++i) {
        time.start();
        last = 0;
        screens.show(i % 2 == 0 ? one : two);
        passFor(100);
    }
    figures.add(u"film: steps of a fade with its backdrop on two outputs that were late"_s,
                steps > 0 ? 100 * late / double(steps) : 100, u"%"_s);
}

/// When beeps were played, by the samples of the device: whoever reads them late hears them no later.
class BeepListener : public QObject {
public:
    explicit BeepListener(const QElapsedTimer& time) {
        connect(&m_recorder, &QProcess::readyReadStandardOutput, this, [this, &time] {
            const QByteArray bytes = m_recorder.readAllStandardOutput();
            const auto* samples = reinterpret_cast<const qint16*>(bytes.constData());
            const qsizetype count = bytes.size() / 2;
            for (qsizetype i = 0; i < count; ++i)
                if (std::abs(samples[i]) > 1000 && (m_beeps.empty() || m_heard + i - m_beeps.back() > 24'000))
                    m_beeps.push_back(m_heard + i);
            m_heard += count;
            m_begins.push_back(msOf(time) - double(m_heard) / 48);
        });
        m_recorder.start(u"parec"_s, {u"-d"_s, u"hall.monitor"_s, u"--raw"_s, u"--format=s16le"_s,
                                      u"--rate=48000"_s, u"--channels=1"_s, u"--latency-msec=5"_s});
    }
    ~BeepListener() override {
        m_recorder.kill();
        m_recorder.waitForFinished();
    }
    /// Ms of the timer.
    [[nodiscard]] std::vector<double> beeps() const {
        if (m_begins.empty())
            return {};
        const double begin = medianOf(m_begins);
        std::vector<double> times;
        for (const qint64 sample : m_beeps)
            times.push_back(begin + double(sample) / 48);
        return times;
    }

private:
    QProcess m_recorder;
    qint64 m_heard = 0;           ///< samples
    std::vector<qint64> m_beeps;  ///< the sample that each begins with
    std::vector<double> m_begins; ///< when the first sample was played, as each piece that came says
};

/// A film that flashes and beeps once a second, heard by a device that is none: when its beeps are played
/// against when its flashes come. What the device itself holds back is counted as the film's.
void benchSound(Figures& figures, const QString& media, bool isLong) {
    constexpr double kMostApart = 40; // ms
    const int seconds = isLong ? kLongSeconds : kPlayedSeconds;
    const QString path = media + u"/beeps.mp4"_s;
    if (!makeFilm(path, {.pictures = 25 * 40})) // it goes round
        qFatal("ffmpeg makes no film");
    Loudspeakers loudspeakers;
    QElapsedTimer time;
    time.start();
    BeepListener listener(time);
    message::OpenFilm order;
    order.path = path;
    order.shown = {320, 180};
    order.film.isHeard = true;
    FilmClient film(order);
    std::vector<double> flashes;
    int before = -1;
    QObject::connect(&film, &FilmClient::pictureCame, [&] {
        const int number = numberOnPicture(film.picture().image);
        if (number / 25 != before / 25 || number < before)
            flashes.push_back(msOf(time) - double(number % 25) * 40);
        before = number;
    });
    film.play();
    const double stolen = stolenSeconds();
    passFor(seconds * 1000);
    figures.add(u"film: taken away by others while its sound was measured"_s,
                100 * (stolenSeconds() - stolen) / seconds, u"% of a core"_s);
    std::vector<double> apart;
    const std::vector<double> beeps = listener.beeps();
    for (size_t i = 1; i < beeps.size(); ++i) {
        double nearest = 1e9;
        for (const double flash : flashes)
            if (std::abs(beeps[i] - flash) < std::abs(nearest))
                nearest = beeps[i] - flash;
        if (std::abs(nearest) < 500)
            apart.push_back(nearest);
    }
    if (apart.size() < 20)
        qFatal("no beeps were heard");
    const auto part = std::ptrdiff_t(apart.size() / 5);
    figures.add(u"film: sound behind its picture, the first fifth of %1 s"_s.arg(seconds),
                medianOf({apart.begin(), apart.begin() + part}), u"ms"_s);
    figures.add(u"film: the same, the last fifth"_s, medianOf({apart.end() - part, apart.end()}), u"ms"_s);
    const auto near =
        std::count_if(apart.begin(), apart.end(), [](double ms) { return std::abs(ms) <= kMostApart; });
    figures.add(u"film: of its seconds, within 40 ms"_s, 100.0 * double(near) / double(apart.size()), u"%"_s);
    std::sort(apart.begin(), apart.end());
    figures.add(u"film: sound behind its picture, least"_s, apart.front(), u"ms"_s);
    figures.add(u"film: the same, most"_s, apart.back(), u"ms"_s);
}

} // namespace

void benchFilmTiming(Figures& figures, const QString& media, const QString& film, bool isLong) {
    if (QGuiApplication::screens().size() < 3)
        qFatal("two monitors besides the desks' are needed");
    benchPictures(figures, media, film);
    benchFades(figures, media);
    benchSound(figures, media, isLong);
}

} // namespace mivanta
