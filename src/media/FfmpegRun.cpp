// SPDX-License-Identifier: GPL-3.0-or-later
#include "media/FfmpegRun.h"
#include "core/base/Said.h"
#include <QProcess>
#include <algorithm>
#include <csignal>
#include <sys/prctl.h>
#include <sys/resource.h>
#include <vector>

namespace mivanta {

using namespace Qt::StringLiterals;

namespace {
constexpr int kNiceOfHelpers = 15;
constexpr int kProbeMs = 60'000;
} // namespace

void becomeQuiet(QProcess& helper) {
    helper.setChildProcessModifier([] {
        ::prctl(PR_SET_PDEATHSIG, SIGKILL);
        ::setpriority(PRIO_PROCESS, 0, kNiceOfHelpers);
    });
}

Result<QString> runFfmpeg(const QString& path, const QByteArray& format, const QStringList& before,
                          const QStringList& behind, int longestMs) {
    if (format.isEmpty())
        return failure(Said::tr("it is of another kind"), path);
    QProcess ffmpeg;
    ffmpeg.setProcessChannelMode(QProcess::MergedChannels);
    becomeQuiet(ffmpeg);
    ffmpeg.start(u"ffmpeg"_s, QStringList{u"-hide_banner"_s, u"-nostdin"_s, u"-protocol_whitelist"_s,
                                          u"file"_s, u"-f"_s, QString::fromLatin1(format)} +
                                  before + QStringList{u"-i"_s, u"file:"_s + path} + behind);
    if (!ffmpeg.waitForStarted())
        return failure(Said::tr("ffmpeg is not there"), path);
    if (!ffmpeg.waitForFinished(longestMs)) {
        ffmpeg.kill();
        ffmpeg.waitForFinished();
        return failure(Said::tr("it takes too long"), path);
    }
    QString said = QString::fromUtf8(ffmpeg.readAll());
    if (ffmpeg.exitStatus() != QProcess::NormalExit || ffmpeg.exitCode() != 0)
        return failure(said.trimmed().section(u'\n', -1), path);
    return said;
}

namespace {

/// Numbers that ffprobe says of a file, a line each.
std::vector<double> probed(const QString& path, const QByteArray& format, const QStringList& what) {
    QProcess probe;
    becomeQuiet(probe);
    probe.start(u"ffprobe"_s, QStringList{u"-v"_s, u"error"_s, u"-protocol_whitelist"_s, u"file"_s, u"-f"_s,
                                          QString::fromLatin1(format)} +
                                  what + QStringList{u"-of"_s, u"csv=p=0"_s, u"file:"_s + path});
    if (!probe.waitForFinished(kProbeMs))
        probe.kill();
    std::vector<double> numbers;
    for (const QByteArray& line : probe.readAllStandardOutput().split('\n')) {
        bool isNumber = false;
        const double number = line.split(',').value(0).trimmed().toDouble(&isNumber);
        if (isNumber)
            numbers.push_back(number);
    }
    return numbers;
}

} // namespace

Result<double> earliestPicture(const QString& path, const QByteArray& format, double at) {
    const auto begins = probed(path, format, {u"-show_entries"_s, u"format=start_time"_s});
    const double begin = begins.empty() ? 0 : begins.front(); // transport streams begin anywhere
    const auto seen = probed(path, format,
                             {u"-select_streams"_s, u"v:0"_s, u"-show_entries"_s, u"packet=pts_time"_s,
                              u"-read_intervals"_s, u"%1%+#8"_s.arg(at + begin, 0, 'f', 3)});
    if (seen.empty())
        return failure(Said::tr("there are no pictures in it"), path);
    return *std::min_element(seen.begin(), seen.end()) - begin;
}

} // namespace mivanta
