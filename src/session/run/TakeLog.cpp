// SPDX-License-Identifier: GPL-3.0-or-later
#include "session/run/TakeLog.h"
#include "core/base/Clock.h"
#include <utility>

namespace mivanta {

namespace {
constexpr int kShortest = 15; // seconds; less is a look at it, no singing of it
}

TakeLog::TakeLog(RunController& run, ServiceDocument& document, LibraryClient& library, QObject* parent)
    : QObject(parent),
      m_run(run),
      m_document(document),
      m_library(library) {
    connect(&m_run, &RunController::takenUp, this, [this] { // it was noted before the restart
        m_isRepeated = m_run.state().onScreen.has_value();
        m_item = m_run.moment().item;
        m_began = m_run.moment().itemSince;
    });
    connect(&m_run, &RunController::shown, this, &TakeLog::noteTake);
    connect(&m_run, &RunController::changed, this, &TakeLog::noteSung);
    connect(&m_library, &LibraryClient::opened, this, &TakeLog::learn);
}

/// A song counts as sung once its words are to be seen.
void TakeLog::noteSung() {
    const RunState& state = m_run.state();
    if (!state.onScreen || state.covers.curtain != Curtain::Open || state.onScreen->item == m_sung)
        return;
    const Service& service = m_document.service();
    const Item* item = m_run.lineup().itemOf(state.onScreen->item);
    const Song* song = item ? item->song() : nullptr;
    if (!song)
        return;
    m_sung = item->id;
    m_library.noteSung({song->id, song->title, service.id, service.title, Clock::the().now()});
}

void TakeLog::noteTake() {
    const RunMoment moment = m_run.moment();
    const std::optional<Cue>& cue = m_run.state().onScreen;
    if (!cue || std::exchange(m_isRepeated, false))
        return;
    const ItemId block = moment.item; // a loop is noted once, whatever goes round in it
    const bool isInLoop = !(block == cue->item);
    if (isInLoop && block == m_item)
        return;
    if (!(block == m_item)) {
        noteItem(m_item, m_began);
        m_item = block;
        m_began = moment.itemSince;
    }
    const Service& service = m_document.service();
    const Item* item = m_run.lineup().itemOf(cue->item);
    const ItemSlides* slides = m_run.lineup().slidesOf(cue->item);
    if (!item || !slides)
        return;
    const Step& step = slides->steps[size_t(slides->stepAt(cue->position))];
    const auto& parts = slides->content.parts;
    const QString name = givenName(item->words);
    const TakeNote note{service.id,
                        service.title,
                        m_run.takenAt(),
                        item->id,
                        subjectOf(*item),
                        name.isEmpty() ? kindKey(item->words) : name,
                        step.part < int(parts.size()) ? parts[size_t(step.part)].key : QString()};
    // Nobody waits for it; it is no reason to stop a service when it fails.
    m_library.ask<void>(
        this, [note](Library& library) { return library.takes().note(note); }, [](const Result<void>&) {});
}

/// Of a service that runs when it is planned, or has no time: a rehearsal teaches nothing.
void TakeLog::noteItem(const ItemId& id, const QDateTime& began) {
    const Item* item = m_document.service().item(id);
    if (!item || !began.isValid())
        return;
    RunMoment then{id, began, began, began};
    const bool isPlanned = m_document.service().start.isValid();
    if (isPlanned && !timingOf(m_document.service(), then).behind)
        return;
    const auto seconds = int(began.secsTo(Clock::the().now()));
    if (seconds >= kShortest && seconds <= kLongestItem)
        m_library.ask<void>(
            this,
            [time = ItemTime{subjectOf(*item), began, seconds}](Library& library) {
                return library.takes().note(time);
            },
            [this](const Result<void>&) { learn(); });
}

void TakeLog::learn() {
    using Lengths = QHash<QString, std::vector<int>>;
    const auto ask = [](Library& library) { return library.takes().lengths(); };
    m_library.ask<Lengths>(this, ask, [this](const Result<Lengths>& lengths) {
        if (!lengths)
            return;
        QHash<QString, int> usual;
        for (auto it = lengths->begin(); it != lengths->end(); ++it)
            if (const auto middle = medianOf(it.value()))
                usual.insert(it.key(), *middle);
        m_document.setUsualLengths([usual](const Item& item) -> std::optional<int> {
            const auto at = usual.constFind(subjectOf(item));
            return at == usual.constEnd() ? std::nullopt : std::optional(*at);
        });
    });
}

} // namespace mivanta

#include "moc_TakeLog.cpp"
