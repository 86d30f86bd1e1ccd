// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/live/LiveLoops.h"

namespace mivanta {

bool wouldShowItself(const LiveInput& input, const QString& output, const QRect& place,
                     const std::vector<Monitor>& monitors) {
    if (const auto* source = std::get_if<OutputSource>(&input.source))
        return source->output == output;
    const auto* source = std::get_if<MonitorSource>(&input.source);
    if (!source)
        return false;
    for (const Monitor& monitor : monitors) {
        const QRectF all = monitor.geometry;
        const QRectF shown(all.x() + input.part.x() * all.width(), all.y() + input.part.y() * all.height(),
                           input.part.width() * all.width(), input.part.height() * all.height());
        if (monitor.name == source->monitor && shown.toAlignedRect().intersects(place))
            return true;
    }
    return false;
}

} // namespace mivanta
