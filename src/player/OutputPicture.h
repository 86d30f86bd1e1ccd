// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/base/Clock.h"
#include "core/run/Shown.h"
#include "player/Films.h"
#include "player/PreparedFrames.h"
#include "player/Turning.h"
#include <QTimer>

namespace mivanta {

/// What one output shows: a picture, or one turning into the next. Clocks on it go on. Lives on the GUI
/// thread; draws ready pictures only.
class OutputPicture : public QObject {
    Q_OBJECT
public:
    OutputPicture(PreparedFrames& frames, Films& films, QString name, QObject* parent = nullptr);

    /// Shows the scene as soon as its picture is ready; until then the one before stays.
    void show(const Scene& scene, quint64 take, Arrival arrival);
    /// The same once more, as it is to be shown by now: its window has moved, or live inputs have changed.
    void showAgain();
    /// The size that pictures are drawn at, px; empty when there is no window.
    void setSize(QSize size);
    /// What there is before anything was shown; black unless it is said.
    void setGround(const QColor& ground) { m_ground = ground; }
    /// Draws what is shown now into the area. The ground when there is nothing yet.
    void paint(QPainter& painter, const QRect& area) const;
    /// The small picture of what is shown now; null when there is nothing yet.
    [[nodiscard]] QImage smallPicture() const;
    [[nodiscard]] const QString& name() const { return m_name; }
    [[nodiscard]] const std::optional<Scene>& scene() const { return m_scene; }
    /// What is really seen, or turning up: never what is only wanted.
    [[nodiscard]] const Shown& shown() const { return m_shownFact; }
    [[nodiscard]] QSize size() const { return m_size; }
    /// True when the last picture was there at once, as it had been drawn ahead.
    [[nodiscard]] bool wasReady() const { return m_wasReady; }

Q_SIGNALS:
    /// Draw it now; only this part of the picture has changed, or all of it when the part is null.
    void changed(const QRect& part);
    void settled(quint64 take); ///< the take's picture is fully shown (after changed() was handled)
    void shownChanged();        ///< its first picture was painted

private:
    [[nodiscard]] Scene withoutItself(Scene scene) const;
    void ready(const FramePtr& frame);
    void drawn(const FramePtr& frame); ///< it is shown once its films have a picture
    [[nodiscard]] bool areFilmsReady() const;
    [[nodiscard]] bool isShown(const FilmPtr& film) const;
    [[nodiscard]] std::optional<QRect> areaOf(const FilmClient* film) const;
    void start(const FramePtr& frame);
    void watchFilm(const FilmPtr& film);
    void filmMoved(const FilmClient* film);
    void tick();
    void look(); ///< at the time, for clocks
    [[nodiscard]] int elapsed() const { return int(Clock::the().steady() - m_since); }

    PreparedFrames& m_frames;
    Films& m_films;
    QString m_name;
    QSize m_size;
    QColor m_ground = Qt::black;
    std::optional<Scene> m_ordered; ///< as it was ordered
    std::optional<Scene> m_scene;   ///< wanted
    QByteArray m_wantedKey;         ///< empty when its picture is shown or turning up
    quint64 m_take = 0;
    Arrival m_arrival = Arrival::Turning;
    bool m_wasReady = false;
    std::vector<FilmPtr> m_wantedFilms; ///< of filmsOn(*m_scene)
    FilmPtr m_unseenFilm;               ///< goes on under a curtain
    FramePtr m_waiting;                 ///< for the first picture of its film
    QTimer m_filmPatience;              ///< then it is shown without one
    std::optional<QRect> m_moved;       ///< what films have changed since it was painted; null = all of it
    FramePtr m_shown;                   ///< or turning up
    Shown m_shownFact;                  ///< of it
    quint64 m_shownTake = 0;            ///< of it
    std::optional<Turning> m_turning;   ///< while one picture becomes the next
    qint64 m_since = 0;                 ///< when the turning began, of Clock::steady()
    int m_drawnAt = 0;                  ///< ms after that; nothing was drawn later than this
    QTimer m_ticks;
    QTimer m_clock;
    QTimer m_again; ///< a picture was late
};

} // namespace mivanta
