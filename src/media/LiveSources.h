// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/live/LiveInput.h"

namespace mivanta {

/// Something of this computer that can be a live input.
struct FoundSource {
    LiveSource source;
    QString
        label; ///< for people: "Harbour cam (video0)", "HDMI-1, 1920 × 1080", "Tide tables (harbour-charts)"
};

/// Cameras, monitors or windows that are there now; none of another kind. Any thread; asks the system, which
/// takes some ms.
[[nodiscard]] std::vector<FoundSource> liveSourcesOf(LiveKind kind);

} // namespace mivanta
