// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "session/run/RunController.h"

namespace mivanta {

/// Has sound what the plan of an item says when the item is taken, and music when that is the item; both end
/// when another item is taken, unless they are to go on. GUI thread.
class ItemSounds : public QObject {
    Q_OBJECT
public:
    ItemSounds(RunController& run, ServiceDocument& document, const SlideBook& book, PlayerClient& player,
               QObject* parent = nullptr);

    void setGainOf(CueScenes::GainOf gainOf) { m_gainOf = std::move(gainOf); }

    /// What sounds now on a channel is called; empty = nothing does.
    [[nodiscard]] QString title(SoundChannel channel) const;
    [[nodiscard]] const message::Sounding& sounding(SoundChannel channel) const {
        return m_player.sounding(channel);
    }
    [[nodiscard]] bool isAnythingHeard() const;
    /// Fades out all that sounds now.
    void stop();

    // Nothing happens while neither music nor a track sounds.
    void pauseMusicOrGoOn();
    void goToPiece(int by); ///< the next one, or the one before

Q_SIGNALS:
    void changed();
    void failed(const mivanta::Error& error);

private:
    /// Music that sounds while an item is on screen: its own, or what its loop has underneath.
    struct Bed {
        ItemId owner; ///< the item or the loop
        MusicItem music;
    };
    void itemShown();
    void musicShown(const ItemId& item);
    void playMusic(const Bed& bed);
    void slideShown();
    void stop(SoundChannel channel);
    void heard(SoundChannel channel);
    void musicHeard();
    [[nodiscard]] const ItemSound* soundOf(const ItemId& item) const;
    [[nodiscard]] message::SoundPiece pieceOf(const QString& name, double from = 0, double to = 0) const;
    [[nodiscard]] std::optional<Bed> bedOf(const ItemId& item) const;

    RunController& m_run;
    ServiceDocument& m_document;
    const SlideBook& m_book;
    PlayerClient& m_player;
    CueScenes::GainOf m_gainOf;
    ItemId m_item;                     ///< the one that was on screen last
    std::optional<SlidePlace> m_slide; ///< the slide of it
    ItemId m_music;                    ///< whose music was begun last; null = it was ended
    QStringList m_toldProblems;  ///< since it was taken: a broken piece is told once, however often it comes
    bool m_isMusicHeard = false; ///< by the player that there is
};

} // namespace mivanta
