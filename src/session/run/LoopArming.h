// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "session/run/RunLoop.h"

namespace mivanta {

/// Loops of the open service that are armed: each begins by itself at its time of day. Arming is the take.
/// GUI thread.
class LoopArming : public QObject {
    Q_OBJECT
public:
    LoopArming(RunController& run, ServiceDocument& document, RunLoop& loop, QObject* parent = nullptr);

    struct Armed {
        ItemId loop;
        QString title;
        QDateTime at;
    };
    /// The next one first.
    [[nodiscard]] const std::vector<Armed>& all() const { return m_armed; }
    [[nodiscard]] bool isArmed(const ItemId& loop) const;

    /// One whose time has come a while ago begins now, where it is by the clock. Fails when it has no time,
    /// its end is over, or another one is armed for that time.
    Result<void> arm(const ItemId& loop);
    /// The first of the order that begins by itself, has its time still to come and is not armed. Fails when
    /// there is none.
    Result<void> armNext();
    void disarm(const ItemId& loop);
    void disarmAll();
    /// Those of the service that are to be armed where the computer opens it at start.
    void armAtStart();

Q_SIGNALS:
    void changed();
    void failed(const mivanta::Error& error);
    void notice(const QString& text);

private:
    void documentChanged();
    void lookAtClock();
    void waitForNext();
    void keep();
    void takeUp();

    RunController& m_run;
    ServiceDocument& m_document;
    RunLoop& m_loop;
    ServiceId m_service; ///< that they are of
    std::vector<Armed> m_armed;
    DueTimer m_due;
    ClockWatch m_clock;
};

} // namespace mivanta
