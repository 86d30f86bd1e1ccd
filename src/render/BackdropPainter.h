// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/theme/Look.h"
#include "render/RenderSources.h"
#include <QPainter>

namespace mivanta {

/// Fills the area with the backdrop; nothing where it is see-through. `lookScale`: area px for a px of a
/// look.
void paintBackdrop(QPainter& painter, const Backdrop& backdrop, const QRectF& area, double lookScale,
                   const RenderSources& sources);

/// The part of a picture, px, that is seen when it fills a screen of this shape: as much as can be, with the
/// focus as near to the middle as it can come.
[[nodiscard]] QRectF seenPart(QSizeF picture, QSizeF screen, QPointF focus);

/// Where a picture or a film of this size stands on a screen: `from` of it, its px, at `to` on the screen.
struct Placed {
    QRectF from;
    QRectF to;
};
[[nodiscard]] Placed placed(const Backdrop& backdrop, QSizeF picture, const QRectF& screen);

/// What of a treatment is painted over a picture that has the rest of it: tint and darkened edge.
void paintOverPicture(QPainter& painter, const Treatment& treatment, const QRectF& picture);

/// Applies everything but the tint's and edge's painting order to a copy: blur, brightness, contrast,
/// saturation, then tint and darkened edge. `lookScale` as above, for the blur.
[[nodiscard]] QImage treated(const QImage& picture, const Treatment& treatment, double lookScale);

} // namespace mivanta
