// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/live/LiveInput.h"
#include "core/base/Cases.h"
#include "core/base/MediaName.h"
#include "core/base/Said.h"
#include "core/live/LiveAddress.h"

namespace mivanta {

namespace {

constexpr qsizetype kLongestWord = 1000; ///< of a device, a title, a path
constexpr int kWidestCamera = 8192;      ///< px
constexpr int kQuickestCamera = 240;     ///< pictures a second
constexpr double kSmallestPart = 0.02;   ///< of a side

bool isShort(const QString& text) {
    return text.size() <= kLongestWord && !text.contains(u'\0');
}

bool isPart(const QRectF& part) {
    constexpr double kNearly = 1e-6;
    return part.left() >= 0 && part.top() >= 0 && part.right() <= 1 + kNearly &&
           part.bottom() <= 1 + kNearly && part.width() >= kSmallestPart && part.height() >= kSmallestPart;
}

bool isSourceInRange(const LiveSource& source) {
    return std::visit(Cases{
                          [](const CameraSource& it) {
                              const bool isSize = it.size.isEmpty() || (it.size.width() <= kWidestCamera &&
                                                                        it.size.height() <= kWidestCamera);
                              return isShort(it.device) && isSize && it.rate >= 0 &&
                                     it.rate <= kQuickestCamera &&
                                     (it.device.isEmpty() || it.device.startsWith(QStringLiteral("/dev/")));
                          },
                          [](const MonitorSource& it) { return isShort(it.monitor); },
                          [](const WindowSource& it) { return isShort(it.program) && isShort(it.title); },
                          [](const AddressSource& it) {
                              const auto checked = checkedAddress(it.address);
                              return it.address.isEmpty() || (checked && checked->address == it.address);
                          },
                          [](const FileSource& it) { return isShort(it.path); },
                          [](const OutputSource& it) { return isShort(it.output); },
                      },
                      source);
}

} // namespace

std::vector<LiveKind> allLiveKinds() {
    return {LiveKind::Camera,  LiveKind::Monitor, LiveKind::Window,
            LiveKind::Network, LiveKind::File,    LiveKind::Output};
}

LiveKind kindOf(const LiveSource& source) {
    return allLiveKinds()[source.index()]; // they stand in one order
}

LiveSource emptySource(LiveKind kind) {
    switch (kind) {
    case LiveKind::Camera:
        return CameraSource{};
    case LiveKind::Monitor:
        return MonitorSource{};
    case LiveKind::Window:
        return WindowSource{};
    case LiveKind::Network:
        return AddressSource{};
    case LiveKind::File:
        return FileSource{};
    case LiveKind::Output:
        return OutputSource{};
    }
    return AddressSource{};
}

QString liveKindText(LiveKind kind) {
    switch (kind) {
    case LiveKind::Camera:
        return Said::tr("Camera");
    case LiveKind::Monitor:
        return Said::tr("Monitor");
    case LiveKind::Window:
        return Said::tr("Window");
    case LiveKind::Network:
        return Said::tr("Network");
    case LiveKind::File:
        return Said::tr("Picture file");
    case LiveKind::Output:
        return Said::tr("Output");
    }
    return {};
}

QString sourceText(const LiveSource& source) {
    return std::visit(Cases{
                          [](const CameraSource& it) { return it.device; },
                          [](const MonitorSource& it) { return it.monitor; },
                          [](const WindowSource& it) {
                              return it.title.isEmpty() ? it.program
                                                        : Said::tr("%1 (%2)").arg(it.title, it.program);
                          },
                          [](const AddressSource& it) { return it.address; },
                          [](const FileSource& it) { return it.path; },
                          [](const OutputSource& it) { return it.output; },
                      },
                      source);
}

bool isComplete(const LiveSource& source) {
    return !sourceText(source).isEmpty();
}

bool isInRange(const LiveInput& input) {
    const bool isTurn = input.turned >= 0 && input.turned < 360 && input.turned % 90 == 0;
    return !input.id.isNull() && isShort(input.name) && isSourceInRange(input.source) && isPart(input.part) &&
           isTurn && input.delay >= 0 && input.delay <= kLongestLiveDelay && input.volume >= 0 &&
           input.volume <= 100 && (input.card.isEmpty() || isMediaName(input.card));
}

} // namespace mivanta
