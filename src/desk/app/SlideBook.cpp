// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/app/SlideBook.h"
#include "core/run/Cards.h"

namespace mivanta {

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

void SlideBook::serviceChanged() {
    const Service& service = m_document.service();
    if (!(service.theme == m_madeWith)) {
        m_made.clear();
        m_madeWith = service.theme;
    }
    m_items.clear();
    QHash<ItemId, Made> kept;
    for (const Item& item : service.items) {
        const auto* song = std::get_if<SongItem>(&item.content);
        if (!song)
            continue;
        m_items.push_back(item.id);
        if (const auto made = m_made.constFind(item.id);
            made != m_made.constEnd() && made->song == song->song)
            kept.insert(item.id, *made);
    }
    m_made = std::move(kept);
    m_idle.start();
    Q_EMIT changed();
}

const ItemSlides& SlideBook::slides(int index) const {
    return *slidesOf(m_items[size_t(index)]);
}

const ItemSlides* SlideBook::slidesOf(const ItemId& id) const {
    if (const auto made = m_made.constFind(id); made != m_made.constEnd())
        return made->slides.get();
    const Item* item = m_document.service().item(id);
    const auto* song = item ? std::get_if<SongItem>(&item->content) : nullptr;
    if (!song)
        return nullptr;
    auto slides = std::make_shared<const ItemSlides>(slidesOf(*song->song));
    m_made.insert(id, {song->song, slides});
    return slides.get();
}

ItemSlides SlideBook::slidesOf(const Song& song) const {
    return slidesFor(contentOf(song), m_outputs, themeFor(song, m_document.service().theme, m_themes),
                     m_themes, m_measures);
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
    return qsizetype(m_made.size()) == qsizetype(m_items.size());
}

int SlideBook::slideCount() const {
    int count = 0;
    for (const Made& made : std::as_const(m_made))
        if (const int main = mainOutput(*made.slides); main >= 0)
            count += int(made.slides->outputs[size_t(main)].slides.size());
    return count;
}

} // namespace mivanta
