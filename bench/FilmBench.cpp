// SPDX-License-Identifier: GPL-3.0-or-later
#include "FilmBench.h"
#include "Figures.h"
#include "FilmTimingBench.h"
#include "Processor.h"
#include "Timing.h"
#include "core/run/RunState.h"
#include "link/PlayerClient.h"
#include "media/FilmLoad.h"
#include "store/ShippedThemes.h"
#include <QCryptographicHash>
#include <QGuiApplication>
#include <QProcess>
#include <QScreen>

namespace mivanta {

namespace {

using namespace Qt::StringLiterals;

constexpr int kFilmSeconds = 40;
constexpr int kMeasured = 15;
constexpr int kTakes = 25; ///< in a row over one backdrop
constexpr int kRounds = 12;
constexpr int kFilms = 20;
constexpr int kPauseMs = 150;
constexpr QSize kFull{1920, 1080};

/// Moves everywhere and has some noise, as what a camera takes.
QString makeFilmOf(const QString& media, const QString& size, const QString& rate, int seconds) {
    QDir().mkpath(media);
    const QString path = media + u"/film.mp4"_s;
    QProcess::execute(u"ffmpeg"_s, {u"-v"_s, u"error"_s, u"-y"_s, u"-f"_s, u"lavfi"_s, u"-i"_s,
                                    u"testsrc2=s=%1:r=30,noise=alls=8:allf=t"_s.arg(size), u"-t"_s,
                                    QString::number(seconds), u"-c:v"_s, u"libx264"_s, u"-preset"_s,
                                    u"veryfast"_s, u"-b:v"_s, rate, u"-pix_fmt"_s, u"yuv420p"_s, path});
    QFile file(path);
    QCryptographicHash hash(QCryptographicHash::Sha256);
    if (!file.open(QIODevice::ReadOnly) || !hash.addData(&file))
        qFatal("ffmpeg makes no film");
    const QString name = QString::fromLatin1(hash.result().toHex()) + u".mp4"_s;
    file.rename(media + u'/' + name);
    return name;
}

/// Cores that ffmpeg takes to decode the film as fast as it plays, to pixels that nobody looks at.
double decodingAlone(const QString& path) {
    return secondsToRun(u"ffmpeg"_s,
                        {u"-v"_s, u"error"_s, u"-y"_s, u"-i"_s, path, u"-t"_s, QString::number(kMeasured),
                         u"-f"_s, u"rawvideo"_s, u"-pix_fmt"_s, u"bgra"_s, u"/dev/null"_s}) /
           kMeasured;
}

Output screen(int number) {
    Output output = usualOutputs().front();
    output.name = u"screen %1"_s.arg(number);
    output.size = kFull;
    output.insists.clear();
    return output;
}

Scene words(const Output& output, const QString& film, const QString& text) {
    Scene scene;
    scene.output = output.name;
    scene.size = output.size;
    scene.look = shippedThemes().front().look;
    scene.look.transition.kind = scene.look.backdropTransition.kind = TransitionKind::Cut;
    if (!film.isEmpty()) {
        scene.look.backdrop.kind = BackdropKind::Film;
        scene.look.backdrop.film = film;
    }
    scene.fontSize = 84;
    for (const QString& line : text.split(u'\n'))
        scene.rows.push_back({line, {}, {}});
    scene.film = filmOf(scene.look.backdrop);
    return scene;
}

/// Takes on two outputs, as an operator makes them.
class Taking {
public:
    explicit Taking(PlayerClient& player) : m_player(player) {
        QObject::connect(&player, &PlayerClient::painted,
                         [this](const QString& output, quint64 take, bool) { m_painted[output] = take; });
        m_outputs = {screen(1), screen(2)};
        player.setOutputs(m_outputs, QGuiApplication::primaryScreen()->name());
        passFor(500);
    }
    [[nodiscard]] std::vector<Scene> scenes(const QString& film, const QString& text) const {
        return {words(m_outputs[0], film, text), words(m_outputs[1], film, text)};
    }
    /// From the order until both are painted, ms.
    double take(const std::vector<Scene>& scenes) {
        QElapsedTimer time;
        time.start();
        const quint64 number = m_player.show(scenes);
        waitUntil(
            [&] { return m_painted[m_outputs[0].name] == number && m_painted[m_outputs[1].name] == number; });
        return msOf(time);
    }
    /// Of words that were drawn ahead, over a film or a still backdrop.
    void takeOver(const QString& film, std::vector<double>& all) {
        take(scenes(film, u"first"_s));
        passFor(1000);
        for (int i = 0; i < kTakes; ++i) {
            const auto next = scenes(film, u"Slate and shutter %1,\nloaf and line"_s.arg(all.size()));
            m_player.prepare(next);
            passFor(kPauseMs);
            all.push_back(take(next));
        }
    }
    /// Of films that were next.
    std::vector<double> takesOfFilms(const QString& film) {
        std::vector<double> all;
        for (int i = 0; i < kFilms; ++i) {
            auto next = scenes(film, {});
            for (Scene& scene : next) {
                scene.rows.clear();
                scene.film->isOnce = true;
                scene.film->item = u"film %1"_s.arg(i);
            }
            m_player.prepare(next);
            passFor(1500);
            all.push_back(take(next));
        }
        return all;
    }

private:
    PlayerClient& m_player;
    std::vector<Output> m_outputs;
    std::map<QString, quint64> m_painted;
};

void benchFilmTakes(Figures& figures, PlayerClient& player, const QString& media, const QString& film) {
    const QString large = makeFilmOf(media, u"3840x2160"_s, u"40M"_s, 20);
    if (const auto cores = coresForFilm(media + u'/' + large, 0))
        figures.add(u"film: 4K, as Check measures it"_s, *cores, u"cores"_s);
    Taking taking(player);
    figures.addTimes(u"film: take of a film that was next, to its first picture"_s,
                     taking.takesOfFilms(film));
    std::vector<double> still;
    std::vector<double> moving;
    std::vector<double> heavy;
    for (int round = 0; round < kRounds; ++round) { // in turn, so that what disturbs disturbs all of them
        taking.takeOver({}, still);
        taking.takeOver(film, moving);
        taking.takeOver(large, heavy);
    }
    const QString onStill = u"film: take of words over a still backdrop"_s;
    const QString onMoving = u"film: take of words over a moving backdrop"_s;
    const QString onHeavy = u"film: take of words over a film of 4K"_s;
    figures.addTimes(onStill, still);
    figures.addTimes(onMoving, moving);
    figures.addTimes(onHeavy, heavy);
    figures.add(u"film: moving against still, p99"_s, figures.p99(onMoving) / figures.p99(onStill),
                u"times"_s);
    figures.add(u"film: 4K against still, p99"_s, figures.p99(onHeavy) / figures.p99(onStill), u"times"_s);
}

/// Beside ffmpeg, which takes `floor` cores.
void benchFilmCores(Figures& figures, PlayerClient& player, qint64 pid, const QString& film, double floor) {
    std::map<QString, quint64> painted;
    const auto watching =
        QObject::connect(&player, &PlayerClient::painted,
                         [&](const QString& output, quint64 take, bool) { painted[output] = take; });
    double before = 0;
    for (int count = 1; count <= int(std::min<qsizetype>(3, QGuiApplication::screens().size() - 1));
         ++count) {
        std::vector<Output> outputs;
        std::vector<Scene> scenes;
        for (int i = 1; i <= count; ++i) {
            outputs.push_back(screen(i));
            scenes.push_back(
                words(outputs.back(), film, u"Slate and shutter, loaf and line,\nhands that know"_s));
        }
        player.setOutputs(outputs, QGuiApplication::primaryScreen()->name());
        passFor(500);
        const quint64 take = player.show(scenes);
        waitUntil([&] { return painted[outputs.back().name] == take; });
        passFor(2000);
        const double used = processorSeconds(pid);
        const double decoding = childrenSeconds(pid);
        passFor(kMeasured * 1000);
        const double playing = (processorSeconds(pid) - used) / kMeasured;
        const double decoded = (childrenSeconds(pid) - decoding) / kMeasured;
        const QString what = u"film: 1080p30 with words on %1 outputs"_s.arg(count);
        figures.add(what, playing + decoded, u"cores"_s);
        figures.add(what + u", of that decoding"_s, decoded, u"cores"_s);
        if (count == 1)
            figures.add(u"film: against ffmpeg"_s, (playing + decoded) / floor, u"times"_s);
        else
            figures.add(u"film: output %1 more"_s.arg(count), playing + decoded - before, u"cores"_s);
        before = playing + decoded;
    }
    QObject::disconnect(watching);
}

} // namespace

void benchFilm(Figures& figures, const QString& folder, const QString& which, bool isLong) {
    const auto isWanted = [&](const QString& part) {
        return which.isEmpty() || which == u"film" || which == u"film-"_s + part;
    };
    const QString media = folder + u"/film/media"_s;
    const QString film = makeFilmOf(media, u"1920x1080"_s, u"8M"_s, kFilmSeconds);
    const QString session = folder + u"/film/session"_s;
    QDir().mkpath(session);
    message::Hello hello;
    hello.pictures = media;
    PlayerClient player({session, QStringLiteral(MIVANTA_BIN_DIR "/mivanta-player"), hello});
    bool isThere = false;
    QObject::connect(&player, &PlayerClient::welcomed, [&] { isThere = true; });
    player.start();
    waitUntil([&] { return isThere; });
    if (isWanted(u"cores"_s)) {
        const double floor = decodingAlone(media + u'/' + film);
        figures.add(u"film: ffmpeg decodes 1080p30 to BGRA"_s, floor, u"cores"_s);
        benchFilmCores(figures, player, playerPid(session), film, floor);
    }
    if (isWanted(u"takes"_s))
        benchFilmTakes(figures, player, media, film);
    player.quit();
    waitUntil([&] { return playerPid(session) == 0; });
    if (isWanted(u"timing"_s))
        benchFilmTiming(figures, media, film, isLong);
}

} // namespace mivanta
