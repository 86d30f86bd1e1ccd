// SPDX-License-Identifier: GPL-3.0-or-later
#include "media/LoudnessMeasure.h"
#include "core/base/Said.h"
#include "media/FfmpegRun.h"
#include "media/FilmFormat.h"
#include "media/SoundFormat.h"
#include <QRegularExpression>

namespace mivanta {

using namespace Qt::StringLiterals;

namespace {

constexpr int kLongestMeasuringMs = 10 * 60'000;

/// Of the summary at the end: "I: -18.3 LUFS", "Peak: -1.2 dBFS". The last one counts.
std::optional<double> numberIn(const QString& text, const QString& pattern) {
    std::optional<double> number;
    auto found = QRegularExpression(pattern).globalMatch(text);
    while (found.hasNext())
        number = found.next().captured(1).toDouble();
    return number;
}

} // namespace

Result<Loudness> measuredLoudness(const QString& path) {
    QByteArray format = soundFormatOf(path);
    if (format.isEmpty())
        format = filmFormatOf(path);
    const QString filter = u"ebur128=framelog=verbose:peak=true"_s; // for machines
    const auto said =
        runFfmpeg(path, format, {u"-nostats"_s, u"-vn"_s},
                  {u"-map"_s, u"0:a:0"_s, u"-af"_s, filter, u"-f"_s, u"null"_s, u"-"_s}, kLongestMeasuringMs);
    const auto lufs = said ? numberIn(*said, u"\\bI:\\s+(-?[0-9.]+) LUFS"_s) : std::nullopt;
    if (!lufs)
        return failure(Said::tr("how loud it is could not be measured: %1")
                           .arg(said ? Said::tr("nothing was heard") : said.error().what),
                       path);
    return Loudness{*lufs, numberIn(*said, u"\\bPeak:\\s+(-?[0-9.]+) dBFS"_s).value_or(0)};
}

} // namespace mivanta
