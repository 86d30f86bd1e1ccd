// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <QString>
#include <optional>

namespace mivanta {

/// A moment of a film or a piece of music: "0:09.2", "1:02:08"; tenths where there are some.
[[nodiscard]] QString momentText(double seconds);

/// What momentText() writes, and "75", "1:15", "1:15,5". Nothing for what is no moment.
[[nodiscard]] std::optional<double> momentFromText(const QString& text);

} // namespace mivanta
