// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <QStringView>

namespace mivanta {

/// The number of letters to add, leave out, change, or swap with their neighbour (each pair once) to make one
/// word of the other: the optimal string alignment distance. More than `most` comes back as most + 1, early.
[[nodiscard]] int spellingDistance(QStringView a, QStringView b, int most);

/// How many letters may be wrong in a word of this length: none below 4, one below 7, else two.
[[nodiscard]] int forgivenLetters(qsizetype length);

} // namespace mivanta
