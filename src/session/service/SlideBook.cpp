// SPDX-License-Identifier: GPL-3.0-or-later
#include "session/service/SlideBook.h"
#include "core/base/Clock.h"
#include "core/order/LiveBehind.h"
#include "core/run/Cards.h"
#include "session/service/LoopPlans.h"
#include <algorithm>

namespace mivanta {

namespace {
std::optional<LiveItem> liveOf(const Item* item) {
    return item ? std::optional(std::get<LiveItem>(item->words)) : std::nullopt;
}
} // namespace

SlideBook::SlideBook(ServiceDocument& document, std::vector<Theme> themes, QObject* parent)
    : QObject(parent),
      m_document(document),
      m_themes(std::move(themes)) {
    m_idle.setInterval(0);
    connect(&m_idle, &QTimer::timeout, this, &SlideBook::makeOne);
    connect(&m_document, &ServiceDocument::changed, this, &SlideBook::serviceChanged);
    serviceChanged();
}

void SlideBook::setOutputs(const std::vector<Output>& outputs) {
    if (outputs == m_outputs)
        return;
    m_outputs = outputs;
    m_made.clear();
    serviceChanged();
}

void SlideBook::setThemes(const std::vector<Theme>& themes) {
    if (themes == m_themes)
        return;
    m_themes = themes;
    m_made.clear();
    serviceChanged();
    Q_EMIT themesChanged();
}

void SlideBook::remeasure() {
    m_measures = {};
    m_made.clear();
    serviceChanged();
}

void SlideBook::serviceChanged() {
    const Service& service = m_document.service();
    const bool isOther = !(service.id == m_madeWith.id);
    // What every item may depend on: its look, and what fields are filled with.
    if (isOther || !(service.theme == m_madeWith.theme) || !(service.look == m_madeWith.look) ||
        service.kinds != m_madeWith.kinds || service.themes != m_madeWith.themes ||
        service.start != m_madeWith.start || service.place != m_madeWith.place)
        m_made.clear();
    if (isOther)
        m_unplanned.clear();
    m_madeWith = {service.id,    service.title,  service.place,
                  service.start, service.theme,  service.look,
                  service.kinds, service.themes, {}};
    m_items.clear();
    m_loops.clear();
    QHash<ItemId, Made> kept;
    const auto keep = [&](const Item& item, const Item* behind) {
        const auto made = m_made.constFind(item.id);
        if (made != m_made.constEnd() && isSame(made->words, item.words) && made->look == item.look &&
            made->edits == item.edits && made->behind == liveOf(behind))
            kept.insert(item.id, *made);
    };
    const std::vector<const Item*> behind = liveBehindEach(service);
    const Item* loop = nullptr; // the one that items are in
    for (size_t i = 0; i < service.items.size(); ++i) {
        const Item& item = service.items[i];
        if (item.loop() || (loop && !(item.group == loop->group)))
            loop = item.loop() ? &item : nullptr;
        if (!item.hasSlides())
            continue;
        keep(item, behind[i]);
        if (item.isRun())
            addToLineup(item, loop);
    }
    for (const Item& item : m_unplanned)
        keep(item, nullptr);
    m_made = std::move(kept);
    m_idle.start();
    Q_EMIT changed();
}

/// Music of a loop is underneath, and a loop that is left out has its members left out.
void SlideBook::addToLineup(const Item& item, const Item* loop) {
    if (loop && (loop->plan.skipped || !canBeMember(item.words)))
        return;
    m_items.push_back(item.id);
    if (!loop)
        return;
    if (m_loops.empty() || !(m_loops.back().id == loop->id))
        m_loops.push_back({{int(m_items.size()) - 1, 0}, loop->id});
    m_loops.back().end = int(m_items.size());
}

std::optional<Cue> SlideBook::entryOf(const ItemId& item) const {
    for (const LoopHere& loop : m_loops)
        if (loop.id == item)
            return entry(loop.first);
    const int at = indexOf(item);
    return at >= 0 ? std::optional(entry(at)) : std::nullopt;
}

ItemId SlideBook::blockOf(const ItemId& item) const {
    const int at = indexOf(item);
    for (const LoopHere& loop : m_loops)
        if (at >= loop.first && at < loop.end)
            return loop.id;
    return item;
}

std::optional<Lineup::Loop> SlideBook::loopAt(int index) const {
    for (const LoopHere& loop : m_loops)
        if (index >= loop.first && index < loop.end)
            return loop;
    return std::nullopt;
}

Cue SlideBook::entry(int index) const {
    const auto loop = std::find_if(m_loops.begin(), m_loops.end(),
                                   [&](const LoopHere& each) { return each.first == index; });
    if (loop != m_loops.end())
        if (const Item* item = m_document.service().item(loop->id))
            if (const auto first =
                    firstOf(*item, m_document.service(), Clock::the().now(), knownMembers(*this)))
                if (const auto shows = cueOf(*first, *this))
                    return *shows;
    return cue(index, 0);
}

const ItemSlides& SlideBook::slides(int index) const {
    return *slidesOf(m_items[size_t(index)]);
}

const Item* SlideBook::unplannedItem(const ItemId& id) const {
    const auto at =
        std::find_if(m_unplanned.begin(), m_unplanned.end(), [&](const Item& i) { return i.id == id; });
    return at == m_unplanned.end() ? nullptr : &*at;
}

const Item* SlideBook::itemOf(const ItemId& id) const {
    const Item* planned = m_document.service().item(id);
    return planned ? planned : unplannedItem(id);
}

void SlideBook::addUnplanned(const Item& item) {
    m_unplanned.push_back(item);
}

void SlideBook::changeUnplanned(const Item& item) {
    for (Item& known : m_unplanned)
        if (known.id == item.id)
            known = item;
    m_made.remove(item.id);
    Q_EMIT changed();
}

const ItemSlides* SlideBook::unplanned(const ItemId& id) const {
    return unplannedItem(id) ? slidesOf(id) : nullptr;
}

const ItemSlides* SlideBook::slidesOf(const ItemId& id) const {
    return sharedSlidesOf(id).get(); // the book keeps it
}

std::shared_ptr<const ItemSlides> SlideBook::sharedSlidesOf(const ItemId& id) const {
    if (const auto made = m_made.constFind(id); made != m_made.constEnd())
        return made->slides;
    const Item* item = itemOf(id);
    if (!item || !item->hasSlides())
        return nullptr;
    auto slides = std::make_shared<const ItemSlides>(slidesOf(*item));
    m_made.insert(
        id, {item->words, item->look, item->edits, liveOf(liveBehind(id, m_document.service())), slides});
    return slides;
}

ItemSlides SlideBook::slidesOf(const ItemWords& words) const {
    return slidesOf(Item{{}, words});
}

ItemSlides SlideBook::slidesOf(const Item& item) const {
    const Service& service = m_document.service();
    return slidesFor(contentOf(item, service), m_outputs, lookChainOf(item, service, m_themes), m_measures);
}

int SlideBook::slideCountOf(const ItemWords& words) const {
    const ItemSlides slides = slidesOf(words);
    const int main = mainOutput(slides);
    return main < 0 ? 0 : int(slides.outputs[size_t(main)].slides.size());
}

void SlideBook::makeOne() {
    for (const ItemId& id : m_items)
        if (!m_made.contains(id)) {
            static_cast<void>(slidesOf(id));
            return;
        }
    m_idle.stop();
    Q_EMIT completed();
}

bool SlideBook::isComplete() const {
    return std::all_of(m_items.begin(), m_items.end(),
                       [this](const ItemId& id) { return m_made.contains(id); });
}

int SlideBook::slideCount() const {
    int count = 0;
    for (const ItemId& id : m_items)
        if (const auto made = m_made.constFind(id); made != m_made.constEnd())
            if (const int main = mainOutput(*made->slides); main >= 0)
                count += int(made->slides->outputs[size_t(main)].slides.size());
    return count;
}

} // namespace mivanta

#include "moc_SlideBook.cpp"
