// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/song/Song.h"
#include "core/theme/Theme.h"
#include <QDateTime>
#include <memory>
#include <variant>
#include <vector>

namespace mivanta {

struct Heading {
    QString title;
};

/// A song in the order, as it stands in this service: its own copy, so that a service opens anywhere.
/// Immutable, so that copies of an order are cheap and a changed song is a new one.
struct SongItem {
    std::shared_ptr<const Song> song; ///< never null
};

[[nodiscard]] SongItem songItem(Song song);

struct Item {
    ItemId id;
    std::variant<Heading, SongItem> content;

    [[nodiscard]] const Song* song() const;
    [[nodiscard]] bool isHeading() const { return std::holds_alternative<Heading>(content); }
    [[nodiscard]] QString title() const;
};

/// The service order: headings and items, top to bottom.
struct Service {
    ServiceId id;
    QString title;
    QString place;   ///< where it is held, as printed under the title
    QDateTime start; ///< invalid = not said
    Theme theme;
    std::vector<Item> items;

    [[nodiscard]] const Item* item(const ItemId& id) const;
    /// Index in items, or -1.
    [[nodiscard]] int indexOf(const ItemId& id) const;
};

} // namespace mivanta
