// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "link/Channel.h"
#include "link/FrameBoard.h"
#include <QElapsedTimer>
#include <QTimer>
#include <map>

namespace mivanta {

/// The desks' end of the link: finds the player or starts it, and starts it again with the last pictures
/// when it dies. An observer only listens: it starts nothing, and what it orders goes nowhere. Lives on the
/// GUI thread; nothing here waits.
class PlayerClient : public QObject {
    Q_OBJECT
public:
    struct Setup {
        QString sessionFolder;
        QString playerProgram; ///< started with the session folder as its one argument
        message::Hello hello;
    };

    explicit PlayerClient(Setup setup, QObject* parent = nullptr);
    ~PlayerClient() override;

    void start();
    /// The player that is there is of another build: it keeps its pictures and takes no orders.
    [[nodiscard]] bool isStranger() const { return m_isStranger; }
    /// Ends such a player and starts one of this build; replaced() follows.
    void replaceStranger();
    void setOutputs(const std::vector<Output>& outputs, const QString& deskMonitor);
    void prepare(const std::vector<Scene>& scenes);
    /// What the player that was found shows already: for when it has to be started again, or was meanwhile.
    void remember(const std::vector<Scene>& scenes);
    /// Returns the take's number. `cut`: without the pictures' transitions.
    quint64 show(const std::vector<Scene>& scenes, Arrival arrival = Arrival::Turning);
    /// What is to sound from now on, on its channel.
    void sound(const message::Sound& sound);
    void steerSound(const message::SteerSound& order);
    /// `film`: as filmKey() has it. One that does not play (yet) takes it when it is opened soon.
    void steerFilm(const QByteArray& film, message::SteerFilm::What what, double value = 0);
    /// Those of this computer, with what it takes to see them.
    void setLiveInputs(const std::vector<message::LiveOrder>& inputs);
    /// From now on small pictures of these come, and of no others.
    void lookAtLive(const std::vector<LiveInputId>& inputs);
    /// recordingChanged() follows.
    void record(const message::Record& record) { order(record); }
    void endRecording(RecordingId id) { order(message::EndRecording{id}); }
    /// What to hand back when these desks are started again.
    void keep(const QByteArray& state);
    void numberScreens();
    /// Ends the player, too. Afterwards this object does nothing any more.
    void quit();
    /// Pictures or fonts have come into the library.
    void mediaArrived();

    [[nodiscard]] bool isConnected() const { return m_channel && m_channel->isConnected(); }
    /// The last small picture of an output; null when there is none yet. Premultiplied ARGB.
    [[nodiscard]] FrameBoard::Picture frame(const QString& output) const;
    /// What each output shows, as the player painted it; an output that there is no word of shows nothing.
    [[nodiscard]] const std::map<QString, Shown>& shows() const { return m_shows; }
    /// Where all that sounds is to be heard; empty = the usual place.
    void setSoundDevice(const QString& name);
    void playTestTone();
    /// As the player said last.
    [[nodiscard]] const message::SoundDevices& soundDevices() const { return m_soundDevices; }

    /// What sounds now, as the player said last.
    [[nodiscard]] const message::Sounding& sounding(SoundChannel channel) const {
        return m_sounding[size_t(channel)];
    }
    /// How a film stands, as the player said last, its position as of now; null when it is not open.
    [[nodiscard]] std::optional<message::FilmStands> film(const QByteArray& key) const;

Q_SIGNALS:
    /// The player is there; with the state that was kept when these desks take over, else empty.
    void welcomed(const QByteArray& keptState);
    /// `wasReady`: the picture had been drawn ahead.
    void painted(const QString& output, quint64 take, bool wasReady);
    /// What an output shows now has changed, or is told for the first time.
    void showsChanged(const QString& output);
    void frameChanged(const QString& output);
    void soundingChanged(mivanta::SoundChannel channel);
    void soundDevicesChanged();
    void filmChanged(const QByteArray& film);
    void livePictureCame(LiveInputId input, const QImage& picture);
    void recordingChanged(const mivanta::message::Recording& recording);
    void placesChanged(const std::vector<Monitor>& monitors, const std::vector<Placement>& placements);
    void screensTaken(); ///< another player has the monitors; the outputs wait for them
    void stranger();     ///< welcomed() follows, with what it keeps
    void replaced();     ///< a player of this build is there: it has no pictures yet
    /// The kept state as other desks change it (for observers).
    void stateChanged(const QByteArray& state);
    void lost(); ///< the player died and is being started again
    /// Behind lost(): what came was no message, and the player is asked again. One that goes on so is ended
    /// and started again.
    void talkedNonsense();
    void refused();                         ///< other desks run this player
    void failed(const QString& whatAndWhy); ///< the player cannot be started

private:
    void tryToConnect();
    void launch();
    void connected(QLocalSocket* socket);
    void obey(const Message& message);
    void distrust();
    void resend();
    [[nodiscard]] message::Sound goingOn(size_t channel) const;
    void order(const Message& message);

    Setup m_setup;
    Channel* m_channel = nullptr;
    std::unique_ptr<FrameBoard> m_board;
    std::map<QString, int> m_slots;
    std::map<QString, Shown> m_shows;
    QTimer m_retry;
    QElapsedTimer m_sinceLaunch;
    QElapsedTimer m_sinceWelcome;
    QElapsedTimer m_sinceNonsense;
    int m_launches = 0;
    int m_quickDeaths = 0;
    bool m_welcomedOnce = false;
    bool m_wasLost = false; ///< behind the first welcome
    bool m_over = false;
    bool m_isStranger = false;
    bool m_isDistrusted = false; ///< the connection ends because what came was no message
    bool m_replaces = false;     ///< a stranger was ended, and its successor has not come yet
    std::optional<message::SetOutputs> m_outputs;
    std::map<QString, Scene> m_shown;                   ///< the last picture ordered for each output
    std::array<message::Sound, kSoundChannels> m_sound; ///< the last ones ordered; by channel
    std::array<message::Sounding, kSoundChannels> m_sounding;
    message::SetSoundDevice m_soundDevice;
    message::SetLiveInputs m_liveInputs;
    message::LookAtLive m_lookedAt;
    message::SoundDevices m_soundDevices;
    std::array<message::Sounding, kSoundChannels> m_lastHeard; ///< also when the player is gone since
    std::array<qint64, kSoundChannels> m_heardAt{};            ///< when that was, of Clock::steady()
    struct KnownFilm {
        message::FilmStands stands;
        qint64 since = 0; ///< when it was told, of Clock::steady()
    };
    [[nodiscard]] static double positionOf(const KnownFilm& known); ///< seconds, as of now
    std::map<QByteArray, KnownFilm> m_films;
    QByteArray m_state;
    quint64 m_take = 0;
};

} // namespace mivanta
