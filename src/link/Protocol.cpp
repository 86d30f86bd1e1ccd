// SPDX-License-Identifier: GPL-3.0-or-later
#include "link/Protocol.h"
#include "core/theme/ObjectKinds.h"
#include <QCryptographicHash>
#include <QIODevice>

namespace mivanta {

namespace message {

QDataStream& operator<<(QDataStream& s, const Hello& m) {
    return s << m.isDesk << m.program << m.arguments << m.pictures << m.pictureCache << m.build;
}
QDataStream& operator>>(QDataStream& s, Hello& m) {
    using mivanta::operator>>;
    std::vector<QString> arguments; // QStringList has the same form, and makes room for as many as are said
    s >> m.isDesk >> m.program >> arguments >> m.pictures >> m.pictureCache >> m.build;
    m.arguments = QStringList(arguments.begin(), arguments.end());
    return s;
}
QDataStream& operator<<(QDataStream& s, const SetOutputs& m) {
    return s << m.outputs << m.deskMonitor;
}
QDataStream& operator>>(QDataStream& s, SetOutputs& m) {
    return s >> m.outputs >> m.deskMonitor;
}
QDataStream& operator<<(QDataStream& s, const Prepare& m) {
    return s << m.scenes;
}
QDataStream& operator>>(QDataStream& s, Prepare& m) {
    return s >> m.scenes;
}
QDataStream& operator<<(QDataStream& s, const Show& m) {
    return s << m.take << m.scenes << m.cut;
}
QDataStream& operator>>(QDataStream& s, Show& m) {
    return s >> m.take >> m.scenes >> m.cut;
}
QDataStream& operator<<(QDataStream& s, const Keep& m) {
    return s << m.state;
}
QDataStream& operator>>(QDataStream& s, Keep& m) {
    return s >> m.state;
}
QDataStream& operator<<(QDataStream& s, const Quit&) {
    return s;
}
QDataStream& operator>>(QDataStream& s, Quit&) {
    return s;
}
QDataStream& operator<<(QDataStream& s, const MediaArrived&) {
    return s;
}
QDataStream& operator>>(QDataStream& s, MediaArrived&) {
    return s;
}
QDataStream& operator<<(QDataStream& s, const NumberScreens&) {
    return s;
}
QDataStream& operator>>(QDataStream& s, NumberScreens&) {
    return s;
}
QDataStream& operator<<(QDataStream& s, const Sound& m) {
    return s << m.name << m.startedAt;
}
QDataStream& operator>>(QDataStream& s, Sound& m) {
    return s >> m.name >> m.startedAt;
}
QDataStream& operator<<(QDataStream& s, const Sounding& m) {
    return s << m.name << m.position << m.duration << m.problem;
}
QDataStream& operator>>(QDataStream& s, Sounding& m) {
    return s >> m.name >> m.position >> m.duration >> m.problem;
}
QDataStream& operator<<(QDataStream& s, const Welcome& m) {
    return s << m.state << m.framesPath << m.anotherDesk << m.otherBuild;
}
QDataStream& operator>>(QDataStream& s, Welcome& m) {
    return s >> m.state >> m.framesPath >> m.anotherDesk >> m.otherBuild;
}
QDataStream& operator<<(QDataStream& s, const Painted& m) {
    return s << m.output << m.take << m.wasReady;
}
QDataStream& operator>>(QDataStream& s, Painted& m) {
    return s >> m.output >> m.take >> m.wasReady;
}
QDataStream& operator<<(QDataStream& s, const Shows& m) {
    return s << m.output << m.shown;
}
QDataStream& operator>>(QDataStream& s, Shows& m) {
    return s >> m.output >> m.shown;
}
QDataStream& operator<<(QDataStream& s, const FrameReady& m) {
    return s << m.output << m.slot;
}
QDataStream& operator>>(QDataStream& s, FrameReady& m) {
    return s >> m.output >> m.slot;
}
QDataStream& operator<<(QDataStream& s, const Places& m) {
    return s << m.monitors << m.placements << m.areTaken;
}
QDataStream& operator>>(QDataStream& s, Places& m) {
    return s >> m.monitors >> m.placements >> m.areTaken;
}

} // namespace message

namespace {

template <size_t Index = 0>
std::optional<Message> decodedAs(size_t index, QDataStream& stream) {
    if constexpr (Index < std::variant_size_v<Message>) {
        if (index != Index)
            return decodedAs<Index + 1>(index, stream);
        std::variant_alternative_t<Index, Message> message;
        stream >> message;
        return stream.status() == QDataStream::Ok ? std::optional<Message>(std::move(message)) : std::nullopt;
    } else {
        return std::nullopt;
    }
}

} // namespace

QByteArray encoded(const Message& message) {
    QByteArray bytes;
    QDataStream stream(&bytes, QIODevice::WriteOnly);
    stream << quint8(message.index());
    std::visit([&](const auto& m) { stream << m; }, message);
    return bytes;
}

std::optional<Message> decoded(const QByteArray& bytes) {
    QDataStream stream(bytes);
    quint8 index = 0;
    stream >> index;
    return stream.status() == QDataStream::Ok ? decodedAs(index, stream) : std::nullopt;
}

namespace {

template <size_t... Index>
QByteArray everyMessage(std::index_sequence<Index...>) {
    QByteArray bytes;
    QDataStream stream(&bytes, QIODevice::WriteOnly);
    const auto write = [&](const auto& message) { stream << message; };
    (write(std::variant_alternative_t<Index + 1, Message>()), ...); // without Hello, which tells it
    Scene scene;                                                    // with one of all that it may hold
    scene.rows.emplace_back();
    for (const ObjectKind& kind : objectKinds()) {
        scene.look.objects.push_back(kind.make());
        if (auto* text = std::get_if<TextObject>(&scene.look.objects.back().what))
            text->text.clear(); // it is said in a language
    }
    scene.origin.cue.emplace();
    scene.elsewhere.emplace_back();
    stream << scene << Output() << Monitor() << Placement();
    return bytes;
}

} // namespace

QByteArray buildOfProtocol() {
    static const QByteArray build = QCryptographicHash::hash(
        everyMessage(std::make_index_sequence<std::variant_size_v<Message> - 1>()), QCryptographicHash::Sha1);
    return build;
}

} // namespace mivanta
