// SPDX-License-Identifier: GPL-3.0-or-later
#include "player/Player.h"
#include "core/base/Clock.h"
#include "core/live/LiveLoops.h"
#include "render/Fonts.h"
#include <QCoreApplication>
#include <QFile>
#include <QFileInfo>
#include <QPointer>
#include <utility>

namespace mivanta {

namespace {
constexpr int kPublishEveryMs = 60; // while a picture is turning into another
constexpr int kLonelyMs = 30'000;
constexpr int kFontsPatienceMs = 1000; // a disk that hangs must not keep the screens dark
} // namespace

Player::Player(QString sessionFolder, QObject* parent)
    : QObject(parent),
      m_folder(std::move(sessionFolder)),
      m_alone(m_folder + QStringLiteral("/player.lock")),
      m_lock(QFileInfo(m_folder).path()),
      m_keeper(m_folder + QStringLiteral("/desks.log")) {
    connect(&m_server, &QLocalServer::newConnection, this, &Player::newConnection);
    connect(&m_outputs, &OutputSet::pictureAdded, this, &Player::watch);
    connect(&m_outputs, &OutputSet::placesChanged, this, [this] {
        m_awake.setOn(m_outputs.isSeen());
        tell(places());
    });
    m_outputs.setMayShow(m_lock.isHeld());
    connect(&m_lock, &ScreensLock::taken, this, [this] { m_outputs.setMayShow(true); });
    m_films.setShowsItself([this](const LiveInput& input, const QString& output) {
        return showsItself(input, output, int(m_outputs.pictures().size()));
    });
    m_films.setWindowOf([this](const QString& output) { return m_outputs.windowOf(output); });
    connect(&m_outputs, &OutputSet::placesChanged, this, [this] {
        m_films.lookAtWindows();
        showAgain();
    });
    connect(&m_liveLook, &LiveLook::made, this,
            [this](const message::LivePicture& picture) { tell(picture); });
    connect(&m_films, &Films::told, this, [this](const message::FilmStands& stands) {
        m_sound.setFilmHeard(m_films.isAnyHeard());
        tell(stands);
    });
    connect(&m_recorders, &RecorderBox::told, this,
            [this](const message::Recording& recording) { tell(recording); });
    connect(&m_sound, &SoundBox::told, this, [this](const message::Sounding& sounding) { tell(sounding); });
    connect(&m_sound, &SoundBox::devicesChanged, this, [this] {
        m_films.setSoundDevice(m_sound.device());
        tell(m_sound.devices());
    });
    m_fontsPatience.setSingleShot(true);
    m_fontsPatience.setInterval(kFontsPatienceMs);
    connect(&m_fontsPatience, &QTimer::timeout, this, &Player::obeySoon);
    m_lonely.setSingleShot(true);
    connect(&m_lonely, &QTimer::timeout, qApp, [] { QCoreApplication::exit(0); });
    m_lonely.start(kLonelyMs);
}

Result<bool> Player::start() {
    // Before anything is touched that another player of this library may use.
    m_alone.setStaleLockTime(0);
    if (!m_alone.tryLock(0)) {
        if (m_alone.error() == QLockFile::LockFailedError)
            return false;
        qWarning("the session folder cannot be locked: %s", qPrintable(m_folder));
    }
    if (auto board = FrameBoard::create(m_folder + QStringLiteral("/frames")))
        m_board = std::move(*board);
    else // the screens matter more than the desks' small pictures
        qWarning("%s", qPrintable(board.error().text()));
    const QString path = playerSocketPath(m_folder);
    QLocalServer::removeServer(path); // of a player that was killed
    m_server.setSocketOptions(QLocalServer::UserAccessOption);
    if (!m_server.listen(path))
        return failure(m_server.errorString(), path);
    return true;
}

void Player::newConnection() {
    while (QLocalSocket* socket = m_server.nextPendingConnection()) {
        auto* channel = new Channel(socket, this);
        connect(channel, &Channel::received, this, [this, channel](const Message& m) { obey(channel, m); });
        connect(channel, &Channel::closed, this, [this, channel] { gone(channel); });
    }
}

void Player::obey(Channel* from, const Message& order) {
    if (const auto* hello = std::get_if<message::Hello>(&order)) {
        greet(from, *hello);
        return;
    }
    const bool isStranger = std::find(m_strangers.begin(), m_strangers.end(), from) != m_strangers.end();
    if (from != m_desk && !(isStranger && std::holds_alternative<message::Quit>(order)))
        return;
    if (const auto* outputs = std::get_if<message::SetOutputs>(&order)) {
        m_outputs.setOutputs(outputs->outputs, outputs->deskMonitor);
    } else if (const auto* prepared = std::get_if<message::Prepare>(&order)) {
        m_toPrepare = prepared->scenes;
        obeySoon();
    } else if (const auto* shown = std::get_if<message::Show>(&order)) {
        show(*shown);
    } else if (const auto* keep = std::get_if<message::Keep>(&order)) {
        m_state = keep->state;
        for (Channel* observer : m_observers)
            observer->send(order);
    } else if (std::holds_alternative<message::NumberScreens>(order)) {
        m_numbers.show(m_outputs.monitors());
    } else if (const auto* sound = std::get_if<message::Sound>(&order)) {
        m_sound.play(*sound, m_media);
    } else if (const auto* live = std::get_if<message::SetLiveInputs>(&order)) {
        m_films.setLiveInputs(live->inputs);
        showAgain();
    } else if (const auto* look = std::get_if<message::LookAtLive>(&order)) {
        m_liveLook.set(look->inputs);
    } else if (const auto* record = std::get_if<message::Record>(&order)) {
        m_recorders.begin(*record, monitorOf(m_sound.devices(), m_sound.device()));
    } else if (const auto* over = std::get_if<message::EndRecording>(&order)) {
        m_recorders.end(over->id);
    } else if (const auto* device = std::get_if<message::SetSoundDevice>(&order)) {
        m_sound.setDevice(device->name);
    } else if (std::holds_alternative<message::PlayTestTone>(order)) {
        m_sound.playTestTone();
    } else if (const auto* steerSound = std::get_if<message::SteerSound>(&order)) {
        m_sound.steer(*steerSound);
    } else if (const auto* steer = std::get_if<message::SteerFilm>(&order)) {
        m_films.steer(*steer);
    } else if (std::holds_alternative<message::MediaArrived>(order)) {
        loadFonts();
        m_frames.forget();
    } else if (std::holds_alternative<message::Quit>(order)) {
        m_quitting = true;
        m_server.close();
        QFile::remove(m_folder + QStringLiteral("/frames"));
        QCoreApplication::exit(0); // quit() would ask the output windows, which refuse to close
    }
}

void Player::greet(Channel* from, const message::Hello& hello) {
    const bool isOther = hello.build != buildOfProtocol();
    message::Welcome welcome{m_state, m_board ? m_folder + QStringLiteral("/frames") : QString(),
                             hello.isDesk && m_desk, isOther};
    from->send(welcome);
    if (welcome.anotherDesk)
        return;
    if (isOther) {
        if (hello.isDesk)
            m_strangers.push_back(from);
        m_lonely.stop();
        return;
    }
    m_lonely.stop();
    if (hello.isDesk) {
        m_desk = from;
        m_keeper.arrived(hello);
        m_frames.setPictures(hello.pictures, hello.pictureCache);
        m_media = hello.pictures;
        m_films.setFolder(m_media);
        m_fonts = QFileInfo(hello.pictures).path() + QStringLiteral("/fonts"); // beside the pictures
        m_fontsPatience.start();
        loadFonts();
    } else {
        m_observers.push_back(from);
    }
    from->send(places());
    from->send(m_sound.devices());
    for (const message::Sounding& sounding : m_sound.sounding())
        from->send(sounding);
    for (const message::FilmStands& stands : m_films.stands())
        from->send(stands);
    for (const message::Recording& recording : m_recorders.running())
        from->send(recording);
    for (OutputPicture* picture : m_outputs.pictures()) {
        from->send(message::Shows{picture->name(), picture->shown()});
        publish(picture);
    }
}

void Player::loadFonts() {
    loadFontsLater(m_fonts, this, [this](bool isAny) {
        if (isAny)
            m_frames.forget();
        m_fontsPatience.stop();
        obeySoon();
    });
}

message::Places Player::places() const {
    return {m_outputs.monitors(), m_outputs.placements(), !m_lock.isHeld()};
}

void Player::gone(Channel* channel) {
    channel->deleteLater();
    std::erase(m_observers, channel);
    std::erase(m_strangers, channel);
    if (channel != m_desk || m_quitting)
        return;
    m_desk = nullptr;
    m_liveLook.set({});
    if (!m_keeper.died())
        qWarning("the desks are gone and were not started again; the picture stays up");
}

void Player::show(const message::Show& show) {
    for (const Scene& scene : show.scenes)
        m_waiting[scene.output] = {scene, show.take, show.arrival};
    obeySoon();
}

/// Once everything that has come is read: keys that are mashed must not have the screens lag behind.
void Player::obeySoon() {
    if (!std::exchange(m_obeysSoon, true))
        QMetaObject::invokeMethod(this, &Player::obeyNewest, Qt::QueuedConnection);
}

void Player::obeyNewest() {
    m_obeysSoon = false;
    if (m_fontsPatience.isActive())
        return; // it ends soon, and then they are obeyed
    for (const auto& [output, waiting] : std::exchange(m_waiting, {}))
        if (OutputPicture* picture = m_outputs.picture(output))
            picture->show(waiting.scene, waiting.take, waiting.arrival);
    if (m_toPrepare.empty())
        return;
    m_frames.prepareNoMore(); // of what was likely before
    std::vector<FilmPlay> films;
    for (const Scene& scene : std::exchange(m_toPrepare, {}))
        if (const OutputPicture* picture = m_outputs.picture(scene.output)) {
            m_frames.prepare(scene, picture->size());
            const std::vector<FilmPlay> all = filmsOn(scene);
            films.insert(films.end(), all.begin(), all.end());
        }
    m_films.prepare(films);
}

/// Also by way of other outputs, so many of them at most.
bool Player::showsItself(const LiveInput& input, const QString& output, int deep) const {
    if (wouldShowItself(input, output, m_outputs.placeOf(output), m_outputs.monitors()))
        return true;
    const auto* source = std::get_if<OutputSource>(&input.source);
    const OutputPicture* other = source && deep > 0 ? m_outputs.picture(source->output) : nullptr;
    if (!other || !other->scene())
        return false;
    const std::vector<FilmPlay> films = filmsOn(*other->scene());
    return std::any_of(films.begin(), films.end(), [&](const FilmPlay& film) {
        const LiveInput* shown = m_films.liveInput(film.live);
        return shown && showsItself(*shown, output, deep - 1);
    });
}

void Player::showAgain() {
    for (OutputPicture* picture : m_outputs.pictures())
        picture->showAgain();
}

void Player::watch(OutputPicture* picture) {
    connect(
        picture, &OutputPicture::changed, this,
        [this, picture = QPointer<OutputPicture>(picture)] {
            // The window has painted by now; small pictures of a fade need not follow every tick.
            if (picture && Clock::the().steady() - m_publishedAt.value(picture->name(), -kPublishEveryMs) >=
                               kPublishEveryMs)
                publish(picture);
        },
        Qt::QueuedConnection);
    connect(picture, &OutputPicture::shownChanged, this, [this, picture] {
        tell(message::Shows{picture->name(), picture->shown()});
    });
    connect(picture, &OutputPicture::settled, this, [this, picture](quint64 take) {
        tell(message::Painted{picture->name(), take, picture->wasReady()});
        QMetaObject::invokeMethod(
            picture, [this, picture] { publish(picture); }, Qt::QueuedConnection);
    });
}

void Player::publish(OutputPicture* picture) {
    const QImage small = picture->smallPicture();
    const int slot = m_outputs.indexOf(picture->name());
    if (!m_board || small.isNull() || slot < 0)
        return;
    m_publishedAt[picture->name()] = Clock::the().steady();
    if (m_board->write(slot, small.size(), small.constBits(), small.bytesPerLine()))
        tell(message::FrameReady{picture->name(), slot});
}

void Player::tell(const Message& fact) {
    if (m_desk)
        m_desk->send(fact);
    for (Channel* observer : m_observers)
        observer->send(fact);
}

} // namespace mivanta

#include "moc_Player.cpp"
