// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <QString>

namespace mivanta {

class Figures;

/// A service of 200 items of every kind in the real window: opened, changed, undone, saved; and 2 GB of media
/// packed beside what `cp` needs for them.
void benchService(Figures& figures, const QString& folder);

} // namespace mivanta
