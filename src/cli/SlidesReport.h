// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/run/Slides.h"
#include <QJsonObject>

namespace mivanta {

/// Steps and, for each output (or the one named), slides with part label, lines as shown, font size in px
/// and the reason for it.
[[nodiscard]] QJsonObject slidesToJson(const QString& title, const ItemSlides& slides,
                                       const QString& onlyOutput);
[[nodiscard]] QString slidesToText(const QString& title, const ItemSlides& slides, const QString& onlyOutput);

} // namespace mivanta
