// SPDX-License-Identifier: GPL-3.0-or-later
#include "player/OutputPicture.h"
#include "core/base/Clock.h"
#include <QDateTime>
#include <algorithm>
#include <utility>

namespace mivanta {

namespace {
constexpr int kTickMs = 16;
constexpr int kClockMs = 200; // so that a second is never missed by much
constexpr int kAgainMs = 1000;
constexpr int kFilmPatienceMs = 1500;

bool isLive(const Scene& scene) {
    const auto& objects = scene.look.objects;
    return std::any_of(objects.begin(), objects.end(), [](const SlideObject& o) { return o.isLive(); }) ||
           std::any_of(scene.elsewhere.begin(), scene.elsewhere.end(), isLive);
}
} // namespace

OutputPicture::OutputPicture(PreparedFrames& frames, Films& films, QString name, QObject* parent)
    : QObject(parent),
      m_frames(frames),
      m_films(films),
      m_name(std::move(name)) {
    m_ticks.setTimerType(Qt::PreciseTimer);
    m_ticks.setInterval(kTickMs);
    m_clock.setInterval(kClockMs);
    connect(&m_ticks, &QTimer::timeout, this, &OutputPicture::tick);
    connect(&m_clock, &QTimer::timeout, this, &OutputPicture::look);
    m_again.setSingleShot(true);
    m_again.setInterval(kAgainMs);
    connect(&m_again, &QTimer::timeout, this, [this] {
        if (m_scene && m_shown && m_shown->isLate && m_wantedKey.isEmpty())
            show(*m_scene, m_take, Arrival::Cut);
    });
    connect(&m_frames, &PreparedFrames::ready, this, &OutputPicture::ready);
    m_filmPatience.setSingleShot(true);
    m_filmPatience.setInterval(kFilmPatienceMs);
    connect(&m_filmPatience, &QTimer::timeout, this, [this] {
        if (const FramePtr frame = std::exchange(m_waiting, {}))
            start(frame);
    });
}

/// A live input that would show this output's own picture leaves its place to the backdrop's colour.
Scene OutputPicture::withoutItself(Scene scene) const {
    if (scene.film && m_films.wouldShowItself(*scene.film, m_name)) {
        scene.film.reset();
        scene.look.backdrop.live.clear();
    }
    if (scene.unseen && m_films.wouldShowItself(*scene.unseen, m_name))
        scene.unseen.reset();
    std::erase_if(scene.look.objects, [&](const SlideObject& object) {
        const auto film = filmOf(object);
        return film && m_films.wouldShowItself(*film, m_name);
    });
    return scene;
}

void OutputPicture::showAgain() {
    if (m_ordered && withoutItself(*m_ordered) != *m_scene)
        show(*m_ordered, m_take, Arrival::Cut);
}

void OutputPicture::show(const Scene& ordered, quint64 take, Arrival arrival) {
    m_ordered = ordered;
    const Scene scene = withoutItself(ordered);
    m_scene = scene;
    m_take = take;
    m_arrival = arrival;
    if (isLive(scene))
        m_clock.start();
    else
        m_clock.stop();
    const QDateTime now = Clock::the().now();
    m_wantedKey = PreparedFrames::keyOf(scene, m_size, now);
    m_waiting.reset();
    std::vector<FilmPtr> films;
    for (const FilmPlay& film : filmsOn(scene))
        films.push_back(m_films.open(film));
    m_wantedFilms = std::move(films); // those of before that are wanted again were not left meanwhile
    m_unseenFilm = scene.unseen ? m_films.open(*scene.unseen) : nullptr;
    const FramePtr frame = m_frames.get(scene, m_size, now);
    m_wasReady = bool(frame);
    if (frame)
        drawn(frame);
}

bool OutputPicture::areFilmsReady() const {
    return std::all_of(m_wantedFilms.begin(), m_wantedFilms.end(), [this](const FilmPtr& film) {
        return film->picture().number > 0 || !film->stands().problem.isEmpty() || isShown(film);
    });
}

/// It was waited for before.
bool OutputPicture::isShown(const FilmPtr& film) const {
    if (!m_shown || !m_shown->behind)
        return false;
    return m_shown->behind->film == film ||
           std::any_of(m_shown->moving.begin(), m_shown->moving.end(),
                       [&](const MovingObject& moving) { return moving.film == film; });
}

void OutputPicture::drawn(const FramePtr& frame) {
    if (!frame->behind || areFilmsReady()) {
        start(frame);
        return;
    }
    m_waiting = frame;
    m_filmPatience.start();
    for (const FilmPtr& film : m_wantedFilms)
        watchFilm(film);
}

/// Of which a new picture is shown as soon as it comes.
void OutputPicture::watchFilm(const FilmPtr& film) {
    film->disconnect(this);
    const auto startIfReady = [this] {
        if (!m_waiting || !areFilmsReady())
            return false;
        start(std::exchange(m_waiting, {}));
        return true;
    };
    connect(film.get(), &FilmClient::told, this, startIfReady);
    connect(film.get(), &FilmClient::pictureCame, this, [this, startIfReady, film = film.get()] {
        const bool isPainted = startIfReady() || m_turning; // at once, or by the next tick
        if (!isPainted && m_shown && m_shown->behind)
            filmMoved(film);
    });
}

/// Painted in turn: an order that comes meanwhile comes first.
void OutputPicture::filmMoved(const FilmClient* film) {
    const auto area = areaOf(film);
    if (!area)
        return;
    const bool isAll = area->isNull() || (m_moved && m_moved->isNull());
    m_moved = isAll ? QRect() : m_moved.value_or(QRect()) | *area;
    m_films.turns().ask(this, [this] {
        if (const auto moved = std::exchange(m_moved, {}))
            Q_EMIT changed(*moved);
    });
}

/// The part of what is shown in which a film moves; a null one = all of it. Nothing when it does not.
std::optional<QRect> OutputPicture::areaOf(const FilmClient* film) const {
    if (m_shown->behind->film.get() == film)
        return QRect();
    QRect area;
    for (const MovingObject& moving : m_shown->moving)
        if (moving.film.get() == film)
            area |= moving.area(m_shown->behind->image.size());
    return area.isEmpty() ? std::nullopt : std::optional(area);
}

/// A clock says something else now: the same scene has another picture.
void OutputPicture::look() {
    if (!m_scene || m_turning || !m_wantedKey.isEmpty() || !m_shown)
        return;
    const QDateTime now = Clock::the().now();
    if (PreparedFrames::keyOf(*m_scene, m_size, now) != m_shown->key)
        show(*m_scene, m_take, Arrival::Cut);
}

void OutputPicture::ready(const FramePtr& frame) {
    if (!m_wantedKey.isEmpty() && frame->key == m_wantedKey && !m_waiting)
        drawn(frame);
}

namespace {

/// The same with the films that move on it, in the order of filmsOn().
FramePtr withFilms(const FramePtr& frame, const Scene& scene, const std::vector<FilmPtr>& films) {
    if (films.empty() || !frame->behind)
        return frame;
    auto moving = std::make_shared<Frame>(*frame);
    auto film = films.begin();
    if (scene.film) {
        auto behind = std::make_shared<BehindLayer>(*frame->behind);
        behind->film = *film++;
        moving->behind = std::move(behind);
    }
    for (MovingObject& object : moving->moving)
        if (film != films.end())
            object.film = *film++;
    return moving;
}

} // namespace

void OutputPicture::start(const FramePtr& drawn) {
    m_wantedKey.clear();
    m_filmPatience.stop();
    const FramePtr frame = withFilms(drawn, *m_scene, m_wantedFilms);
    for (const FilmPtr& film : m_wantedFilms) {
        watchFilm(film);
        m_films.begin(film);
    }
    if (m_unseenFilm)
        m_films.begin(m_unseenFilm);
    const bool same = m_shown && m_shown->key == frame->key && m_shown->isLate == frame->isLate;
    if (frame->isLate)
        m_again.start();
    m_shownFact = shownOf(*m_scene);
    m_shownTake = m_take;
    if (same && m_turning) {
        Q_EMIT shownChanged();
        return; // it is turning up already; settled() follows at its end
    }
    // A take while one picture becomes another goes on from what is seen.
    const bool wasStill = !m_turning;
    const FramePtr from = m_turning ? m_turning->frozen(elapsed()) : m_shown;
    m_turning.reset();
    if (from && !same && m_arrival == Arrival::Turning && bool(from->behind) == bool(frame->behind))
        m_turning.emplace(from, frame, m_scene->look.transition, m_scene->look.backdropTransition);
    if (m_turning && m_turning->duration() == 0)
        m_turning.reset();
    m_shown = frame;
    if (m_turning) {
        m_since = Clock::the().steady();
        m_drawnAt = 0;
        m_ticks.start();
    } else {
        m_ticks.stop();
    }
    m_moved.reset();
    m_films.turns().forget(this);
    const bool beginsAsItIsSeen = wasStill && m_turning && m_turning->fadesAsAWhole();
    if (!beginsAsItIsSeen)
        Q_EMIT changed({});
    Q_EMIT shownChanged();
    if (!m_turning)
        Q_EMIT settled(m_shownTake);
}

void OutputPicture::tick() {
    if (!m_turning)
        return;
    const int now = elapsed();
    const bool over = now >= m_turning->duration();
    const QRect part = m_turning->changedSince(std::exchange(m_drawnAt, now));
    if (over) {
        m_turning.reset();
        m_ticks.stop();
    }
    Q_EMIT changed(part);
    if (over)
        Q_EMIT settled(m_shownTake);
}

void OutputPicture::setSize(QSize size) {
    if (size == m_size)
        return;
    m_size = size;
    m_films.setSizeOf(m_name, size);
    if (m_scene)
        show(*m_scene, m_take, Arrival::Cut);
}

void OutputPicture::paint(QPainter& painter, const QRect& area) const {
    if (!m_shown || !m_shown->behind) {
        painter.fillRect(area, m_ground);
        return;
    }
    painter.save();
    QPoint origin = area.topLeft();
    const QSize size = m_shown->behind->image.size();
    if (size != area.size()) { // for the moment after the window's size changed
        painter.translate(origin);
        painter.scale(double(area.width()) / size.width(), double(area.height()) / size.height());
        origin = {};
    }
    if (m_turning) {
        m_turning->paint(painter, origin, elapsed());
    } else {
        m_shown->paintBehind(painter, origin);
        if (!m_shown->front.image.isNull())
            painter.drawImage(origin + m_shown->front.at, m_shown->front.image);
    }
    painter.restore();
}

QImage OutputPicture::smallPicture() const {
    if (m_turning)
        return m_turning->smallPicture(elapsed());
    return m_shown ? m_shown->smallNow() : QImage();
}

} // namespace mivanta

#include "moc_OutputPicture.cpp"
