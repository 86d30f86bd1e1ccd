// SPDX-License-Identifier: GPL-3.0-or-later
#include "media/Recorder.h"
#include "core/base/Clock.h"
#include "media/FramePipe.h"
#include <QFileInfo>
#include <QPainter>
#include <csignal>
#include <fcntl.h>
#include <sys/prctl.h>
#include <sys/resource.h>
#include <unistd.h>

namespace mivanta {

using namespace Qt::StringLiterals;

namespace {

constexpr QSize kLargestRecorded(1920, 1080);
constexpr int kAtLeastEveryMs = 1000; ///< a picture, however still it is: so the file grows
constexpr int kEndingMs = 5000;
constexpr int kNiceOfRecorder = 5; ///< the screens come first

} // namespace

QSize recordedSize(QSize picture) {
    if (picture.width() > kLargestRecorded.width() || picture.height() > kLargestRecorded.height())
        picture.scale(kLargestRecorded, Qt::KeepAspectRatio);
    return {std::max(2, picture.width() / 2 * 2), std::max(2, picture.height() / 2 * 2)};
}

Recorder::Recorder(RecordingPlan plan, Seen seen, QObject* parent)
    : QObject(parent),
      m_plan(std::move(plan)),
      m_seen(std::move(seen)) {
    m_pictures.setTimerType(Qt::PreciseTimer);
    m_pictures.setInterval(1000 / m_plan.rate);
    connect(&m_pictures, &QTimer::timeout, this, &Recorder::drawOne);
    m_disk.setInterval(1000);
    connect(&m_disk, &QTimer::timeout, this, &Recorder::look);
    m_patience.setSingleShot(true);
    connect(&m_patience, &QTimer::timeout, &m_ffmpeg, &QProcess::kill);
    connect(&m_ffmpeg, &QProcess::finished, this, &Recorder::ended);
    connect(
        &m_ffmpeg, &QProcess::errorOccurred, this,
        [this](QProcess::ProcessError error) {
            if (error == QProcess::FailedToStart) {
                m_problem = tr("ffmpeg is not there");
                ended();
            }
        },
        Qt::QueuedConnection); // it may come while start() is at work
}

Recorder::~Recorder() {
    m_ffmpeg.disconnect(this);
    m_pipe.reset();
    if (m_ffmpeg.state() == QProcess::NotRunning)
        return;
    m_ffmpeg.terminate();
    if (!m_ffmpeg.waitForFinished(kEndingMs))
        m_ffmpeg.kill();
    m_ffmpeg.waitForFinished();
}

/// Both are stamped with the time of day as they come, so that sound and picture stay together however many
/// pictures are left out.
QStringList Recorder::arguments(int pictures) const {
    QStringList all{u"-hide_banner"_s, u"-nostdin"_s, u"-loglevel"_s, u"error"_s, u"-n"_s};
    all << u"-use_wallclock_as_timestamps"_s << u"1"_s << u"-thread_queue_size"_s << u"2"_s << u"-f"_s
        << u"rawvideo"_s << u"-pixel_format"_s << u"bgr0"_s << u"-video_size"_s
        << u"%1x%2"_s.arg(m_plan.size.width()).arg(m_plan.size.height()) << u"-framerate"_s
        << QString::number(m_plan.rate) << u"-i"_s << u"pipe:%1"_s.arg(pictures);
    if (!m_plan.soundFrom.isEmpty())
        all << u"-use_wallclock_as_timestamps"_s << u"1"_s << u"-thread_queue_size"_s << u"1024"_s
            << u"-isync"_s << u"0"_s << u"-analyzeduration"_s << u"0"_s << u"-probesize"_s << u"32"_s
            << u"-fragment_size"_s << u"9600"_s << u"-f"_s << u"pulse"_s << u"-i"_s << m_plan.soundFrom;
    all << u"-c:v"_s << u"libx264"_s << u"-preset"_s << u"ultrafast"_s << u"-crf"_s << u"20"_s
        << u"-pix_fmt"_s << u"yuv420p"_s << u"-g"_s << QString::number(2 * m_plan.rate) << u"-fps_mode"_s
        << u"vfr"_s << u"-enc_time_base:v"_s << u"1:1000"_s;
    if (!m_plan.soundFrom.isEmpty())
        all << u"-c:a"_s << u"libopus"_s << u"-b:a"_s << u"160k"_s << u"-af"_s << u"aresample=async=1000"_s;
    all << u"-cluster_time_limit"_s << u"1000"_s << u"-flush_packets"_s << u"1"_s << u"-f"_s << u"matroska"_s
        << u"file:"_s + m_plan.path;
    return all;
}

void Recorder::start() {
    int ends[2]{-1, -1};
    if (::pipe2(ends, O_CLOEXEC) != 0) {
        m_problem = tr("there are too many open files");
        QMetaObject::invokeMethod(this, &Recorder::ended, Qt::QueuedConnection);
        return;
    }
    const int readEnd = ends[0];
    m_ffmpeg.setStandardInputFile(QProcess::nullDevice());
    m_ffmpeg.setStandardOutputFile(QProcess::nullDevice());
    m_ffmpeg.setChildProcessModifier([readEnd, hasSound = !m_plan.soundFrom.isEmpty()] {
        ::fcntl(readEnd, F_SETFD, 0);
        if (hasSound) // else it ends with its pictures
            ::prctl(PR_SET_PDEATHSIG, SIGTERM);
        ::setpriority(PRIO_PROCESS, 0, kNiceOfRecorder);
    });
    m_pipe = std::make_unique<FramePipe>(ends[1], m_plan.path);
    m_lastAt = Clock::the().steady();
    m_ffmpeg.start(u"ffmpeg"_s, arguments(readEnd));
    ::close(readEnd);
    m_pipe->start();
    m_pictures.start();
    m_disk.start();
}

void Recorder::drawOne() {
    const qint64 now = Clock::the().steady();
    if (!m_beganAt && m_pipe->fileSize() > 0)
        m_beganAt = now; // ffmpeg and the sound server take their time
    if (!m_seen.hasChanged() && m_isBegun && now - m_lastAt < kAtLeastEveryMs)
        return;
    m_isBegun = true;
    m_lastAt = now;
    QImage picture = m_pipe->blank(m_plan.size);
    QPainter painter(&picture);
    m_seen.draw(painter);
    painter.end();
    m_pipe->write(std::move(picture));
}

void Recorder::look() {
    const qint64 free = m_freeSpace ? m_freeSpace() : m_pipe->freeSpace();
    if (free >= 0 && free < kLeastSpace)
        stop(tr("the disk is nearly full"));
    Q_EMIT grew();
}

void Recorder::stop(const QString& why) {
    if (std::exchange(m_isStopping, true) || !m_pipe)
        return;
    m_problem = why;
    holdLength();
    m_pictures.stop();
    m_disk.stop();
    m_pipe->finish();
    m_patience.start(kEndingMs);
    // Sound would go on for ever; the last picture is through by then.
    connect(m_pipe.get(), &QThread::finished, this, [this] {
        if (m_plan.soundFrom.isEmpty() || m_ffmpeg.state() == QProcess::NotRunning)
            return;
        m_ffmpeg.terminate();
    });
    if (m_pipe->isFinished() && !m_plan.soundFrom.isEmpty())
        m_ffmpeg.terminate();
}

QString Recorder::encoderProblem() {
    const QString said = QString::fromUtf8(m_ffmpeg.readAllStandardError()).trimmed().section(u'\n', -1);
    return said.isEmpty() ? tr("ffmpeg has ended by itself") : said;
}

void Recorder::ended() {
    if (!m_isStopping) {
        holdLength();
        m_isStopping = true;
        if (m_problem.isEmpty())
            m_problem = encoderProblem();
    }
    m_pictures.stop();
    m_disk.stop();
    m_patience.stop();
    m_pipe.reset();
    Q_EMIT finished(m_problem);
}

qint64 Recorder::length() const {
    return m_beganAt ? Clock::the().steady() - *m_beganAt : m_length;
}

void Recorder::holdLength() {
    m_length = length();
    m_beganAt.reset();
}

qint64 Recorder::bytes() const {
    return m_pipe ? std::max<qint64>(0, m_pipe->fileSize()) : QFileInfo(m_plan.path).size();
}

} // namespace mivanta

#include "moc_Recorder.cpp"
