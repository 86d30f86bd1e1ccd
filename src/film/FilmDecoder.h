// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "film/FilmFilters.h"
#include "film/FilmRounds.h"
#include "link/FilmBoard.h"
#include "link/Protocol.h"
#include "media/Mpv.h"
#include <QObject>
#include <QTimer>
#include <condition_variable>
#include <mutex>
#include <thread>

struct mpv_event;
struct mpv_render_context;

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
    void renderPictures(); ///< on m_pictures
    void renderPicture();
    [[nodiscard]] bool isThereAPicture() const; ///< besides the black that a player begins with
    void look();                                ///< at what its pictures are now
    [[nodiscard]] QSize sizeOfPictures(QSize film) const;
    [[nodiscard]] double numberOf(const char* property) const;
    [[nodiscard]] QByteArray textOf(const char* property) const; ///< empty when it is not known
    [[nodiscard]] int trackOf(const char* type) const;
    [[nodiscard]] QByteArray volumeFor(double percent) const;
    void showForcedSubtitles();
    void setFilters();
    void set(const char* property, const QByteArray& value);

    std::unique_ptr<FilmBoard> m_board;
    std::function<void()> m_ring;
    message::OpenFilm m_open;
    message::FilmStands m_stands;
    FilmTraits m_traits;
    std::optional<FilmRound> m_round; ///< it goes round, in rounds without a seam
    QByteArray m_pictureFilters;      ///< as they are set
    QByteArray m_soundFilters;
    Mpv m_mpv;
    mpv_render_context* m_render = nullptr;
    QTimer m_ticks;
    QTimer m_fade;
    double m_fadeStep = 0; ///< per cent a step
    double m_loudness = 100;

    std::thread m_pictures;
    std::mutex m_mutex;
    std::condition_variable m_wake;
    bool m_mayBeNew = false;  ///< there may be a picture
    bool m_isChanged = false; ///< the picture that there is, is to be written again
    bool m_isEnding = false;
    bool m_hasPicture = false; ///< there was one, which may be written again; of m_pictures alone
    QSize m_size;              ///< of the film's pictures, px as they are shown; empty = not known yet
    bool m_isSeeThrough = false;
};

} // namespace mivanta
