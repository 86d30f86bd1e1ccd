// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/run/Covers.h"
#include "session/service/SlideBook.h"

namespace mivanta {

/// Pictures as the outputs show them: under curtains, house cards, call-outs and test cards, and with what
/// other outputs show. House cards are made when they are first wanted. GUI thread.
class CoveredScenes {
public:
    CoveredScenes(const SlideBook& book, const ServiceDocument& document);

    void setHouseCard(const HouseCard& card);
    /// The service, a theme or an output has changed.
    void forgetHouseCards() { m_cards.reset(); }
    /// `scenes` hold one of each output.
    [[nodiscard]] std::vector<Scene> shown(const std::vector<Scene>& scenes, const Covers& covers) const;

private:
    [[nodiscard]] const Scene* cardOf(const QString& output) const;

    const SlideBook& m_book;
    const ServiceDocument& m_document;
    HouseCard m_card;
    mutable std::optional<std::vector<Scene>> m_cards; ///< one an output
};

} // namespace mivanta
