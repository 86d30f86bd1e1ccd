// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/timing/LoopPlan.h"
#include <QJsonObject>

namespace mivanta {

/// What is kept of a loop on screen for when the desks are started again: what was shown at a moment, and
/// what the operator had changed.
struct KeptLoop {
    ItemId loop;
    QDateTime begun; ///< the loop as a whole
    QDateTime at;    ///< the moment that the rest is of
    LoopStill still;
    int round = 0;
    qint64 shown = 0; ///< ms that it was shown by then
    bool isPaused = false;
    bool isOver = false;
    bool isLonger = false;
    std::optional<int> lastRound;
};

[[nodiscard]] QJsonObject keptLoopToJson(const KeptLoop& kept);
/// Nothing when no loop was kept, or what was cannot be understood.
[[nodiscard]] std::optional<KeptLoop> keptLoopFromJson(const QJsonObject& json);

} // namespace mivanta
