// SPDX-License-Identifier: GPL-3.0-or-later
#include "media/SoundVoice.h"
#include "media/SoundFormat.h"
#include <QFile>
#include <mpv/client.h>

namespace mivanta {

namespace {

constexpr int kFadeStepMs = 30;
constexpr double kFadeStep = 5; // per cent: 0.6 s from the loudest

qint64 millisecondsOf(mpv_handle* mpv, const char* property) {
    double seconds = 0;
    if (!mpv || mpv_get_property(mpv, property, MPV_FORMAT_DOUBLE, &seconds) < 0)
        return 0;
    return qint64(seconds * 1000);
}

} // namespace

SoundVoice::SoundVoice(const QString& path, double fromSeconds, QObject* parent) : QObject(parent) {
    m_fade.setInterval(kFadeStepMs);
    connect(&m_fade, &QTimer::timeout, this, [this] {
        m_volume -= kFadeStep;
        if (m_volume <= 0)
            end({});
        else
            mpv_set_property_async(m_mpv.get(), 0, "volume", MPV_FORMAT_DOUBLE, &m_volume);
    });
    const auto endSoon = [this](const QString& problem) {
        QMetaObject::invokeMethod(
            this, [this, problem] { end(problem); }, Qt::QueuedConnection);
    };
    const QByteArray format = soundFormatOf(path);
    if (format.isEmpty()) {
        endSoon(tr("the file is not there, or it is no sound"));
        return;
    }
    m_mpv = makeMpv({{"vid", "no"}, {"demuxer-lavf-format", format}});
    if (!m_mpv) {
        endSoon(tr("sounds cannot be played on this computer"));
        return;
    }
    mpv_set_wakeup_callback(
        m_mpv.get(),
        [](void* voice) {
            auto* self = static_cast<SoundVoice*>(voice);
            QMetaObject::invokeMethod(self, &SoundVoice::readEvents, Qt::QueuedConnection);
        },
        this);
    const QByteArray name = QFile::encodeName(path);
    const QByteArray start = "start=" + QByteArray::number(fromSeconds, 'f', 3);
    const char* command[]{"loadfile", name.constData(), "replace", start.constData(), nullptr};
    if (mpv_command_async(m_mpv.get(), 0, command) < 0)
        endSoon(tr("the file cannot be opened"));
}

SoundVoice::~SoundVoice() {
    if (m_mpv)
        mpv_set_wakeup_callback(m_mpv.get(), nullptr, nullptr);
}

void SoundVoice::fadeOut() {
    if (!m_isOver)
        m_fade.start();
}

qint64 SoundVoice::positionMs() const {
    return millisecondsOf(m_mpv.get(), "time-pos");
}

qint64 SoundVoice::durationMs() const {
    return millisecondsOf(m_mpv.get(), "duration");
}

void SoundVoice::readEvents() {
    while (m_mpv) {
        const mpv_event* event = mpv_wait_event(m_mpv.get(), 0);
        if (event->event_id == MPV_EVENT_NONE)
            return;
        if (event->event_id == MPV_EVENT_FILE_LOADED)
            Q_EMIT started();
        if (event->event_id == MPV_EVENT_END_FILE) {
            const auto* ended = static_cast<const mpv_event_end_file*>(event->data);
            end(ended->reason == MPV_END_FILE_REASON_ERROR ? QString::fromUtf8(mpv_error_string(ended->error))
                                                           : QString());
        }
    }
}

void SoundVoice::end(const QString& problem) {
    if (m_isOver)
        return;
    m_isOver = true;
    m_fade.stop();
    Q_EMIT over(problem);
}

} // namespace mivanta
