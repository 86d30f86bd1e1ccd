// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/order/LookTarget.h"
#include <QSet>
#include <algorithm>

namespace mivanta {

namespace {

QSet<QString> usedThemes(const Service& service) {
    QSet<QString> ids;
    for (const LookChoice& choice : service.kinds)
        ids << choice.theme;
    for (const Item& item : service.items) {
        ids << item.look.choice.theme;
        for (const SlideLook& slide : item.look.slides)
            ids << slide.choice.theme;
    }
    ids.remove(QString());
    return ids;
}

void carryThemes(Service& service, const std::vector<Theme>& library) {
    const QSet<QString> used = usedThemes(service);
    std::erase_if(service.themes, [&](const Theme& theme) { return !used.contains(theme.id); });
    for (const Theme& theme : library)
        if (used.contains(theme.id) && !themeOf(theme.id, service.themes))
            service.themes.push_back(theme);
}

} // namespace

LookChoice choiceAt(const Service& service, const LookTarget& target) {
    const Item* item = target.items.empty() ? nullptr : service.item(target.items.front());
    switch (target.level) {
    case LookLevel::Service:
        return service.look;
    case LookLevel::Kind:
        return service.kinds.value(target.kind);
    case LookLevel::Item:
        return item ? item->look.choice : LookChoice();
    case LookLevel::Slide: {
        const LookChoice* slide = item ? item->look.slide(target.place) : nullptr;
        return slide ? *slide : LookChoice();
    }
    default:
        return {};
    }
}

void changeChoice(Service& service, const LookTarget& target, const std::vector<Theme>& library,
                  const std::function<void(LookChoice&)>& change) {
    if (target.level == LookLevel::Service) {
        change(service.look);
        if (const Theme* theme = themeOf(service.look.theme, library))
            service.theme = *theme;
        service.look.theme.clear();
    } else if (target.level == LookLevel::Kind) {
        change(service.kinds[target.kind]);
        if (service.kinds[target.kind].isEmpty())
            service.kinds.remove(target.kind);
    }
    for (Item& item : service.items) {
        const bool isMeant =
            std::find(target.items.begin(), target.items.end(), item.id) != target.items.end();
        if (!isMeant || !item.hasSlides())
            continue;
        if (target.level == LookLevel::Item) {
            change(item.look.choice);
        } else if (target.level == LookLevel::Slide) {
            const LookChoice* before = item.look.slide(target.place);
            LookChoice choice = before ? *before : LookChoice();
            change(choice);
            item.look.setSlide(target.place, std::move(choice));
        }
    }
    carryThemes(service, library);
}

} // namespace mivanta
