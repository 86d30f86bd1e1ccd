// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "session/run/RunController.h"

namespace mivanta {

/// Has sound what the plan of an item says when the item is taken, and end when another one is, unless it is
/// to go on. GUI thread.
class ItemSounds : public QObject {
    Q_OBJECT
public:
    ItemSounds(RunController& run, ServiceDocument& document, PlayerClient& player,
               QObject* parent = nullptr);

    /// What sounds now is called; empty = nothing does.
    [[nodiscard]] QString title() const;
    [[nodiscard]] const message::Sounding& sounding() const { return m_player.sounding(); }
    /// Fades out what sounds now.
    void stop();

Q_SIGNALS:
    void changed();
    void failed(const mivanta::Error& error);

private:
    void itemShown();
    void heard();
    [[nodiscard]] const ItemSound* soundOf(const ItemId& item) const;

    RunController& m_run;
    ServiceDocument& m_document;
    PlayerClient& m_player;
    ItemId m_item; ///< the one that was on screen last
};

} // namespace mivanta
