// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "Figures.h"

namespace mivanta {

/// Every reader on every shape that could cost more than its length: twice the input, at most 2.3 times the
/// time.
void benchReaders(Figures& figures);

} // namespace mivanta
