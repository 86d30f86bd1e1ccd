// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/run/Covers.h"
#include "core/run/Slides.h"

namespace mivanta {

/// The items that can be run, top to bottom, with their slides. Headings are not among them.
class Lineup {
public:
    virtual ~Lineup() = default;
    [[nodiscard]] virtual int itemCount() const = 0;
    [[nodiscard]] virtual ItemId itemId(int index) const = 0;
    /// May compute the slides now; the reference stays good until the lineup changes.
    [[nodiscard]] virtual const ItemSlides& slides(int index) const = 0;

    /// Where a loop stands in the lineup: its members are one behind the other.
    struct Loop {
        int first = 0;
        int end = 0; ///< behind the last
    };
    /// The loop that an item is a member of; nothing when it is in none. A loop goes round by itself: to
    /// whoever steps through the lineup it is one step.
    [[nodiscard]] virtual std::optional<Loop> loopAt(int /*index*/) const { return std::nullopt; }
    /// The step that comes first when the item, or the loop that it is in, is come to.
    [[nodiscard]] virtual Cue entry(int index) const { return cue(index, 0); }

    /// The slides of an unplanned item: one that can be run and is not in the order. Null = there is none.
    [[nodiscard]] virtual const ItemSlides* unplanned(const ItemId&) const { return nullptr; }

    /// Index of the item, or -1; also for an unplanned one.
    [[nodiscard]] int indexOf(const ItemId& id) const;
    /// Slides of an item of either sort; null when it is gone.
    [[nodiscard]] const ItemSlides* slidesOf(const ItemId& id) const;
    [[nodiscard]] Cue cue(int item, int step) const;
};

/// Where the service stands. Changed only by the functions below, which are pure.
struct RunState {
    std::optional<Cue> onScreen;
    std::optional<Cue> next; ///< nothing at the end of the service
    bool isLooking = false;  ///< `next` is where a look has put it
    Covers covers{};
    int itemHint = 0; ///< where the item on screen stood, for when it is taken out of the order
    /// While an unplanned item is next or on screen: what of the lineup was on screen, and what was next.
    std::optional<Cue> lineupOnScreen{};
    std::optional<Cue> lineupNext{};
    /// Outputs that keep their picture, whatever is taken, with what was on screen then; nothing = black.
    std::map<QString, std::optional<Cue>> frozen{};
    friend bool operator==(const RunState&, const RunState&) = default;
};

/// Nothing on screen, the first step next.
[[nodiscard]] RunState startedRun(const Lineup& lineup);

/// What is next goes on screen, and what follows it is next. Unchanged when nothing is next.
[[nodiscard]] RunState taken(const RunState& state, const Lineup& lineup);
/// The step before the one on screen goes on screen. Unchanged at the very first.
[[nodiscard]] RunState takenBack(const RunState& state, const Lineup& lineup);

/// A step comes on screen by itself. What somebody looks at stays next; else what follows the step is.
/// Unchanged when there is no such step.
[[nodiscard]] RunState wentOnTo(const RunState& state, const Lineup& lineup, const Cue& cue);

/// Moves the next mark by steps (negative: towards the start); what is on screen stays.
[[nodiscard]] RunState lookedAhead(const RunState& state, const Lineup& lineup, int steps);
/// Moves the next mark to the first step of an item (index in the lineup). Unchanged when there is none.
[[nodiscard]] RunState lookedAtItem(const RunState& state, const Lineup& lineup, int item);
[[nodiscard]] RunState lookedAt(const RunState& state, const Cue& cue);
/// An unplanned item is next. The lineup is taken up again behind its last step, where it was left.
[[nodiscard]] RunState lookedAtUnplanned(const RunState& state, const Lineup& lineup, const ItemId& item);
/// The next mark back to what follows what is on screen.
[[nodiscard]] RunState lookedBack(const RunState& state, const Lineup& lineup);

/// After the service changed: marks that point to items that are gone move to what stands there now, and
/// while nobody looks elsewhere, next is what follows now, also when an item came between or came back.
/// What is on screen stays on screen until a take.
[[nodiscard]] RunState reconciled(const RunState& state, const Lineup& lineup);

/// The step behind or before one, inside its item or in the next item of the lineup; a loop is one step. An
/// unplanned item has nothing behind or before it.
[[nodiscard]] std::optional<Cue> following(const Cue& cue, const Lineup& lineup);
[[nodiscard]] std::optional<Cue> preceding(const Cue& cue, const Lineup& lineup);

/// The picture of every output at a position of an item, with nothing over it.
[[nodiscard]] std::vector<Scene> scenesAt(const ItemSlides& slides, const Position& position);
/// The picture of one output's slide; nothing = its backdrop without words.
[[nodiscard]] Scene sceneOf(const ItemSlides& slides, const OutputSlides& output, std::optional<int> slide);
/// The pictures of what is on screen, with nothing over them: black before the first take, and what a frozen
/// output kept. Outputs are those of the lineup's slides.
[[nodiscard]] std::vector<Scene> scenesFor(const RunState& state, const Lineup& lineup,
                                           const std::vector<Output>& outputs);
/// The pictures with countdowns that begin to run at `now`, the time of the take.
[[nodiscard]] std::vector<Scene> startedAt(std::vector<Scene> scenes, const QTime& now);
[[nodiscard]] Scene blackScene(const Output& output);

} // namespace mivanta
