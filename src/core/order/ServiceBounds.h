// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/order/Service.h"

namespace mivanta {

// What a service may have at most; docs/limits.md lists all limits. They hold for what is put together here
// as for what is read, so that whatever was saved can be read again.
inline constexpr qsizetype kMostItems = 2000;
inline constexpr qsizetype kMostThemes = 500;
inline constexpr qint64 kMostSlides =
    50'000; ///< parts that are sung, verses, lines and pictures, of all items
inline constexpr qsizetype kMostPictures = 2000;        ///< in one item
inline constexpr qsizetype kMostPieces = 500;           ///< of music in one item
inline constexpr qsizetype kMostTextLines = 5000;       ///< of one text
inline constexpr qsizetype kMostVerses = 3000;          ///< of one passage: the longest book has 2,461
inline constexpr qsizetype kMostSpokenLetters = 50'000; ///< of a line of a text, and of a verse

/// What a text has too much of, in words; empty = nothing.
[[nodiscard]] QString excessOf(const SpokenText& text);
/// The same of a passage, and of a whole service, which names the item.
[[nodiscard]] QString excessOf(const Passage& passage);
[[nodiscard]] QString excessOf(const Service& service);

} // namespace mivanta
