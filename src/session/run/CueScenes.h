// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/run/StageFields.h"
#include "session/service/SlideBook.h"
#include <functional>

namespace mivanta {

/// What pictures of a cue hold besides its slides: what stage monitors are told of the run, and where the
/// pictures come from. Knows where the film on screen stands. GUI thread.
class CueScenes {
public:
    CueScenes(const SlideBook& book, const ServiceDocument& document) : m_book(book), m_document(document) {}

    /// By how much a medium is made louder, dB; without it nothing is.
    using GainOf = std::function<double(const QString& medium)>;
    void setGainOf(GainOf gainOf) { m_gainOf = std::move(gainOf); }

    /// Where a loop stands when this is shown; nothing for what is in none.
    using LoopPlaceOf = std::function<std::optional<FilmPlace>(const Cue&)>;
    void setLoopPlaceOf(LoopPlaceOf placeOf) { m_loopPlaceOf = std::move(placeOf); }

    /// `itemSince`: when its item was taken. Nothing is told of no cue.
    [[nodiscard]] std::vector<Scene> told(std::vector<Scene> scenes, const std::optional<Cue>& cue,
                                          const QDateTime& itemSince) const;
    [[nodiscard]] std::vector<Scene> withOrigin(std::vector<Scene> scenes,
                                                const std::optional<Cue>& cue) const;

    /// False when it is there already.
    bool setFilm(const FilmPlace& film) { return !(std::exchange(m_film, film) == film); }

private:
    [[nodiscard]] bool isForStage(const QString& output) const;
    [[nodiscard]] FilmPlace filmAt(const Cue& cue) const;

    const SlideBook& m_book;
    const ServiceDocument& m_document;
    FilmPlace m_film;
    GainOf m_gainOf;
    LoopPlaceOf m_loopPlaceOf;
};

} // namespace mivanta
