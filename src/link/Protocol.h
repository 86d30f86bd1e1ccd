// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "link/SceneCodec.h"
#include <QStringList>
#include <variant>

namespace mivanta {

/// The messages between the desks and the player. Each is sent whole, framed by its length. Both ends come
/// from one build, as a rule; a player that outlives an update of the program tells by Hello::build. Hello,
/// Welcome and Quit are therefore the first three, and never change but by more at their end. What goes down
/// are orders, what comes up are facts. Names the form that all messages have in this build; other builds
/// have another one when they differ in it.
[[nodiscard]] QByteArray buildOfProtocol();

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
    bool cut = false; ///< without their transitions
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

/// What is to sound from now on, from the beginning; what sounded before fades out.
struct Sound {
    QString name;         ///< of its file in the media folder; empty = silence
    qint64 startedAt = 0; ///< ms since 1970, UTC: a player that is started again goes on from there
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

/// What sounds now; an empty name when nothing does (any more). Comes about twice a second.
struct Sounding {
    QString name;
    qint64 position = 0; ///< ms
    qint64 duration = 0; ///< ms; 0 = not known
    QString problem{};   ///< why it cannot be played; then nothing sounds
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

} // namespace message

using Message = std::variant<message::Hello, message::Welcome, message::Quit, message::SetOutputs,
                             message::Prepare, message::Show, message::Keep, message::Painted,
                             message::FrameReady, message::Places, message::MediaArrived, message::Sound,
                             message::Sounding, message::NumberScreens, message::Shows>;

/// A message as bytes, without its length; nothing for bytes that are no message.
[[nodiscard]] QByteArray encoded(const Message& message);
[[nodiscard]] std::optional<Message> decoded(const QByteArray& bytes);

} // namespace mivanta
