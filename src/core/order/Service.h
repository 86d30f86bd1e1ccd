// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/order/ItemContent.h"
#include "core/order/ItemLook.h"
#include "core/order/ItemPlan.h"
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

/// A passage of scripture with its verses.
struct PassageItem {
    std::shared_ptr<const Passage> passage; ///< never null
};

/// A spoken text, and what was answered when it was placed.
struct TextItem {
    std::shared_ptr<const SpokenText> text; ///< never null
    QMap<QString, QString> answers;         ///< by what was asked
};

/// Something that another version of the program put into the order: kept as it is, and never run.
struct UnknownItem {
    QString kind;
    QString title;
    QByteArray json; ///< as it was read
};

using ItemWords = std::variant<Heading, SongItem, PassageItem, TextItem, UnknownItem>;

[[nodiscard]] SongItem songItem(Song song);
[[nodiscard]] PassageItem passageItem(Passage passage);
[[nodiscard]] TextItem textItem(SpokenText text, QMap<QString, QString> answers = {});

[[nodiscard]] QString titleOf(const ItemWords& words);

struct Item {
    ItemId id;
    ItemWords content;
    ItemLook look{};
    ItemPlan plan{};

    [[nodiscard]] const Song* song() const;
    [[nodiscard]] const Passage* passage() const;
    [[nodiscard]] const TextItem* text() const;
    [[nodiscard]] bool isHeading() const { return std::holds_alternative<Heading>(content); }
    [[nodiscard]] bool isUnknown() const { return std::holds_alternative<UnknownItem>(content); }
    /// True for what comes up while the service runs.
    [[nodiscard]] bool isRun() const { return !isHeading() && !isUnknown() && !plan.skipped; }
    [[nodiscard]] QString title() const { return titleOf(content); }
};

/// True when both hold the very same words, so that their slides are the same.
[[nodiscard]] bool isSame(const ItemWords& a, const ItemWords& b);

/// The service order: headings and items, top to bottom.
struct Service {
    ServiceId id;
    QString title;
    QString place;   ///< where it is held, as printed under the title
    QDateTime start; ///< invalid = not said
    Theme theme;
    LookChoice look;                  ///< on top of the theme; its own theme is never used
    QMap<ItemKind, LookChoice> kinds; ///< of all songs, passages or texts
    std::vector<Theme> themes;        ///< copies of those that kinds, items and slides use
    std::vector<Item> items;

    [[nodiscard]] const Item* item(const ItemId& id) const;
    /// Index in items, or -1.
    [[nodiscard]] int indexOf(const ItemId& id) const;
    /// What the fields of a text are filled with here.
    [[nodiscard]] FieldValues fieldValues(const QMap<QString, QString>& answers) const;
};

/// Nothing for a heading.
[[nodiscard]] std::optional<ItemKind> kindOf(const ItemWords& words);

/// Everything but the output that decides how an item looks in this service. Themes are looked for in the
/// service's copies first. A song's usual theme counts as the item's, unless it has another. The result
/// points into `item`, `service` and `library`.
[[nodiscard]] LookChain lookChainOf(const Item& item, const Service& service,
                                    const std::vector<Theme>& library);

/// What slides are made of; a heading has nothing.
[[nodiscard]] ItemContent contentOf(const ItemWords& words, const Service& service);

} // namespace mivanta
