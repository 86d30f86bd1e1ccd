// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/song/Song.h"

namespace mivanta {

enum class OrderTokenKind { Part, EmptySlide, Repeat, StageNote, Ambiguous, Unknown };

/// One word of a singing order as it was typed, and what it was understood as.
struct OrderToken {
    int from = 0; ///< in the text
    int length = 0;
    OrderTokenKind kind = OrderTokenKind::Unknown;
    QString meaning;     ///< in words: "Verse 1, twice"; for what is not understood, why
    QStringList choices; ///< tokens that would be understood in its place, the likeliest first
};

/// A singing order read from one line of text.
struct ReadOrder {
    std::vector<SungPart> entries;
    std::vector<OrderToken> tokens;
    /// The tokens that stand for nothing, as typed.
    [[nodiscard]] QStringList notUnderstood(const QString& text) const;
};

/// Reads "V1 C V2 (half time) C x2 _ B" against the parts of a song; any case, spaces or commas between.
/// - A part: its initials with number ("V2"), its name ("Bridge"), or as much of it as only one kind of part
///   here begins with; without a number, the first of its kind.
/// - "x2" behind or after a part: that many times in a row, 1 to kMostTimes.
/// - "_": an empty slide. "(note)": for the stage monitors, with the entry before it.
/// What could be several parts, or none, is left out of the entries and told with its choices.
[[nodiscard]] ReadOrder readSingingOrder(const QString& text, const std::vector<Part>& parts);

/// The token that stands for each part and no other: "V1", "Pre", "Prayer", and "C~2" for a second "C".
[[nodiscard]] QStringList orderTokens(const std::vector<Part>& parts);

/// Entries as one line of text, such as "V1 C V2 C x2". Parts that are gone are left out.
[[nodiscard]] QString singingOrderText(const std::vector<SungPart>& entries, const std::vector<Part>& parts);
[[nodiscard]] QString singingOrderText(const Song& song);

} // namespace mivanta
