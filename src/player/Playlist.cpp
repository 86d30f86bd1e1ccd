// SPDX-License-Identifier: GPL-3.0-or-later
#include "player/Playlist.h"
#include "core/base/MediaName.h"
#include "core/order/ItemWords.h"
#include "media/SoundVoice.h"

namespace mivanta {

namespace {

constexpr int kTellEveryMs = 500;
constexpr int kLookEveryMs = 50; ///< for the moment to go over into the next piece
constexpr int kFadeOutMs = 800;

} // namespace

Playlist::Playlist(SoundChannel channel, Tell tell, QObject* parent)
    : QObject(parent),
      m_channel(channel),
      m_tell(std::move(tell)),
      m_ticks(this) {
    connect(&m_ticks, &QTimer::timeout, this, &Playlist::look);
}

void Playlist::play(const message::Sound& sound, const QString& folder) {
    if (m_voice)
        m_voice->fadeOut(kFadeOutMs); // and goes when it is over
    m_voice = nullptr;
    m_failed = 0;
    m_sound = sound;
    m_folder = folder;
    if (!sound.pieces.empty()) {
        const int first = std::clamp(sound.first, 0, int(sound.pieces.size()) - 1);
        start(first, sound.at, 0);
    }
    tell();
}

void Playlist::start(int piece, double at, int fadeInMs) {
    VoiceSetup setup;
    const auto add = [&](const message::SoundPiece& each) {
        setup.pieces.push_back({mediaPath(m_folder, each.name), each.from, each.to, each.gain});
    };
    if (isFading()) {
        add(m_sound.pieces[size_t(piece)]);
    } else {
        for (const message::SoundPiece& each : m_sound.pieces)
            add(each);
        setup.first = piece;
        setup.isRound = m_sound.isRound;
    }
    m_piece = isFading() ? piece : 0;
    setup.at = at;
    setup.isPaused = m_sound.isPaused;
    setup.level = m_sound.volume;
    setup.fadeInMs = fadeInMs;
    setup.isDucked = m_isDucked && m_sound.ducks;
    setup.device = m_device;
    auto* voice = new SoundVoice(std::move(setup), this);
    m_voice = voice;
    connect(voice, &SoundVoice::started, this, [this] {
        m_failed = 0;
        tell();
    });
    connect(voice, &SoundVoice::pieceFailed, this, [this, voice](int piece, const QString& problem) {
        if (voice == m_voice && m_sound.pieces.size() > 1)
            tell(problem, piece);
    });
    connect(voice, &SoundVoice::over, this, [this, voice](const QString& problem) {
        voice->deleteLater();
        if (voice != m_voice)
            return;
        m_voice = nullptr;
        // One that could not be played goes over at once; when none can be, that is the end.
        m_failed += problem.isEmpty() ? 0 : 1;
        const int next = isFading() && m_failed < m_sound.pieces.size() ? nextOf(m_piece) : -1;
        if (next >= 0)
            start(next, 0, 0);
        else
            m_sound.pieces.clear();
        tell(problem);
    });
    m_ticks.start(isFading() ? kLookEveryMs : kTellEveryMs);
}

int Playlist::nextOf(int piece) const {
    const int next = piece + 1;
    if (next < int(m_sound.pieces.size()))
        return next;
    return m_sound.isRound ? 0 : -1;
}

void Playlist::look() {
    if (!m_voice) {
        m_ticks.stop();
        return;
    }
    if (isFading() && !m_voice->isPaused()) {
        const auto left = m_voice->leftMs();
        const auto whole = m_voice->pieceMs();
        const int next = nextOf(m_piece);
        const double ms = crossfadeOf(m_sound.crossfade * 1000, double(whole.value_or(0)));
        if (left && whole && next >= 0 && double(*left) <= ms)
            goOver(next, int(ms));
    }
    tell();
}

void Playlist::goOver(int next, int ms) {
    SoundVoice* before = std::exchange(m_voice, nullptr);
    before->fadeOut(ms);
    start(next, 0, ms);
}

void Playlist::steer(const message::SteerSound& order) {
    using What = message::SteerSound::What;
    if (!m_voice)
        return;
    switch (order.what) {
    case What::Play:
    case What::Pause:
        m_sound.isPaused = order.what == What::Pause;
        m_voice->setPaused(m_sound.isPaused);
        break;
    case What::Seek:
        m_voice->seek(order.value);
        break;
    case What::Volume:
        m_sound.volume = std::clamp(int(order.value), 0, 100);
        m_voice->setLevel(m_sound.volume);
        break;
    case What::Piece: {
        const int piece = std::clamp(int(order.value), 0, int(m_sound.pieces.size()) - 1);
        std::exchange(m_voice, nullptr)->fadeOut(kFadeOutMs);
        start(piece, 0, 0);
        break;
    }
    }
    tell();
}

void Playlist::setDucked(bool ducked) {
    m_isDucked = ducked;
    if (m_voice && m_sound.ducks)
        m_voice->setDucked(ducked);
}

void Playlist::setDevice(const QByteArray& device) {
    m_device = device;
    if (m_voice)
        m_voice->setDevice(device);
}

void Playlist::tell(const QString& problem, std::optional<int> piece) {
    message::Sounding sounding;
    sounding.channel = m_channel;
    sounding.problem = problem;
    if (m_voice) {
        sounding.piece = m_piece + piece.value_or(m_voice->piece());
        sounding.name = m_sound.pieces[size_t(sounding.piece)].name;
        sounding.position = m_voice->positionMs();
        sounding.duration = m_voice->durationMs();
        sounding.isPaused = m_sound.isPaused;
        sounding.volume = m_sound.volume;
        sounding.pieces = int(m_sound.pieces.size());
    }
    m_tell(sounding);
}

} // namespace mivanta
