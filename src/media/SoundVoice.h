// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "media/Mpv.h"
#include <QObject>
#include <QTimer>

namespace mivanta {

/// One sound file that is being played. Lives on one thread with an event loop, which is not the GUI's:
/// making and ending it may wait some ms.
class SoundVoice : public QObject {
    Q_OBJECT
public:
    /// Plays from `fromSeconds` on.
    SoundVoice(const QString& path, double fromSeconds, QObject* parent = nullptr);
    ~SoundVoice() override;

    /// Becomes silent within a second and is over then.
    void fadeOut();
    [[nodiscard]] qint64 positionMs() const;
    [[nodiscard]] qint64 durationMs() const; ///< 0 = not known (yet)

Q_SIGNALS:
    void started();
    /// At its end, faded out, or with a problem; nothing more comes.
    void over(const QString& problem);

private:
    void readEvents();
    void end(const QString& problem);

    Mpv m_mpv;
    QTimer m_fade;
    double m_volume = 100; ///< per cent
    bool m_isOver = false;
};

} // namespace mivanta
