// SPDX-License-Identifier: GPL-3.0-or-later
#include "player/SoundBox.h"
#include "media/SoundVoice.h"
#include "media/TestTone.h"
#include "player/Playlist.h"
#include "player/SoundDevices.h"
#include <QDir>
#include <QPointer>
#include <algorithm>

namespace mivanta {

/// What lives on the thread: a playlist for each channel, each softer while what comes before it is heard.
class SoundBox::There : public QObject {
public:
    There(const Playlist::Tell& told, const SoundDevices::Changed& devices) : m_tellDevices(devices) {
        for (size_t i = 0; i < kSoundChannels; ++i)
            m_channels[i] = new Playlist(
                SoundChannel(i),
                [this, told](const message::Sounding& sounding) {
                    duck();
                    told(sounding);
                },
                this);
    }

    /// Not before it is on its thread.
    void watchDevices() { m_devices = new SoundDevices(m_tellDevices, this); }
    void setDevice(const QString& name) {
        for (Playlist* channel : m_channels)
            channel->setDevice(name.toUtf8());
        m_device = name.toUtf8();
    }
    /// One at a time: who presses again hears it out.
    void playTone(const QString& path) {
        if (m_tone)
            return;
        VoiceSetup setup;
        setup.pieces = {{path}};
        setup.device = m_device;
        m_tone = new SoundVoice(std::move(setup), this);
        connect(m_tone, &SoundVoice::over, m_tone, &QObject::deleteLater);
    }
    void play(const message::Sound& sound, const QString& folder) {
        at(sound.channel).play(sound, folder);
        duck();
    }
    void steer(const message::SteerSound& order) { at(order.channel).steer(order); }
    void setFilmHeard(bool heard) {
        m_isFilmHeard = heard;
        duck();
    }

private:
    Playlist& at(SoundChannel channel) { return *m_channels[size_t(channel)]; }
    void duck() {
        const bool isSomething =
            m_isFilmHeard || std::any_of(m_channels.begin(), m_channels.end(), [](const Playlist* channel) {
                return channel && channel->isInFront();
            });
        for (Playlist* channel : m_channels)
            if (channel)
                channel->setDucked(isSomething);
    }

    std::array<Playlist*, kSoundChannels> m_channels{};
    SoundDevices::Changed m_tellDevices;
    SoundDevices* m_devices = nullptr;
    QPointer<SoundVoice> m_tone;
    QByteArray m_device;
    bool m_isFilmHeard = false;
};

SoundBox::SoundBox(QObject* parent) : QObject(parent) {
    for (size_t i = 0; i < kSoundChannels; ++i)
        m_sounding[i].channel = SoundChannel(i);
    const auto here = [this](auto work) {
        QMetaObject::invokeMethod(this, std::move(work), Qt::QueuedConnection);
    };
    m_there = new There(
        [this, here](const message::Sounding& sounding) {
            here([this, sounding] {
                m_sounding[size_t(sounding.channel)] = sounding;
                Q_EMIT told(sounding);
            });
        },
        [this, here](const std::vector<SoundDevice>& devices) { here([this, devices] { take(devices); }); });
    m_there->moveToThread(&m_thread);
    m_thread.setObjectName(QStringLiteral("sound"));
    connect(&m_thread, &QThread::finished, m_there, &QObject::deleteLater);
    m_thread.start();
    QMetaObject::invokeMethod(
        m_there, [there = m_there] { there->watchDevices(); }, Qt::QueuedConnection);
}

SoundBox::~SoundBox() {
    m_thread.quit();
    m_thread.wait();
}

void SoundBox::play(const message::Sound& sound, const QString& folder) {
    QMetaObject::invokeMethod(
        m_there, [there = m_there, sound, folder] { there->play(sound, folder); }, Qt::QueuedConnection);
}

void SoundBox::steer(const message::SteerSound& order) {
    QMetaObject::invokeMethod(
        m_there, [there = m_there, order] { there->steer(order); }, Qt::QueuedConnection);
}

void SoundBox::setFilmHeard(bool heard) {
    if (std::exchange(m_isFilmHeard, heard) != heard)
        QMetaObject::invokeMethod(
            m_there, [there = m_there, heard] { there->setFilmHeard(heard); }, Qt::QueuedConnection);
}

void SoundBox::take(const std::vector<SoundDevice>& devices) {
    m_devices.devices = devices;
    useDevice();
}

void SoundBox::setDevice(const QString& name) {
    m_device = name;
    useDevice();
}

/// What sounds goes over to it at once; back to the usual one when it is unplugged.
void SoundBox::useDevice() {
    m_devices.isChosenThere =
        m_device.isEmpty() || std::any_of(m_devices.devices.begin(), m_devices.devices.end(),
                                          [this](const SoundDevice& each) { return each.name == m_device; });
    const QString used = m_devices.isChosenThere ? m_device : QString();
    if (std::exchange(m_used, used) != used)
        QMetaObject::invokeMethod(
            m_there, [there = m_there, used] { there->setDevice(used); }, Qt::QueuedConnection);
    Q_EMIT devicesChanged();
}

void SoundBox::playTestTone() {
    if (!m_tone) {
        m_tone =
            std::make_unique<QTemporaryFile>(QDir::tempPath() + QStringLiteral("/mivanta-tone-XXXXXX.wav"));
        if (!m_tone->open() || m_tone->write(testTone()) < 0 || !m_tone->flush())
            qWarning("the test tone cannot be written");
    }
    QMetaObject::invokeMethod(
        m_there, [there = m_there, path = m_tone->fileName()] { there->playTone(path); },
        Qt::QueuedConnection);
}

} // namespace mivanta

#include "moc_SoundBox.cpp"
