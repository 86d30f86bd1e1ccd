// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/run/RunState.h"
#include <QByteArray>
#include <QJsonObject>

namespace mivanta {

/// What desks leave with the player, to go on from when they are started again.
struct KeptRun {
    RunState state;
    Covers beforeBlack;          ///< the curtains to go back to when black is lifted
    QDateTime takenAt;           ///< when what is on screen was put there
    QDateTime itemSince;         ///< when its item was
    QDateTime since;             ///< the first take
    QString desk;                ///< the one that was seen
    std::vector<Item> unplanned; ///< what the order does not hold
    std::vector<Scene> live;     ///< what is on screen of a service that is not open any more
    QJsonObject also{};          ///< what others than the run keep, by name
};

[[nodiscard]] QByteArray keptRunToJson(const KeptRun& kept);
/// What cannot be understood is left out.
[[nodiscard]] KeptRun keptRunFromJson(const QByteArray& bytes);

} // namespace mivanta
