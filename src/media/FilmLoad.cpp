// SPDX-License-Identifier: GPL-3.0-or-later
#include "media/FilmLoad.h"
#include "core/base/Said.h"
#include "media/FfmpegRun.h"
#include "media/FilmFormat.h"
#include <QRegularExpression>

namespace mivanta {

using namespace Qt::StringLiterals;

namespace {

constexpr int kLongestTrialMs = 30'000;
constexpr double kMeasured = 3; // seconds of the film

} // namespace

Result<double> coresForFilm(const QString& path, double from) {
    const auto said =
        runFfmpeg(path, filmFormatOf(path),
                  {u"-benchmark"_s, u"-ss"_s, QString::number(from), u"-t"_s, QString::number(kMeasured)},
                  {u"-map"_s, u"0:v:0"_s, u"-f"_s, u"null"_s, u"-"_s}, kLongestTrialMs);
    if (!said)
        return tl::unexpected(said.error());
    static const QRegularExpression bench(u"bench: utime=([0-9.]+)s stime=([0-9.]+)s"_s); // for machines
    static const QRegularExpression time(u"time=([0-9]+):([0-9]+):([0-9.]+)"_s);          // for machines
    const auto used = bench.match(*said);
    double seconds = 0;
    auto played = time.globalMatch(*said);
    while (played.hasNext()) {
        const auto at = played.next();
        seconds =
            at.captured(1).toDouble() * 3600 + at.captured(2).toDouble() * 60 + at.captured(3).toDouble();
    }
    if (!used.hasMatch() || seconds <= 0)
        return failure(Said::tr("it could not be measured how much work it makes"), path);
    return (used.captured(1).toDouble() + used.captured(2).toDouble()) / seconds;
}

} // namespace mivanta
