// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/run/Findings.h"

namespace mivanta {

class Session;

/// A live input that the service shows.
struct UsedLive {
    LiveInputId input;
    ItemId item;     ///< the first one that shows it
    QString caption; ///< what it was called where it was chosen; empty = it is a backdrop's
};
[[nodiscard]] std::vector<UsedLive> liveInputsOf(Session& session);

/// Media of the service that cannot be shown or heard here, and films that are too much for this computer, as
/// far as that is known; live inputs that are not set up here, or have no picture now.
[[nodiscard]] std::vector<Finding> mediaFindings(Session& session);

} // namespace mivanta
