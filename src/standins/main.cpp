// SPDX-License-Identifier: GPL-3.0-or-later
#include "standins/CameraFeed.h"
#include "standins/MjpegServer.h"
#include "standins/RtspServer.h"
#include <QCommandLineParser>
#include <QGuiApplication>
#include <QSocketNotifier>
#include <cstdio>
#include <unistd.h>

using namespace mivanta;
using namespace Qt::StringLiterals;

namespace {

constexpr const char* kUsage = R"(Simulated devices and services, on this computer alone.

  mivanta-standins camera [--mjpeg PORT] [--rtsp PORT] [--srt PORT] [--udp PORT]

--srt waits for whoever asks, --udp sends MPEG-TS there. Port 0 takes a free one (MJPEG).
It says when it is ready: the MJPEG port, and when its picture 0 was taken, in ms since 1970.
Lines on its input make it misbehave: stall, dark, damage, trickle, part, size 640x360; go makes it well again.)";

int fail(const char* what) {
    std::fprintf(stderr, "mivanta-standins: %s\n", what);
    return 2;
}

/// Lines of the input, each an order.
class Orders : public QObject {
public:
    explicit Orders(Camera& camera) : m_camera(camera), m_input(STDIN_FILENO, QSocketNotifier::Read) {
        connect(&m_input, &QSocketNotifier::activated, this, [this] { read(); });
    }

private:
    void read() {
        char bytes[256];
        const auto count = ::read(STDIN_FILENO, bytes, sizeof bytes);
        if (count <= 0) { // nobody gives orders any more
            m_input.setEnabled(false);
            return;
        }
        m_waiting += QByteArray(bytes, count);
        for (qsizetype end = m_waiting.indexOf('\n'); end >= 0; end = m_waiting.indexOf('\n')) {
            const QString order = QString::fromUtf8(m_waiting.left(end)).trimmed();
            m_waiting.remove(0, end + 1);
            std::printf(m_camera.obey(order) ? "ok %s\n" : "what is %s?\n", qPrintable(order));
            std::fflush(stdout);
        }
    }

    Camera& m_camera;
    QSocketNotifier m_input;
    QByteArray m_waiting;
};

} // namespace

int main(int argc, char** argv) {
    qputenv("QT_QPA_PLATFORM", "offscreen");
    QGuiApplication application(argc, argv);
    QCommandLineParser parser;
    parser.setApplicationDescription(QString::fromUtf8(kUsage));
    parser.addHelpOption();
    parser.addPositionalArgument(u"device"_s, u"camera"_s);
    parser.addOptions({{u"mjpeg"_s, u"serves JPEG pictures by HTTP"_s, u"port"_s},
                       {u"rtsp"_s, u"serves H.264 by RTSP"_s, u"port"_s},
                       {u"srt"_s, u"waits for one who asks, by SRT"_s, u"port"_s},
                       {u"udp"_s, u"sends MPEG-TS by UDP"_s, u"port"_s},
                       {u"size"_s, u"of its picture"_s, u"px"_s, u"1280x720"_s},
                       {u"rate"_s, u"pictures a second"_s, u"number"_s, u"30"_s},
                       {u"numbers"_s, u"the picture's number as blocks, for tests"_s},
                       {u"password"_s, u"user:password that it asks for"_s, u"words"_s}});
    parser.process(application);
    if (parser.positionalArguments() != QStringList{u"camera"_s})
        return fail("say which device: camera");
    CameraPicture picture;
    const QStringList sides = parser.value(u"size"_s).split(u'x');
    picture.size = {sides.value(0).toInt(), sides.value(1).toInt()};
    picture.rate = parser.value(u"rate"_s).toInt();
    picture.isNumbered = parser.isSet(u"numbers"_s);
    if (picture.size.isEmpty() || picture.rate < 1 || picture.rate > 120)
        return fail("its size is like 1280x720, its rate from 1 to 120");
    Camera camera(picture);
    const QByteArray password = parser.value(u"password"_s).toUtf8();
    const auto portOf = [&](const QString& option) { return quint16(parser.value(option).toUShort()); };
    MjpegServer mjpeg(camera, password);
    RtspServer rtsp(camera, password);
    if (parser.isSet(u"mjpeg"_s) && !mjpeg.listen(portOf(u"mjpeg"_s)))
        return fail("the MJPEG port is taken");
    if (parser.isSet(u"rtsp"_s) && !rtsp.listen(portOf(u"rtsp"_s)))
        return fail("the RTSP port is taken");
    std::unique_ptr<QObject> srt;
    if (parser.isSet(u"srt"_s))
        srt = std::make_unique<CameraFeed>(
            camera, QStringList{u"-muxdelay"_s, u"0"_s, u"-f"_s, u"mpegts"_s,
                                u"srt://127.0.0.1:%1?mode=listener&latency=50000"_s.arg(portOf(u"srt"_s))});
    std::unique_ptr<QObject> udp;
    if (parser.isSet(u"udp"_s))
        udp = std::make_unique<UdpFeed>(camera, portOf(u"udp"_s));
    Orders orders(camera);
    std::printf("camera ready %d %lld\n", mjpeg.port(), static_cast<long long>(camera.begin()));
    std::fflush(stdout);
    return QGuiApplication::exec();
}
