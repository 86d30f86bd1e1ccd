// SPDX-License-Identifier: GPL-3.0-or-later
#include "session/run/CueScenes.h"
#include "core/base/Clock.h"
#include <algorithm>

namespace mivanta {

std::vector<Scene> CueScenes::withOrigin(std::vector<Scene> scenes, const std::optional<Cue>& cue) const {
    const Service& service = m_document.service();
    for (Scene& scene : scenes)
        scene.origin = {service.id, service.title, cue};
    return scenes;
}

bool CueScenes::isForStage(const QString& output) const {
    const auto& outputs = m_book.outputs();
    return std::any_of(outputs.begin(), outputs.end(), [&](const Output& each) {
        return each.name == output && !each.isForPeople() && each.layers.objects;
    });
}

std::vector<Scene> CueScenes::told(std::vector<Scene> scenes, const std::optional<Cue>& cue,
                                   const QDateTime& itemSince) const {
    if (!cue)
        return scenes;
    const auto loop = m_loopPlaceOf ? m_loopPlaceOf(*cue) : std::nullopt;
    const StageFacts facts =
        stageFacts(m_document.service(), m_book, *cue, itemSince, loop ? *loop : filmAt(*cue));
    for (Scene& scene : scenes) {
        if (loop && isForStage(scene.output))
            addTimeLeft(scene);
        scene = withFacts(std::move(scene), facts);
        if (scene.film && scene.film->isHeard && m_gainOf)
            scene.film->gain = m_gainOf(scene.film->name);
    }
    return scenes;
}

/// One that is not on screen yet would play from its beginning.
FilmPlace CueScenes::filmAt(const Cue& cue) const {
    if (m_film.item == cue.item)
        return m_film;
    const Item* item = m_document.service().item(cue.item);
    const auto* film = item ? std::get_if<FilmItem>(&item->words) : nullptr;
    if (!film || film->length() <= 0)
        return {};
    return {cue.item, Clock::the().time().addMSecs(int(film->length() * 1000)), {}};
}

} // namespace mivanta
