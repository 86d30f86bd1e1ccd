// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "link/Protocol.h"
#include <QObject>
#include <QTimer>
#include <functional>

namespace mivanta {

class SoundVoice;

/// What sounds on one channel: pieces one after the other, each going over into the next as it is told to.
/// What sounded before fades out. Lives on the thread of the sounds.
class Playlist : public QObject {
public:
    using Tell = std::function<void(message::Sounding)>;
    Playlist(SoundChannel channel, Tell tell, QObject* parent = nullptr);

    /// `folder`: of the library's media.
    void play(const message::Sound& sound, const QString& folder);
    void steer(const message::SteerSound& order);
    void setDucked(bool ducked);
    void setDevice(const QByteArray& device);
    /// It makes others softer, and is not made softer itself.
    [[nodiscard]] bool isInFront() const { return m_voice && !m_sound.ducks; }

private:
    void start(int piece, double at, int fadeInMs);
    void look();
    void goOver(int next, int ms);
    /// `piece`: the one that has the problem; else the one that sounds.
    void tell(const QString& problem = {}, std::optional<int> piece = {});
    [[nodiscard]] int nextOf(int piece) const; ///< -1 = none
    [[nodiscard]] bool isFading() const { return m_sound.crossfade > 0; }

    SoundChannel m_channel;
    Tell m_tell;
    message::Sound m_sound;
    QString m_folder;
    QByteArray m_device;
    SoundVoice* m_voice = nullptr; ///< null = nothing is to sound
    int m_piece = 0;               ///< the first of those that m_voice plays
    bool m_isDucked = false;
    size_t m_failed = 0; ///< pieces in a row that could not be played
    QTimer m_ticks;
};

} // namespace mivanta
