// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/base/Clock.h"
#include "session/run/RunController.h"

namespace mivanta {

/// Takes the next slide by itself where an item's plan says so, and what follows a countdown at its end. It
/// gives way to the operator: looking elsewhere stops it until something is taken again. GUI thread.
class AutoAdvance : public QObject {
    Q_OBJECT
public:
    AutoAdvance(RunController& run, ServiceDocument& document, QObject* parent = nullptr);

    /// When the next slide comes; nothing while nothing is to come by itself.
    [[nodiscard]] const std::optional<QDateTime>& due() const { return m_due; }
    /// Until something is taken again.
    void stop();

Q_SIGNALS:
    void changed();

private:
    void start();
    void watch();
    [[nodiscard]] std::optional<Cue> comesNext() const;
    [[nodiscard]] std::optional<QDateTime> wanted() const;
    void clockWasSet();

    RunController& m_run;
    ServiceDocument& m_document;
    std::optional<QDateTime> m_due;
    DueTimer m_timer;
    ClockWatch m_clock;
};

} // namespace mivanta
