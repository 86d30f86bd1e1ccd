// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/song/Song.h"

namespace mivanta {

// What a song may have at most: far more than any has, and little enough that fitting and showing it takes
// moments. docs/limits.md lists all limits.
inline constexpr int kMostParts = 300;
inline constexpr int kMostLines = 1000;           ///< of a part
inline constexpr qsizetype kMostLetters = 20'000; ///< of a line
inline constexpr int kMostSung = 1000;            ///< parts of a singing order, each as often as it is sung
inline constexpr int kMostOrders = 100;           ///< other singing orders
inline constexpr qsizetype kMostSongLetters = 2 << 20; ///< of all its lines

/// "2000 lines; 1000 is the most", of what was counted ("2000 lines").
[[nodiscard]] QString tooMuch(const QString& counted, qint64 most);

/// How often parts are sung in an order.
[[nodiscard]] qint64 sungCount(const std::vector<SungPart>& order);

/// What a song has too much of, in words ("2000 lines in Verse 1; 1000 is the most"); empty = nothing.
[[nodiscard]] QString excessOf(const Song& song);

} // namespace mivanta
