// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <QString>

namespace mivanta {

class Figures;

/// Opening songs in the editor and typing in it, with songs of the usual and of an absurd length.
void benchEditing(Figures& figures, const QString& folder);

} // namespace mivanta
