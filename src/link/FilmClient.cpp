// SPDX-License-Identifier: GPL-3.0-or-later
#include "link/FilmClient.h"
#include "core/base/Clock.h"
#include <QCoreApplication>
#include <QTimer>
#include <fcntl.h>
#include <sys/eventfd.h>
#include <sys/prctl.h>
#include <sys/socket.h>
#include <unistd.h>

namespace mivanta {

using namespace Qt::StringLiterals;

namespace {

constexpr int kMostDeaths = 3;
constexpr qint64 kLongLifeMs = 60'000; ///< one that dies after this may be started again as often as before
constexpr int kPatienceMs = 1000;
constexpr int kLiveRestMs = 5000; ///< of a live input whose process keeps dying

/// The process finds its descriptors by the numbers that it is told, so only closing them has to be
/// prevented.
void keepOverExec(int descriptor) {
    ::fcntl(descriptor, F_SETFD, 0);
}

/// A film that fills a screen of another shape has more px than the screen.
QSize roomFor(const message::OpenFilm& film) {
    return film.film.fit == PictureFit::Fill ? QSize(film.shown.width(), film.shown.height() * 2)
                                             : film.shown;
}

} // namespace

FilmClient::FilmClient(message::OpenFilm film, QObject* parent) : QObject(parent), m_film(std::move(film)) {
    m_stands.volume = m_film.film.volume;
    m_stands.position = m_film.at;
    m_stands.from = m_film.film.from;
    m_stands.to = m_film.film.to;
    auto board = FilmBoard::create(roomFor(m_film));
    m_bell = ::eventfd(0, EFD_CLOEXEC | EFD_NONBLOCK);
    if (!board || m_bell < 0) {
        fail(board ? tr("there are too many open files") : board.error().what);
        return;
    }
    m_board = std::move(*board);
    m_rings = std::make_unique<QSocketNotifier>(m_bell, QSocketNotifier::Read);
    connect(m_rings.get(), &QSocketNotifier::activated, this, [this] {
        quint64 rings = 0;
        if (::read(m_bell, &rings, sizeof rings) == sizeof rings)
            Q_EMIT pictureCame();
    });
    start();
}

FilmClient::~FilmClient() {
    end();
    m_rings.reset();
    if (m_bell >= 0)
        ::close(m_bell);
}

void FilmClient::end() {
    if (!m_process)
        return;
    m_process->disconnect(this);
    m_process->kill();
    m_process->waitForFinished(kPatienceMs);
    m_process.reset();
}

void FilmClient::reopen(message::OpenFilm film) {
    end();
    delete std::exchange(m_channel, nullptr);
    m_film = std::move(film);
    m_stands = {};
    m_stands.volume = m_film.film.volume;
    m_deaths = 0;
    if (m_board)
        start();
}

void FilmClient::leave(int fadeMilliseconds) {
    disconnect();
    if (!m_process) {
        deleteLater();
        return;
    }
    fadeOut(fadeMilliseconds);
    m_process->disconnect(this);
    connect(m_process.get(), &QProcess::finished, this, &QObject::deleteLater);
    QTimer::singleShot(fadeMilliseconds + 50, this,
                       [this] { delete std::exchange(m_channel, nullptr); }); // it ends then
    QTimer::singleShot(fadeMilliseconds + kPatienceMs, this, &QObject::deleteLater);
}

void FilmClient::start() {
    int ends[2]{-1, -1};
    if (::socketpair(AF_UNIX, SOCK_STREAM | SOCK_CLOEXEC, 0, ends) != 0) {
        fail(tr("there are too many open files"));
        return;
    }
    m_startedAt = Clock::the().steady();
    m_process = std::make_unique<QProcess>();
    m_process->setProcessChannelMode(QProcess::ForwardedChannels);
    m_process->setChildProcessModifier([theirs = ends[1], board = m_board->descriptor(), bell = m_bell] {
        ::prctl(PR_SET_PDEATHSIG, SIGKILL);
        for (const int descriptor : {theirs, board, bell})
            keepOverExec(descriptor);
    });
    connect(m_process.get(), &QProcess::finished, this, &FilmClient::died);
    connect(m_process.get(), &QProcess::errorOccurred, this, [this](QProcess::ProcessError error) {
        if (error == QProcess::FailedToStart)
            fail(tr("the program that plays films is not there"));
    });
    m_process->start(
        QCoreApplication::applicationDirPath() + u"/mivanta-film"_s,
        {QString::number(ends[1]), QString::number(m_board->descriptor()), QString::number(m_bell)});
    ::close(ends[1]);
    auto* socket = new QLocalSocket;
    socket->setSocketDescriptor(ends[0]);
    m_channel = new Channel(socket, this);
    connect(m_channel, &Channel::received, this, [this](const Message& message) {
        if (const auto* stands = std::get_if<message::FilmStands>(&message)) {
            m_stands = *stands;
            Q_EMIT told();
        }
    });
    m_channel->send(m_film);
    if (m_isWantedToPlay)
        steer(message::SteerFilm::What::Play);
}

void FilmClient::died() {
    delete std::exchange(m_channel, nullptr);
    if (!m_stands.problem.isEmpty() && !m_film.live)
        return; // it has said why
    if (Clock::the().steady() - m_startedAt > kLongLifeMs)
        m_deaths = 0;
    m_film.at = m_stands.position;
    m_film.film.volume = m_stands.volume;
    m_process.release()->deleteLater(); // it is telling of its end
    if (++m_deaths < kMostDeaths) {
        start();
    } else if (m_film.live) { // it may send something else by then
        m_stands.signal = message::FilmStands::Signal::Lost;
        m_stands.lostAt = Clock::the().now().toMSecsSinceEpoch();
        fail(tr("the program that shows it fails on what it sends"));
        QTimer::singleShot(kLiveRestMs, this, &FilmClient::start);
    } else {
        fail(tr("it cannot be played: the program that plays films fails on it"));
    }
}

void FilmClient::fail(const QString& problem) {
    m_stands.problem = problem;
    m_stands.isPaused = true;
    QMetaObject::invokeMethod(this, &FilmClient::told, Qt::QueuedConnection); // nobody listens yet
}

void FilmClient::steer(message::SteerFilm::What what, double value, const QString& device) {
    if (m_channel)
        m_channel->send(message::SteerFilm{{}, what, value, device});
}

void FilmClient::setSoundDevice(const QString& name) {
    m_film.soundDevice = name;
    steer(message::SteerFilm::What::Device, 0, name);
}

void FilmClient::play() {
    m_isWantedToPlay = true;
    steer(message::SteerFilm::What::Play);
}

void FilmClient::pause() {
    m_isWantedToPlay = false;
    steer(message::SteerFilm::What::Pause);
}

void FilmClient::seek(double seconds) {
    m_stands.position = std::clamp(seconds, 0.0, kLongestFilm);
    steer(message::SteerFilm::What::Seek, m_stands.position);
}

void FilmClient::setVolume(int percent) {
    m_stands.volume = percent;
    steer(message::SteerFilm::What::Volume, percent);
}

void FilmClient::fadeOut(int milliseconds) {
    steer(message::SteerFilm::What::FadeOut, milliseconds);
}

FilmPicture FilmClient::picture() {
    return m_board ? m_board->newest() : FilmPicture();
}

} // namespace mivanta

#include "moc_FilmClient.cpp"
