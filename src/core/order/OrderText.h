// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/base/Result.h"
#include "core/order/Service.h"
#include <functional>

namespace mivanta {

/// Looks up what the lines of an order name; a failure ends the reading.
struct OrderSources {
    std::function<Result<ItemWords>(const QString& line)> findItem;
    std::function<Result<ItemSound>(const QString& name)> findSound{};
    std::function<Result<Medium>(const QString& name)> findBackdrop{}; ///< a picture or a film
};

/// Reads a service from lines of text: "Title: …", "Place: …", "Start: 2026-10-04 10:30", "Theme: id or name"
/// first, then "# Heading" and one item a line: a title or a reference. "[song] Opening song" is a place to
/// fill, as are "[reading] …", "[text] …" and "[any] …"; "[note] …", "[pause] …" and "[countdown] …" are
/// those items. "+ leader: …", "+ note: …", "+ takes: 4:30", "+ at: 11:00", "+ by itself: 8 s", "+ sound: …"
/// and "+ backdrop: …" are about the item before; "+ stays until: the end", "… the next heading" or the title
/// of an item says how long a live picture stays behind what follows. "[loop] …" is a loop, and lines with "-
/// " before them are its members; "+ each: 7 s", "+ until: 10:25", "… 3 rounds", "… 20 min" or "… its music
/// ends" and "+ begins: 10:00, by itself" are about the loop, "+ each: …" and "+ every: 3 rounds" about a
/// member. "+ until: 10:30" and
/// "+ then: the next item" are about a countdown, the latter about a film, too, "+ plays on until: …" about
/// music. Without a theme, the first of `themes` is used.
[[nodiscard]] Result<Service> readOrderText(const QString& text, const QString& where,
                                            const std::vector<Theme>& themes, const OrderSources& sources);

} // namespace mivanta
