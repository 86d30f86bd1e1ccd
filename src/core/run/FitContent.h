// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/run/Slides.h"

namespace mivanta {

/// A part's lines as an output of this look sets them; no lines for a part that it does not show.
[[nodiscard]] FitPart fitPartOf(const ContentPart& part, const Output& output, const Look& look,
                                MeasureSource& measures);

/// The room for the words of a countdown and for its figures, in that of the look's words; in its units. In a
/// low box, such as that of a lower third, they stand side by side, else the figures under the words.
struct CountdownBoxes {
    QRectF words;
    QRectF figures;
    bool isSideBySide = false;
};
[[nodiscard]] CountdownBoxes countdownBoxes(const QRectF& words);

/// Parts of the content, set as it is sung or spoken, in the room that the look leaves on the output.
[[nodiscard]] FitResult fitContent(const std::vector<FitPart>& parts, const ItemContent& content,
                                   const Output& output, const Look& look, MeasureSource& measures);

/// Gives slides their own looks, where the chain has some for them. Where that changes the words' room, the
/// slide's words are divided again by themselves; what stands before and behind stays as it is.
void applyOwnLooks(OutputSlides& slides, const ItemContent& content, const LookChain& chain,
                   MeasureSource& measures);

/// Where an item's own credit line goes on this output: where lines are few, the reference leaves them to the
/// words.
[[nodiscard]] OwnCredit ownCreditFor(const Output& output, OwnCredit credit);

} // namespace mivanta
