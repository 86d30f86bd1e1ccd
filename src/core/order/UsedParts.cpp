// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/order/UsedParts.h"
#include "core/order/UsedMedia.h"

namespace mivanta {

namespace {
constexpr double kWorthIt = 0.9; // of a film
constexpr double kLeftOut = 2;   // seconds
} // namespace

std::vector<UsedPart> usedParts(const Service& service) {
    std::vector<UsedPart> parts;
    for (const Item& item : service.items) {
        const auto* film = std::get_if<FilmItem>(&item.words);
        if (!film || film->seconds <= 0)
            continue;
        const auto known = std::find_if(parts.begin(), parts.end(),
                                        [&](const UsedPart& part) { return part.name == film->name; });
        if (known == parts.end()) {
            parts.push_back({film->name, film->caption, {film->from, film->to}, film->seconds});
            continue;
        }
        known->part.from = std::min(known->part.from, film->from);
        known->part.to = known->part.to > 0 && film->to > 0 ? std::max(known->part.to, film->to) : 0;
    }
    // What else shows it shows all of it, and so may an item that does not know how long it is.
    Service others = service;
    for (Item& item : others.items)
        if (const auto* film = std::get_if<FilmItem>(&item.words); film && film->seconds > 0)
            item.words = PauseItem{};
    const QStringList whole = mediaOf(others);
    std::erase_if(parts, [&](const UsedPart& part) {
        return whole.contains(part.name) || part.share() > kWorthIt ||
               part.seconds * (1 - part.share()) < kLeftOut;
    });
    return parts;
}

void playFromPart(Service& service, const QString& name, const QString& partName, double later,
                  double seconds) {
    for (Item& item : service.items) {
        auto* film = std::get_if<FilmItem>(&item.words);
        if (!film || film->name != name)
            continue;
        film->name = partName;
        film->from = std::max(0.0, film->from + later);
        if (film->to > 0)
            film->to = film->to + later >= seconds ? 0 : film->to + later;
        film->seconds = seconds;
    }
}

} // namespace mivanta
