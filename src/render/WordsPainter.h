// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/run/Scene.h"
#include <QImage>
#include <QPainter>

namespace mivanta {

// Everything is in scene px: the painter is scaled to the picture. Pure; any thread.

/// The words' panel. `behind` is what stands behind it, scene-sized or in proportion; it is blurred where the
/// panel asks for that.
void paintPanel(QPainter& painter, const Scene& scene, const QImage& behind);
void paintWords(QPainter& painter, const Scene& scene);
void paintCredit(QPainter& painter, const Scene& scene);
/// A note for the musicians, at the top right in the chords' colour.
void paintStageNote(QPainter& painter, const Scene& scene);

/// Where the rows of words stand, without outline and shadow; empty when there are none.
[[nodiscard]] QRectF wordsArea(const Scene& scene);

} // namespace mivanta
