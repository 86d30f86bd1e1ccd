// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/order/Loops.h"
#include <functional>

namespace mivanta {

/// What a showing of a loop shows.
struct LoopStill {
    ItemId item;
    int still = 0; ///< of a set: which picture; of a text: which step
    friend bool operator==(const LoopStill&, const LoopStill&) = default;
};

/// What a plan is told of the members, by whoever knows it.
struct LoopMembersKnown {
    /// How many slides an item has; nothing given = a slide for each of its parts.
    std::function<int(const Item&)> steps;
    /// Why something cannot be shown; empty = it can.
    std::function<QString(const Item&, int still)> problem;
    QDate day{}; ///< whose members come; invalid = that of the begin
};

/// A member, or a picture of one, that does not come.
struct LoopLeftOut {
    LoopStill what;
    QString title;
    QString why;
};

/// A loop of an order, worked out. Its timeline's members are pictures of sets, one each, and other items.
struct LoopPlan {
    std::vector<LoopStill> stills;        ///< the first one of each member of the timeline
    std::vector<LoopMemberTimes> members; ///< as many
    LoopRule rule;
    LoopTimeline timeline;
    QDateTime begins; ///< invalid = not known
    QDateTime until;  ///< when it has to have ended; invalid = whenever
    /// Why its rule cannot end it: it goes round until something is taken then. Empty = nothing is wrong.
    QString problem;
    std::vector<LoopLeftOut> leftOut;

    [[nodiscard]] LoopStill stillOf(const LoopShowing& showing) const {
        const LoopStill& first = stills[size_t(showing.member)];
        return {first.item, first.still + showing.still};
    }
    /// The member and its still that show this; nothing when nothing does.
    [[nodiscard]] std::optional<LoopPlace> placeOf(const LoopStill& still, int round) const;
    /// When its last showing ends; invalid when that is not known.
    [[nodiscard]] QDateTime ends() const;
    /// How long a round takes without what comes every few rounds, ms.
    [[nodiscard]] qint64 roundLength() const;
    /// How many stills or films are in each round.
    [[nodiscard]] int roundSize() const;
};

/// `begins`: when it does, invalid = not known. `from`: a place to go on from at `begins`; what the rule ends
/// by then is ended by it as it is for one that begins there, but for its rounds. Linear in showings and
/// members.
[[nodiscard]] LoopPlan loopPlanOf(const Item& loop, const Service& service, const QDateTime& begins,
                                  const LoopMembersKnown& known = {});

/// What a still is called: a picture by its caption, anything else by its item.
[[nodiscard]] QString stillName(const LoopStill& still, const Service& service);

/// What the loop shows first when it begins then; nothing when it shows nothing.
[[nodiscard]] std::optional<LoopStill> firstOf(const Item& loop, const Service& service,
                                               const QDateTime& begins, const LoopMembersKnown& known = {});

/// The same loop from a place on, at `now`; `ended`: by when it has to end, invalid = by its rounds or never.
[[nodiscard]] LoopPlan continued(LoopPlan plan, const LoopPlace& from, const QDateTime& now);

/// When a loop begins that has a time of day of its own: that time next to `near`, which may be invalid.
[[nodiscard]] QDateTime loopBegin(const Item& loop, const Service& service, const QDateTime& near = {});

} // namespace mivanta
