// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/base/Clock.h"
#include "core/timing/LoopPlan.h"
#include "session/run/RunController.h"

namespace mivanta {

class RunFilm;

/// The loop on screen: shows its members by its rule, one after the other, and what follows it at its end. A
/// loop begins when one of its members is taken, or when it is armed. What the operator does meanwhile
/// (pausing, another member, one more round) moves where it is; its rule goes on from there. GUI thread.
class RunLoop : public QObject {
    Q_OBJECT
public:
    RunLoop(RunController& run, ServiceDocument& document, SlideBook& book, PlayerClient& player,
            RunFilm& film, QObject* parent = nullptr);

    /// How it stands. `plan` is of the rest: from its begin on, what is shown is `showing` of its timeline.
    struct Stand {
        ItemId loop;
        LoopPlan plan;
        int showing = 0;
        bool isPaused = false;
        bool isOver = false; ///< its last picture stays: nothing comes by itself any more

        [[nodiscard]] const LoopShowing& shown() const { return plan.timeline.showings[size_t(showing)]; }
        [[nodiscard]] LoopStill still() const { return plan.stillOf(shown()); }
        /// What comes next of the loop; nothing at its end.
        [[nodiscard]] std::optional<LoopStill> next() const;
    };
    /// Nothing while no loop is on screen.
    [[nodiscard]] const std::optional<Stand>& stand() const { return m_stand; }
    /// ms until what is shown gives way; nothing while it is paused or over.
    [[nodiscard]] std::optional<qint64> left() const;
    /// When its last showing ends; invalid = paused, over, or never by itself.
    [[nodiscard]] QDateTime ends() const;
    /// It was told to end behind this round.
    [[nodiscard]] bool endsBehindRound() const { return m_stand && m_lastRound == m_stand->shown().round; }

    /// Has it begin as it would have at `begun`: where it is by the clock. Past its end it has what follows
    /// come. Fails when nothing of it can be shown.
    Result<void> begin(const ItemId& loop, const QDateTime& begun);

    // Nothing happens while no loop is on screen.
    void pauseOrGoOn();
    void goToMember(int by); ///< the next one, or the one before
    void oneMoreRound();
    void endBehindRound();

Q_SIGNALS:
    void changed();
    void failed(const mivanta::Error& error);

private:
    void shown();
    void stop();
    void start(const Item& loop, const LoopStill& still);
    void showingIsOver();
    void show(bool keepsUndo = false);
    void goOnFrom(const LoopPlace& place);
    void end();
    [[nodiscard]] bool isFollowed(const Item& loop) const;
    void documentChanged();
    void goOnWith(LoopPlan plan, const LoopStill& still, const LoopPlace& at, qint64 rest);
    void stayWithout(LoopPlan plan, int round, qint64 rest);
    void clockWasSet(qint64 by);
    void look();
    void lookAtFilm(const QByteArray& key);
    void leaveOut(const QString& why);
    void takeUp();
    void keep();
    void wait();
    [[nodiscard]] const Item* loop() const;
    [[nodiscard]] LoopPlan planned(const Item& loop) const;
    [[nodiscard]] LoopMembersKnown known() const;
    [[nodiscard]] LoopPlace place() const;
    [[nodiscard]] std::optional<FilmPlace> placeOf(const Cue& cue) const;
    [[nodiscard]] std::optional<Cue> comesNext() const;

    RunController& m_run;
    ServiceDocument& m_document;
    SlideBook& m_book;
    PlayerClient& m_player;
    RunFilm& m_film;
    std::optional<Stand> m_stand;
    qint64 m_planned = 0; ///< Clock::steady() when the plan begins
    QDateTime m_begun;    ///< the loop as a whole
    QDate m_day;          ///< whose members come
    std::optional<int> m_lastRound;
    bool m_isLonger = false; ///< a round was added: its rule ends it no more
    qint64 m_pausedLeft = 0;
    OrderPicture m_picture;     ///< of a set, that is shown: it may come to stand elsewhere in it
    OrderPicture m_nextPicture; ///< and that which follows
    struct Broken {
        LoopStill what;
        QString why;
    };
    std::vector<Broken> m_broken; ///< could not be shown in this loop
    DueTimer m_due;
    QTimer m_tick;
    ClockWatch m_clock;
};

} // namespace mivanta
