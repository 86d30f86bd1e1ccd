// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "soak/Model.h"
#include <QStringList>
#include <random>

namespace mivanta::soak {

/// What is wrong with what was left behind, by the model; the model then knows what is there. Empty =
/// nothing.
[[nodiscard]] QStringList wrongInLibrary(const QString& folder, Model& model);
[[nodiscard]] QStringList wrongInFiles(const QString& folder, Model& model);
[[nodiscard]] QStringList wrongInJournal(const QString& folder, const Model& model);

/// Damages a file, reads it, and puts it back as it was: what was believed of it that is not true.
[[nodiscard]] QStringList believedOfDamage(const QString& folder, Model& model, std::mt19937& random);

} // namespace mivanta::soak
