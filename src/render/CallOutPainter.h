// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/run/Scene.h"
#include <QPainter>

namespace mivanta {

/// The call-out: a dark band over the foot of the picture, or its head where the words stand low, as high as
/// its message needs, which becomes smaller rather than longer than a third of the picture. In scene px;
/// pure; any thread.
void paintCallOut(QPainter& painter, const Scene& scene);

} // namespace mivanta
