// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/run/Shown.h"
#include "session/run/RunController.h"

namespace mivanta {

/// What is on the screens: what the player says that it has painted, whatever was ordered. Everything that
/// the desks say is on screen comes from here. GUI thread.
class OnScreen : public QObject {
    Q_OBJECT
public:
    OnScreen(RunController& run, PlayerClient& player, QObject* parent = nullptr);

    /// Of every output, in their order; nothing while there is no player.
    [[nodiscard]] std::vector<Shown> all() const;
    [[nodiscard]] Shown of(const QString& output) const;
    /// Something that somebody has put there is to be seen on an output.
    [[nodiscard]] bool isSeen() const;
    /// What the first output that is not frozen shows; of whatever service.
    [[nodiscard]] SceneOrigin origin() const;
    /// Its place, when it is from the service that is open, else nothing. What was just ordered counts as
    /// painted for as long as painting takes.
    [[nodiscard]] std::optional<Cue> cue() const;
    /// The curtain that hides it on every output for people, or on the stage monitors where there are no
    /// others; Open while it is to be seen on one of them.
    [[nodiscard]] Curtain cover() const;
    /// The title of the service that the pictures are from.
    [[nodiscard]] QString serviceTitle() const;
    /// The same when it is not the one that is open; else empty.
    [[nodiscard]] QString otherService() const;

Q_SIGNALS:
    void changed();

private:
    RunController& m_run;
    PlayerClient& m_player;
    QTimer m_patience; ///< runs from an order until it is painted
    QTimer m_soon;
};

} // namespace mivanta
