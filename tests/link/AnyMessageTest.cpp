// SPDX-License-Identifier: GPL-3.0-or-later
#include "link/Protocol.h"
#include "support/AnyScene.h"
#include <gtest/gtest.h>
#include <rapidcheck/gtest.h>

namespace mivanta {
namespace {

using samples::anyBool;
using samples::anyText;

// Every field of each message, so that one that is added and neither sent nor compared does not build.
auto fieldsOf(const message::Hello& m) {
    const auto& [isDesk, program, arguments, pictures, cache, build] = m;
    return std::tie(isDesk, program, arguments, pictures, cache, build);
}
auto fieldsOf(const message::Welcome& m) {
    const auto& [state, frames, another, other] = m;
    return std::tie(state, frames, another, other);
}
auto fieldsOf(const message::SetOutputs& m) {
    const auto& [outputs, desk] = m;
    return std::tie(outputs, desk);
}
auto fieldsOf(const message::Prepare& m) {
    const auto& [scenes] = m;
    return std::tie(scenes);
}
auto fieldsOf(const message::Show& m) {
    const auto& [take, scenes, arrival] = m;
    return std::tie(take, scenes, arrival);
}
auto fieldsOf(const message::Keep& m) {
    const auto& [state] = m;
    return std::tie(state);
}
auto fieldsOf(const message::Painted& m) {
    const auto& [output, take, ready] = m;
    return std::tie(output, take, ready);
}
auto fieldsOf(const message::FrameReady& m) {
    const auto& [output, slot] = m;
    return std::tie(output, slot);
}
auto fieldsOf(const message::Places& m) {
    const auto& [monitors, placements, taken] = m;
    return std::tie(monitors, placements, taken);
}
auto fieldsOf(const message::Sound& m) {
    const auto& [channel, pieces, crossfade, round, ducks, paused, volume, first, at] = m;
    return std::tie(channel, pieces, crossfade, round, ducks, paused, volume, first, at);
}
auto fieldsOf(const message::SteerSound& m) {
    const auto& [channel, what, value] = m;
    return std::tie(channel, what, value);
}
auto fieldsOf(const message::Sounding& m) {
    const auto& [channel, name, piece, position, duration, paused, volume, problem, pieces] = m;
    return std::tie(channel, name, piece, position, duration, paused, volume, problem, pieces);
}
auto fieldsOf(const message::Shows& m) {
    const auto& [output, shown] = m;
    const auto& [kind, callOut, origin] = shown;
    const auto& [service, title, cue, curtain, frozen] = origin;
    return std::tie(output, kind, callOut, service, title, cue, curtain, frozen);
}
auto fieldsOf(const message::OpenFilm& m) {
    const auto& [film, path, at, shown, device, live, window] = m;
    return std::tie(film, path, at, shown, device, live, window);
}
auto fieldsOf(const message::SetLiveInputs& m) {
    const auto& [inputs] = m;
    return std::tie(inputs);
}
auto fieldsOf(const message::LookAtLive& m) {
    const auto& [inputs] = m;
    return std::tie(inputs);
}
auto fieldsOf(const message::LivePicture& m) {
    const auto& [input, picture] = m;
    return std::tie(input, picture);
}
auto fieldsOf(const message::Record& m) {
    const auto& [id, output, input, path, isHeard] = m;
    return std::tie(id, output, input, path, isHeard);
}
auto fieldsOf(const message::EndRecording& m) {
    const auto& [id] = m;
    return std::tie(id);
}
auto fieldsOf(const message::Recording& m) {
    const auto& [id, output, input, path, isHeard, length, bytes, isOver, problem] = m;
    return std::tie(id, output, input, path, isHeard, length, bytes, isOver, problem);
}
auto fieldsOf(const message::SteerFilm& m) {
    const auto& [film, what, value, device] = m;
    return std::tie(film, what, value, device);
}
auto fieldsOf(const message::SetSoundDevice& m) {
    const auto& [name] = m;
    return std::tie(name);
}
std::tuple<> fieldsOf(const message::PlayTestTone&) {
    return {};
}
auto fieldsOf(const message::SoundDevices& m) {
    const auto& [devices, isChosenThere] = m;
    return std::tie(devices, isChosenThere);
}
auto fieldsOf(const message::FilmStands& m) {
    const auto& [film, open, position, from, to, paused, over, sound, size, volume, problem, gone, signal,
                 lost] = m;
    return std::tie(film, open, position, from, to, paused, over, sound, size, volume, problem, gone, signal,
                    lost);
}
std::tuple<> fieldsOf(const message::Quit&) {
    return {};
}
std::tuple<> fieldsOf(const message::MediaArrived&) {
    return {};
}
std::tuple<> fieldsOf(const message::NumberScreens&) {
    return {};
}

std::vector<Scene> anyScenes() {
    std::vector<Scene> scenes;
    for (int i = *rc::gen::inRange(0, 3); i > 0; --i)
        scenes.push_back(samples::anyScene());
    return scenes;
}

message::LiveOrder anyLiveOrder() {
    return {samples::anyLiveInput(), {anyText(), anyText(), anyText()}};
}

QImage anyPicture() {
    const QSize size(*rc::gen::inRange(0, 40), *rc::gen::inRange(1, 40));
    if (size.isEmpty())
        return {};
    QImage picture(size, QImage::Format_ARGB32_Premultiplied);
    picture.fill(qPremultiply(qRgba(200, 100, 50, *rc::gen::inRange(0, 256))));
    return picture;
}

QByteArray anyBytes() {
    return QByteArray::fromStdString(*rc::gen::arbitrary<std::string>());
}

qint64 anyTime() {
    return *rc::gen::inRange<qint64>(0, 4'000'000'000'000);
}

QString anySoundName() {
    return anyBool() ? QString() : QString(64, u'a') + QStringLiteral(".ogg");
}

message::SoundPiece anyPiece() {
    return {anySoundName(), samples::anyNumber(0, 900), samples::anyNumber(0, 900),
            samples::anyNumber(-20, 20)};
}

/// Some message of the kind that has this place in Message.
Message anyMessage(size_t kind) {
    Message message;
    std::vector<Message> all{
        message::Hello{anyBool(), anyText(), {anyText(), anyText()}, anyText(), anyText(), anyBytes()},
        message::Welcome{anyBytes(), anyText(), anyBool(), anyBool()},
        message::Quit{},
        message::SetOutputs{{samples::anyOutput()}, anyText()},
        message::Prepare{anyScenes()},
        message::Show{quint64(anyTime()), anyScenes(), anyBool() ? Arrival::Cut : Arrival::Turning},
        message::Keep{anyBytes()},
        message::Painted{anyText(), quint64(anyTime()), anyBool()},
        message::FrameReady{anyText(), *rc::gen::inRange(0, 30)},
        message::Places{{{anyText(), samples::anyRect(), anyBool(), samples::anyIdentity()}},
                        {{samples::anyOf(Placement::Kind::Closed), anyText()}},
                        anyBool()},
        message::MediaArrived{},
        message::Sound{samples::anyOf(SoundChannel::Track),
                       anyBool() ? std::vector<message::SoundPiece>() : std::vector{anyPiece(), anyPiece()},
                       samples::anyNumber(0, 30), anyBool(), anyBool(), anyBool(), *rc::gen::inRange(0, 101),
                       *rc::gen::inRange(0, 9), samples::anyNumber(0, 900)},
        message::Sounding{samples::anyOf(SoundChannel::Track), anySoundName(), *rc::gen::inRange(0, 9),
                          anyTime(), anyTime(), anyBool(), *rc::gen::inRange(0, 101), anyText(),
                          *rc::gen::inRange(0, 9)},
        message::NumberScreens{},
        message::Shows{anyText(), {samples::anyOf(ShownKind::Film), anyBool(), samples::anyOrigin()}},
        message::SteerSound{samples::anyOf(SoundChannel::Track),
                            samples::anyOf(message::SteerSound::What::Piece), samples::anyNumber(0, 900)},
        message::SetSoundDevice{anyText()},
        message::PlayTestTone{},
        message::SoundDevices{{{anyText(), anyText()}}, anyBool()},
        message::OpenFilm{samples::anyFilm(),
                          anyText(),
                          samples::anyNumber(0, 900),
                          {*rc::gen::inRange(1, 4000), 1080},
                          anyText(),
                          anyBool() ? std::optional(anyLiveOrder()) : std::nullopt,
                          quint32(*rc::gen::inRange(0, 99'999))},
        message::SteerFilm{anyBytes(), samples::anyOf(message::SteerFilm::What::Device),
                           samples::anyNumber(0, 900), anyText()},
        message::FilmStands{anyBytes(),
                            anyBool(),
                            samples::anyNumber(0, 900),
                            samples::anyNumber(0, 900),
                            samples::anyNumber(0, 900),
                            anyBool(),
                            anyBool(),
                            anyBool(),
                            {*rc::gen::inRange(1, 4000), 1080},
                            *rc::gen::inRange(0, 101),
                            anyText(),
                            anyBool(),
                            samples::anyOf(message::FilmStands::Signal::Lost),
                            anyTime()},
        message::SetLiveInputs{anyBool() ? std::vector<message::LiveOrder>()
                                         : std::vector{anyLiveOrder(), anyLiveOrder()}},
        message::LookAtLive{{LiveInputId::create(), LiveInputId::create()}},
        message::LivePicture{LiveInputId::create(), anyPicture()},
        message::Record{RecordingId::create(), anyText(), LiveInputId::create(), anyText(), anyBool()},
        message::EndRecording{RecordingId::create()},
        message::Recording{RecordingId::create(), anyText(), LiveInputId::create(), anyText(), anyBool(),
                           anyTime(), anyTime(), anyBool(), anyText()},
    };
    static_assert(std::variant_size_v<Message> == 28);
    return all[kind];
}

/// Where scenes come from makes no other picture, so that == does not see it.
bool sameOrigins(const std::vector<Scene>& a, const std::vector<Scene>& b) {
    return std::equal(a.begin(), a.end(), b.begin(), b.end(), [](const Scene& x, const Scene& y) {
        const auto& [service, title, cue, curtain, frozen] = x.origin;
        return service == y.origin.service && title == y.origin.serviceTitle && cue == y.origin.cue &&
               curtain == y.origin.curtain && frozen == y.origin.isFrozen &&
               sameOrigins(x.elsewhere, y.elsewhere);
    });
}

RC_GTEST_PROP(AnyMessage, ArrivesAsItWasSent, ()) {
    for (size_t kind = 0; kind < std::variant_size_v<Message>; ++kind) {
        const Message sent = anyMessage(kind);
        RC_ASSERT(sent.index() == kind);
        const QByteArray bytes = encoded(sent);
        const auto arrived = decoded(bytes);
        RC_ASSERT(bool(arrived));
        RC_ASSERT(arrived->index() == kind);
        RC_ASSERT(encoded(*arrived) == bytes);
        std::visit(
            [&](const auto& message) {
                using Kind = std::decay_t<decltype(message)>;
                RC_ASSERT(fieldsOf(message) == fieldsOf(std::get<Kind>(*arrived)));
                if constexpr (requires { message.scenes; })
                    RC_ASSERT(sameOrigins(message.scenes, std::get<Kind>(*arrived).scenes));
            },
            sent);
    }
}

TEST(AnyMessage, NumbersThatAreNoneAreRefused) {
    const double none = std::numeric_limits<double>::quiet_NaN();
    for (const double wrong : {none, -1.0, 1e9, std::numeric_limits<double>::infinity()}) {
        message::FilmStands stands;
        stands.position = wrong;
        EXPECT_FALSE(decoded(encoded(stands))) << wrong;
        EXPECT_FALSE(decoded(encoded(message::SteerFilm{{}, message::SteerFilm::What::Seek, wrong})))
            << wrong;
        message::OpenFilm film;
        film.at = wrong;
        EXPECT_FALSE(decoded(encoded(film))) << wrong;
        message::Sound sound;
        sound.pieces = {{{}, 0, wrong, 0}};
        EXPECT_FALSE(decoded(encoded(sound))) << wrong;
        sound.pieces = {{{}, 0, 0, wrong == -1 ? -100 : wrong}};
        EXPECT_FALSE(decoded(encoded(sound))) << wrong;
    }
    message::OpenFilm live;
    live.live.emplace(); // with no identity
    EXPECT_FALSE(decoded(encoded(live)));
    message::FilmStands loud;
    loud.volume = 1000;
    EXPECT_FALSE(decoded(encoded(loud)));
}

RC_GTEST_PROP(AnyMessage, IsRefusedWhenItIsCutOff, ()) {
    const QByteArray bytes =
        encoded(anyMessage(size_t(*rc::gen::inRange(0, int(std::variant_size_v<Message>)))));
    const int kept = *rc::gen::inRange(0, std::max(1, int(bytes.size())));
    if (const auto arrived = decoded(bytes.left(kept)))
        RC_ASSERT(encoded(*arrived) == bytes.left(kept)); // what is there is a whole message of its own
}

} // namespace
} // namespace mivanta
