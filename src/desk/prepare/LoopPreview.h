// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/timing/LoopPlan.h"
#include "session/Session.h"
#include <QElapsedTimer>
#include <QTimer>
#include <QWidget>

class QPushButton;

namespace mivanta {

class PictureView;
class ThumbnailStore;

/// Plays a loop here, ten times as fast, on no screen but this desk's. Hidden while it does not.
class LoopPreview : public QWidget {
    Q_OBJECT
public:
    /// `button`: plays and stops.
    LoopPreview(Session& session, ThumbnailStore& thumbnails, QPushButton* button, QWidget* parent = nullptr);
    void setPlan(const LoopPlan& plan);
    void stop();

Q_SIGNALS:
    void playedTo(std::optional<qint64> ms);

private:
    void playOrStop();
    void tick();

    Session& m_session;
    LoopPlan m_plan;
    QPushButton* m_play;
    PictureView* m_picture;
    QTimer m_tick;
    qint64 m_begun = 0; ///< Clock::steady()
    int m_shown = -1;
};

} // namespace mivanta
