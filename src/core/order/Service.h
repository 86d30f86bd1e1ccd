// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/order/ItemKinds.h"
#include "core/order/ItemPlan.h"
#include "core/order/ItemWords.h"
#include "core/order/SlideEdits.h"
#include <QDateTime>

namespace mivanta {

struct Item {
    ItemId id;
    ItemWords words;
    ItemLook look{};
    ItemPlan plan{};
    SlideEdits edits{};
    GroupId group{};   ///< of items that stand together; null = in none
    LoopPart inLoop{}; ///< as a member of a loop

    [[nodiscard]] const Song* song() const;
    [[nodiscard]] const Passage* passage() const;
    [[nodiscard]] const TextItem* text() const;
    [[nodiscard]] bool isHeading() const { return std::holds_alternative<Heading>(words); }
    [[nodiscard]] bool isUnknown() const { return std::holds_alternative<UnknownItem>(words); }
    /// False for headings, notes for the operator, places to fill and what is unknown.
    [[nodiscard]] bool hasSlides() const { return kindOf(words).has_value(); }
    [[nodiscard]] const LoopItem* loop() const { return std::get_if<LoopItem>(&words); }
    [[nodiscard]] bool isSlot() const { return std::holds_alternative<SlotItem>(words); }
    /// It takes its time: what has slides, and what will have when it is filled.
    [[nodiscard]] bool hasPlan() const { return factsOf(words).takesTime; }
    /// True for what comes up while the service runs.
    [[nodiscard]] bool isRun() const { return hasSlides() && !plan.skipped; }
    [[nodiscard]] QString title() const { return titleOf(words); }
};

/// What is known of a file of the library's media that a service shows, so that it is found again elsewhere.
struct MediaFact {
    QString name;     ///< in the media folder: its content's SHA-256 and its suffix
    QString title;    ///< what it was called where it came from; may be empty
    qint64 bytes = 0; ///< 0 = not known
    friend bool operator==(const MediaFact&, const MediaFact&) = default;
};

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
    std::vector<MediaFact> media{}; ///< as of when it was saved

    [[nodiscard]] const Item* item(const ItemId& id) const;
    /// Index in items, or -1.
    [[nodiscard]] int indexOf(const ItemId& id) const;
    /// What the fields of a text are filled with here.
    [[nodiscard]] FieldValues fieldValues(const QMap<QString, QString>& answers) const;
};

/// Everything but the output that decides how an item looks in this service. Themes are looked for in the
/// service's copies first. A song's usual theme counts as the item's, unless it has another. The result
/// points into `item`, `service` and `library`.
[[nodiscard]] LookChain lookChainOf(const Item& item, const Service& service,
                                    const std::vector<Theme>& library);

/// What slides are made of before anything was changed on single ones; nothing for what has no slides.
[[nodiscard]] ItemContent contentOf(const ItemWords& words, const Service& service);
/// What an item's slides are made of, with the changes of single slides.
[[nodiscard]] ItemContent contentOf(const Item& item, const Service& service);

} // namespace mivanta
