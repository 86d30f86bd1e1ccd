// SPDX-License-Identifier: GPL-3.0-or-later
#include "session/run/RunFilm.h"
#include "core/order/Loops.h"
#include "core/timing/Moment.h"
#include <algorithm>
#include <cmath>

namespace mivanta {

using What = message::SteerFilm::What;

namespace {
constexpr int kNearlyMs = 700; ///< by so much, what a film says of itself comes late
}

RunFilm::RunFilm(RunController& run, ServiceDocument& document, PlayerClient& player, QObject* parent)
    : QObject(parent),
      m_run(run),
      m_document(document),
      m_player(player) {
    connect(&m_run, &RunController::ordered, this, &RunFilm::taken);
    connect(&m_run, &RunController::shown, this, &RunFilm::shown);
    connect(&m_run, &RunController::takenUp, this, &RunFilm::shown);
    connect(&m_player, &PlayerClient::filmChanged, this, &RunFilm::look);
}

std::optional<FilmPlay> RunFilm::play() const {
    for (const Scene& scene : m_run.takenScenes())
        if (scene.film && !scene.film->item.isEmpty())
            return scene.film;
    return std::nullopt;
}

const FilmItem* RunFilm::item() const {
    const auto film = play();
    const Item* found = film ? m_document.service().item(ItemId::fromText(film->item)) : nullptr;
    return found ? std::get_if<FilmItem>(&found->words) : nullptr;
}

std::optional<message::FilmStands> RunFilm::stands() const {
    return m_key.isEmpty() ? std::nullopt : m_player.film(m_key);
}

std::optional<double> RunFilm::left() const {
    const auto now = stands();
    if (!now || now->to <= 0)
        return std::nullopt;
    return std::max(0.0, now->to - now->position);
}

/// One that is on its last picture and is taken again is wanted from its beginning; one that plays goes on.
void RunFilm::taken() {
    const auto film = play();
    const auto now = stands();
    if (film && now && now->isOver && filmKey(*film) == m_key)
        fromTheBeginning();
}

void RunFilm::shown() {
    const auto film = play();
    const QByteArray key = film ? filmKey(*film) : QByteArray();
    if (key != std::exchange(m_key, key)) {
        m_hasEnded = false;
        m_toldProblem.clear();
        m_told = {};
    }
    Q_EMIT changed();
}

void RunFilm::look(const QByteArray& film) {
    if (film.isEmpty() || film != m_key)
        return;
    const auto now = stands();
    const auto onScreen = play();
    const bool isInLoop = // which tells it itself
        onScreen && loopOf(ItemId::fromText(onScreen->item), m_document.service());
    if (now && !isInLoop && !now->problem.isEmpty() &&
        std::exchange(m_toldProblem, now->problem) != now->problem) {
        const FilmItem* shown = item();
        Q_EMIT failed(
            {tr("The film \u201c%1\u201d cannot be played: %2")
                 .arg(shown ? givenName(*shown) : QString(), now->problem),
             {},
             tr("The screens keep its last picture. Take what follows, or choose another file on the "
                "Prepare desk.")});
    }
    tellStage();
    if (now && !now->isOver)
        m_hasEnded = false;
    else if (now && !std::exchange(m_hasEnded, true))
        ended();
    Q_EMIT changed();
}

void RunFilm::tellStage() {
    const auto film = play();
    const auto now = stands();
    const auto rest = left();
    if (!film || !now || !now->isOpen || !rest)
        return;
    FilmPlace place{ItemId::fromText(film->item), std::nullopt, {}};
    if (now->isPaused || now->isOver) {
        place.left = momentText(std::ceil(*rest));
    } else {
        place.ends = Clock::the().time().addMSecs(int(*rest * 1000));
        const bool isNearly = m_told.item == place.item && m_told.ends &&
                              std::abs(m_told.ends->msecsTo(*place.ends)) < kNearlyMs;
        if (isNearly)
            return; // it just goes on
    }
    if (std::exchange(m_told, place) != place)
        m_run.setFilmPlace(place);
}

/// Somebody who looks elsewhere has other plans: then its last picture stays.
void RunFilm::ended() {
    const FilmItem* shown = item();
    if (!shown || loopOf(m_run.state().onScreen->item, m_document.service())) // the loop says what comes
        return;
    switch (shown->end) {
    case FilmEnd::KeepsPicture:
    case FilmEnd::Again:
        return;
    case FilmEnd::NextItem:
        m_run.goOn();
        return;
    case FilmEnd::HouseCard:
        m_run.covers().setCurtain(Curtain::HouseCard);
        return;
    case FilmEnd::Black:
        m_run.covers().setCurtain(Curtain::Black);
        return;
    }
}

void RunFilm::steer(What what, double value) {
    if (!m_key.isEmpty())
        m_player.steerFilm(m_key, what, value);
}

void RunFilm::pauseOrGoOn() {
    if (const auto now = stands())
        steer(now->isPaused || now->isOver ? What::Play : What::Pause);
}

void RunFilm::jump(double seconds) {
    if (const auto now = stands())
        seek(now->position + seconds);
}

void RunFilm::seek(double seconds) {
    if (const auto now = stands())
        steer(What::Seek, std::clamp(seconds, now->from, now->to > 0 ? now->to : kLongestFilm));
}

void RunFilm::fromTheBeginning() {
    if (const auto now = stands()) {
        seek(now->from);
        steer(What::Play);
    }
}

void RunFilm::changeVolume(int percent) {
    if (const auto now = stands())
        steer(What::Volume, std::clamp(now->volume + percent, 0, 100));
}

} // namespace mivanta

#include "moc_RunFilm.cpp"
