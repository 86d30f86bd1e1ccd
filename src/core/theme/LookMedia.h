// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/theme/LookProperty.h"
#include <QStringList>

namespace mivanta {

/// The names of the media that a look shows, pictures and films; each once.
[[nodiscard]] QStringList mediaOf(const Look& look);
void renameMedium(Look& look, const QString& from, const QString& to);

/// The same of single properties of a look.
[[nodiscard]] QStringList mediaOf(const LookOverrides& overrides);
void renameMedium(LookOverrides& overrides, const QString& from, const QString& to);

} // namespace mivanta
