// SPDX-License-Identifier: GPL-3.0-or-later
#include "media/LiveSources.h"
#include "media/XDisplay.h"
#include <QDir>
#include <QFile>
#include <fcntl.h>
#include <linux/videodev2.h>
#include <sys/ioctl.h>
#include <unistd.h>

namespace mivanta {

using namespace Qt::StringLiterals;

namespace {

/// What a device calls itself; empty when it gives no pictures.
QString cameraName(const QString& device) {
    const int camera = ::open(QFile::encodeName(device).constData(), O_RDWR | O_NONBLOCK | O_CLOEXEC);
    if (camera < 0)
        return {};
    v4l2_capability can{};
    const bool isKnown = ::ioctl(camera, VIDIOC_QUERYCAP, &can) == 0;
    ::close(camera);
    const quint32 abilities = can.capabilities & V4L2_CAP_DEVICE_CAPS ? can.device_caps : can.capabilities;
    return isKnown && (abilities & V4L2_CAP_VIDEO_CAPTURE)
               ? QString::fromUtf8(reinterpret_cast<const char*>(can.card))
               : QString();
}

/// By the names that stay theirs in another socket, where there are such.
std::vector<FoundSource> cameras() {
    std::vector<FoundSource> found;
    QStringList targets;
    const QDir lasting(u"/dev/v4l/by-id"_s);
    for (const QFileInfo& link : lasting.entryInfoList(QDir::System | QDir::Files | QDir::NoDotAndDotDot)) {
        const QString name = cameraName(link.filePath());
        targets << link.symLinkTarget();
        if (!name.isEmpty())
            found.push_back({CameraSource{link.filePath()}, name});
    }
    for (const QFileInfo& device : QDir(u"/dev"_s).entryInfoList({u"video*"_s}, QDir::System)) {
        const QString name = cameraName(device.filePath());
        if (!name.isEmpty() && !targets.contains(device.filePath()))
            found.push_back({CameraSource{device.filePath()}, u"%1 (%2)"_s.arg(name, device.fileName())});
    }
    return found;
}

} // namespace

std::vector<FoundSource> liveSourcesOf(LiveKind kind) {
    if (kind == LiveKind::Camera)
        return cameras();
    if (kind != LiveKind::Monitor && kind != LiveKind::Window)
        return {};
    std::vector<FoundSource> found;
    const auto display = XDisplay::open();
    if (!display)
        return found;
    if (kind == LiveKind::Monitor)
        for (const XMonitor& monitor : display->monitors())
            found.push_back({MonitorSource{monitor.name}, u"%1, %2 \u00d7 %3"_s.arg(monitor.name)
                                                              .arg(monitor.place.width())
                                                              .arg(monitor.place.height())});
    else
        for (const XWindow& window : display->windows())
            if (!isOfProgram(window, u"mivanta-player"_s)) // those are outputs
                found.push_back({WindowSource{window.program, window.title},
                                 sourceText(WindowSource{window.program, window.title})});
    return found;
}

} // namespace mivanta
