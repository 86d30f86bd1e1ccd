// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "film/FilmFilters.h"
#include "film/FilmRounds.h"
#include "film/PictureWriter.h"
#include "link/Protocol.h"
#include "media/Mpv.h"
#include <QObject>
#include <QTimer>

struct mpv_event;

namespace mivanta {

/// Plays one film: its pictures go to a board, each at its time, its sound to the loudspeakers. Lives on a
/// thread with an event loop, and has one of its own for the pictures.
class FilmDecoder : public QObject {
    Q_OBJECT
public:
    /// `ring` is called on the thread of the pictures whenever there is a new one.
    FilmDecoder(std::unique_ptr<FilmBoard> board, std::function<void()> ring, QObject* parent = nullptr);
    ~FilmDecoder() override;

    void open(const message::OpenFilm& order);
    void steer(const message::SteerFilm& order);

Q_SIGNALS:
    void told(const mivanta::message::FilmStands& stands);

private:
    void readEvents();
    void handle(const mpv_event& event);
    void opened();
    void loaded();
    void fail(const QString& problem);
    void tell();
    void stepFade();
    void look(); ///< at what its pictures are now
    [[nodiscard]] QSize sizeOfPictures(QSize film) const;
    [[nodiscard]] double numberOf(const char* property) const;
    [[nodiscard]] QByteArray textOf(const char* property) const; ///< empty when it is not known
    [[nodiscard]] int trackOf(const char* type) const;
    [[nodiscard]] QByteArray volumeFor(double percent) const;
    void showForcedSubtitles();
    void setFilters();
    void set(const char* property, const QByteArray& value);

    message::OpenFilm m_open;
    message::FilmStands m_stands;
    FilmTraits m_traits;
    std::optional<FilmRound> m_round; ///< it goes round, in rounds without a seam
    QByteArray m_pictureFilters;      ///< as they are set
    QByteArray m_soundFilters;
    Mpv m_mpv;
    PictureWriter m_pictures; // ends before its player
    QTimer m_ticks;
    QTimer m_fade;
    double m_fadeStep = 0; ///< per cent a step
    double m_loudness = 100;
};

} // namespace mivanta
