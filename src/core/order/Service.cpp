// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/order/Service.h"
#include "core/base/Cases.h"
#include "core/order/LiveBehind.h"
#include <algorithm>

namespace mivanta {

ItemContent contentOf(const ItemWords& words, const Service& service) {
    return std::visit(
        Cases{[](const Heading&) { return ItemContent(); }, [](const NoteItem&) { return ItemContent(); },
              [](const SlotItem&) { return ItemContent(); }, [](const LoopItem&) { return ItemContent(); },
              [](const UnknownItem&) { return ItemContent(); },
              [](const SongItem& item) { return contentOf(*item.song); },
              [](const PassageItem& item) { return contentOf(*item.passage); },
              [&](const TextItem& item) { return contentOf(*item.text, service.fieldValues(item.answers)); },
              [](const PictureItem& item) { return contentOf(item); },
              [](const FilmItem& item) { return contentOf(item); },
              [](const LiveItem& item) { return contentOf(item); },
              [](const MusicItem& item) { return contentOf(item); },
              [](const PauseItem& item) { return contentOf(item); },
              [](const CountdownItem& item) { return contentOf(item); }},
        words);
}

ItemContent contentOf(const Item& item, const Service& service) {
    ItemContent content = withEdits(contentOf(item.words, service), item.edits);
    for (ContentPart& part : content.parts)
        if (part.film && part.film->live.isNull())
            part.film->item = item.id.text();
    return content;
}

const Song* Item::song() const {
    const auto* item = std::get_if<SongItem>(&words);
    return item ? item->song.get() : nullptr;
}

const Passage* Item::passage() const {
    const auto* item = std::get_if<PassageItem>(&words);
    return item ? item->passage.get() : nullptr;
}

const TextItem* Item::text() const {
    return std::get_if<TextItem>(&words);
}

LookChain lookChainOf(const Item& item, const Service& service, const std::vector<Theme>& library) {
    LookChain chain{{}, item.look.slides, &service.themes, &library};
    chain.layers.push_back({LookLevel::Service, &service.theme, &service.look});
    if (const auto kind = kindOf(item.words))
        if (const auto choice = service.kinds.constFind(*kind); choice != service.kinds.constEnd())
            chain.layers.push_back({LookLevel::Kind, chain.theme(choice->theme), &*choice});
    const Theme* theme = chain.theme(item.look.choice.theme);
    if (const Song* song = item.song(); song && item.look.choice.theme.isEmpty())
        theme = chain.theme(song->usualTheme);
    if (const Item* before = liveBehind(item.id, service)) {
        const auto& live = std::get<LiveItem>(before->words);
        chain.behind = std::make_shared<const LookChoice>(backdropOf(live));
        chain.isBehindOn = live.isShownOn;
        chain.layers.push_back({LookLevel::Item, theme, nullptr});
        chain.layers.push_back({LookLevel::Live, nullptr, chain.behind.get()});
        theme = nullptr;
    }
    chain.layers.push_back({LookLevel::Item, theme, &item.look.choice});
    return chain;
}

FieldValues Service::fieldValues(const QMap<QString, QString>& answers) const {
    return {start.date(), place, answers};
}

int Service::indexOf(const ItemId& id) const {
    const auto at = std::find_if(items.begin(), items.end(), [&](const Item& i) { return i.id == id; });
    return at == items.end() ? -1 : int(at - items.begin());
}

const Item* Service::item(const ItemId& id) const {
    const int at = indexOf(id);
    return at < 0 ? nullptr : &items[size_t(at)];
}

} // namespace mivanta
