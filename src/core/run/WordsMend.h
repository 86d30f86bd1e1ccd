// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/order/Service.h"
#include "core/run/Slides.h"

namespace mivanta {

/// Words that can be mended while a service runs: a part of a song, a page of a text, or what was given to a
/// slide in place of its own words.
struct MendableWords {
    QString part;  ///< its key
    QString label; ///< of the part, for people
    QString words; ///< its lines, without chords and roles
    int caret = 0; ///< index of the first character of the line that the position is in
    /// The slide that has words of its own; nothing = the part's.
    std::optional<SlidePlace> slide{};
};

/// What is mended at a position of an item; nothing where there are no words or they are not ours, as those
/// of scripture. `content` is the item's, with its edits.
[[nodiscard]] std::optional<MendableWords> mendableAt(const Item& item, const ItemContent& content,
                                                      const Position& position);

/// The item with these words in place of those that were found. Chords stay over their letters, roles and
/// slide breaks with their lines; a line that is new is said by whoever says the one before. Other parts
/// stay.
[[nodiscard]] Item mended(Item item, const MendableWords& found, const QString& words);

/// The library's song or text with the same mend; nothing when that part has other words there.
[[nodiscard]] std::optional<Song> mended(const Song& song, const MendableWords& found, const QString& words);
[[nodiscard]] std::optional<SpokenText> mended(const SpokenText& text, const MendableWords& found,
                                               const QString& words);

} // namespace mivanta
