// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "desk/app/SlideBook.h"
#include "link/PlayerClient.h"
#include <QDateTime>

namespace mivanta {

/// Runs the service: keeps the run state, orders pictures from the player, has the likely next ones drawn
/// ahead, and leaves with the player what these desks need to go on after a crash. GUI thread.
class RunController : public QObject {
    Q_OBJECT
public:
    RunController(SlideBook& book, PlayerClient& player, QObject* parent = nullptr);

    [[nodiscard]] const RunState& state() const { return m_state; }
    [[nodiscard]] const SlideBook& plan() const { return m_book; }
    /// The pictures ordered last, one an output; empty before the first take.
    [[nodiscard]] const std::vector<Scene>& live() const { return m_live; }
    /// When what is on screen was put there; invalid before the first take.
    [[nodiscard]] const QDateTime& takenAt() const { return m_takenAt; }

    // What the keys do. Only take() and back() change what the congregation sees, and the curtain.
    void take();
    void back();
    void lookAhead(int steps);
    void lookAtItem(int index);
    void lookAt(const Cue& cue);
    void lookBack();
    /// Something that is not in the order is next; the order goes on behind it where it was left.
    void lookAtUnplanned(ItemWords words);
    void setCurtain(Curtain curtain);

    /// The state as it is kept for a restart, and taken up again. The picture is left as it is.
    [[nodiscard]] QByteArray keptState() const;
    void takeUp(const QByteArray& kept);
    /// Another service: what is on screen stays until a take.
    void startOver();
    /// "run" or another desk's name: kept, too, so that a restart comes back there.
    void setDesk(const QString& desk);
    [[nodiscard]] static QString deskOf(const QByteArray& kept);

Q_SIGNALS:
    void changed();
    void takenUp(); ///< what was on screen before a restart; shown() follows
    void shown();   ///< something was put on screen, or taken up again after a restart

private:
    void change(const RunState& next);
    void show(const RunState& next);
    void showLive();
    void keep();
    void prefetch();
    void planChanged();

    SlideBook& m_book;
    PlayerClient& m_player;
    RunState m_state;
    std::vector<Scene> m_live;
    QDateTime m_takenAt;
    QString m_desk;
    bool m_mayKeep = false; ///< not before what was kept last has been taken up
    QTimer m_prefetchSoon;
};

} // namespace mivanta
