// SPDX-License-Identifier: GPL-3.0-or-later
#include "media/SoundVoice.h"
#include "core/base/Clock.h"
#include "media/SoundFormat.h"
#include <QFile>
#include <mpv/client.h>

namespace mivanta {

namespace {

constexpr int kRampStepMs = 20;
constexpr double kDucked = 0.25; // of the amplitude: 12 dB softer
constexpr int kDuckMs = 400;
constexpr double kLoudest = 200; // per cent: room for pieces that were recorded softly

/// Of something that may be unknown, s.
std::optional<double> secondsOf(mpv_handle* mpv, const char* property) {
    double seconds = 0;
    if (!mpv || mpv_get_property(mpv, property, MPV_FORMAT_DOUBLE, &seconds) < 0)
        return std::nullopt;
    return seconds;
}

/// libmpv's volume is the cube root of the amplitude, which feels even to the hand.
double volumeOf(double amplitude) {
    return std::cbrt(amplitude);
}

QByteArray number(double value) {
    return QByteArray::number(value, 'f', 3);
}

} // namespace

SoundVoice::SoundVoice(VoiceSetup setup, QObject* parent) : QObject(parent), m_setup(std::move(setup)) {
    m_ramps.setInterval(kRampStepMs);
    connect(&m_ramps, &QTimer::timeout, this, &SoundVoice::applyLevel);
    if (m_setup.fadeInMs > 0) {
        m_fade = Ramp(0);
        m_fade.goTo(1, m_setup.fadeInMs, Clock::the().steady());
        m_ramps.start();
    }
    if (m_setup.isDucked)
        m_duck = Ramp(kDucked);
    m_piece = m_setup.first;
    m_mpv = makeMpv({{"vid", "no"},
                     {"pause", m_setup.isPaused ? "yes" : "no"},
                     {"gapless-audio", "yes"},
                     {"prefetch-playlist", "yes"},
                     {"loop-playlist", m_setup.isRound ? "inf" : "no"},
                     {"volume-max", number(kLoudest)},
                     {"volume", number(volumeNow())},
                     {"audio-device", m_setup.device.isEmpty() ? "auto" : m_setup.device}});
    if (m_mpv) {
        mpv_set_wakeup_callback(
            m_mpv.get(),
            [](void* voice) {
                auto* self = static_cast<SoundVoice*>(voice);
                QMetaObject::invokeMethod(self, &SoundVoice::readEvents, Qt::QueuedConnection);
            },
            this);
        mpv_observe_property(m_mpv.get(), 0, "idle-active", MPV_FORMAT_FLAG);
        load();
    }
    if (!m_mpv || m_loaded.empty())
        QMetaObject::invokeMethod(
            this,
            [this] {
                end(m_mpv ? tr("the file is not there, or it is no sound")
                          : tr("sounds cannot be played on this computer"));
            },
            Qt::QueuedConnection);
}

SoundVoice::~SoundVoice() {
    if (m_mpv)
        mpv_set_wakeup_callback(m_mpv.get(), nullptr, nullptr);
}

/// From the first one on; where it goes round, those before it come last.
void SoundVoice::load() {
    const int count = int(m_setup.pieces.size());
    for (int n = 0; n < count; ++n) {
        const int i = (m_setup.first + n) % count;
        if (i < m_setup.first && !m_setup.isRound)
            break;
        const VoicePiece& piece = m_setup.pieces[size_t(i)];
        const QByteArray format = soundFormatOf(piece.path);
        if (format.isEmpty()) { // passed by
            QMetaObject::invokeMethod(
                this, [this, i] { Q_EMIT pieceFailed(i, tr("the file is not there, or it is no sound")); },
                Qt::QueuedConnection);
            continue;
        }
        m_loaded.push_back(i);
        const QByteArray name = QFile::encodeName(piece.path);
        const double start = n == 0 && m_setup.at > piece.from ? m_setup.at : piece.from;
        QByteArray options = "demuxer-lavf-format=" + format + ",start=" + number(start);
        if (piece.to > 0)
            options += ",end=" + number(piece.to);
        const char* command[]{"loadfile", name.constData(), "append-play", options.constData(), nullptr};
        mpv_command(m_mpv.get(), command);
    }
}

void SoundVoice::fadeOut(int milliseconds) {
    if (m_isOver || m_isEnding)
        return;
    m_isEnding = true;
    m_fade.goTo(0, m_setup.isPaused ? 0 : milliseconds, Clock::the().steady());
    m_ramps.start();
}

void SoundVoice::setLevel(double percent) {
    m_setup.level = percent;
    applyLevel();
}

void SoundVoice::setDucked(bool ducked) {
    if (std::exchange(m_setup.isDucked, ducked) == ducked)
        return;
    m_duck.goTo(ducked ? kDucked : 1, kDuckMs, Clock::the().steady());
    m_ramps.start();
}

void SoundVoice::setPaused(bool paused) {
    m_setup.isPaused = paused;
    if (m_mpv)
        mpv_set_property_string(m_mpv.get(), "pause", paused ? "yes" : "no");
}

void SoundVoice::seek(double seconds) {
    m_seekTo = seconds;
    goTo(seconds);
}

/// libmpv refuses it while no piece is open; the next one that opens takes it up.
void SoundVoice::goTo(double seconds) {
    const QByteArray to = number(seconds);
    const char* command[]{"seek", to.constData(), "absolute+exact", nullptr};
    if (m_mpv)
        mpv_command_async(m_mpv.get(), ++m_lastSeek, command);
}

void SoundVoice::setDevice(const QByteArray& device) {
    if (m_mpv)
        mpv_set_property_string(m_mpv.get(), "audio-device", device.isEmpty() ? "auto" : device.constData());
}

qint64 SoundVoice::positionMs() const {
    return qint64(secondsOf(m_mpv.get(), "time-pos").value_or(0) * 1000);
}

qint64 SoundVoice::durationMs() const {
    return qint64(secondsOf(m_mpv.get(), "duration").value_or(0) * 1000);
}

std::optional<qint64> SoundVoice::msToEnd(std::optional<double> from) const {
    const double to = m_setup.pieces[size_t(m_piece)].to;
    const auto end = to > 0 ? std::optional(to) : secondsOf(m_mpv.get(), "duration");
    return end && from ? std::optional(std::max<qint64>(0, qint64((*end - *from) * 1000))) : std::nullopt;
}

std::optional<qint64> SoundVoice::leftMs() const {
    return msToEnd(secondsOf(m_mpv.get(), "time-pos"));
}

std::optional<qint64> SoundVoice::pieceMs() const {
    return msToEnd(m_setup.pieces[size_t(m_piece)].from);
}

double SoundVoice::volumeNow() const {
    const qint64 now = Clock::the().steady();
    const double gain = std::pow(10, m_setup.pieces[size_t(m_piece)].gain / 20);
    return std::min(kLoudest, m_setup.level * volumeOf(m_fade.at(now) * m_duck.at(now) * gain));
}

void SoundVoice::applyLevel() {
    const qint64 now = Clock::the().steady();
    double volume = volumeNow();
    if (m_mpv)
        mpv_set_property_async(m_mpv.get(), 0, "volume", MPV_FORMAT_DOUBLE, &volume);
    if (!m_fade.isOver(now) || !m_duck.isOver(now))
        return;
    m_ramps.stop();
    if (m_isEnding)
        end({});
}

void SoundVoice::readEvents() {
    while (m_mpv) {
        const mpv_event* event = mpv_wait_event(m_mpv.get(), 0);
        if (event->event_id == MPV_EVENT_NONE)
            return;
        handle(*event);
    }
}

void SoundVoice::handle(const mpv_event& event) {
    switch (event.event_id) {
    case MPV_EVENT_START_FILE: {
        m_hasStarted = true;
        // libmpv numbers what was loaded from 1.
        const auto at = size_t(static_cast<const mpv_event_start_file*>(event.data)->playlist_entry_id - 1);
        if (at < m_loaded.size())
            m_piece = m_loaded[at];
        applyLevel();
        return;
    }
    case MPV_EVENT_COMMAND_REPLY:
        if (event.reply_userdata == m_lastSeek && event.error >= 0)
            m_seekTo.reset();
        return;
    case MPV_EVENT_FILE_LOADED:
        m_problem.clear();
        if (m_seekTo)
            goTo(*m_seekTo);
        Q_EMIT started();
        return;
    case MPV_EVENT_END_FILE: {
        const auto* ended = static_cast<const mpv_event_end_file*>(event.data);
        if (ended->reason == MPV_END_FILE_REASON_ERROR) {
            m_problem = QString::fromUtf8(mpv_error_string(ended->error));
            Q_EMIT pieceFailed(m_piece, m_problem);
        }
        return;
    }
    case MPV_EVENT_PROPERTY_CHANGE: {
        const auto* property = static_cast<const mpv_event_property*>(event.data);
        const bool isIdle =
            property->format == MPV_FORMAT_FLAG && *static_cast<const int*>(property->data) != 0;
        if (isIdle && m_hasStarted)
            end(m_problem);
        return;
    }
    default:
        return;
    }
}

void SoundVoice::end(const QString& problem) {
    if (m_isOver)
        return;
    m_isOver = true;
    m_ramps.stop();
    Q_EMIT over(problem);
}

} // namespace mivanta

#include "moc_SoundVoice.cpp"
