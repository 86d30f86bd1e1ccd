// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/run/Scene.h"
#include "render/RenderSources.h"

namespace mivanta {

/// A scene's picture in two layers, ARGB premultiplied, both of the picture's size.
struct SceneLayers {
    QImage behind; ///< the backdrop and the objects behind the words
    QImage front;  ///< the panel, words, credit line and objects in front; null when there is nothing of it
};

/// True when the object belongs to the layer behind. One behind the words that fades by itself comes and goes
/// apart from the backdrop, so it is the lowest of the layer in front; while the words are off, it is not.
[[nodiscard]] bool isBehind(const Scene& scene, const SlideObject& object);

/// The one renderer: a scene to a picture. Pure but for `sources`; any thread.
///
/// The picture is `size` px (the scene's own size when empty), ARGB premultiplied; it is opaque unless the
/// scene's backdrop is see-through. At another size than the scene's, everything is drawn in proportion.
[[nodiscard]] QImage renderScene(const Scene& scene, QSize size = {}, const RenderSources& sources = {});

/// The same in layers: `front` drawn over `behind` is the picture.
[[nodiscard]] SceneLayers renderLayers(const Scene& scene, QSize size, const RenderSources& sources);
/// `front` alone, over a layer that is there already; an empty `behind` = drawn if it is needed.
[[nodiscard]] QImage renderFront(const Scene& scene, QSize size, const RenderSources& sources,
                                 const QImage& behind = {});

/// What stands between the scene's film and its words, as a layer of its own; null when there is nothing. The
/// layer behind, as the others have it, is without the film then.
[[nodiscard]] QImage renderOverFilm(const Scene& scene, QSize size, const RenderSources& sources);

/// One of the scene's objects alone, ARGB premultiplied, on a picture of `size` px.
[[nodiscard]] QImage renderObject(const Scene& scene, const SlideObject& object, QSize size,
                                  const RenderSources& sources);

/// The scene with what its layer behind is drawn from, and nothing else.
[[nodiscard]] Scene behindOf(const Scene& scene);
/// True when `behind` is the same picture for both.
[[nodiscard]] bool sameBehind(const Scene& a, const Scene& b);

} // namespace mivanta
