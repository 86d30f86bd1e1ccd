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
    std::optional<QTime> filmEnds;     ///< of a film that plays; one that stands still has a text
};

/// Where a film stands that an item plays, or the loop that the item is in.
struct FilmPlace {
    ItemId item;
    std::optional<QTime> ends; ///< while it plays
    QString left;              ///< while it stands still: what is left of it, "1:35"
    friend bool operator==(const FilmPlace&, const FilmPlace&) = default;
};

/// Of what is on screen, or would be.
[[nodiscard]] StageFacts stageFacts(const Service& service, const Lineup& lineup, const Cue& cue,
                                    const QDateTime& itemSince, const FilmPlace& film = {});

/// Objects that say something of the run say it: fields become texts, a stopwatch runs from the item's begin,
/// a countdown that names no time goes to the next fixed one. What has nothing to say is left out.
[[nodiscard]] Scene withFacts(Scene scene, const StageFacts& facts);

/// A stage that has no place of its own for it is told in large figures how long a film, or a loop, goes on.
void addTimeLeft(Scene& scene);

} // namespace mivanta
