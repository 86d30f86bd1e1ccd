// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/run/Scene.h"

namespace mivanta {

std::vector<SlideObject> movingObjectsOn(const Scene& scene) {
    std::vector<SlideObject> moving;
    if (scene.curtain == Curtain::Black || scene.isTestCard)
        return moving;
    for (const SlideObject& object : scene.look.objects)
        if (filmOf(object))
            moving.push_back(object);
    return moving;
}

std::vector<FilmPlay> filmsOn(const Scene& scene) {
    std::vector<FilmPlay> films;
    if (scene.film)
        films.push_back(*scene.film);
    for (const SlideObject& object : movingObjectsOn(scene))
        films.push_back(*filmOf(object));
    return films;
}

} // namespace mivanta
