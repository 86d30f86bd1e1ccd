// SPDX-License-Identifier: GPL-3.0-or-later
#include "session/run/CoveredScenes.h"
#include <algorithm>

namespace mivanta {

CoveredScenes::CoveredScenes(const SlideBook& book, const ServiceDocument& document)
    : m_book(book),
      m_document(document) {}

void CoveredScenes::setHouseCard(const HouseCard& card) {
    m_card = card;
    forgetHouseCards();
}

const Scene* CoveredScenes::cardOf(const QString& output) const {
    if (!m_cards) {
        const ItemSlides card = m_book.slidesOf(houseCardWords(m_card, m_document.service()));
        m_cards = scenesAt(card, card.steps.front().position);
    }
    const auto at = std::find_if(m_cards->begin(), m_cards->end(),
                                 [&](const Scene& each) { return each.output == output; });
    return at == m_cards->end() ? nullptr : &*at;
}

std::vector<Scene> CoveredScenes::shown(const std::vector<Scene>& scenes, const Covers& covers) const {
    const auto& outputs = m_book.outputs();
    std::vector<Scene> result;
    for (const Scene& scene : scenes) {
        const auto output = std::find_if(outputs.begin(), outputs.end(),
                                         [&](const Output& each) { return each.name == scene.output; });
        if (output == outputs.end())
            continue; // it was removed
        const bool wantsCard = covers.on(scene.output) == Curtain::HouseCard;
        result.push_back(covered(scene, *output, covers, wantsCard ? cardOf(scene.output) : nullptr));
    }
    return withScreens(std::move(result), outputs);
}

} // namespace mivanta
