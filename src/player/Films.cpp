// SPDX-License-Identifier: GPL-3.0-or-later
#include "player/Films.h"
#include "core/base/Clock.h"
#include "core/base/MediaName.h"
#include "link/FrameBoard.h"

namespace mivanta {

namespace {

constexpr int kSilentWithinMs = 500;
constexpr size_t kMostAhead = 3; ///< each is a process that holds some tens of MB
constexpr qint64 kWishLastsMs = 10'000;
constexpr qsizetype kMostWishes = 32;

} // namespace

QSize Films::largest() const {
    QSize largest(FrameBoard::kWidth, FrameBoard::kHeight); // what the desks see
    for (const QSize& size : m_sizes)
        if (qint64(size.width()) * size.height() > qint64(largest.width()) * largest.height())
            largest = size;
    return largest;
}

message::OpenFilm Films::orderFor(const FilmPlay& film) const {
    message::OpenFilm order;
    order.film = film;
    order.path = mediaPath(m_folder, film.name);
    order.shown = largest();
    order.soundDevice = m_soundDevice;
    if (film.live.isNull())
        return order;
    const auto known =
        std::find_if(m_liveInputs.begin(), m_liveInputs.end(),
                     [&](const message::LiveOrder& each) { return each.input.id == film.live; });
    order.live.emplace();
    if (known != m_liveInputs.end())
        order.live = *known;
    order.live->input.id = film.live; // else it says nothing of where it is, and is told so
    order.path = mediaPath(m_folder, order.live->input.card);
    if (const auto* output = std::get_if<OutputSource>(&order.live->input.source); output && m_windowOf)
        order.window = m_windowOf(output->output);
    return order;
}

void Films::setLiveInputs(std::vector<message::LiveOrder> inputs) {
    const std::vector<message::LiveOrder> before = std::exchange(m_liveInputs, std::move(inputs));
    const auto in = [](const std::vector<message::LiveOrder>& all, LiveInputId id) {
        const auto at =
            std::find_if(all.begin(), all.end(), [&](const auto& each) { return each.input.id == id; });
        return at == all.end() ? std::nullopt : std::optional(*at);
    };
    for (auto at = m_live.constBegin(); at != m_live.constEnd(); ++at)
        if (const FilmPtr film = m_films.value(at.key()).lock();
            film && in(before, at->live) != in(m_liveInputs, at->live))
            film->reopen(orderFor(*at));
    keepOpen();
}

void Films::lookAtWindows() {
    for (auto at = m_live.constBegin(); at != m_live.constEnd(); ++at)
        if (const FilmPtr film = m_films.value(at.key()).lock();
            film && film->window() != orderFor(*at).window)
            film->reopen(orderFor(*at));
}

const LiveInput* Films::liveInput(LiveInputId id) const {
    const auto at = std::find_if(m_liveInputs.begin(), m_liveInputs.end(),
                                 [&](const message::LiveOrder& each) { return each.input.id == id; });
    return at == m_liveInputs.end() ? nullptr : &at->input;
}

bool Films::wouldShowItself(const FilmPlay& film, const QString& output) const {
    const LiveInput* input = liveInput(film.live);
    return input && m_showsItself && m_showsItself(*input, output);
}

void Films::keepOpen() {
    std::vector<FilmPtr> kept;
    for (const message::LiveOrder& each : m_liveInputs)
        if (each.input.isKeptOpen) {
            FilmPlay film;
            film.live = each.input.id;
            kept.push_back(open(film));
        }
    m_keptOpen = std::move(kept);
}

FilmPtr Films::open(const FilmPlay& film) {
    const QByteArray key = filmKey(film);
    if (FilmPtr known = m_films.value(key).lock())
        return known;
    message::OpenFilm order = orderFor(film);
    const Wish wish = m_wishes.take(key);
    const qint64 age = Clock::the().steady() - wish.since;
    const bool isWished = wish.since > 0 && age < kWishLastsMs;
    if (isWished && wish.at >= 0)
        order.at = wish.at + (wish.isPaused ? 0 : double(age) / 1000);
    if (isWished && wish.volume >= 0)
        order.film.volume = wish.volume;
    // Its sound is heard a little longer than its pictures are seen.
    FilmPtr opened(new FilmClient(std::move(order)), [key, films = QPointer(this)](FilmClient* gone) {
        gone->leave(kSilentWithinMs);
        if (films)
            films->gone(key, gone);
    });
    if (isWished && wish.isPaused)
        m_still.insert(opened.get());
    connect(opened.get(), &FilmClient::told, this, [this, key, film = opened.get()] {
        message::FilmStands stands = film->stands();
        stands.film = key;
        Q_EMIT told(stands);
    });
    m_films[key] = opened;
    if (!film.live.isNull())
        m_live[key] = film;
    return opened;
}

void Films::gone(const QByteArray& key, FilmClient* film) {
    m_still.remove(film);
    m_begun.remove(film);
    if (const auto at = m_films.constFind(key); at == m_films.constEnd() || !at->expired())
        return; // there is another one already
    m_films.remove(key);
    m_live.remove(key);
    message::FilmStands stands;
    stands.film = key;
    stands.isGone = true;
    Q_EMIT told(stands);
}

void Films::begin(const FilmPtr& film) {
    if (m_begun.contains(film.get()))
        return;
    m_begun.insert(film.get());
    if (!m_still.remove(film.get()))
        film->play();
}

void Films::prepare(const std::vector<FilmPlay>& films) {
    std::vector<FilmPtr> ahead;
    for (const FilmPlay& film : films)
        if (ahead.size() < kMostAhead)
            if (FilmPtr opened = open(film); !m_begun.contains(opened.get()))
                ahead.push_back(std::move(opened));
    m_ahead = std::move(ahead);
}

void Films::wish(const message::SteerFilm& order) {
    using What = message::SteerFilm::What;
    if (m_wishes.size() >= kMostWishes && !m_wishes.contains(order.film))
        m_wishes.clear();
    Wish& wish = m_wishes[order.film];
    wish.since = std::max<qint64>(1, Clock::the().steady());
    if (order.what == What::Seek)
        wish.at = order.value;
    else if (order.what == What::Volume)
        wish.volume = std::clamp(int(order.value), 0, 100);
    else if (order.what == What::Pause || order.what == What::Play)
        wish.isPaused = order.what == What::Pause;
}

void Films::steer(const message::SteerFilm& order) {
    using What = message::SteerFilm::What;
    const FilmPtr film = m_films.value(order.film).lock();
    if (!film) {
        wish(order);
        return;
    }
    switch (order.what) {
    case What::Play:
        film->play();
        return;
    case What::Pause:
        film->pause();
        return;
    case What::Seek:
        film->seek(order.value);
        return;
    case What::Volume:
        film->setVolume(int(order.value));
        return;
    case What::FadeOut:
        film->fadeOut(int(order.value));
        return;
    case What::Device: // the player's own matter
        return;
    }
}

void Films::setSoundDevice(const QString& name) {
    if (std::exchange(m_soundDevice, name) == name)
        return;
    for (const std::weak_ptr<FilmClient>& each : m_films)
        if (const FilmPtr film = each.lock())
            film->setSoundDevice(name);
}

bool Films::isAnyHeard() const {
    return std::any_of(m_films.begin(), m_films.end(), [](const std::weak_ptr<FilmClient>& each) {
        const FilmPtr film = each.lock();
        return film && film->isHeard();
    });
}

std::vector<message::FilmStands> Films::stands() const {
    std::vector<message::FilmStands> all;
    for (auto at = m_films.constBegin(); at != m_films.constEnd(); ++at)
        if (const FilmPtr film = at.value().lock()) {
            all.push_back(film->stands());
            all.back().film = at.key();
        }
    return all;
}

} // namespace mivanta

#include "moc_Films.cpp"
