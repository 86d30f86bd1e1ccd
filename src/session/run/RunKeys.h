// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "session/run/RunOrders.h"
#include <QKeySequence>
#include <QObject>
#include <map>
#include <optional>
#include <vector>

namespace mivanta {

/// Everything that a key does on the Run desk, besides digits and the letters of parts.
enum class RunAction {
    Take,
    Back,
    LookOn,
    LookBack,
    NextItem,
    PreviousItem,
    PartAgain,
    FirstSlide,
    StopLooking,
    UndoTake,
    CurtainOpen,
    CurtainPlain,
    CurtainWordsOff,
    CurtainHouseCard,
    CurtainBlack,
    BlackAndBack,
    CallOut,
    EndCallOut,
    FreezeMain,
    OutputsMenu,
    Find,
    KeepUnplanned,
    MendWords,
    HoldAdvance,
    FadeSound,
    PauseMusic,
    NextPiece,
    PauseFilm,
    FilmBack,
    FilmOn,
    FilmAgain,
    FilmLouder,
    FilmSofter,
    EndLoop,
    Arm,
    Disarm,
    ByItself,
    ShowKeys,
};

struct RunActionFacts {
    RunAction action;
    const char* id;   ///< in the settings
    const char* name; ///< "Take what is next"; to be translated in the context RunKeys
    std::vector<Qt::Key> usual;
    bool repeats = false; ///< also while the key is held down
    /// Only while a film or a loop is on screen; its keys mean parts else.
    bool isOfMoving = false;
    /// What it orders of the running service; nothing for what only a window can do, as opening Find.
    std::optional<RunOrder> order{};
    /// The same while a loop is on screen, where that is something else.
    std::optional<RunOrder> inLoop{};
};
[[nodiscard]] const std::vector<RunActionFacts>& runActions();
[[nodiscard]] const RunActionFacts& factsOf(RunAction action);

/// Which keys do what on the Run desk. A key is one key without a modifier, so that no action needs two
/// hands; each does one thing. Changes are kept in the settings. GUI thread.
class RunKeys : public QObject {
    Q_OBJECT
public:
    explicit RunKeys(QObject* parent = nullptr);

    [[nodiscard]] std::optional<RunAction> actionOf(Qt::Key key) const;
    /// What is on screen that moves: keys of films and loops do nothing while there is none.
    enum class Moving { None, Film, Loop };
    [[nodiscard]] std::optional<RunAction> actionOf(Qt::Key key, Moving moving) const;
    /// What an action orders then; nothing for what only a window can do.
    [[nodiscard]] static const std::optional<RunOrder>& orderOf(RunAction action, Moving moving);
    [[nodiscard]] const std::vector<Qt::Key>& keysOf(RunAction action) const;
    /// "Space, Enter"; empty when no key does it.
    [[nodiscard]] QString textOf(RunAction action) const;
    [[nodiscard]] static QString textOf(Qt::Key key);

    /// False for keys that say something else here: digits, modifiers alone, Tab, and the lock's.
    [[nodiscard]] static bool canBeGiven(Qt::Key key);
    /// The key does this from now on, and no longer what it did before, which is returned.
    std::optional<RunAction> give(RunAction action, Qt::Key key);
    void takeAway(RunAction action, Qt::Key key);
    /// As the program came.
    void reset();

Q_SIGNALS:
    void changed();

private:
    void keep();
    std::map<RunAction, std::vector<Qt::Key>> m_keys;
};

} // namespace mivanta
