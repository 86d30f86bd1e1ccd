// SPDX-License-Identifier: GPL-3.0-or-later
#include "player/SoundBox.h"
#include "core/base/MediaName.h"
#include "media/SoundVoice.h"
#include <QDateTime>

namespace mivanta {

namespace {
constexpr int kTellEveryMs = 500;
}

/// What lives on the thread: one voice that is heard, and those that fade out.
class SoundBox::There : public QObject {
public:
    explicit There(std::function<void(message::Sounding)> told) : m_tell(std::move(told)), m_ticks(this) {
        m_ticks.setInterval(kTellEveryMs);
        connect(&m_ticks, &QTimer::timeout, this, [this] { tell(); });
    }

    void play(const QString& name, const QString& path, double fromSeconds) {
        if (m_voice)
            m_voice->fadeOut(); // and goes when it is over
        m_voice = nullptr;
        m_name = name;
        if (!name.isEmpty())
            start(path, fromSeconds);
        tell();
    }

private:
    void start(const QString& path, double fromSeconds) {
        auto* voice = new SoundVoice(path, fromSeconds, this);
        m_voice = voice;
        connect(voice, &SoundVoice::started, this, [this] { tell(); });
        connect(voice, &SoundVoice::over, this, [this, voice](const QString& problem) {
            voice->deleteLater();
            if (voice != m_voice)
                return;
            m_voice = nullptr;
            m_name.clear();
            tell(problem);
        });
    }

    void tell(const QString& problem = {}) {
        if (m_voice)
            m_ticks.start();
        else
            m_ticks.stop();
        m_tell({m_name, m_voice ? m_voice->positionMs() : 0, m_voice ? m_voice->durationMs() : 0, problem});
    }

    std::function<void(message::Sounding)> m_tell;
    SoundVoice* m_voice = nullptr; ///< null = nothing is to sound
    QString m_name;
    QTimer m_ticks;
};

SoundBox::SoundBox(QObject* parent) : QObject(parent) {
    m_there = new There([this](const message::Sounding& sounding) {
        QMetaObject::invokeMethod(
            this,
            [this, sounding] {
                m_sounding = sounding;
                Q_EMIT told(m_sounding);
            },
            Qt::QueuedConnection);
    });
    m_there->moveToThread(&m_thread);
    m_thread.setObjectName(QStringLiteral("sound"));
    connect(&m_thread, &QThread::finished, m_there, &QObject::deleteLater);
    m_thread.start();
}

SoundBox::~SoundBox() {
    m_thread.quit();
    m_thread.wait();
}

void SoundBox::play(const message::Sound& sound, const QString& folder) {
    const qint64 since = std::max<qint64>(0, QDateTime::currentMSecsSinceEpoch() - sound.startedAt);
    QMetaObject::invokeMethod(
        m_there,
        [there = m_there, name = sound.name, path = mediaPath(folder, sound.name),
         from = double(since) / 1000] { there->play(name, path, from); },
        Qt::QueuedConnection);
}

} // namespace mivanta
