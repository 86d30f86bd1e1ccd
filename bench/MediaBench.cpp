// SPDX-License-Identifier: GPL-3.0-or-later
#include "MediaBench.h"
#include "Figures.h"
#include "Memory.h"
#include "Timing.h"
#include "desk/media/MediaGrid.h"
#include "desk/media/MediaModel.h"
#include "session/Session.h"
#include <QApplication>
#include <QDir>
#include <QElapsedTimer>
#include <QEventLoop>
#include <QFile>
#include <QProcess>
#include <QScrollBar>
#include <QTemporaryDir>
#include <QTimer>

namespace mivanta {

namespace {

using namespace Qt::StringLiterals;

constexpr int kFiles = 20'000;
constexpr int kInAFolder = 200;
constexpr int kRounds = 7;
constexpr int kFrames = 200;

void pass(int ms) {
    QEventLoop loop;
    QTimer::singleShot(ms, &loop, &QEventLoop::quit);
    loop.exec();
}

void makeFiles(const QString& folder) {
    for (int i = 0; i < kFiles; ++i) {
        const QString inside = u"%1/%2"_s.arg(folder).arg(i / kInAFolder);
        if (i % kInAFolder == 0)
            QDir().mkpath(inside);
        QFile file(u"%1/harbour picture %2.jpg"_s.arg(inside).arg(i));
        if (!file.open(QIODevice::WriteOnly))
            qFatal("the files cannot be made");
        file.write(QByteArray(1 + i % 1000, 'x')); // no pictures: what is drawn is a sign
    }
}

void benchReading(Figures& figures, const QString& folder) {
    std::vector<double> ours;
    std::vector<double> theirs;
    for (int round = 0; round < kRounds; ++round) { // in turn
        QElapsedTimer time;
        time.start();
        QProcess find;
        find.setStandardOutputFile(QProcess::nullDevice());
        find.start(u"find"_s, {folder, u"-type"_s, u"f"_s, u"-printf"_s, u"%p %s %T@\n"_s});
        find.waitForFinished(-1);
        theirs.push_back(msOf(time));
        time.restart();
        if (const auto files = readMediaFolder(folder); !files || files->size() != kFiles)
            qFatal("the folder was not read");
        ours.push_back(msOf(time));
    }
    figures.addTimes(u"find with size and time of 20,000 files"_s, theirs);
    figures.addTimes(u"read a watched folder of 20,000 files"_s, ours);
}

} // namespace

void benchMedia(Figures& figures) {
    QTemporaryDir folder;
    const QString pictures = folder.filePath(u"pictures"_s);
    makeFiles(pictures);
    benchReading(figures, pictures);
    Session session({LibraryAddress(folder.filePath(u"library"_s)),
                     ThisComputer(folder.filePath(u"computer"_s)),
                     {},
                     false,
                     {},
                     {},
                     true});
    MediumPictures small;
    small.setPictures(folder.filePath(u"library/media"_s), folder.filePath(u"cache"_s));
    MediaModel model(session);
    MediaGrid grid(&model, small);
    grid.resize(900, 700);
    grid.show();
    const double before = memoryOf(QCoreApplication::applicationPid(), "Pss");
    session.folders().watch(pictures);
    while (model.rowCount() != kFiles)
        pass(20);
    pass(500);
    std::vector<double> queries;
    std::vector<double> frames;
    for (const QString& query : {u"h"_s, u"har"_s, u"picture 19"_s, u"nothing"_s, QString()}) {
        MediaFilter filter;
        filter.query = query;
        QElapsedTimer time;
        time.start();
        model.show({}, filter);
        QApplication::processEvents();
        queries.push_back(msOf(time));
    }
    QScrollBar* bar = grid.verticalScrollBar();
    for (int i = 0; i < kFrames; ++i) {
        QElapsedTimer time;
        time.start();
        bar->setValue(bar->maximum() * (i * 37 % kFrames) / kFrames);
        grid.viewport()->repaint();
        frames.push_back(msOf(time));
        pass(2);
    }
    figures.addTimes(u"search 20,000 media and show what is found"_s, queries);
    figures.addTimes(u"a frame of scrolling 20,000 media"_s, frames);
    figures.add(u"memory for 20,000 media"_s, memoryOf(QCoreApplication::applicationPid(), "Pss") - before,
                u"MiB"_s);
}

} // namespace mivanta
