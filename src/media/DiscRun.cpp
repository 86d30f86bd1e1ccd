// SPDX-License-Identifier: GPL-3.0-or-later
#include "media/DiscRun.h"
#include "core/base/Said.h"
#include "media/FfmpegRun.h"
#include "media/FilmLook.h"
#include <QCoreApplication>
#include <QElapsedTimer>
#include <QFile>
#include <QProcess>
#include <QTemporaryDir>

namespace mivanta {

using namespace Qt::StringLiterals;

namespace {

constexpr int kDiscPatienceMs =
    60'000;                      // a drive turns up its disc, and tries a scratched place again and again
constexpr int kDiscLookMs = 100; // how often is looked how far it is
constexpr double kPictureSeconds = 1;
constexpr qsizetype kLongestLine = 1000;
const QString kProtocols = u"file,pipe"_s; // for machines

QString program() {
    return QCoreApplication::applicationDirPath() + u"/mivanta-disc"_s;
}

/// A part of a title goes through ffmpeg.
class Reading {
public:
    /// `before` and `behind`: options of ffmpeg before and behind what it reads.
    Reading(const QString& path, const DiscPart& part, const QStringList& before, const QStringList& behind)
        : m_path(path) {
        for (QProcess* process : {&m_disc, &m_ffmpeg})
            becomeQuiet(*process);
        m_disc.setStandardOutputProcess(&m_ffmpeg);
        m_disc.start(program(), {u"read"_s, path, QString::number(part.title.number),
                                 QString::number(part.from, 'f', 3), QString::number(part.to, 'f', 3)});
        m_ffmpeg.start(u"ffmpeg"_s,
                       QStringList{u"-hide_banner"_s, u"-v"_s, u"error"_s, u"-y"_s, u"-protocol_whitelist"_s,
                                   kProtocols, u"-fflags"_s, u"+genpts"_s} +
                           before +
                           QStringList{u"-f"_s, u"mpeg"_s, u"-probesize"_s, u"50M"_s, u"-analyzeduration"_s,
                                       u"20M"_s, u"-i"_s, u"pipe:0"_s} +
                           behind);
    }
    ~Reading() {
        for (QProcess* process : {&m_disc, &m_ffmpeg})
            if (process->state() != QProcess::NotRunning) {
                process->kill();
                process->waitForFinished();
            }
    }
    Reading(const Reading&) = delete;
    Reading& operator=(const Reading&) = delete;

    /// Where it began, in seconds of the title. goOn(at) is asked now and then with where it is; false ends
    /// it.
    [[nodiscard]] Result<double> finish(const std::function<bool(double at)>& goOn) {
        if (!m_ffmpeg.waitForStarted())
            return failure(Said::tr("ffmpeg is not there"), m_path);
        QElapsedTimer quiet;
        quiet.start();
        while (m_ffmpeg.state() != QProcess::NotRunning && !m_ffmpeg.waitForFinished(kDiscLookMs)) {
            if (readPlaces())
                quiet.restart();
            if (!goOn(m_at.value_or(0)))
                return failure(Said::tr("it was stopped"), m_path);
            if (quiet.hasExpired(kDiscPatienceMs))
                return tl::unexpected(discError(DiscProblem::Damaged, m_path));
        }
        m_disc.waitForFinished(kDiscPatienceMs);
        readPlaces();
        if (m_disc.exitStatus() != QProcess::NormalExit || m_disc.exitCode() != 0 || !m_began)
            return tl::unexpected(discError(m_problem.value_or(DiscProblem::Unreadable), m_path));
        if (m_ffmpeg.exitStatus() != QProcess::NormalExit || m_ffmpeg.exitCode() != 0)
            return failure(QString::fromUtf8(m_ffmpeg.readAllStandardError()).trimmed().section(u'\n', -1),
                           m_path);
        return *m_began;
    }

private:
    /// Whether there were any.
    bool readPlaces() {
        m_said += m_disc.readAllStandardError();
        bool any = false;
        for (qsizetype end = 0; (end = m_said.indexOf('\n')) >= 0; m_said.remove(0, end + 1)) {
            const QByteArray line = m_said.left(end);
            bool isPlace = false;
            const double at = line.toDouble(&isPlace);
            if (!isPlace) {
                m_problem = discProblemFromJson(line);
                continue;
            }
            m_at = at;
            m_began = m_began.value_or(at);
            any = true;
        }
        m_said.truncate(kLongestLine);
        return any;
    }
    QString m_path;
    QByteArray m_said; ///< and not read yet
    std::optional<double> m_began;
    std::optional<double> m_at;
    std::optional<DiscProblem> m_problem;
    QProcess m_disc;
    QProcess m_ffmpeg;
};

/// As ffmpeg's -palette wants it.
QString paletteOf(const DiscTitle& title) {
    QStringList colours;
    for (const quint32 colour : title.palette)
        colours << u"%1"_s.arg(colour, 6, 16, '0'_L1);
    return title.size.isEmpty() || colours.size() != 16 ? QString() : colours.join(u',');
}

} // namespace

Result<Disc> lookAtDisc(const QString& path) {
    QProcess disc;
    becomeQuiet(disc);
    disc.start(program(), {u"titles"_s, path});
    if (!disc.waitForStarted())
        return failure(Said::tr("the program that reads discs is not there"), path);
    if (!disc.waitForFinished(kDiscPatienceMs)) {
        disc.kill();
        return failure(Said::tr("it takes too long"), path, Said::tr("Clean the disc and put it in again."));
    }
    if (disc.exitStatus() != QProcess::NormalExit || disc.exitCode() != 0)
        return tl::unexpected(discError(
            discProblemFromJson(disc.readAllStandardError().trimmed()).value_or(DiscProblem::Unreadable),
            path));
    return discFromJson(disc.readAllStandardOutput(), path);
}

Result<FilmPart> copyFromDisc(const QString& path, const DiscPart& part, const QString& file,
                              const std::function<bool(double done)>& goOn) {
    QStringList before;
    QStringList arguments{u"-map"_s, u"0:v:0"_s, u"-c"_s, u"copy"_s};
    if (part.sound)
        arguments << u"-map"_s << u"0:i:%1?"_s.arg(*part.sound);
    if (part.subtitles) { // those that are kept are meant to be read; for machines
        arguments << u"-map"_s << u"0:i:%1?"_s.arg(*part.subtitles) << u"-disposition:s:0"_s << u"forced"_s;
        if (const QString colours = paletteOf(part.title);
            !colours.isEmpty()) { // which they do not say themselves
            before << u"-palette"_s << colours;
            arguments << u"-c:s"_s << u"dvdsub"_s << u"-palette"_s << colours << u"-s:s"_s
                      << u"%1x%2"_s.arg(part.title.size.width()).arg(part.title.size.height());
        }
    }
    arguments << u"-f"_s << u"matroska"_s << u"file:"_s + file;
    const double length = std::max(0.001, part.to - part.from);
    const auto copied = Reading(path, part, before, arguments).finish([&](double at) {
        return !goOn || goOn(std::clamp((at - part.from) / length, 0.0, 1.0));
    });
    const auto first = copied ? earliestPicture(file, "matroska", 0) : Result<double>(0);
    if (!copied || !first) {
        QFile::remove(file);
        return tl::unexpected(copied ? first.error() : copied.error());
    }
    const double shift = *first - *copied;
    return FilmPart{std::max(0.0, part.from + shift), part.to + shift};
}

Result<QImage> pictureOfDisc(const QString& path, int title, double seconds, QSize size,
                             const std::function<bool(double done)>& goOn) {
    DiscPart moment;
    moment.title.number = title;
    moment.from = seconds;
    moment.to = seconds + kPictureSeconds;
    const QTemporaryDir folder;
    const QString file = folder.filePath(u"moment.mkv"_s);
    const auto part = copyFromDisc(path, moment, file, goOn);
    if (!part)
        return tl::unexpected(part.error());
    return pictureOfFilm(file, part->from, size);
}

} // namespace mivanta
