// SPDX-License-Identifier: GPL-3.0-or-later
#include "media/FilmCut.h"
#include "core/base/Said.h"
#include "media/FfmpegRun.h"
#include "media/FilmFormat.h"
#include "media/FilmLook.h"
#include <QFile>

namespace mivanta {

using namespace Qt::StringLiterals;

namespace {

constexpr int kLongestCutMs = 10 * 60 * 1000;
constexpr double kNearly = 0.001; // seconds
constexpr double kBehind = 1; // seconds that are copied behind the part: pictures are stored in another order

} // namespace

QString suffixOfCut(const QString& path) {
    return filmFormatOf(path) == "mov" ? u"mov"_s : u"mkv"_s;
}

Result<CutFilm> cutFilm(const QString& path, const FilmPart& part, const QString& file) {
    const QByteArray format = filmFormatOf(path);
    const QByteArray written = format == "mov" ? "mov" : "matroska";
    if (format != "mov" && format != "matroska") // others have no list of where they can be cut
        return failure(Said::tr("this kind of film cannot be cut exactly"), path);
    const auto begin = earliestPicture(path, format, part.from);
    if (!begin || *begin > part.from + kNearly)
        return failure(Said::tr("it cannot be cut there"), path);
    QStringList behind;
    if (part.to > 0)
        behind << u"-t"_s << QString::number(part.to - part.from + kBehind, 'f', 3);
    // for machines
    behind << QStringList{
        u"-map"_s,      u"0:v:0"_s, u"-map"_s, u"0:a?"_s, u"-c"_s, u"copy"_s, u"-avoid_negative_ts"_s,
        u"make_zero"_s, u"-f"_s};
    behind << QString::fromLatin1(written) << u"file:"_s + file;
    const auto copied = runFfmpeg(path, format, {u"-y"_s, u"-ss"_s, QString::number(part.from, 'f', 3)},
                                  behind, kLongestCutMs);
    const auto first = copied ? earliestPicture(file, written, 0) : Result<double>(0);
    const auto facts = copied && first ? lookAtFilm(file) : Result<FilmFacts>(FilmFacts{});
    if (!copied || !first || !facts) {
        QFile::remove(file);
        return tl::unexpected(!copied ? copied.error() : !first ? first.error() : facts.error());
    }
    return CutFilm{*first - *begin, facts->seconds};
}

} // namespace mivanta
