// SPDX-License-Identifier: GPL-3.0-or-later
#include "session/outputs/ScreenTexts.h"
#include "core/base/Said.h"
#include <algorithm>

namespace mivanta {

QString placeText(const Placement& placement, const Output& output) {
    switch (placement.kind) {
    case Placement::Kind::FullScreen:
        return Said::tr("Full screen on %1").arg(placement.monitor);
    case Placement::Kind::Window:
        return output.place.window.isNull() ? Said::tr("In a window: a simulated screen")
                                            : Said::tr("In a window at %1, %2")
                                                  .arg(output.place.window.x())
                                                  .arg(output.place.window.y());
    case Placement::Kind::Missing:
        return Said::tr("Waits for its screen: %1").arg(placement.monitor);
    case Placement::Kind::Closed:
        break;
    }
    return Said::tr("On no screen; drawn for the desks only");
}

QString monitorText(int number, const Monitor& monitor) {
    const QString text = Said::tr("Screen %1: %2 (%3 \u00d7 %4)")
                             .arg(number)
                             .arg(monitor.label())
                             .arg(monitor.geometry.width())
                             .arg(monitor.geometry.height());
    return monitor.isDesk ? Said::tr("%1, this one").arg(text) : text;
}

QString mirrorText(const std::vector<Monitor>& monitors) {
    QStringList sentences;
    for (const auto& group : mirroredMonitors(monitors)) {
        QStringList names;
        bool hasDesk = false;
        for (const int index : group) {
            names << monitors[size_t(index)].name;
            hasDesk = hasDesk || monitors[size_t(index)].isDesk;
        }
        const QString all = Said::all(names);
        sentences
            << (hasDesk
                    ? Said::tr("%1 mirror each other, so everybody would see these desks: no output goes "
                               "there. In the system's display settings, set the screens to extend the "
                               "desktop.")
                          .arg(all)
                    : Said::tr("%1 mirror each other: both show the same output. For an output on each, set "
                               "them to extend the desktop in the system's display settings.")
                          .arg(all));
    }
    return sentences.join(u' ');
}

QString monitorsText(const std::vector<Monitor>& monitors) {
    const QString count =
        monitors.size() == 1
            ? Said::tr("One screen is connected, so the outputs open as windows on it. Plug a "
                       "projector in and the hall moves there by itself.")
            : Said::tr("%n screens are connected.", nullptr, Said::n(monitors.size()));
    const QString mirrored = mirrorText(monitors);
    return mirrored.isEmpty() ? count : count + u' ' + mirrored;
}

} // namespace mivanta
