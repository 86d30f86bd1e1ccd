// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <QString>

namespace mivanta {

/// One stretch of text in place of another.
struct TextDifference {
    int at = 0;
    int removed = 0;
    QString inserted;
};

/// Where two texts differ, as the one stretch that was replaced. Of several places that explain it ("l" typed
/// into "ll"), the last one that is not behind `hint`.
[[nodiscard]] TextDifference differenceOf(const QString& before, const QString& after, int hint);

} // namespace mivanta
