// SPDX-License-Identifier: GPL-3.0-or-later
#include "Reader.h"
#include "core/base/MediaName.h"
#include "core/theme/ObjectKinds.h"
#include "link/Protocol.h"
#include "support/Samples.h"

namespace mivanta::fuzz {

namespace {

using namespace Qt::StringLiterals;

void readMessage(const QByteArray& bytes) {
    const auto message = decoded(bytes);
    if (!message)
        return;
    if (const auto* show = std::get_if<message::Show>(&*message))
        for (const Scene& scene : show->scenes) {
            require(scene.size.width() > 0 && scene.size.height() > 0, "a picture has a size");
            const QString& picture = scene.look.backdrop.picture;
            require(picture.isEmpty() || isMediaName(picture), "pictures are named by their content");
        }
    const auto arrives = [](const Message& sent) { return decoded(encoded(sent)); };
    const auto once = arrives(*message); // boxes may have been brought into the screen
    require(once.has_value(), "a message that arrived can be sent on");
    const auto twice = arrives(*once);
    require(twice && encoded(*twice) == encoded(*once), "a message that is sent on stays the same");
}

Scene scene() {
    Scene scene;
    scene.output = u"hall"_s;
    scene.size = {1920, 1080};
    scene.look.backdrop = samples::gradient({{0, {5, 6, 7, 8}}, {1, {9, 10, 11, 12}}}, 30);
    for (const ObjectKind& kind : objectKinds())
        scene.look.objects.push_back(kind.make());
    scene.look.objects[0] = {ClockObject(), {0.1, 0.2, 0.3, 0.4}, 5, 0.5, true};
    scene.rows = {{u"Shine on"_s, {{0, u"G"_s}, {6, u"Em"_s}}}, {u"till"_s, {}}};
    return scene;
}

std::vector<QByteArray> messages() {
    Scene two = scene();
    two.look.backdrop.picture = QString(64, u'b') + u".jpg"_s;
    Scene within;
    within.size = {640, 360};
    two.elsewhere = {within};
    two.rows[0].beside = {SceneRow{u"other"_s, {}}};
    return {encoded(message::Hello{}),
            encoded(message::Show{7, {scene(), two}, Arrival::Cut}),
            encoded(message::Prepare{{scene()}}),
            encoded(message::SetOutputs{usualOutputs(), u"HDMI-1"_s}),
            encoded(message::Keep{"{}"}),
            encoded(message::Quit{}),
            encoded(message::MediaArrived{}),
            encoded(message::NumberScreens{}),
            encoded(message::Sound{SoundChannel::Music, {{QString(64, u'c') + u".ogg"_s, 1, 2, -3}}, 2.5}),
            encoded(message::Welcome{"{}", u"/x"_s}),
            encoded(message::Painted{u"hall"_s, 3, true}),
            encoded(message::Shows{u"hall"_s, {}}),
            encoded(message::FrameReady{u"hall"_s, 1}),
            encoded(message::Places{}),
            encoded(message::SteerSound{SoundChannel::Music, message::SteerSound::What::Seek, 9}),
            encoded(message::Sounding{}),
            encoded(message::OpenFilm{}),
            encoded(message::SteerFilm{"key", message::SteerFilm::What::Seek, 9}),
            encoded(message::FilmStands{})};
}

} // namespace

std::vector<Reader> wireReaders() {
    return {{"wire", readMessage, messages}};
}

} // namespace mivanta::fuzz
