// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/theme/LookProperty.h"
#include <QStringList>

namespace mivanta {

/// The names of the pictures that a look shows; each once.
[[nodiscard]] QStringList picturesOf(const Look& look);
void renamePicture(Look& look, const QString& from, const QString& to);

/// The same of single properties of a look.
[[nodiscard]] QStringList picturesOf(const LookOverrides& overrides);
void renamePicture(LookOverrides& overrides, const QString& from, const QString& to);

} // namespace mivanta
