// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/run/Slides.h"

namespace mivanta {

/// Who says a line of a card, and in which colour on the screens.
struct CardVoice {
    QString role;                 ///< empty = nobody in particular
    std::optional<Colour> colour; ///< nothing = the words' own
    friend bool operator==(const CardVoice&, const CardVoice&) = default;
};

/// What the desks show of an item: one card for each slide of the main output, with the steps that finer
/// outputs make inside it.
struct Card {
    int firstStep = 0;
    int lastStep = 0; ///< inclusive
    QString label;    ///< "Verse 1"
    QString place;    ///< "1/2", "1st of 2", or empty
    QStringList lines;
    int slide = -1;                  ///< of the main output; -1 = it shows no words here
    std::vector<CardVoice> voices{}; ///< one a line where roles speak, else empty
};

/// A chip of a closed lane: a part and how many times in a row it comes.
struct PartChip {
    QString label; ///< "V1", "C ×2"
    bool bandOnly = false;
};

/// The output that cards are made of: the first hall screen, else the first output; -1 when there is none.
[[nodiscard]] int mainOutput(const ItemSlides& slides);
[[nodiscard]] std::vector<Card> cardsFor(const ItemSlides& slides);
[[nodiscard]] std::vector<PartChip> partChips(const ItemContent& content);
/// The same for a lane of any kind: the parts of a song, the verses of a passage, who speaks in a text, in
/// turn.
[[nodiscard]] std::vector<PartChip> laneChips(const Item& item, const ItemContent& content);
/// Index of the card that holds the step, or -1.
[[nodiscard]] int cardAt(const std::vector<Card>& cards, int step);

} // namespace mivanta
