// SPDX-License-Identifier: GPL-3.0-or-later
#include "standins/CameraFeed.h"
#include <QUdpSocket>
#include <csignal>
#include <sys/prctl.h>

namespace mivanta {

using namespace Qt::StringLiterals;

namespace {

constexpr int kPatienceMs = 1000;
constexpr qsizetype kDatagram = 7 * 188; ///< bytes: whole packets of MPEG-TS

} // namespace

CameraFeed::CameraFeed(Camera& camera, QStringList out, QObject* parent)
    : QObject(parent),
      m_camera(camera),
      m_out(std::move(out)) {
    connect(&camera, &Camera::came, this, &CameraFeed::send);
    connect(&camera, &Camera::resized, this, &CameraFeed::start);
    connect(&camera, &Camera::parted, this, [this] { m_ffmpeg.reset(); });
    start();
}

CameraFeed::~CameraFeed() = default;

void CameraFeed::start() {
    m_ffmpeg.reset();
    if (m_camera.isAway())
        return;
    const CameraPicture& picture = m_camera.picture();
    const QString size = u"%1x%2"_s.arg(picture.size.width()).arg(picture.size.height());
    const QString rate = QString::number(picture.rate);
    m_ffmpeg = std::make_unique<QProcess>();
    m_ffmpeg->setProcessChannelMode(QProcess::ForwardedErrorChannel);
    m_ffmpeg->setChildProcessModifier([] { ::prctl(PR_SET_PDEATHSIG, SIGKILL); });
    connect(m_ffmpeg.get(), &QProcess::readyReadStandardOutput, this,
            [this] { Q_EMIT bytesCame(m_ffmpeg->readAllStandardOutput()); });
    // One that ends, because its guest left, is started again.
    connect(m_ffmpeg.get(), &QProcess::finished, this, &CameraFeed::start, Qt::QueuedConnection);
    m_ffmpeg->start(u"ffmpeg"_s, QStringList{u"-v"_s,
                                             u"fatal"_s,
                                             u"-f"_s,
                                             u"rawvideo"_s,
                                             u"-pix_fmt"_s,
                                             u"bgr0"_s,
                                             u"-s"_s,
                                             size,
                                             u"-r"_s,
                                             rate,
                                             u"-use_wallclock_as_timestamps"_s,
                                             u"1"_s,
                                             u"-i"_s,
                                             u"pipe:0"_s,
                                             u"-c:v"_s,
                                             u"libx264"_s,
                                             u"-preset"_s,
                                             u"ultrafast"_s,
                                             u"-tune"_s,
                                             u"zerolatency"_s,
                                             u"-pix_fmt"_s,
                                             u"yuv420p"_s,
                                             u"-g"_s,
                                             rate,
                                             u"-x264-params"_s,
                                             u"repeat-headers=1"_s,
                                             u"-flush_packets"_s,
                                             u"1"_s} +
                                     m_out);
}

void CameraFeed::send(const QImage& picture) {
    if (!m_ffmpeg) {
        start(); // back again
        return;
    }
    if (m_ffmpeg->bytesToWrite() < 2 * picture.sizeInBytes()) // else it does not keep up
        m_ffmpeg->write(reinterpret_cast<const char*>(picture.constBits()), picture.sizeInBytes());
}

UdpFeed::UdpFeed(Camera& camera, quint16 port, QObject* parent) : QObject(parent) {
    auto* feed = new CameraFeed(camera, {u"-muxdelay"_s, u"0"_s, u"-f"_s, u"mpegts"_s, u"pipe:1"_s}, this);
    auto* socket = new QUdpSocket(this);
    connect(feed, &CameraFeed::bytesCame, this,
            [&camera, socket, port, waiting = QByteArray()](const QByteArray& bytes) mutable {
                waiting += bytes;
                while (waiting.size() >= kDatagram) {
                    socket->writeDatagram(camera.sent(waiting.left(kDatagram)), QHostAddress::LocalHost,
                                          port);
                    waiting.remove(0, kDatagram);
                }
            });
}

} // namespace mivanta

#include "moc_CameraFeed.cpp"
