// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <QString>

namespace mivanta {

/// What somebody wrote or pasted, as a sentence can name it: 60 letters at most.
[[nodiscard]] inline QString shortened(const QString& text) {
    constexpr int kMost = 60;
    return text.size() <= kMost ? text : text.left(kMost - 1).trimmed() + QChar(0x2026);
}

} // namespace mivanta
