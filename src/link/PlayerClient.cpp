// SPDX-License-Identifier: GPL-3.0-or-later
#include "link/PlayerClient.h"
#include "core/base/Clock.h"
#include "core/base/Said.h"
#include "link/Detached.h"
#include <QDateTime>
#include <algorithm>

namespace mivanta {

namespace {
constexpr int kRetryMs = 15;
constexpr int kWatchMs = 250; // an observer waits for somebody else's player
constexpr int kLaunchPatienceMs = 5000;
constexpr int kMostLaunches = 5; // in a row without a welcome
constexpr int kQuickDeathMs = 1000;
constexpr int kRestMs = 500;
constexpr size_t kMostFilms = 64;
constexpr int kNonsenseMs = 60'000; // once may be an accident, twice in this time is not
} // namespace

PlayerClient::PlayerClient(Setup setup, QObject* parent) : QObject(parent), m_setup(std::move(setup)) {
    m_retry.setSingleShot(true);
    connect(&m_retry, &QTimer::timeout, this, &PlayerClient::tryToConnect);
}

PlayerClient::~PlayerClient() = default;

void PlayerClient::start() {
    tryToConnect();
}

void PlayerClient::tryToConnect() {
    if (m_over)
        return;
    auto* socket = new QLocalSocket(this);
    connect(socket, &QLocalSocket::connected, this, [this, socket] {
        socket->disconnect(this);
        connected(socket);
    });
    connect(socket, &QLocalSocket::errorOccurred, this, [this, socket] {
        socket->deleteLater();
        if (!m_setup.playerProgram.isEmpty())
            launch();
        m_retry.start(m_setup.playerProgram.isEmpty() ? kWatchMs : kRetryMs);
    });
    socket->connectToServer(playerSocketPath(m_setup.sessionFolder));
}

void PlayerClient::launch() {
    if (m_over || (m_sinceLaunch.isValid() && m_sinceLaunch.elapsed() < kLaunchPatienceMs))
        return;
    if (++m_launches > kMostLaunches) {
        m_over = true;
        Q_EMIT failed(Said::tr("The player could not be started (%1).").arg(m_setup.playerProgram));
        return;
    }
    m_sinceLaunch.start();
    if (!startDetached(m_setup.playerProgram, {m_setup.sessionFolder},
                       m_setup.sessionFolder + QStringLiteral("/player.log"))) {
        m_over = true;
        Q_EMIT failed(
            Said::tr("The player could not be started: %1 is missing or broken. Install Mivanta again.")
                .arg(m_setup.playerProgram));
    }
}

void PlayerClient::connected(QLocalSocket* socket) {
    m_channel = new Channel(socket, this);
    connect(m_channel, &Channel::received, this, &PlayerClient::obey);
    connect(m_channel, &Channel::nonsense, this, &PlayerClient::distrust);
    connect(m_channel, &Channel::closed, this, [this] {
        m_channel->deleteLater();
        m_channel = nullptr;
        m_board.reset();
        m_sounding = {};
        m_shows.clear();
        m_isStranger = false;
        m_wasLost = m_welcomedOnce;
        if (m_over)
            return;
        m_sinceLaunch.invalidate();
        // A player that dies as soon as it is there, again and again, is given a rest between starts.
        m_quickDeaths =
            m_sinceWelcome.isValid() && m_sinceWelcome.elapsed() < kQuickDeathMs ? m_quickDeaths + 1 : 0;
        Q_EMIT lost();
        if (std::exchange(m_isDistrusted, false))
            Q_EMIT talkedNonsense();
        if (m_quickDeaths > kMostLaunches)
            m_retry.start(kRestMs);
        else
            tryToConnect();
    });
    m_channel->send(m_setup.hello);
}

void PlayerClient::obey(const Message& received) {
    if (const auto* welcome = std::get_if<message::Welcome>(&received)) {
        if (welcome->anotherDesk) {
            m_over = true;
            Q_EMIT refused();
            return;
        }
        m_launches = 0;
        m_sinceWelcome.start();
        m_isStranger = welcome->otherBuild;
        if (m_isStranger) {
            if (!m_setup.hello.isDesk)
                return;
            Q_EMIT stranger();
            if (!std::exchange(m_welcomedOnce, true))
                Q_EMIT welcomed(welcome->state);
            return;
        }
        if (auto board = FrameBoard::open(welcome->framesPath))
            m_board = std::move(*board);
        const bool takesOver = !m_welcomedOnce;
        m_welcomedOnce = true;
        if (takesOver && !welcome->state.isEmpty())
            m_state.clear(); // theirs is the one to go on from
        resend();
        Q_EMIT welcomed(takesOver ? welcome->state : QByteArray());
        if (std::exchange(m_replaces, false))
            Q_EMIT replaced();
    } else if (const auto* painted = std::get_if<message::Painted>(&received)) {
        Q_EMIT this->painted(painted->output, painted->take, painted->wasReady);
    } else if (const auto* shows = std::get_if<message::Shows>(&received)) {
        m_shows[shows->output] = shows->shown;
        Q_EMIT showsChanged(shows->output);
    } else if (const auto* frame = std::get_if<message::FrameReady>(&received)) {
        m_slots[frame->output] = frame->slot;
        Q_EMIT frameChanged(frame->output);
    } else if (const auto* live = std::get_if<message::LivePicture>(&received)) {
        Q_EMIT livePictureCame(live->input, live->picture);
    } else if (const auto* recording = std::get_if<message::Recording>(&received)) {
        Q_EMIT recordingChanged(*recording);
    } else if (const auto* devices = std::get_if<message::SoundDevices>(&received)) {
        m_soundDevices = *devices;
        Q_EMIT soundDevicesChanged();
    } else if (const auto* sounding = std::get_if<message::Sounding>(&received)) {
        const auto at = size_t(sounding->channel);
        if (sounding->name.isEmpty() && !m_sounding[at].name.isEmpty())
            m_sound[at].pieces.clear(); // it is over, and does not begin again with another player
        m_sounding[at] = *sounding;
        if (!sounding->name.isEmpty()) {
            m_lastHeard[at] = *sounding;
            m_heardAt[at] = Clock::the().steady();
        }
        Q_EMIT soundingChanged(sounding->channel);
    } else if (const auto* film = std::get_if<message::FilmStands>(&received)) {
        if (film->isGone)
            m_films.erase(film->film);
        else if (m_films.size() < kMostFilms || m_films.count(film->film) > 0)
            m_films[film->film] = {*film, Clock::the().steady()};
        Q_EMIT filmChanged(film->film);
    } else if (const auto* places = std::get_if<message::Places>(&received)) {
        Q_EMIT placesChanged(places->monitors, places->placements);
        if (places->areTaken)
            Q_EMIT screensTaken();
    } else if (const auto* keep = std::get_if<message::Keep>(&received)) {
        Q_EMIT stateChanged(keep->state);
    }
}

/// The player's memory may be damaged: its pictures stay until it is sure that it has to be another one.
void PlayerClient::distrust() {
    m_isDistrusted = !m_sinceNonsense.isValid() || m_sinceNonsense.elapsed() > kNonsenseMs;
    if (!m_isDistrusted && m_setup.hello.isDesk)
        m_channel->killPeer();
    m_sinceNonsense.start();
}

void PlayerClient::order(const Message& message) {
    if (m_channel && m_setup.hello.isDesk &&
        (!m_isStranger || std::holds_alternative<message::Quit>(message)))
        m_channel->send(message);
}

void PlayerClient::replaceStranger() {
    if (!m_isStranger)
        return;
    m_replaces = true;
    order(message::Quit{}); // its end is noticed as any player's is
}

/// A player that was started again knows nothing: it gets the outputs and the last pictures, at once.
void PlayerClient::resend() {
    if (m_outputs)
        order(*m_outputs);
    if (!m_state.isEmpty())
        order(message::Keep{m_state});
    if (!m_soundDevice.name.isEmpty())
        order(m_soundDevice);
    if (!m_liveInputs.inputs.empty())
        order(m_liveInputs);
    if (!m_lookedAt.inputs.empty())
        order(m_lookedAt);
    for (size_t i = 0; i < kSoundChannels; ++i)
        if (!m_sound[i].pieces.empty())
            order(goingOn(i));
    using Steer = message::SteerFilm;
    for (const auto& [key, known] : std::exchange(m_films, {})) { // they go on where they would be by now
        if (known.stands.signal != message::FilmStands::Signal::None)
            continue; // a live input is where it is
        order(Steer{key, Steer::What::Seek, positionOf(known)});
        order(Steer{key, Steer::What::Volume, double(known.stands.volume)});
        if (known.stands.isPaused)
            order(Steer{key, Steer::What::Pause});
    }
    if (m_shown.empty())
        return;
    message::Show show{++m_take, {}, Arrival::Cut};
    for (const auto& [output, scene] : m_shown)
        show.scenes.push_back(scene);
    order(show);
}

void PlayerClient::setOutputs(const std::vector<Output>& outputs, const QString& deskMonitor) {
    m_outputs = message::SetOutputs{outputs, deskMonitor};
    const auto isGone = [&](const auto& shown) {
        return std::none_of(outputs.begin(), outputs.end(),
                            [&](const Output& o) { return o.name == shown.first; });
    };
    std::erase_if(m_shown, isGone);
    std::erase_if(m_shows, isGone);
    order(*m_outputs);
}

void PlayerClient::setLiveInputs(const std::vector<message::LiveOrder>& inputs) {
    m_liveInputs.inputs = inputs;
    order(m_liveInputs);
}

void PlayerClient::lookAtLive(const std::vector<LiveInputId>& inputs) {
    m_lookedAt.inputs = inputs;
    order(m_lookedAt);
}

void PlayerClient::prepare(const std::vector<Scene>& scenes) {
    order(message::Prepare{scenes});
}

void PlayerClient::remember(const std::vector<Scene>& scenes) {
    for (const Scene& scene : scenes)
        m_shown[scene.output] = scene;
    if (m_wasLost) // it is another player already
        order(message::Show{++m_take, scenes, Arrival::Cut});
}

quint64 PlayerClient::show(const std::vector<Scene>& scenes, Arrival arrival) {
    for (const Scene& scene : scenes)
        m_shown[scene.output] = scene;
    order(message::Show{++m_take, scenes, arrival});
    return m_take;
}

void PlayerClient::sound(const message::Sound& sound) {
    const auto at = size_t(sound.channel);
    m_sound[at] = sound;
    m_sounding[at] = {};
    m_lastHeard[at] = {};
    m_lastHeard[at].piece = sound.first;
    m_lastHeard[at].position = qint64(sound.at * 1000);
    m_heardAt[at] = Clock::the().steady();
    order(sound);
}

void PlayerClient::setSoundDevice(const QString& name) {
    if (std::exchange(m_soundDevice.name, name) != name)
        order(m_soundDevice);
}

void PlayerClient::playTestTone() {
    order(message::PlayTestTone{});
}

void PlayerClient::steerSound(const message::SteerSound& steer) {
    using What = message::SteerSound::What;
    message::Sound& sound = m_sound[size_t(steer.channel)];
    if (steer.what == What::Play || steer.what == What::Pause)
        sound.isPaused = steer.what == What::Pause;
    else if (steer.what == What::Volume)
        sound.volume = std::clamp(int(steer.value), 0, 100);
    order(steer);
}

/// What sounds on a channel, from where it would be by now.
message::Sound PlayerClient::goingOn(size_t channel) const {
    message::Sound sound = m_sound[channel];
    const message::Sounding& last = m_lastHeard[channel];
    const qint64 passed = sound.isPaused ? 0 : Clock::the().steady() - m_heardAt[channel];
    sound.first = last.piece;
    sound.at = double(last.position + passed) / 1000;
    return sound;
}

void PlayerClient::steerFilm(const QByteArray& film, message::SteerFilm::What what, double value) {
    order(message::SteerFilm{film, what, value});
}

double PlayerClient::positionOf(const KnownFilm& known) {
    const message::FilmStands& s = known.stands;
    const double passed = s.isPaused || s.isOver ? 0 : double(Clock::the().steady() - known.since) / 1000;
    return s.to > 0 ? std::min(s.position + passed, s.to) : s.position + passed;
}

std::optional<message::FilmStands> PlayerClient::film(const QByteArray& key) const {
    const auto known = m_films.find(key);
    if (known == m_films.end())
        return std::nullopt;
    message::FilmStands stands = known->second.stands;
    stands.position = positionOf(known->second);
    return stands;
}

void PlayerClient::keep(const QByteArray& state) {
    m_state = state;
    order(message::Keep{state});
}

void PlayerClient::mediaArrived() {
    order(message::MediaArrived{});
}

void PlayerClient::numberScreens() {
    order(message::NumberScreens{});
}

void PlayerClient::quit() {
    m_over = true;
    m_retry.stop();
    if (!m_channel || !m_setup.hello.isDesk)
        return;
    order(message::Quit{});
    m_channel->waitUntilClosed(500);
}

FrameBoard::Picture PlayerClient::frame(const QString& output) const {
    const auto slot = m_slots.find(output);
    return m_board && slot != m_slots.end() ? m_board->read(slot->second) : FrameBoard::Picture();
}

} // namespace mivanta

#include "moc_PlayerClient.cpp"
