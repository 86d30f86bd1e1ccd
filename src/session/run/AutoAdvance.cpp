// SPDX-License-Identifier: GPL-3.0-or-later
#include "session/run/AutoAdvance.h"
#include "core/base/Clock.h"
#include "core/order/Loops.h"
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
    connect(&m_clock, &ClockWatch::wasSet, this, &AutoAdvance::clockWasSet);
    connect(&m_run, &RunController::shown, this, &AutoAdvance::start);
    connect(&m_run, &RunController::changed, this, &AutoAdvance::watch);
}

/// What is next, when it is what follows and the lineup has it come by itself.
std::optional<Cue> AutoAdvance::comesNext() const {
    const RunState& state = m_run.state();
    const Item* item = state.onScreen ? m_document.service().item(state.onScreen->item) : nullptr;
    if (!item || !state.next || !m_run.goesOnByItself() || loopOf(*item, m_document.service()))
        return std::nullopt;
    const auto* countdown = std::get_if<CountdownItem>(&item->words);
    if (!item->plan.advance && !(countdown && countdown->goesOn))
        return std::nullopt;
    const auto next = following(*state.onScreen, m_run.lineup());
    const bool goesOn = countdown ? countdown->goesOn : item->plan.goesOn;
    const bool isAllowed = next && next == state.next && (goesOn || next->item == item->id);
    return isAllowed ? next : std::nullopt;
}

/// When it is to come. A countdown to a time that was over when it was taken has no end to wait for.
std::optional<QDateTime> AutoAdvance::wanted() const {
    const Item* item = m_document.service().item(m_run.state().onScreen->item);
    const auto* countdown = std::get_if<CountdownItem>(&item->words);
    const QDateTime taken = m_run.takenAt();
    if (!countdown || !countdown->goesOn)
        return taken.addSecs(*item->plan.advance);
    if (!countdown->to)
        return taken.addSecs(countdown->seconds);
    QDateTime end(taken.date(), *countdown->to);
    if (end < taken)
        end = end.addDays(1);
    return taken.secsTo(end) <= kLongestItem ? std::optional(end) : std::nullopt;
}

void AutoAdvance::start() {
    m_timer.stop();
    m_due.reset();
    if (comesNext())
        m_due = wanted();
    if (m_due) {
        const QDateTime now = Clock::the().now();
        // After a restart some of it is over. A clock that was changed meanwhile never makes it longer.
        const qint64 left =
            std::clamp<qint64>(now.msecsTo(*m_due), 0, std::max<qint64>(0, m_run.takenAt().msecsTo(*m_due)));
        m_due = now.addMSecs(left);
        m_timer.start(left);
    }
    Q_EMIT changed();
}

/// A countdown to a time of day ends at that time, whatever became of the clock.
void AutoAdvance::clockWasSet() {
    if (!m_due)
        return;
    const Item* item = m_document.service().item(m_run.state().onScreen->item);
    const auto* countdown = item ? std::get_if<CountdownItem>(&item->words) : nullptr;
    if (countdown && countdown->goesOn && countdown->to)
        m_timer.start(std::max<qint64>(0, Clock::the().now().msecsTo(*m_due)));
    else
        m_due = Clock::the().now().addMSecs(m_timer.left());
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
