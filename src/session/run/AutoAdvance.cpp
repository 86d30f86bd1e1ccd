// SPDX-License-Identifier: GPL-3.0-or-later
#include "session/run/AutoAdvance.h"
#include "core/base/Clock.h"
#include <algorithm>

namespace mivanta {

AutoAdvance::AutoAdvance(RunController& run, ServiceDocument& document, QObject* parent)
    : QObject(parent),
      m_run(run),
      m_document(document) {
    connect(&m_timer, &DueTimer::due, this, [this] {
        m_due.reset();
        if (comesNext())
            m_run.take();
    });
    connect(&m_run, &RunController::shown, this, &AutoAdvance::start);
    connect(&m_run, &RunController::changed, this, &AutoAdvance::watch);
}

/// What is next, when it is what follows and the lineup has it come by itself.
std::optional<Cue> AutoAdvance::comesNext() const {
    const RunState& state = m_run.state();
    const Item* item = state.onScreen ? m_document.service().item(state.onScreen->item) : nullptr;
    if (!item || !item->plan.advance || !state.next)
        return std::nullopt;
    const auto next = following(*state.onScreen, m_run.lineup());
    const bool isAllowed = next && next == state.next && (item->plan.goesOn || next->item == item->id);
    return isAllowed ? next : std::nullopt;
}

void AutoAdvance::start() {
    m_timer.stop();
    m_due.reset();
    if (comesNext()) {
        const int seconds = *m_document.service().item(m_run.state().onScreen->item)->plan.advance;
        const QDateTime now = Clock::the().now();
        // After a restart some of it is over. A clock that was changed meanwhile never makes it longer.
        const qint64 left =
            std::clamp<qint64>(now.msecsTo(m_run.takenAt().addSecs(seconds)), 0, seconds * 1000LL);
        m_due = now.addMSecs(left);
        m_timer.start(left);
    }
    Q_EMIT changed();
}

void AutoAdvance::watch() {
    if (m_due && !comesNext())
        stop();
}

void AutoAdvance::stop() {
    if (!m_due)
        return;
    m_timer.stop();
    m_due.reset();
    Q_EMIT changed();
}

} // namespace mivanta

#include "moc_AutoAdvance.cpp"
