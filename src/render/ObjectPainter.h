// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/theme/SlideObject.h"
#include "render/RenderSources.h"
#include <QPainter>

namespace mivanta {

/// Draws an object of a picture of `size` px. `lookScale`: px of the picture for a px of a look. A picture
/// that is not there is left out.
void paintObject(QPainter& painter, const SlideObject& object, QSize size, double lookScale,
                 const RenderSources& sources);

/// The same for an object of the kind Film, with its picture of now.
void paintMovingObject(QPainter& painter, const SlideObject& object, const QImage& picture, QSize size,
                       double lookScale);

/// What a clock or a countdown says at a time: "10:05", "12:30" (minutes and seconds to go), "1:02:30";
/// nothing once a countdown is over.
[[nodiscard]] QString liveText(const SlideObject& object, const QDateTime& now);

} // namespace mivanta
