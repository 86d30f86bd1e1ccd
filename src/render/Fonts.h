// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/theme/Look.h"
#include <QFont>
#include <functional>

namespace mivanta {

/// Makes the shipped fonts known to the application. Call once, after QGuiApplication is there.
void loadShippedFonts();
/// The same for the fonts of a folder, each once; what is no font is passed over. They are read on a thread
/// of their own, that nobody waits for; `then` is called on the GUI thread while `asker` is there, and told
/// whether there was a new one. GUI thread.
void loadFontsLater(const QString& folder, QObject* asker, const std::function<void(bool isAny)>& then);

inline constexpr const char* kTextFamily = "Atkinson Hyperlegible Next";
inline constexpr const char* kChordFamily = "Atkinson Hyperlegible Mono";

/// A font as slides are drawn with: unhinted, so that widths grow in proportion to the size. An empty
/// family means the shipped one.
[[nodiscard]] QFont slideFont(const QString& family, int weight, int sizePx,
                              Capitals capitals = Capitals::AsWritten);

} // namespace mivanta
