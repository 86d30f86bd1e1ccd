// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/base/TextDifference.h"
#include <algorithm>

namespace mivanta {

TextDifference differenceOf(const QString& before, const QString& after, int hint) {
    const int shorter = int(std::min(before.size(), after.size()));
    int head = 0;
    while (head < std::min(shorter, hint) && before[head] == after[head])
        ++head;
    int tail = 0;
    while (tail < shorter - head && before[before.size() - 1 - tail] == after[after.size() - 1 - tail])
        ++tail;
    while (head < shorter - tail && before[head] == after[head])
        ++head;
    return {head, int(before.size()) - head - tail, after.mid(head, after.size() - head - tail)};
}

} // namespace mivanta
