// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "support/TestFilm.h"
#include <QDir>
#include <QFile>

namespace mivanta {

/// A video disc for tests, as a folder: its first title lasts ten seconds, in chapters of four, four and two,
/// and its pictures carry their numbers (see TestFilm); its English sound beeps, its German one is silent.
/// Its second title lasts three seconds, without sound.
struct TestDisc {
    QString folder; ///< with VIDEO_TS in it
    [[nodiscard]] QString file(const QString& name) const {
        return folder + QStringLiteral("/VIDEO_TS/") + name;
    }
};

inline bool runHere(const QString& folder, const QString& program, const QStringList& arguments) {
    QProcess process;
    process.setWorkingDirectory(folder);
    process.setProcessChannelMode(QProcess::MergedChannels);
    auto environment = QProcessEnvironment::systemEnvironment();
    environment.insert(QStringLiteral("VIDEO_FORMAT"), QStringLiteral("PAL"));
    process.setProcessEnvironment(environment);
    process.start(program, arguments);
    const bool isDone = process.waitForFinished(120'000) && process.exitCode() == 0;
    if (!isDone)
        qWarning("%s: %s", qPrintable(program), process.readAll().constData());
    return isDone;
}

/// Nothing when a program that it needs fails.
inline std::optional<TestDisc> makeDisc(const QString& workFolder) {
    TestFilm film;
    film.size = {352, 288};
    film.pictures = 250;
    film.encoder = QStringLiteral("-f lavfi -t 10 -i anullsrc=r=48000:cl=mono -map 0:v -map 1:a -map 2:a "
                                  "-c:v mpeg2video -b:v 1200k -g 12 -c:a ac3 -f dvd")
                       .split(u' ');
    TestFilm silent = film;
    silent.pictures = 75;
    silent.hasSound = false;
    silent.encoder = QStringLiteral("-c:v mpeg2video -b:v 1200k -g 12 -f dvd").split(u' ');
    const QDir work(workFolder);
    QFile plan(work.filePath(QStringLiteral("plan.xml")));
    if (!makeFilm(work.filePath(QStringLiteral("one.mpg")), film) ||
        !makeFilm(work.filePath(QStringLiteral("two.mpg")), silent) || !plan.open(QIODevice::WriteOnly))
        return {};
    plan.write(R"(<dvdauthor dest="disc"><vmgm/>
<titleset><titles><audio lang="en"/><audio lang="de"/><subpicture lang="en"/>
<pgc><vob file="one.mpg" chapters="0,4,8"/></pgc></titles></titleset>
<titleset><titles><pgc><vob file="two.mpg"/></pgc></titles></titleset></dvdauthor>)");
    plan.close();
    if (!runHere(workFolder, QStringLiteral("dvdauthor"), {QStringLiteral("-x"), QStringLiteral("plan.xml")}))
        return {};
    return TestDisc{work.filePath(QStringLiteral("disc"))};
}

/// The same disc as an image; empty when that fails.
inline QString imageOf(const TestDisc& disc, const QString& path) {
    return runHere(QFileInfo(path).path(), QStringLiteral("genisoimage"),
                   {QStringLiteral("-quiet"), QStringLiteral("-dvd-video"), QStringLiteral("-V"),
                    QStringLiteral("HARBOUR"), QStringLiteral("-o"), path, disc.folder})
               ? path
               : QString();
}

} // namespace mivanta
