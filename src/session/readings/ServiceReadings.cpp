// SPDX-License-Identifier: GPL-3.0-or-later
#include "session/readings/ServiceReadings.h"
#include <algorithm>

namespace mivanta {

namespace {
constexpr int kIdleMs = 4; // between two items
constexpr int kReadSoonMs = 250;
} // namespace

ServiceReadings::ServiceReadings(SlideBook& book, Contrasts& contrasts, QObject* parent)
    : QObject(parent),
      m_book(book),
      m_contrasts(contrasts) {
    m_idle.setInterval(kIdleMs);
    m_soon.setSingleShot(true);
    m_soon.setInterval(kReadSoonMs);
    connect(&m_idle, &QTimer::timeout, this, &ServiceReadings::readOne);
    connect(&m_soon, &QTimer::timeout, this, &ServiceReadings::changed);
    connect(&m_book, &SlideBook::completed, this, &ServiceReadings::bookChanged);
    connect(&m_contrasts, &Contrasts::measured, this, [this] {
        m_pending.insert(m_pending.end(), m_waiting.begin(), m_waiting.end());
        m_waiting.clear();
        if (!m_pending.empty())
            m_idle.start();
    });
}

void ServiceReadings::bookChanged() {
    QHash<ItemId, Known> kept;
    m_pending.clear();
    m_waiting.clear();
    for (int i = 0; i < m_book.itemCount(); ++i) {
        const ItemId id = m_book.itemId(i);
        const auto known = m_known.constFind(id);
        const bool isSame = known != m_known.constEnd() && known->slides == m_book.sharedSlidesOf(id);
        if (isSame)
            kept.insert(id, *known);
        const bool isDone =
            isSame && std::all_of(known->outputs.begin(), known->outputs.end(),
                                  [](const auto& reading) { return !reading || reading->isMeasured; });
        if (!isDone)
            m_pending.push_back(id);
    }
    m_known = std::move(kept);
    m_idle.start();
    m_soon.start();
}

void ServiceReadings::readOne() {
    if (m_pending.empty()) {
        m_idle.stop();
        return;
    }
    const ItemId id = m_pending.front();
    m_pending.pop_front();
    Known known{m_book.sharedSlidesOf(id), {}};
    if (!known.slides)
        return;
    bool isMeasured = true;
    for (const OutputSlides& output : known.slides->outputs) {
        known.outputs.push_back(
            readingOf(*known.slides, output, m_contrasts, Contrasts::Urgency::WhenThereIsTime));
        isMeasured = isMeasured && (!known.outputs.back() || known.outputs.back()->isMeasured);
    }
    m_known.insert(id, known);
    if (!isMeasured)
        m_waiting.push_back(id);
    if (!m_soon.isActive())
        m_soon.start();
}

bool ServiceReadings::isComplete() const {
    return m_book.isComplete() && m_pending.empty() && m_waiting.empty() &&
           m_known.size() == m_book.itemCount();
}

std::vector<std::optional<Reading>> ServiceReadings::of(const ItemId& item) const {
    return m_known.value(item).outputs;
}

std::vector<std::optional<ServiceReadings::Worst>> ServiceReadings::worst() const {
    std::vector<std::optional<Worst>> result(m_book.outputs().size());
    for (int i = 0; i < m_book.itemCount(); ++i) {
        const auto known = m_known.constFind(m_book.itemId(i));
        if (known == m_known.constEnd())
            continue;
        for (size_t o = 0; o < result.size() && o < known->outputs.size(); ++o) {
            const auto& reading = known->outputs[o];
            if (reading && (!result[o] || isWorse(reading->worst, result[o]->reading.worst)))
                result[o] = Worst{*reading, m_book.itemId(i)};
        }
    }
    return result;
}

} // namespace mivanta

#include "moc_ServiceReadings.cpp"
