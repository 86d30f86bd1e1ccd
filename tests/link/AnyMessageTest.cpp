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
    const auto& [take, scenes, cut] = m;
    return std::tie(take, scenes, cut);
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
    const auto& [name, started] = m;
    return std::tie(name, started);
}
auto fieldsOf(const message::Sounding& m) {
    const auto& [name, position, duration, problem] = m;
    return std::tie(name, position, duration, problem);
}
auto fieldsOf(const message::Shows& m) {
    const auto& [output, shown] = m;
    const auto& [kind, callOut, origin] = shown;
    const auto& [service, title, cue, curtain, frozen] = origin;
    return std::tie(output, kind, callOut, service, title, cue, curtain, frozen);
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

QByteArray anyBytes() {
    return QByteArray::fromStdString(*rc::gen::arbitrary<std::string>());
}

qint64 anyTime() {
    return *rc::gen::inRange<qint64>(0, 4'000'000'000'000);
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
        message::Show{quint64(anyTime()), anyScenes(), anyBool()},
        message::Keep{anyBytes()},
        message::Painted{anyText(), quint64(anyTime()), anyBool()},
        message::FrameReady{anyText(), *rc::gen::inRange(0, 30)},
        message::Places{{{anyText(), samples::anyRect(), anyBool(), samples::anyIdentity()}},
                        {{samples::anyOf(Placement::Kind::Closed), anyText()}},
                        anyBool()},
        message::MediaArrived{},
        message::Sound{anyBool() ? QString() : QString(64, u'a') + QStringLiteral(".ogg"), anyTime()},
        message::Sounding{anyBool() ? QString() : QString(64, u'a') + QStringLiteral(".ogg"), anyTime(),
                          anyTime(), anyText()},
        message::NumberScreens{},
        message::Shows{anyText(), {samples::anyOf(ShownKind::Picture), anyBool(), samples::anyOrigin()}},
    };
    static_assert(std::variant_size_v<Message> == 15);
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

RC_GTEST_PROP(AnyMessage, IsRefusedWhenItIsCutOff, ()) {
    const QByteArray bytes =
        encoded(anyMessage(size_t(*rc::gen::inRange(0, int(std::variant_size_v<Message>)))));
    const int kept = *rc::gen::inRange(0, std::max(1, int(bytes.size())));
    if (const auto arrived = decoded(bytes.left(kept)))
        RC_ASSERT(encoded(*arrived) == bytes.left(kept)); // what is there is a whole message of its own
}

} // namespace
} // namespace mivanta
