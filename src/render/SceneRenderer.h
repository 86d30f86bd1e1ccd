// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/run/Scene.h"
#include <QImage>

namespace mivanta {

/// The one renderer: a scene to a picture. Pure; any thread.
///
/// The picture is `size` px (the scene's own size when empty), ARGB premultiplied; it is opaque unless the
/// scene's backdrop is see-through. At another size than the scene's, everything is drawn in proportion.
[[nodiscard]] QImage renderScene(const Scene& scene, QSize size = {});

} // namespace mivanta
