// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "desk/kit/Style.h"
#include <QFontMetrics>

namespace mivanta {

// Lengths of the words' cards, in pixels.

inline int gutter() {
    return spaced(24);
}
inline int cardPadding() {
    return spaced(2);
}
/// From the last line of a card to the top of the next one, the padding below that line included.
inline int cardGap() {
    return cardPadding() + spaced(3);
}
inline int chordRoom() {
    return QFontMetrics(monoFont(0.9, TextWeight::Bold)).height();
}
inline int breakRoom() {
    return spaced(6);
}
inline int commentRoom() {
    return QFontMetrics(textFont(0.9)).height();
}

} // namespace mivanta
