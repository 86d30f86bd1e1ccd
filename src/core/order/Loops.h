// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/order/Service.h"

namespace mivanta {

/// What can go round in a loop: what has slides. Music is underneath.
[[nodiscard]] bool canBeMember(const ItemWords& words);

/// The loop that this item of the order is a member of; null for the loop itself and what is in none. The
/// item must be one of the service's.
[[nodiscard]] const Item* loopOf(const Item& item, const Service& service);
[[nodiscard]] const Item* loopOf(const ItemId& item, const Service& service);

/// By item of the service: whether it is in a loop, whatever it is.
[[nodiscard]] std::vector<bool> membersOfLoops(const Service& service);

/// What goes round in a loop, top to bottom, with what is left out today; music is not among them.
[[nodiscard]] std::vector<const Item*> membersOf(const Item& loop, const Service& service);

/// The music under a loop: all its pieces, as the first one follows and sounds; nothing without any.
[[nodiscard]] std::optional<MusicItem> musicUnder(const Item& loop, const Service& service);

/// A picture as a notice: a name that begins with a day says until when it is shown, and the rest what it is
/// called.
[[nodiscard]] OrderPicture noticeOf(const Medium& medium);

/// The order of files in a loop: by their names without the day, numbers by their value.
[[nodiscard]] bool isNoticeBefore(const QString& path, const QString& other);

/// How a picture of a set, or a whole item, stands in its loop.
[[nodiscard]] bool isInSeason(const Item& member, int still, QDate day);

/// The item that comes at the end of `loop`, which is one, by itself; null = none does, or the service ends
/// there.
[[nodiscard]] const Item* followsLoop(const Item& loop, const Service& service);

} // namespace mivanta
