// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/run/Scene.h"

namespace mivanta {

std::vector<SlideObject> filmObjectsOn(const Scene& scene) {
    std::vector<SlideObject> films;
    if (scene.curtain == Curtain::Black || scene.isTestCard)
        return films;
    for (const SlideObject& object : scene.look.objects)
        if (const auto* film = std::get_if<FilmObject>(&object.what); film && !film->name.isEmpty())
            films.push_back(object);
    return films;
}

std::vector<FilmPlay> filmsOn(const Scene& scene) {
    std::vector<FilmPlay> films;
    if (scene.film)
        films.push_back(*scene.film);
    for (const SlideObject& object : filmObjectsOn(scene))
        films.push_back(filmOf(std::get<FilmObject>(object.what)));
    return films;
}

} // namespace mivanta
