// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/base/Spelling.h"
#include <algorithm>
#include <array>
#include <cstdlib>

namespace mivanta {

namespace {
constexpr qsizetype kLongest = 62; ///< letters that are compared; longer words are no song's
}

int spellingDistance(QStringView a, QStringView b, int most) {
    if (std::abs(a.size() - b.size()) > most)
        return most + 1;
    if (a.size() > kLongest || b.size() > kLongest)
        return a == b ? 0 : most + 1;
    std::array<std::array<int, kLongest + 2>, 3> rows{};
    auto* before = &rows[0]; // the row before last
    auto* last = &rows[1];
    auto* now = &rows[2];
    for (qsizetype j = 0; j <= b.size(); ++j)
        (*last)[size_t(j)] = int(j);
    for (qsizetype i = 1; i <= a.size(); ++i) {
        (*now)[0] = int(i);
        int least = int(i);
        for (qsizetype j = 1; j <= b.size(); ++j) {
            const auto at = size_t(j);
            const int change = (*last)[at - 1] + (a[i - 1] == b[j - 1] ? 0 : 1);
            int best = std::min({(*last)[at] + 1, (*now)[at - 1] + 1, change});
            if (i > 1 && j > 1 && a[i - 1] == b[j - 2] && a[i - 2] == b[j - 1])
                best = std::min(best, (*before)[at - 2] + 1);
            (*now)[at] = best;
            least = std::min(least, best);
        }
        if (least > most)
            return most + 1;
        auto* oldest = before;
        before = last;
        last = now;
        now = oldest;
    }
    return std::min((*last)[size_t(b.size())], most + 1);
}

int forgivenLetters(qsizetype length) {
    return length < 4 ? 0 : length < 7 ? 1 : 2;
}

} // namespace mivanta
