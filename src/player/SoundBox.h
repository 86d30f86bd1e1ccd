// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "link/Protocol.h"
#include <QObject>
#include <QTemporaryFile>
#include <QThread>
#include <array>

namespace mivanta {

/// Plays what is to sound on each channel, on a thread of its own: the pictures never wait for it. Used on
/// the GUI thread.
class SoundBox : public QObject {
    Q_OBJECT
public:
    explicit SoundBox(QObject* parent = nullptr);
    ~SoundBox() override;

    /// `folder`: of the library's media.
    void play(const message::Sound& sound, const QString& folder);
    void steer(const message::SteerSound& order);
    /// The sound of a film is heard, or not: then what ducks is softer.
    void setFilmHeard(bool heard);
    /// Where it is to be heard; empty = the usual place, and so is one that is not there.
    void setDevice(const QString& name);
    void playTestTone();
    [[nodiscard]] const message::SoundDevices& devices() const { return m_devices; }
    /// The one that is used now; empty = the usual one.
    [[nodiscard]] const QString& device() const { return m_used; }
    /// What sounds now, as it was told last, by channel.
    [[nodiscard]] const std::array<message::Sounding, kSoundChannels>& sounding() const { return m_sounding; }

Q_SIGNALS:
    void told(const mivanta::message::Sounding& sounding);
    void devicesChanged(); ///< devices() or device()

private:
    void take(const std::vector<SoundDevice>& devices);
    void useDevice();
    class There;
    QThread m_thread;
    There* m_there;
    std::array<message::Sounding, kSoundChannels> m_sounding;
    bool m_isFilmHeard = false;
    QString m_device; ///< as it was chosen
    QString m_used;   ///< the chosen one while it is there
    message::SoundDevices m_devices;
    std::unique_ptr<QTemporaryFile> m_tone;
};

} // namespace mivanta
