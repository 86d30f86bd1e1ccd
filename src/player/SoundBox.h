// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "link/Protocol.h"
#include <QObject>
#include <QThread>

namespace mivanta {

class SoundVoice;

/// Plays what is to sound, on a thread of its own: the pictures never wait for it. Used on the GUI thread.
class SoundBox : public QObject {
    Q_OBJECT
public:
    explicit SoundBox(QObject* parent = nullptr);
    ~SoundBox() override;

    /// `folder`: of the library's media.
    void play(const message::Sound& sound, const QString& folder);
    /// What sounds now, as it was told last.
    [[nodiscard]] const message::Sounding& sounding() const { return m_sounding; }

Q_SIGNALS:
    void told(const mivanta::message::Sounding& sounding);

private:
    class There;
    QThread m_thread;
    There* m_there;
    message::Sounding m_sounding;
};

} // namespace mivanta
