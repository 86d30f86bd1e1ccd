// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/run/Cards.h"
#include <QColor>

class QPainter;
class QRect;

namespace mivanta {

/// Draws the parts of an item, in the order in which they come, on one line; returns the x behind the last
/// one. What does not fit is counted.
int paintChips(QPainter& painter, const QRect& area, const std::vector<PartChip>& chips, const QColor& line,
               const QColor& text);

} // namespace mivanta
