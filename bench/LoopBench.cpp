// SPDX-License-Identifier: GPL-3.0-or-later
#include "LoopBench.h"
#include "FadeFrames.h"
#include "Figures.h"
#include "Memory.h"
#include "Processor.h"
#include "Timing.h"
#include "core/run/Cards.h"
#include "desk/window/MainWindow.h"
#include "media/MediumLook.h"
#include "store/MediaIntake.h"
#include "store/ServiceStore.h"
#include "store/ShippedThemes.h"
#include <QDir>
#include <QImage>
#include <QPainter>
#include <malloc.h>

namespace mivanta {

namespace {

using namespace Qt::StringLiterals;

constexpr int kLoopPictures = 20;
constexpr qint64 kHour = 3600'000;
constexpr int kTimelines = 300;
constexpr int kQuietSeconds = 30;
constexpr int kQuickFade = 50; // ms

void benchTimeline(Figures& figures) {
    std::vector<LoopMemberTimes> members;
    for (int i = 0; i < 200; ++i) {
        LoopMemberTimes times;
        times.each = 3000 + i % 9 * 1000;
        times.everyRounds = i % 5 == 0 ? 1 + i % 4 : 1;
        times.isFilm = i % 17 == 0;
        members.push_back(times);
    }
    LoopRule rule;
    rule.length = 3 * kHour;
    rule.isShuffled = true;
    rule.ending = LoopEnding::WholeShowings;
    std::vector<double> all;
    size_t showings = 0;
    for (int i = 0; i < kTimelines; ++i) {
        rule.seed = quint32(i);
        QElapsedTimer time;
        time.start();
        showings += loopTimeline(members, rule).showings.size();
        all.push_back(msOf(time));
    }
    figures.addTimes(u"a loop's line of time, 200 members over 3 hours"_s, all);
    figures.add(u"showings of that line"_s, double(showings) / kTimelines, u""_s);
}

/// A service of one loop of pictures, each other than the one before, that goes round until something is
/// taken.
void makeService(const QString& library, const QString& file) {
    auto opened = Library::open(LibraryAddress(library));
    if (!opened)
        qFatal("no library");
    PictureItem set;
    QDir().mkpath(library + u"/notices"_s);
    for (int i = 0; i < kLoopPictures; ++i) {
        QImage image(1920, 1080, QImage::Format_RGB32);
        image.fill(QColor::fromHsv(i * 17, 160, 120));
        QPainter painter(&image);
        painter.setPen(Qt::white);
        for (int k = 0; k < 400; ++k) // something to decode
            painter.drawLine((k * 37 + i * 11) % 1920, 0, (k * 53) % 1920, 1080);
        painter.end();
        const QString path = library + u"/notices/%1.jpg"_s.arg(i);
        image.save(path, nullptr, 90);
        const auto medium = bringInMedium(**opened, path, lookAtMedium);
        if (!medium)
            qFatal("no picture");
        set.pictures.push_back(pictureOf(*medium));
    }
    Service service;
    service.id = ServiceId::create();
    service.title = u"Loop"_s;
    service.theme = shippedThemes().front();
    service.items = {{ItemId::create(), LoopItem{u"Notices"_s}}, {ItemId::create(), set}};
    for (Item& item : service.items)
        item.group = GroupId::fromNumber(1);
    if (!saveService(service, file, std::nullopt))
        qFatal("no service");
}

/// From picture to picture of a loop, and what does nothing but blit beside it.
void benchFrames(Figures& figures, const std::vector<Scene>& pictures, const QString& library) {
    constexpr double kSeen = 32; // ms
    PreparedFrames frames;
    frames.setPictures(LibraryAddress(library).mediaFolder(), library + u"/cache"_s);
    const auto add = [&](const QString& what, const FrameWatches& watches) {
        addFrames(figures, what, watches);
        figures.add(u"frames over 32 ms in it"_s,
                    std::max(watches[0].shareOver(kSeen), watches[1].shareOver(kSeen)), u"%"_s);
    };
    add(u"a bare blit beside a loop (floor)"_s, blitOnly());
    add(u"a loop from picture to picture"_s, fadeThrough(pictures, frames));
}

/// What it costs to go round, on a desk that is seen.
void benchQuiet(Figures& figures, const QString& there) {
    const double desks = processorSeconds(QCoreApplication::applicationPid());
    const double player = processorSeconds(playerPid(there));
    passFor(kQuietSeconds * 1000);
    figures.add(u"desks while a loop goes round, 7 s a picture"_s,
                (processorSeconds(QCoreApplication::applicationPid()) - desks) / kQuietSeconds * 100,
                u"% of a core"_s);
    figures.add(u"player while a loop goes round, 7 s a picture"_s,
                (processorSeconds(playerPid(there)) - player) / kQuietSeconds * 100, u"% of a core"_s);
}

/// Eight hours of it, the time between changes left out.
void benchHours(Figures& figures, Session& session, const QString& there) {
    // They are over sooner when pictures come quicker; they fade all the same.
    Theme quick = session.document().service().theme;
    quick.look.transition.milliseconds = quick.look.backdropTransition.milliseconds = kQuickFade;
    session.document().setTheme(quick);
    passFor(3000);
    quint64 painted = 0;
    QObject listener;
    QObject::connect(&session.player(), &PlayerClient::painted, &listener,
                     [&](const QString& output, quint64, bool) { painted += output == u"hall" ? 1 : 0; });
    const auto begins = [&] {
        const auto& stand = session.loop().stand();
        if (!stand)
            qFatal("the loop is over");
        return stand->shown().begins;
    };
    const qint64 begun = Clock::the().steady() - begins();
    const qint64 from = begins();
    std::vector<double> changes;
    double deskMemory = 0;
    double playerMemory = 0;
    qint64 drift = 0;
    while (begins() - from < 8 * kHour) {
        const quint64 before = painted;
        QElapsedTimer time;
        time.start();
        Clock::the().jump(session.loop().left().value_or(0)); // to the very next change
        drift = std::abs(Clock::the().steady() - begun - begins());
        waitUntil([&] { return painted > before; });
        changes.push_back(msOf(time));
        if (deskMemory == 0 && begins() - from > kHour / 2) {
            ::malloc_trim(0);
            deskMemory = memoryOf(QCoreApplication::applicationPid(), "Private_Dirty");
            playerMemory = memoryOf(playerPid(there), "Private_Dirty");
        }
    }
    ::malloc_trim(0);
    figures.addTimes(u"a loop's change to painted on the hall"_s, changes);
    figures.add(u"changes in 8 hours of a loop"_s, double(changes.size()), u""_s);
    figures.add(u"drift against the clock at the end of them"_s, double(drift), u"ms"_s);
    figures.add(u"memory of the desks, 8 hours of a loop against half an hour"_s,
                memoryOf(QCoreApplication::applicationPid(), "Private_Dirty") - deskMemory, u"MiB"_s);
    figures.add(u"memory of the player, 8 hours of a loop against half an hour"_s,
                memoryOf(playerPid(there), "Private_Dirty") - playerMemory, u"MiB"_s);
}

} // namespace

void benchLoop(Figures& figures, const QString& folder, LoopBench which) {
    benchTimeline(figures);
    const QString library = folder + u"/loop"_s;
    QDir().mkpath(library);
    const QString file = library + u"/loop.mivanta"_s;
    makeService(library, file);
    const QString there = sessionFolder(library);
    std::vector<Scene> pictures;
    {
        Session session({library,
                         ThisComputer(library + u"/computer"_s),
                         file,
                         true,
                         {},
                         QStringLiteral(MIVANTA_BIN_DIR "/mivanta-player")});
        MainWindow window(session, std::make_unique<DialogPrompts>(nullptr));
        window.resize(1280, 800);
        window.show();
        session.start();
        waitUntil(
            [&] { return session.book().itemCount() == 1 && session.outputs().placements().size() == 3; });
        window.goTo(MainWindow::RunAt);
        waitUntil([&] { return session.book().isComplete(); });
        passFor(1500);
        const Item& set = session.document().service().items[1];
        if (const ItemSlides* slides = session.book().slidesOf(set.id)) {
            const OutputSlides& hall = slides->outputs[size_t(mainOutput(*slides))];
            for (int i = 0; i < kLoopPictures; ++i)
                pictures.push_back(sceneOf(*slides, hall, i));
        }
        if (which == LoopBench::All) {
            session.run().take();
            passFor(kQuietSeconds / 3 * 1000); // what the first take leaves to do
            benchQuiet(figures, there);
            benchHours(figures, session, there);
        }
        session.player().quit();
    }
    QDir(there).removeRecursively();
    benchFrames(figures, pictures, library);
}

} // namespace mivanta
