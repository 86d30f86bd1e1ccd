// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/run/Scene.h"
#include <QPainter>

namespace mivanta {

/// A card to set a screen up with, in scene px: the output's name and size, a frame at the very edge (cut off
/// = the screen needs margins), circles (egg-shaped = a wrong shape), grids and fine lines (uneven = blurred
/// by scaling), greys and colours, and letters that show which way is up.
void paintTestCard(QPainter& painter, const Scene& scene);

} // namespace mivanta
