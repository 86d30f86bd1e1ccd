// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/run/Shown.h"
#include "desk/window/Header.h"

namespace mivanta {

/// What the lamp says besides what the outputs show.
struct LampFacts {
    QString otherService{}; ///< what is shown is from it; empty = from the one that is open
    int withoutScreen = 0;  ///< so many outputs have no screen
    QStringList lost{};     ///< live inputs on screen that have no picture, as LiveOnScreen says
    QString recording{};    ///< as Recordings::text() says it; empty = nothing is recorded
};

/// What the header's lamp says of what the outputs show.
[[nodiscard]] LampState lampOf(const std::vector<Shown>& outputs, const LampFacts& more = {});

} // namespace mivanta
