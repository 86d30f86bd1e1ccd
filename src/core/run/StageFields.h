// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/run/RunState.h"
#include "core/theme/StageField.h"
#include <QHash>

namespace mivanta {

/// What the musicians are told of the run at one moment.
struct StageFacts {
    QHash<QString, QString> texts;     ///< by the key of the field
    QHash<QString, QString> nextWords; ///< by output: the words of the step behind this one
    QDateTime itemSince;               ///< when the item was taken; invalid = not yet
    std::optional<QTime> nextFixed;    ///< the fixed time of the next item that has one
};

/// Of what is on screen, or would be.
[[nodiscard]] StageFacts stageFacts(const Service& service, const RunPlan& plan, const Cue& cue,
                                    const QDateTime& itemSince);

/// Objects that say something of the run say it: fields become texts, a stopwatch runs from the item's begin,
/// a countdown that names no time goes to the next fixed one. What has nothing to say is left out.
[[nodiscard]] Scene withFacts(Scene scene, const StageFacts& facts);

} // namespace mivanta
