// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <QString>

namespace mivanta {

/// "1 slide" or "3 slides": `one` as it stands, else `many` with the number in place of its %1.
[[nodiscard]] inline QString counted(qint64 number, const QString& one, const QString& many) {
    return number == 1 ? one : many.arg(number);
}

} // namespace mivanta
