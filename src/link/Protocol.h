// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/media/Loudness.h"
#include "link/LiveCodec.h"
#include "link/SceneCodec.h"
#include <QImage>
#include <QStringList>
#include <variant>

namespace mivanta {

/// The messages between the desks and the player. Each is sent whole, framed by its length. Both ends come
/// from one build, as a rule; a player that outlives an update of the program tells by Hello::build. Hello,
/// Welcome and Quit are therefore the first three, and never change but by more at their end. What goes down
/// are orders, what comes up are facts. Names the form that all messages have in this build; other builds
/// have another one when they differ in it.
[[nodiscard]] QByteArray buildOfProtocol();

/// What can sound at the same time; on each one thing.
enum class SoundChannel {
    Item,  ///< what sounds when an item is taken
    Music, ///< an item that is music
    Track, ///< what a song is sung to
};
inline constexpr size_t kSoundChannels = 3;
/// Loudspeakers, or another way out for sound.
struct SoundDevice {
    QString name;  ///< as the sound system names it
    QString label; ///< for people
    friend bool operator==(const SoundDevice&, const SoundDevice&) = default;
};
QDataStream& operator<<(QDataStream& stream, const SoundDevice& device);
QDataStream& operator>>(QDataStream& stream, SoundDevice& device);
inline constexpr size_t kMostSoundDevices = 100;
inline constexpr size_t kMostSoundPieces = 500; ///< in one order

namespace message {

/// The first message on a connection. Desks order and are started again when they die; observers only listen.
struct Hello {
    bool isDesk = true;
    QString program;        ///< to start when the desks die
    QStringList arguments;  ///< with these
    QString pictures{};     ///< the folder of the library's pictures
    QString pictureCache{}; ///< for scaled copies of them
    QByteArray build = buildOfProtocol();
};

/// The outputs as set up, and the monitor that the desks are on.
struct SetOutputs {
    std::vector<Output> outputs;
    QString deskMonitor;
};

/// Pictures that are likely to be wanted soon.
struct Prepare {
    std::vector<Scene> scenes;
};

/// The pictures to show now, one for each output that changes.
struct Show {
    quint64 take = 0; ///< grows with every order; comes back in Painted
    std::vector<Scene> scenes;
    Arrival arrival = Arrival::Turning;
};

/// What the desks want to be told when they are started again. Passed on to observers.
struct Keep {
    QByteArray state;
};

/// A clean end of both.
struct Quit {};

/// Pictures or fonts have come into the library: what was drawn without them is drawn anew.
struct MediaArrived {};

/// A number on every monitor for some seconds.
struct NumberScreens {};

struct SoundPiece {
    QString name;    ///< of its file in the media folder
    double from = 0; ///< seconds
    double to = 0;   ///< 0 = its end
    double gain = 0; ///< dB, -kMostGain to kMostGain
    friend bool operator==(const SoundPiece&, const SoundPiece&) = default;
};

/// What is to sound on a channel from now on; what sounded there before fades out.
struct Sound {
    SoundChannel channel = SoundChannel::Item;
    std::vector<SoundPiece> pieces; ///< none = silence
    double crossfade = 0;           ///< seconds, 0 to kLongestFade; 0 = the next one follows without a gap
    bool isRound = false;           ///< behind the last piece the first comes again
    bool ducks = false;             ///< it is softer while another channel or a film is heard
    bool isPaused = false;
    int volume = 100; ///< per cent
    int first = 0;    ///< the piece to begin with
    double at = 0;    ///< seconds of that piece's file
};

/// What is done with what sounds on a channel.
struct SteerSound {
    enum class What {
        Play,
        Pause,
        Seek,   ///< `value`: seconds of the piece's file
        Volume, ///< `value`: per cent
        Piece,  ///< `value`: which one is played from its begin
    };
    SoundChannel channel = SoundChannel::Item;
    What what = What::Play;
    double value = 0;
};

/// The answer to Hello.
struct Welcome {
    QByteArray state;         ///< the last Keep; empty when there was none
    QString framesPath;       ///< the FrameBoard's file
    bool anotherDesk = false; ///< refused: other desks are at work
    bool otherBuild = false;  ///< the player is of another build: it keeps its pictures, and takes only Quit
};

/// The pictures of a Show are fully on an output.
struct Painted {
    QString output;
    quint64 take = 0;
    bool wasReady = false; ///< it had been drawn ahead
};

/// What an output shows now: told as soon as the first picture of it is painted, and when desks arrive.
struct Shows {
    QString output;
    Shown shown;
};

/// A new small picture of an output is on the FrameBoard.
struct FrameReady {
    QString output;
    qint32 slot = 0;
};

/// The monitors there are and where each output's picture goes, in the order of SetOutputs.
struct Places {
    std::vector<Monitor> monitors;
    std::vector<Placement> placements;
    bool areTaken = false; ///< another player has the monitors of this display
};

/// Where all that sounds is to be heard; an empty name = the usual place.
struct SetSoundDevice {
    QString name;
};

/// Two soft tones are to be heard there.
struct PlayTestTone {};

/// Where sound can be heard now.
struct SoundDevices {
    std::vector<SoundDevice> devices;
    bool isChosenThere = true; ///< else what sounds is heard in the usual place
};

/// What sounds on a channel now; an empty name when nothing does (any more). Comes about twice a second.
struct Sounding {
    SoundChannel channel = SoundChannel::Item;
    QString name;
    int piece = 0;       ///< of those that were ordered
    qint64 position = 0; ///< ms
    qint64 duration = 0; ///< ms; 0 = not known
    bool isPaused = false;
    int volume = 100;
    QString problem{}; ///< why it, or one of several pieces, cannot be played
    int pieces = 0;    ///< how many were ordered
};

/// A live input as it is opened.
struct LiveOrder {
    LiveInput input;
    LiveSecret secret; ///< what it takes to see it
    friend bool operator==(const LiveOrder&, const LiveOrder&) = default;
};

/// Those that this computer has; scenes name them.
struct SetLiveInputs {
    std::vector<LiveOrder> inputs;
};

/// Those that the desks look at: small pictures of them come, and they are open meanwhile.
struct LookAtLive {
    std::vector<LiveInputId> inputs;
};

/// What one of them shows.
struct LivePicture {
    static constexpr QSize kLargest{480, 270}; ///< px
    LiveInputId input;
    QImage picture; ///< of 32 bits
};

/// To the process of one film, once: what it plays. It is paused on its first picture, which comes by itself.
/// A live input moves at once, in silence.
struct OpenFilm {
    FilmPlay film;
    QString path;          ///< of its file; of a live input: of the picture that is shown while it has none
    double at = 0;         ///< seconds of the file: where it begins, for one that goes on
    QSize shown;           ///< px: the largest picture that it is shown in
    QString soundDevice{}; ///< as SetSoundDevice says
    std::optional<LiveOrder> live{}; ///< what is opened in place of a film
    quint32 window =
        0; ///< of a live input that shows an output: the output's window, as X11 calls it; 0 = none
};

/// What is done with a film that is open. Seconds are of its file.
struct SteerFilm {
    enum class What : quint8 { Play, Pause, Seek, Volume, FadeOut, Device };
    QByteArray film; ///< as filmKey() has it; empty to the process of one film
    What what = What::Play;
    double value = 0; ///< seconds to seek to, per cent, or the ms that a fade takes; 0 to kLongestFilm
    QString device{}; ///< where its sound is to be heard, as SetSoundDevice says
};

/// How a film stands: told when that changes, and about four times a second while it plays.
struct FilmStands {
    QByteArray film;
    bool isOpen = false; ///< what follows is known
    double position = 0; ///< seconds of its file
    double from = 0;     ///< where what is played begins
    double to = 0;       ///< and ends; 0 = not known
    bool isPaused = true;
    bool isOver = false; ///< it came to its end, and keeps its last picture
    bool hasSound = false;
    QSize size;          ///< px, as it is seen with square pixels; empty = not known
    int volume = 100;    ///< per cent
    QString problem{};   ///< why it cannot be played (any more)
    bool isGone = false; ///< no output shows it or is likely to
    /// Of a live input: being opened, its pictures come, or they do not (any more), since `lostAt`; it is
    /// tried again then, and `problem` says what is known of it.
    enum class Signal : quint8 { None, Opening, There, Lost };
    Signal signal = Signal::None;
    qint64 lostAt = 0; ///< ms since 1970
};

/// Begins to record what an output shows, or a live input, into a file that is not there yet. How it stands
/// follows.
struct Record {
    RecordingId id;
    QString output;      ///< its name; empty = the live input
    LiveInputId input;   ///< null = the output
    QString path;        ///< of the file, Matroska
    bool isHeard = true; ///< with what this computer plays, where that can be recorded
};

struct EndRecording {
    RecordingId id;
};

/// How a recording stands: told when it begins and ends, and about once a second between.
struct Recording {
    RecordingId id;
    QString output;
    LiveInputId input;
    QString path;
    bool isHeard = false;
    qint64 length = 0; ///< ms
    qint64 bytes = 0;  ///< of the file
    bool isOver = false;
    QString problem{}; ///< why it is over, where nobody wanted that
};

QDataStream& operator<<(QDataStream& stream, const Hello& m);
QDataStream& operator>>(QDataStream& stream, Hello& m);
QDataStream& operator<<(QDataStream& stream, const SetOutputs& m);
QDataStream& operator>>(QDataStream& stream, SetOutputs& m);
QDataStream& operator<<(QDataStream& stream, const Prepare& m);
QDataStream& operator>>(QDataStream& stream, Prepare& m);
QDataStream& operator<<(QDataStream& stream, const Show& m);
QDataStream& operator>>(QDataStream& stream, Show& m);
QDataStream& operator<<(QDataStream& stream, const Keep& m);
QDataStream& operator>>(QDataStream& stream, Keep& m);
QDataStream& operator<<(QDataStream& stream, const Quit& m);
QDataStream& operator>>(QDataStream& stream, Quit& m);
QDataStream& operator<<(QDataStream& stream, const MediaArrived& m);
QDataStream& operator>>(QDataStream& stream, MediaArrived& m);
QDataStream& operator<<(QDataStream& stream, const NumberScreens& m);
QDataStream& operator>>(QDataStream& stream, NumberScreens& m);
QDataStream& operator<<(QDataStream& stream, const Sound& m);
QDataStream& operator>>(QDataStream& stream, Sound& m);
QDataStream& operator<<(QDataStream& stream, const SoundPiece& piece);
QDataStream& operator>>(QDataStream& stream, SoundPiece& piece);
QDataStream& operator<<(QDataStream& stream, const SteerSound& m);
QDataStream& operator>>(QDataStream& stream, SteerSound& m);
QDataStream& operator<<(QDataStream& stream, const SetSoundDevice& m);
QDataStream& operator>>(QDataStream& stream, SetSoundDevice& m);
QDataStream& operator<<(QDataStream& stream, const PlayTestTone& m);
QDataStream& operator>>(QDataStream& stream, PlayTestTone& m);
QDataStream& operator<<(QDataStream& stream, const SoundDevices& m);
QDataStream& operator>>(QDataStream& stream, SoundDevices& m);
QDataStream& operator<<(QDataStream& stream, const Sounding& m);
QDataStream& operator>>(QDataStream& stream, Sounding& m);
QDataStream& operator<<(QDataStream& stream, const Welcome& m);
QDataStream& operator>>(QDataStream& stream, Welcome& m);
QDataStream& operator<<(QDataStream& stream, const Painted& m);
QDataStream& operator>>(QDataStream& stream, Painted& m);
QDataStream& operator<<(QDataStream& stream, const Shows& m);
QDataStream& operator>>(QDataStream& stream, Shows& m);
QDataStream& operator<<(QDataStream& stream, const FrameReady& m);
QDataStream& operator>>(QDataStream& stream, FrameReady& m);
QDataStream& operator<<(QDataStream& stream, const Places& m);
QDataStream& operator>>(QDataStream& stream, Places& m);
QDataStream& operator<<(QDataStream& stream, const OpenFilm& m);
QDataStream& operator>>(QDataStream& stream, OpenFilm& m);
QDataStream& operator<<(QDataStream& stream, const LiveOrder& order);
QDataStream& operator>>(QDataStream& stream, LiveOrder& order);
QDataStream& operator<<(QDataStream& stream, const SetLiveInputs& m);
QDataStream& operator>>(QDataStream& stream, SetLiveInputs& m);
QDataStream& operator<<(QDataStream& stream, const LookAtLive& m);
QDataStream& operator>>(QDataStream& stream, LookAtLive& m);
QDataStream& operator<<(QDataStream& stream, const LivePicture& m);
QDataStream& operator>>(QDataStream& stream, LivePicture& m);
QDataStream& operator<<(QDataStream& stream, const SteerFilm& m);
QDataStream& operator>>(QDataStream& stream, SteerFilm& m);
QDataStream& operator<<(QDataStream& stream, const FilmStands& m);
QDataStream& operator>>(QDataStream& stream, FilmStands& m);
QDataStream& operator<<(QDataStream& stream, const Record& m);
QDataStream& operator>>(QDataStream& stream, Record& m);
QDataStream& operator<<(QDataStream& stream, const EndRecording& m);
QDataStream& operator>>(QDataStream& stream, EndRecording& m);
QDataStream& operator<<(QDataStream& stream, const Recording& m);
QDataStream& operator>>(QDataStream& stream, Recording& m);

} // namespace message

using Message =
    std::variant<message::Hello, message::Welcome, message::Quit, message::SetOutputs, message::Prepare,
                 message::Show, message::Keep, message::Painted, message::FrameReady, message::Places,
                 message::MediaArrived, message::Sound, message::Sounding, message::NumberScreens,
                 message::Shows, message::SteerSound, message::SetSoundDevice, message::PlayTestTone,
                 message::SoundDevices, message::OpenFilm, message::SteerFilm, message::FilmStands,
                 message::SetLiveInputs, message::LookAtLive, message::LivePicture, message::Record,
                 message::EndRecording, message::Recording>;

/// A message as bytes, without its length; nothing for bytes that are no message.
[[nodiscard]] QByteArray encoded(const Message& message);
[[nodiscard]] std::optional<Message> decoded(const QByteArray& bytes);

} // namespace mivanta
