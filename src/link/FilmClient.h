// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "link/Channel.h"
#include "link/FilmBoard.h"
#include <QProcess>
#include <QSocketNotifier>

namespace mivanta {

/// A film that is played in a process of its own: a file that a decoder falls over takes nothing with it. Its
/// last picture stays when that process dies, and it is started again at the same place, a few times. Lives
/// on a thread with an event loop.
class FilmClient : public QObject {
    Q_OBJECT
public:
    /// It is paused on its first picture until play().
    explicit FilmClient(message::OpenFilm film, QObject* parent = nullptr);
    ~FilmClient() override;

    /// That it was opened with.
    [[nodiscard]] quint32 window() const { return m_film.window; }
    /// In place of what it plays; the last picture stays until the first of this one.
    void reopen(message::OpenFilm film);

    void play();
    void pause();
    void seek(double seconds); ///< of its file
    void setVolume(int percent);
    void setSoundDevice(const QString& name);
    /// Silent within so many ms; its pictures go on.
    void fadeOut(int milliseconds);

    /// Fades out and ends, and deletes this then; no signal comes any more.
    void leave(int fadeMilliseconds);

    /// The newest picture. Its pixels stay as they are until the next call, while this lives.
    [[nodiscard]] FilmPicture picture();
    [[nodiscard]] const message::FilmStands& stands() const { return m_stands; }
    /// It plays with its sound.
    [[nodiscard]] bool isHeard() const {
        return m_film.film.isHeard && m_stands.hasSound && m_stands.isOpen && !m_stands.isPaused &&
               !m_stands.isOver;
    }

Q_SIGNALS:
    void pictureCame();
    void told(); ///< stands() is another one

private:
    void start();
    void end();
    void died();
    void fail(const QString& problem);
    void steer(message::SteerFilm::What what, double value = 0, const QString& device = {});

    message::OpenFilm m_film;
    message::FilmStands m_stands;
    bool m_isWantedToPlay = false;
    int m_deaths = 0;
    qint64 m_startedAt = 0; ///< of Clock::steady()
    std::unique_ptr<FilmBoard> m_board;
    int m_bell = -1; ///< an eventfd that rings for each picture
    std::unique_ptr<QSocketNotifier> m_rings;
    std::unique_ptr<QProcess> m_process;
    Channel* m_channel = nullptr;
};

} // namespace mivanta
