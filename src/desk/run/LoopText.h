// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "session/Session.h"

namespace mivanta {

// What is said of the loop that is on screen, in the words of the Run desk; empty while there is none.

/// "Harbour notices: Bread on Friday · round 3 of 27".
[[nodiscard]] QString loopNowText(Session& session);
/// "Nets to mend in 4 s", "at the end: Countdown to the service, by itself".
[[nodiscard]] QString loopNextText(Session& session);
/// What is left of it: "12:30".
[[nodiscard]] QString loopLeftText(Session& session);

} // namespace mivanta
