// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/base/Result.h"
#include "core/order/ItemWords.h"
#include "core/run/Covers.h"
#include "core/run/Cue.h"
#include <set>
#include <variant>

namespace mivanta {

class AutoAdvance;
class ItemSounds;
class LoopArming;
class RunController;
class RunFilm;
class RunLoop;
class SlideBook;

/// Everything that can be ordered of the running service, by whoever: keys, buttons, other programs. Only
/// Take, TakeFollowing, TakeBefore, UndoTake and what covers the outputs change what people see.
namespace order {
struct Take {};          ///< what is marked as next
struct TakeFollowing {}; ///< what follows what is on screen, wherever the mark stands
struct TakeBefore {};    ///< the step before the one on screen
struct UndoTake {};
struct LookAhead {
    int steps = 1; ///< negative = back
};
struct LookAtItemsOn {
    int items = 1; ///< negative = back
};
struct LookAtItem {
    int number = 1; ///< 1 is the first that is run
};
/// A part of the item that is meant; of `item` when it is said.
struct LookAtPart {
    QChar letter; ///< of its short name
    std::optional<int> number{};
    std::optional<int> item{}; ///< a number as in LookAtItem
};
struct LookAtPartAgain {};
struct LookAtFirst {}; ///< slide of the item
struct LookAt {
    Cue cue;
};
/// Something that is not in the order is next; the order goes on behind it where it was left.
struct LookAtUnplanned {
    ItemWords words;
};
struct StopLooking {};
struct SetCurtain {
    Curtain curtain = Curtain::Open;
};
/// For one output alone; no curtain = the same as all the others.
struct SetOwnCurtain {
    QString output;
    std::optional<Curtain> curtain;
};
struct BlackAndBack {};
struct Freeze {
    QString output;
    bool isFrozen = true;
};
struct CallOut {
    QString text;
    std::set<QString> outputs; ///< empty = all
};
struct EndCallOut {};
struct HoldAdvance {};
struct FadeSound {};
// Of the music that sounds.
struct PauseMusic {}; ///< or have it go on
struct GoToPiece {
    int by = 1; ///< negative = back
};
// Of the film that is on screen.
struct PauseFilm {}; ///< or have it go on
struct JumpInFilm {
    double seconds = 0; ///< negative = back
};
struct SeekFilm {
    double seconds = 0; ///< of its file
};
struct FilmFromBeginning {};
struct ChangeFilmVolume {
    int percent = 0; ///< by so many
};
// Of the loop that is on screen.
struct PauseLoop {}; ///< or have it go on
struct GoToMember {
    int by = 1; ///< negative = back
};
struct OneMoreRound {};
struct EndBehindRound {};
struct ArmLoop {
    ItemId loop;
    bool isArmed = true;
};
struct ArmNext {}; ///< the first of the order that begins by itself and is not armed yet
struct DisarmAll {};
/// Whether anything comes by itself at the end of what is on screen.
struct GoOnByItself {
    std::optional<bool> isOn; ///< nothing = the other one than now
};
} // namespace order

using RunOrder =
    std::variant<order::Take, order::TakeFollowing, order::TakeBefore, order::UndoTake, order::LookAhead,
                 order::LookAtItemsOn, order::LookAtItem, order::LookAtPart, order::LookAtPartAgain,
                 order::LookAtFirst, order::LookAt, order::LookAtUnplanned, order::StopLooking,
                 order::SetCurtain, order::SetOwnCurtain, order::BlackAndBack, order::Freeze, order::CallOut,
                 order::EndCallOut, order::HoldAdvance, order::FadeSound, order::PauseMusic, order::GoToPiece,
                 order::PauseFilm, order::JumpInFilm, order::SeekFilm, order::FilmFromBeginning,
                 order::ChangeFilmVolume, order::PauseLoop, order::GoToMember, order::OneMoreRound,
                 order::EndBehindRound, order::ArmLoop, order::ArmNext, order::DisarmAll,
                 order::GoOnByItself>;

/// Obeys them. GUI thread.
class RunOrders {
public:
    RunOrders(RunController& run, SlideBook& lineup, AutoAdvance& advance, ItemSounds& sounds, RunFilm& film,
              RunLoop& loop, LoopArming& arming)
        : m_run(run),
          m_lineup(lineup),
          m_advance(advance),
          m_sounds(sounds),
          m_film(film),
          m_loop(loop),
          m_arming(arming) {}

    /// Fails, with nothing done, when the item, the part or the output that is named is not there.
    Result<void> obey(const RunOrder& order);

private:
    [[nodiscard]] Result<void> lookAtItem(int number);
    [[nodiscard]] Result<void> lookAtPart(const order::LookAtPart& order);
    [[nodiscard]] Result<void> mustBeThere(const QString& output) const;

    RunController& m_run;
    SlideBook& m_lineup;
    AutoAdvance& m_advance;
    ItemSounds& m_sounds;
    RunFilm& m_film;
    RunLoop& m_loop;
    LoopArming& m_arming;
};

} // namespace mivanta
