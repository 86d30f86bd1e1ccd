// SPDX-License-Identifier: GPL-3.0-or-later
#include "link/Protocol.h"
#include "core/theme/ObjectKinds.h"
#include <QCryptographicHash>
#include <QIODevice>
#include <algorithm>

namespace mivanta {

QDataStream& operator<<(QDataStream& s, const SoundDevice& device) {
    return s << device.name << device.label;
}
QDataStream& operator>>(QDataStream& s, SoundDevice& device) {
    return s >> device.name >> device.label;
}

namespace message {

namespace {

/// Of a film: also from a process that reads strangers' files.
bool areMoments(std::initializer_list<double> seconds) {
    return std::all_of(seconds.begin(), seconds.end(),
                       [](double moment) { return moment >= 0 && moment <= kLongestFilm; }); // no NaN
}

void requireOf(QDataStream& s, bool isRight) {
    if (!isRight)
        s.setStatus(QDataStream::ReadCorruptData);
}

bool isPerCent(int value) {
    return value >= 0 && value <= 100;
}

void readChannel(QDataStream& s, SoundChannel& channel) {
    quint8 number = 0;
    s >> number;
    channel = SoundChannel(number);
    requireOf(s, number < kSoundChannels);
}

constexpr int kLongestFilmSide = 16'384; // px

} // namespace

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
    return s << m.take << m.scenes << (m.arrival == Arrival::Cut);
}
QDataStream& operator>>(QDataStream& s, Show& m) {
    bool isCut = false;
    s >> m.take >> m.scenes >> isCut;
    m.arrival = isCut ? Arrival::Cut : Arrival::Turning;
    return s;
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
QDataStream& operator<<(QDataStream& s, const SoundPiece& piece) {
    return s << piece.name << piece.from << piece.to << piece.gain;
}
QDataStream& operator>>(QDataStream& s, SoundPiece& piece) {
    s >> piece.name >> piece.from >> piece.to >> piece.gain;
    requireOf(s, areMoments({piece.from, piece.to}) && piece.gain >= -kMostGain && piece.gain <= kMostGain);
    return s;
}
QDataStream& operator<<(QDataStream& s, const Sound& m) {
    using mivanta::operator<<;
    s << quint8(m.channel) << m.pieces << m.crossfade << m.isRound << m.ducks << m.isPaused;
    return s << m.volume << m.first << m.at;
}
QDataStream& operator>>(QDataStream& s, Sound& m) {
    using mivanta::operator>>;
    readChannel(s, m.channel);
    s >> m.pieces >> m.crossfade >> m.isRound >> m.ducks >> m.isPaused >> m.volume >> m.first >> m.at;
    requireOf(s, m.pieces.size() <= kMostSoundPieces && m.crossfade >= 0 && m.crossfade <= kLongestFade &&
                     isPerCent(m.volume) && m.first >= 0 && areMoments({m.at}));
    return s;
}
QDataStream& operator<<(QDataStream& s, const SteerSound& m) {
    return s << quint8(m.channel) << quint8(m.what) << m.value;
}
QDataStream& operator>>(QDataStream& s, SteerSound& m) {
    readChannel(s, m.channel);
    quint8 what = 0;
    s >> what >> m.value;
    m.what = SteerSound::What(what);
    requireOf(s, what <= quint8(SteerSound::What::Piece) && areMoments({m.value}));
    return s;
}
QDataStream& operator<<(QDataStream& s, const SetSoundDevice& m) {
    return s << m.name;
}
QDataStream& operator>>(QDataStream& s, SetSoundDevice& m) {
    return s >> m.name;
}
QDataStream& operator<<(QDataStream& s, const PlayTestTone&) {
    return s;
}
QDataStream& operator>>(QDataStream& s, PlayTestTone&) {
    return s;
}
QDataStream& operator<<(QDataStream& s, const SoundDevices& m) {
    using mivanta::operator<<;
    return s << m.devices << m.isChosenThere;
}
QDataStream& operator>>(QDataStream& s, SoundDevices& m) {
    using mivanta::operator>>;
    s >> m.devices >> m.isChosenThere;
    requireOf(s, m.devices.size() <= kMostSoundDevices);
    return s;
}
QDataStream& operator<<(QDataStream& s, const Sounding& m) {
    s << quint8(m.channel) << m.name << m.piece << m.position << m.duration << m.isPaused << m.volume;
    return s << m.problem << m.pieces;
}
QDataStream& operator>>(QDataStream& s, Sounding& m) {
    readChannel(s, m.channel);
    s >> m.name >> m.piece >> m.position >> m.duration >> m.isPaused >> m.volume >> m.problem >> m.pieces;
    requireOf(s, m.piece >= 0 && isPerCent(m.volume) && m.pieces >= 0);
    return s;
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
QDataStream& operator<<(QDataStream& s, const OpenFilm& m) {
    s << m.film << m.path << m.at << m.shown << m.soundDevice << m.live.has_value();
    if (m.live)
        s << *m.live;
    return s << m.window;
}
QDataStream& operator>>(QDataStream& s, OpenFilm& m) {
    bool isLive = false;
    s >> m.film >> m.path >> m.at >> m.shown >> m.soundDevice >> isLive;
    if (isLive)
        s >> m.live.emplace();
    s >> m.window;
    requireOf(s, areMoments({m.at}) && m.shown.width() <= kLongestFilmSide &&
                     m.shown.height() <= kLongestFilmSide);
    return s;
}
QDataStream& operator<<(QDataStream& s, const LiveOrder& order) {
    return s << order.input << order.secret;
}
QDataStream& operator>>(QDataStream& s, LiveOrder& order) {
    return s >> order.input >> order.secret;
}
QDataStream& operator<<(QDataStream& s, const SetLiveInputs& m) {
    using mivanta::operator<<;
    return s << m.inputs;
}
QDataStream& operator>>(QDataStream& s, SetLiveInputs& m) {
    using mivanta::operator>>;
    s >> m.inputs;
    requireOf(s, m.inputs.size() <= kMostLiveInputs);
    return s;
}
QDataStream& operator<<(QDataStream& s, const LookAtLive& m) {
    return s << m.inputs;
}
QDataStream& operator>>(QDataStream& s, LookAtLive& m) {
    s >> m.inputs;
    requireOf(s, m.inputs.size() <= kMostLiveInputs);
    return s;
}
QDataStream& operator<<(QDataStream& s, const LivePicture& m) {
    const QImage picture = m.picture.convertToFormat(QImage::Format_ARGB32_Premultiplied);
    return s << m.input << picture.size()
             << QByteArray::fromRawData(reinterpret_cast<const char*>(picture.constBits()),
                                        picture.sizeInBytes());
}
QDataStream& operator>>(QDataStream& s, LivePicture& m) {
    QSize size;
    QByteArray pixels;
    s >> m.input >> size >> pixels;
    const QSize largest = LivePicture::kLargest;
    const bool isPicture =
        size.width() <= largest.width() && size.height() <= largest.height() &&
        pixels.size() == qsizetype(std::max(0, size.width())) * std::max(0, size.height()) * 4;
    requireOf(s, isPicture);
    if (isPicture && !size.isEmpty())
        m.picture = QImage(reinterpret_cast<const uchar*>(pixels.constData()), size.width(), size.height(),
                           QImage::Format_ARGB32_Premultiplied)
                        .copy();
    return s;
}
QDataStream& operator<<(QDataStream& s, const SteerFilm& m) {
    return s << m.film << quint8(m.what) << m.value << m.device;
}
QDataStream& operator>>(QDataStream& s, SteerFilm& m) {
    quint8 what = 0;
    s >> m.film >> what >> m.value >> m.device;
    m.what = SteerFilm::What(what);
    requireOf(s, what <= quint8(SteerFilm::What::Device) && areMoments({m.value}));
    return s;
}
QDataStream& operator<<(QDataStream& s, const Record& m) {
    return s << m.id << m.output << m.input << m.path << m.isHeard;
}
QDataStream& operator>>(QDataStream& s, Record& m) {
    return s >> m.id >> m.output >> m.input >> m.path >> m.isHeard;
}
QDataStream& operator<<(QDataStream& s, const EndRecording& m) {
    return s << m.id;
}
QDataStream& operator>>(QDataStream& s, EndRecording& m) {
    return s >> m.id;
}
QDataStream& operator<<(QDataStream& s, const Recording& m) {
    s << m.id << m.output << m.input << m.path << m.isHeard;
    return s << m.length << m.bytes << m.isOver << m.problem;
}
QDataStream& operator>>(QDataStream& s, Recording& m) {
    s >> m.id >> m.output >> m.input >> m.path >> m.isHeard;
    s >> m.length >> m.bytes >> m.isOver >> m.problem;
    requireOf(s, m.length >= 0 && m.bytes >= 0);
    return s;
}
QDataStream& operator<<(QDataStream& s, const FilmStands& m) {
    s << m.film << m.isOpen << m.position << m.from << m.to << m.isPaused << m.isOver << m.hasSound << m.size;
    return s << m.volume << m.problem << m.isGone << quint8(m.signal) << m.lostAt;
}
QDataStream& operator>>(QDataStream& s, FilmStands& m) {
    s >> m.film >> m.isOpen >> m.position >> m.from >> m.to >> m.isPaused >> m.isOver >> m.hasSound >> m.size;
    quint8 signal = 0;
    s >> m.volume >> m.problem >> m.isGone >> signal >> m.lostAt;
    m.signal = FilmStands::Signal(signal);
    requireOf(s, areMoments({m.position, m.from, m.to}) && isPerCent(m.volume) &&
                     signal <= quint8(FilmStands::Signal::Lost) && m.lostAt >= 0 &&
                     m.size.width() <= kLongestFilmSide && m.size.height() <= kLongestFilmSide);
    return s;
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
