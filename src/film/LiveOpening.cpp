// SPDX-License-Identifier: GPL-3.0-or-later
#include "film/LiveOpening.h"
#include "core/base/Cases.h"
#include "core/base/Said.h"
#include <QFile>
#include <QUrl>
#include <algorithm>

namespace mivanta {

using namespace Qt::StringLiterals;

namespace {

constexpr int kScreenRate = 30; ///< pictures a second of a screen or a window
const QString kPlayer = u"mivanta-player"_s;

/// What each way of the network needs, and nothing that reads files.
QByteArray protocolsOf(const QString& scheme) {
    if (scheme.startsWith("rtsp"_L1))
        return "rtsp,rtp,udp,tcp,tls";
    if (scheme == "srt"_L1)
        return "srt,udp";
    if (scheme == "udp"_L1)
        return "udp,rtp";
    if (scheme.startsWith("rtmp"_L1))
        return "rtmp,rtmps,tcp,tls";
    return "http,https,tcp,tls,hls,crypto,httpproxy";
}

QByteArray onlyBy(const QByteArray& protocols, const QByteArray& more = {}) {
    // The list is one value for libmpv: its commas are written in brackets that say how long it is.
    return "protocol_whitelist=%" + QByteArray::number(protocols.size()) + '%' + protocols +
           ",fflags=+nobuffer" + more;
}

QByteArray sizeText(QSize size) {
    return QByteArray::number(size.width()) + 'x' + QByteArray::number(size.height());
}

Result<LiveOpening> openingOfCamera(const CameraSource& camera) {
    if (!QFile::exists(camera.device))
        return failure(Said::tr("the camera is not plugged in"));
    LiveOpening opening;
    opening.address = "av://v4l2:" + QFile::encodeName(camera.device);
    opening.options = onlyBy("none");
    if (!camera.size.isEmpty())
        opening.options += ",video_size=" + sizeText(camera.size);
    if (camera.rate > 0)
        opening.options += ",framerate=" + QByteArray::number(camera.rate);
    return opening;
}

tl::unexpected<Error> noScreens() {
    return failure(Said::tr("monitors and windows can be shown only in a session with X11"));
}

Result<LiveOpening> openingOfMonitor(const MonitorSource& source, XDisplay* display) {
    if (!display)
        return noScreens();
    const std::vector<XMonitor> monitors = display->monitors();
    const auto at = std::find_if(monitors.begin(), monitors.end(),
                                 [&](const XMonitor& each) { return each.name == source.monitor; });
    if (at == monitors.end())
        return failure(Said::tr("the monitor %1 is not plugged in").arg(source.monitor));
    LiveOpening opening;
    opening.address = "av://x11grab:" + display->name() + '+' + QByteArray::number(at->place.x()) + ',' +
                      QByteArray::number(at->place.y());
    opening.options = onlyBy("none", ",video_size=" + sizeText(at->place.size()) +
                                         ",framerate=" + QByteArray::number(kScreenRate) +
                                         ",draw_mouse=" + (source.hasPointer ? "1" : "0"));
    return opening;
}

LiveOpening openingOfShown(const XWindow& window, const XDisplay& display) {
    LiveOpening opening;
    opening.window = window.id;
    opening.size = window.size;
    opening.address = "av://x11grab:" + display.name();
    opening.options = onlyBy("none", ",window_id=" + QByteArray::number(window.id) +
                                         ",framerate=" + QByteArray::number(kScreenRate) + ",draw_mouse=0");
    return opening;
}

Result<LiveOpening> openingOfWindow(const WindowSource& source, XDisplay* display) {
    if (!display)
        return noScreens();
    if (source.program.compare(kPlayer, Qt::CaseInsensitive) == 0)
        return failure(Said::tr("this is a screen of Mivanta itself: choose an output in its place"));
    const auto window = windowOf(display->windows(), source.program, source.title);
    if (!window)
        return failure(Said::tr("there is no window of %1").arg(source.program));
    return openingOfShown(*window, *display);
}

Result<LiveOpening> openingOfOutput(const OutputSource& source, XDisplay* display, quint32 id) {
    if (!display)
        return noScreens();
    const auto window = id == 0 ? std::nullopt : display->window(id);
    if (!window)
        return failure(Said::tr("the output %1 is on no screen").arg(source.output));
    return openingOfShown(*window, *display);
}

LiveOpening openingOfAddress(const AddressSource& source, const LiveSecret& secret) {
    const QString scheme = QUrl(source.address).scheme();
    LiveOpening opening;
    opening.address = completeAddress(source.address, secret).toUtf8();
    opening.options = onlyBy(protocolsOf(scheme));
    if (scheme == "udp"_L1)
        opening.format = "mpegts";
    return opening;
}

struct LogSaying {
    const char* part;
    QString (*saying)();
};

} // namespace

Result<LiveOpening> openingOf(const message::LiveOrder& live, XDisplay* display, quint32 ofOutput) {
    using Opened = Result<LiveOpening>;
    if (!isComplete(live.input.source))
        return failure(Said::tr("it is not set up on this computer"));
    return std::visit(Cases{
                          [](const CameraSource& it) { return openingOfCamera(it); },
                          [&](const MonitorSource& it) { return openingOfMonitor(it, display); },
                          [&](const WindowSource& it) { return openingOfWindow(it, display); },
                          [&](const AddressSource& it) { return Opened(openingOfAddress(it, live.secret)); },
                          [](const FileSource& it) {
                              if (!QFile::exists(it.path))
                                  return Opened(failure(Said::tr("the file is not there")));
                              LiveOpening opening;
                              opening.address = QFile::encodeName(it.path);
                              opening.options = onlyBy("file");
                              opening.isUnsteady = true;
                              return Opened(opening);
                          },
                          [&](const OutputSource& it) { return openingOfOutput(it, display, ofOutput); },
                      },
                      live.input.source);
}

QByteArray liveFilters(const LiveInput& input) {
    const auto share = [](double value) { return QByteArray::number(value, 'f', 5); };
    QByteArrayList filters;
    if (const QRectF& part = input.part; part != QRectF(0, 0, 1, 1))
        filters.append("crop=w=iw*" + share(part.width()) + ":h=ih*" + share(part.height()) + ":x=iw*" +
                       share(part.x()) + ":y=ih*" + share(part.y()));
    if (input.turned == 90)
        filters.append("transpose=clock");
    else if (input.turned == 180)
        filters.append("hflip,vflip"); // for machines
    else if (input.turned == 270)
        filters.append("transpose=cclock");
    if (input.isMirrored)
        filters.append("hflip");
    return filters.isEmpty() ? QByteArray() : "lavfi=[" + filters.join(',') + ']';
}

QString liveProblemOf(const QByteArray& line) {
    static const LogSaying sayings[]{
        {"401 Unauthorized", [] { return Said::tr("it wants a name and a password, or other ones"); }},
        {"403 Forbidden", [] { return Said::tr("it does not let this computer see its picture"); }},
        {"404 Not Found", [] { return Said::tr("there is no picture at this address"); }},
        {"Connection refused", [] { return Said::tr("nobody answers at this address"); }},
        {"No route to host", [] { return Said::tr("its computer cannot be reached"); }},
        {"Network is unreachable", [] { return Said::tr("this computer has no network"); }},
        {"timed out", [] { return Said::tr("its computer does not answer"); }},
        {"Failed to resolve", [] { return Said::tr("no computer of this name is known"); }},
        {"certificate", [] { return Said::tr("its certificate is not to be trusted"); }},
        {"Certificate", [] { return Said::tr("its certificate is not to be trusted"); }},
        {"Device or resource busy", [] { return Said::tr("another program uses it"); }},
        {"No such device", [] { return Said::tr("the camera is not plugged in"); }},
        {"Permission denied", [] { return Said::tr("this user may not use it"); }},
        {"Address already in use", [] { return Said::tr("another program waits at this port"); }},
    };
    for (const LogSaying& each : sayings)
        if (line.contains(each.part))
            return each.saying();
    return {};
}

} // namespace mivanta
