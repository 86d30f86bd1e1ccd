// SPDX-License-Identifier: GPL-3.0-or-later
// Measures what the aims are set for. Run it through ./run bench: it needs a display with three monitors.
#include "Editing.h"
#include "Figures.h"
#include "FilmBench.h"
#include "LiveBench.h"
#include "LookBench.h"
#include "LoopBench.h"
#include "MediaBench.h"
#include "Memory.h"
#include "ReadersBench.h"
#include "RunBench.h"
#include "ScriptureBench.h"
#include "ServiceBench.h"
#include "SongMaker.h"
#include "Timing.h"
#include "core/base/Fold.h"
#include "core/base/Language.h"
#include "core/run/RunState.h"
#include "link/PlayerClient.h"
#include "render/FontMeasure.h"
#include "render/Fonts.h"
#include "store/Database.h"
#include "store/Library.h"
#include "store/ShippedThemes.h"
#include <QApplication>
#include <QDir>
#include <QElapsedTimer>
#include <QFile>
#include <QJsonDocument>
#include <QJsonObject>
#include <QProcess>
#include <QScreen>
#include <QTemporaryDir>
#include <QThread>
#include <QTimer>
#include <QWidget>
#include <csignal>

namespace mivanta {
namespace {

using namespace Qt::StringLiterals;

constexpr int kSongs = 50'000; ///< in the large library

QByteArray asText(const Song& song) {
    QString text = u"Title: %1\nWords: %2\nBook: Bench Book %3\n"_s.arg(song.title, song.authors[0].name,
                                                                        song.bookNumbers[0].number);
    for (const Part& part : song.parts) {
        text += u"\n%1\n"_s.arg(part.label());
        for (const Line& line : part.lines)
            text += line.words + u'\n';
    }
    return text.toUtf8();
}

void benchFit(Figures& figures) {
    FontMeasures measures;
    const auto outputs = usualOutputs();
    const auto themes = shippedThemes();
    SongMaker maker;
    std::vector<double> cold;
    std::vector<double> warm;
    for (int round = 0; round < 20; ++round) {
        std::vector<ItemContent> service;
        for (int i = 0; i < 60; ++i)
            service.push_back(contentOf(maker.make(round * 60 + i)));
        FontMeasures fresh;
        for (auto* times : {&cold, &warm}) {
            QElapsedTimer time;
            time.start();
            for (const ItemContent& content : service)
                static_cast<void>(slidesFor(content, outputs, plainChain(themes.front(), themes), fresh));
            times->push_back(msOf(time));
        }
    }
    figures.addTimes(u"fit a 60-item service on 3 outputs, nothing measured before"_s, cold);
    figures.addTimes(u"fit it again"_s, warm);
}

void benchImportAndSearch(Figures& figures, const QString& folder, int songs) {
    SongMaker maker;
    const QString files = folder + u"/files"_s;
    QDir().mkpath(files);
    constexpr int kFiles = 2000;
    for (int i = 0; i < kFiles; ++i) {
        QFile file(u"%1/%2.txt"_s.arg(files).arg(i));
        if (file.open(QIODevice::WriteOnly))
            file.write(asText(maker.make(i)));
    }
    auto library = Library::open(folder + u"/library"_s);
    if (!library)
        qFatal("%s", qPrintable(library.error().text()));
    QElapsedTimer time;
    time.start();
    const auto entries = (*library)->import({files});
    figures.add(u"import of %1 text files, one transaction a file"_s.arg(entries.size()),
                double(entries.size()) / (msOf(time) / 1000), u"songs/s"_s);
    for (int from = kFiles; from < songs; from += 500) {
        const auto saved = (*library)->database().transaction([&]() -> Result<void> {
            for (int i = from; i < std::min(from + 500, songs); ++i)
                if (auto one = (*library)->save(maker.make(i)); !one)
                    return tl::unexpected(one.error());
            return {};
        });
        if (!saved)
            qFatal("%s", qPrintable(saved.error().text()));
    }

    std::mt19937 random{7};
    std::vector<double> raw;
    std::vector<double> ours;
    const QString sql = u"SELECT rowid FROM song_fts WHERE song_fts MATCH ? ORDER BY rank LIMIT 50"_s;
    for (int i = 0; i < 150; ++i) {
        const QString line =
            maker.make(int(random() % unsigned(songs))).parts[random() % 5].lines[random() % 4].words;
        const QStringList words = searchWords(line);
        const QString query = (words.value(0) + u' ' + words.value(1)).trimmed();
        for (int length = 1; length <= query.size(); ++length) { // as it is typed, letter by letter
            QStringList terms;
            for (const QString& word : searchWords(query.left(length)))
                terms << u'"' + word + u"\"*"_s;
            time.start();
            static_cast<void>((*library)->database().read(sql, {terms.join(u' ')}, [](const Row& row) {
                static_cast<void>(row.number(0));
                return true;
            }));
            raw.push_back(msOf(time));
            time.start();
            const auto hits = (*library)->find(query.left(length));
            ours.push_back(msOf(time));
            if (!hits)
                qFatal("%s", qPrintable(hits.error().text()));
        }
    }
    const QString rawName = u"raw full-text query among %1 songs, a key press"_s.arg(songs);
    const QString ourName = u"Find among %1 songs, a key press"_s.arg(songs);
    figures.addTimes(rawName, raw);
    figures.addTimes(ourName, ours);
    figures.add(u"Find against raw, p50"_s, figures.median(ourName) / figures.median(rawName), u"times"_s);
    figures.add(u"Find against raw, p99"_s, figures.p99(ourName) / figures.p99(rawName), u"times"_s);

    // Two words as they are typed, the second one misspelt: two of its letters swapped.
    std::vector<double> wrong;
    for (int i = 0; i < 150; ++i) {
        const QStringList words =
            searchWords(maker.make(int(random() % unsigned(songs))).parts[0].lines[0].words);
        QString second =
            *std::max_element(words.begin(), words.end(),
                              [](const QString& a, const QString& b) { return a.size() < b.size(); });
        if (second.size() < 4)
            continue;
        std::swap(second[1], second[2]);
        time.start();
        static_cast<void>((*library)->find(words.value(0) + u' ' + second));
        wrong.push_back(msOf(time));
    }
    const QString wrongName = u"Find among %1 songs, a misspelt word"_s.arg(songs);
    figures.addTimes(wrongName, wrong);
    figures.add(u"misspelt against raw, p99"_s, figures.p99(wrongName) / figures.p99(rawName), u"times"_s);
}

void benchTake(Figures& figures, const QString& folder) {
    FontMeasures measures;
    const auto themes = shippedThemes();
    auto outputs = usualOutputs();
    outputs.resize(2); // hall and stage, full-screen at 1920x1080
    outputs[1].look = {};
    outputs[1].insists.clear();
    Theme theme = themes.front();
    theme.look.transition.kind = TransitionKind::Cut;
    theme.look.backdropTransition.kind = TransitionKind::Cut;
    PlayerClient player(
        {sessionFolder(folder + u"/take"_s), QStringLiteral(MIVANTA_BIN_DIR "/mivanta-player"), {}});
    bool welcomed = false;
    QHash<QString, quint64> painted;
    QObject::connect(&player, &PlayerClient::welcomed, [&] { welcomed = true; });
    QObject::connect(&player, &PlayerClient::painted,
                     [&](const QString& output, quint64 take, bool) { painted[output] = take; });
    player.start();
    waitUntil([&] { return welcomed; });
    player.setOutputs(outputs, QGuiApplication::primaryScreen()->name());
    QThread::msleep(500);

    SongMaker maker;
    std::vector<double> ahead;
    std::vector<double> missed;
    const auto take = [&](const std::vector<Scene>& scenes) {
        QElapsedTimer time;
        time.start();
        const quint64 number = player.show(scenes);
        waitUntil([&] { return painted[u"hall"_s] == number && painted[u"stage"_s] == number; });
        return msOf(time);
    };
    for (int song = 0; int(ahead.size()) < 300; ++song) {
        const ItemSlides slides =
            slidesFor(contentOf(maker.make(song)), outputs, plainChain(theme, themes), measures);
        for (size_t s = 0; s < slides.steps.size(); ++s) {
            const auto scenes = scenesAt(slides, slides.steps[s].position);
            if (s == 0) {
                missed.push_back(take(scenes)); // nobody drew it ahead
            } else {
                ahead.push_back(take(scenes));
            }
            if (s + 1 < slides.steps.size()) {
                player.prepare(scenesAt(slides, slides.steps[s + 1].position));
                QElapsedTimer pause; // a slide is up for at least this long
                pause.start();
                waitUntil([&] { return pause.elapsed() > 500; }, 1000);
            }
        }
    }
    figures.addTimes(u"take to painted on two outputs at 1080p, cut, drawn ahead"_s, ahead);
    figures.addTimes(u"take to painted, not drawn ahead"_s, missed);
    player.quit();
}

struct Started {
    double ms = 0;     ///< from starting the program until its window is up and its search answers
    double memory = 0; ///< MiB, when nothing happens any more; 0 = not measured
};

/// `search`: something is looked for before the memory is measured, with a word misspelt.
Started startUp(const QString& library, bool search = false) {
    const QString session = sessionFolder(library);
    QProcess process;
    QElapsedTimer time;
    process.setStandardErrorFile(QProcess::nullDevice());
    time.start();
    process.start(QStringLiteral(MIVANTA_BIN_DIR "/mivanta"),
                  {u"--library"_s, library, u"--computer"_s, library + u"/computer"_s});
    process.waitForStarted();
    PlayerClient observer({session, {}, {false, {}, {}}});
    bool usable = false;
    const auto look = [&](const QByteArray& state) { usable = usable || !state.isEmpty(); };
    QObject::connect(&observer, &PlayerClient::welcomed, look);
    QObject::connect(&observer, &PlayerClient::stateChanged, look);
    observer.start();
    waitUntil([&] { return usable; });
    Started started{msOf(time), 0}; // it keeps a state once it is usable
    if (search) {
        QProcess::execute(u"xdotool"_s, {u"search"_s, u"--sync"_s, u"--onlyvisible"_s, u"--pid"_s,
                                         QString::number(process.processId()), u"--name"_s, u"^Mivanta$"_s,
                                         u"windowfocus"_s, u"--sync"_s, u"key"_s, u"ctrl+f"_s, u"type"_s,
                                         u"tinslaka mervorin"_s});
        QThread::sleep(4);
        started.memory = memoryOf(process.processId(), "Pss");
    }
    ::kill(pid_t(process.processId()), SIGTERM);
    process.waitForFinished();
    QProcess::execute(u"pkill"_s, {u"-9"_s, u"-f"_s, session}); // the player would start the desks again
    QDir(session).removeRecursively();
    return started;
}

double bareWindow() {
    QElapsedTimer time;
    time.start();
    QProcess process;
    process.start(QCoreApplication::applicationFilePath(), {u"--bare-window"_s});
    process.waitForFinished();
    return msOf(time);
}

void benchStart(Figures& figures, const QString& folder) {
    std::vector<double> empty;
    std::vector<double> full;
    std::vector<double> bare;
    for (int i = 0; i < 11; ++i) {
        bare.push_back(bareWindow());
        empty.push_back(startUp(folder + u"/empty"_s).ms);
        full.push_back(startUp(folder + u"/library"_s).ms);
    }
    figures.addTimes(u"a bare Qt Widgets window, shown and ended"_s, bare);
    figures.addTimes(u"start to usable window and player, empty library"_s, empty);
    figures.addTimes(u"start to usable window and player, %1 songs"_s.arg(kSongs), full);
    figures.add(u"start with %1 songs against empty, p50"_s.arg(kSongs),
                figures.median(u"start to usable window and player, %1 songs"_s.arg(kSongs)) /
                    figures.median(u"start to usable window and player, empty library"_s),
                u"times"_s);
}

void benchMemory(Figures& figures, const QString& folder) {
    const double empty = startUp(folder + u"/empty"_s, true).memory;
    const double full = startUp(folder + u"/library"_s, true).memory;
    figures.add(u"memory of the running desks, empty library"_s, empty, u"MiB"_s);
    figures.add(u"memory with %1 songs, above empty"_s.arg(kSongs), full - empty, u"MiB"_s);
}

int bareWindowMain(QApplication& app) {
    QWidget window;
    window.resize(1280, 800);
    window.show();
    QTimer::singleShot(0, &app, &QApplication::quit);
    return app.exec();
}

} // namespace
} // namespace mivanta

int main(int argc, char** argv) {
    using namespace mivanta;
    QApplication app(argc, argv);
    mivanta::speak(QStringLiteral("en"));
    if (app.arguments().contains(u"--bare-window"_s))
        return bareWindowMain(app);
    loadShippedFonts();
    const QTemporaryDir folder;
    Figures figures;
    const qsizetype only =
        app.arguments().indexOf(u"--only"_s); // take, fit, drawing, readers, editor, scripture, service, run,
                                              // clocks, live, loop, media, library, film, of film only
                                              // film-cores, film-takes or film-timing, of loop loop-changes
    const QString which = only > 0 ? app.arguments().value(only + 1) : QString();
    if (which.isEmpty() || which == u"take")
        benchTake(figures, folder.path());
    if (which.isEmpty() || which == u"readers")
        benchReaders(figures);
    if (which.isEmpty() || which == u"fit")
        benchFit(figures);
    if (which.isEmpty() || which == u"drawing")
        benchLooks(figures, folder.path());
    if (which.isEmpty() || which == u"editor")
        benchEditing(figures, folder.path());
    if (which.isEmpty() || which == u"scripture")
        benchScripture(figures, folder.path());
    if (which.isEmpty() || which == u"service")
        benchService(figures, folder.path());
    if (which.isEmpty() || which == u"run")
        benchRun(figures, folder.path());
    if (which.isEmpty() || which == u"run" || which == u"clocks")
        benchClocks(figures, folder.path());
    if (which.isEmpty() || which.startsWith(u"film"))
        benchFilm(figures, folder.path(), which, app.arguments().contains(u"--long"_s));
    if (which.isEmpty() || which == u"live")
        benchLive(figures, folder.path());
    if (which.isEmpty() || which == u"loop")
        benchLoop(figures, folder.path(), LoopBench::All);
    if (which == u"loop-changes")
        benchLoop(figures, folder.path(), LoopBench::Changes);
    if (which.isEmpty() || which == u"media")
        benchMedia(figures);
    if (which.isEmpty() || which == u"library") {
        benchImportAndSearch(figures, folder.path(), kSongs);
        benchStart(figures, folder.path());
        benchMemory(figures, folder.path());
    }
    const qsizetype json = app.arguments().indexOf(u"--json"_s);
    if (json > 0 && !figures.write(app.arguments().value(json + 1)))
        qCritical("the figures could not be written");
    return 0;
}
