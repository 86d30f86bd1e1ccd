// SPDX-License-Identifier: GPL-3.0-or-later
#include "session/run/RunWatch.h"
#include "core/timing/RunTiming.h"
#include "session/run/OnScreen.h"
#include "session/run/RunController.h"
#include "session/service/PlannedLengths.h"

namespace mivanta {

RunWatch::RunWatch(RunController& run, SlideBook& lineup, ServiceDocument& document, OnScreen& onScreen,
                   QObject* parent)
    : QObject(parent),
      m_run(run),
      m_lineup(lineup),
      m_document(document),
      m_onScreen(onScreen) {
    m_soon.setSingleShot(true);
    m_soon.setInterval(0);
    connect(&m_soon, &QTimer::timeout, this, &RunWatch::look);
    const auto soon = qOverload<>(&QTimer::start);
    connect(&m_run, &RunController::changed, &m_soon, soon);
    connect(&m_run, &RunController::shown, &m_soon, soon);
    connect(&m_onScreen, &OnScreen::changed, &m_soon, soon);
    connect(&m_lineup, &SlideBook::changed, &m_soon, soon);
}

void RunWatch::look() {
    RunFacts now = withoutTimes();
    if (now == m_told)
        return;
    m_told = std::move(now);
    Q_EMIT changed();
}

std::optional<RunPlace> RunWatch::placeOf(const std::optional<Cue>& cue) const {
    const ItemSlides* slides = cue ? m_lineup.slidesOf(cue->item) : nullptr;
    const Item* item = cue ? m_lineup.itemOf(cue->item) : nullptr;
    if (!slides || !item)
        return std::nullopt;
    const int step = slides->stepAt(cue->position);
    const size_t part = size_t(slides->steps[size_t(step)].part);
    const auto& parts = slides->content.parts;
    return RunPlace{item->title(), m_lineup.indexOf(cue->item) + 1, step + 1, int(slides->steps.size()),
                    part < parts.size() ? parts[part].key : QString()};
}

RunFacts RunWatch::withoutTimes() const {
    const RunState& state = m_run.state();
    RunFacts facts;
    facts.service = m_document.service().title;
    facts.items = m_lineup.itemCount();
    facts.onScreen = placeOf(m_onScreen.cue());
    facts.onScreenFrom = m_onScreen.otherService();
    facts.next = placeOf(state.next);
    facts.curtain = state.covers.curtain;
    for (const Output& output : m_lineup.outputs())
        facts.outputs.push_back(
            {output.name, state.covers.on(output.name), state.frozen.contains(output.name)});
    if (state.covers.callOut)
        facts.callOut = state.covers.callOut->text;
    return facts;
}

RunFacts RunWatch::facts() const {
    RunFacts facts = withoutTimes();
    const RunTiming timing = timingOf(m_document.service(), m_run.moment(), plannedLengths(m_document));
    facts.secondsBehind = timing.behind;
    facts.likelyEnd = timing.likelyEnd.time();
    return facts;
}

} // namespace mivanta

#include "moc_RunWatch.cpp"
