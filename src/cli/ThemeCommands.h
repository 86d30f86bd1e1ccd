// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "cli/Arguments.h"
#include "core/run/Slides.h"
#include "render/RenderSources.h"
#include "store/Library.h"
#include <QTextStream>

namespace mivanta {

/// theme list | show THEME | export THEME --to FILE | import FILE...
[[nodiscard]] Result<int> runTheme(Library& library, const Arguments& arguments, QTextStream& out);

/// The theme of an id or a name.
[[nodiscard]] Result<Theme> themeNamed(Library& library, const QString& wanted);

/// Every property of the item's look on an output, with where it comes from.
[[nodiscard]] QString whyText(const OutputSlides& output);
[[nodiscard]] QJsonArray whyJson(const OutputSlides& output);

/// How far the words of an item are read on each output, and its worst contrast.
[[nodiscard]] QString legibilityReport(const QString& title, const ItemSlides& slides,
                                       const QString& onlyOutput, const RenderSources& sources,
                                       QJsonArray* json);

} // namespace mivanta
