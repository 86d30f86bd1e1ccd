// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/run/Placement.h"
#include "core/run/Shown.h"
#include "support/AnyLook.h"

namespace mivanta::samples {

// To be called inside a property test. Every field may hold something else than it does at first.

inline bool anyBool() {
    return *rc::gen::arbitrary<bool>();
}

inline QString anyText() {
    return QString::fromUtf8(
        *rc::gen::element("", "till every boat is home", "\xc3\x89toile", "\xd7\x90\xd7\x95", "a\nb"));
}

template <typename Enum>
Enum anyOf(Enum last) {
    return Enum(*rc::gen::inRange(0, int(last) + 1));
}

inline SceneRow anyRow(int deep = 1) {
    SceneRow row;
    row.text = anyText();
    const int size = int(row.text.size());
    const auto place = [&] { return *rc::gen::inRange(0, size + 1); };
    if (anyBool())
        row.chords = {{place(), anyText()}};
    if (size > 0 && anyBool())
        row.emphasis = {{0, size, anyBool(), anyBool()}};
    if (size > 0 && anyBool())
        row.numbers = {{0, 1, anyBool()}};
    if (anyBool())
        row.colour = anyColour();
    if (deep > 0 && anyBool())
        row.beside = {anyRow(deep - 1)};
    row.startsLine = anyBool();
    return row;
}

inline SceneOrigin anyOrigin() {
    SceneOrigin origin;
    origin.service = anyBool() ? ServiceId::create() : ServiceId();
    origin.serviceTitle = anyText();
    if (anyBool())
        origin.cue = Cue{ItemId::create(),
                         {*rc::gen::inRange(0, 9), *rc::gen::inRange(0, 9), *rc::gen::inRange(0, 9)}};
    origin.curtain = anyOf(Curtain::Black);
    origin.isFrozen = anyBool();
    return origin;
}

inline LiveSource anyLiveSource() {
    switch (anyOf(LiveKind::Output)) {
    case LiveKind::Camera:
        return CameraSource{QStringLiteral("/dev/video") + QString::number(*rc::gen::inRange(0, 20)),
                            {*rc::gen::inRange(1, 4000), 720},
                            *rc::gen::inRange(0, 100)};
    case LiveKind::Monitor:
        return MonitorSource{anyText(), anyBool()};
    case LiveKind::Window:
        return WindowSource{anyText(), anyText()};
    case LiveKind::Network:
        return AddressSource{anyBool() ? QString() : QStringLiteral("rtsp://camera.local:554/hall")};
    case LiveKind::File:
        return FileSource{anyText()};
    case LiveKind::Output:
        return OutputSource{anyText()};
    }
    return AddressSource{};
}

inline LiveInput anyLiveInput() {
    LiveInput input;
    input.id = LiveInputId::create();
    input.name = anyText();
    input.source = anyLiveSource();
    const double left = anyNumber(0, 0.9);
    const double top = anyNumber(0, 0.9);
    input.part = {left, top, 1 - left, 1 - top};
    input.turned = *rc::gen::element(0, 90, 180, 270);
    input.isMirrored = anyBool();
    input.delay = *rc::gen::inRange(0, kLongestLiveDelay + 1);
    input.isHeard = anyBool();
    input.volume = *rc::gen::inRange(0, 101);
    input.card = anyBool() ? QString() : QString(64, QChar(u'c')) + QStringLiteral(".png");
    input.isKeptOpen = anyBool();
    return input;
}

inline FilmPlay anyFilm() {
    FilmPlay film;
    film.name = anyBool() ? QString() : QString(64, QChar(u'b')) + QStringLiteral(".mp4");
    film.from = anyNumber(0, 900);
    film.to = anyNumber(0, 900);
    film.isOnce = anyBool();
    film.isHeard = anyBool();
    film.volume = *rc::gen::inRange(0, 101);
    film.gain = anyNumber(-20, 20);
    film.fadeIn = anyNumber(0, 30);
    film.fadeOut = anyNumber(0, 30);
    film.fit = anyOf(PictureFit::Stretch);
    film.treatment = {*rc::gen::inRange(-100, 101),
                      *rc::gen::inRange(-100, 101),
                      *rc::gen::inRange(-100, 101),
                      anyColour(),
                      anyNumber(0, 100),
                      *rc::gen::inRange(0, 101)};
    film.item = anyText();
    if (anyBool())
        film.live = LiveInputId::create();
    return film;
}

inline Scene anyScene(int deep = 1) {
    Scene scene;
    scene.output = anyText();
    scene.size = {*rc::gen::inRange(1, 4000), *rc::gen::inRange(1, 4000)};
    scene.look = anyLook();
    scene.fontSize = *rc::gen::inRange(0, 300);
    for (int i = *rc::gen::inRange(0, 3); i > 0; --i)
        scene.rows.push_back(anyRow());
    scene.roomForChords = anyBool();
    scene.credit = anyText();
    scene.besideWords = anyText();
    scene.stageNote = anyText();
    scene.curtain = anyOf(Curtain::Black);
    scene.callOut = anyText();
    scene.ground = anyColour();
    scene.isTestCard = anyBool();
    if (anyBool())
        scene.film = anyFilm();
    if (anyBool())
        scene.unseen = anyFilm();
    if (deep > 0 && anyBool())
        scene.elsewhere = {anyScene(deep - 1)};
    scene.origin = anyOrigin();
    return scene;
}

inline MonitorIdentity anyIdentity() {
    return {anyText(), anyText(), anyText()};
}

inline QRect anyRect() {
    return {*rc::gen::inRange(-2000, 2000), *rc::gen::inRange(-2000, 2000), *rc::gen::inRange(1, 4000),
            *rc::gen::inRange(1, 4000)};
}

/// With all that the player is told of one; the rest is of no use to it.
inline Output anyOutput() {
    Output output;
    output.name = anyText();
    output.kind = anyOf(OutputKind::Stream);
    output.size = {*rc::gen::inRange(1, 4000), *rc::gen::inRange(1, 4000)};
    output.linesAtMost = *rc::gen::inRange(1, 40);
    output.ownSteps = anyBool();
    output.showsChords = anyBool();
    output.showsBandOnly = anyBool();
    output.place = {anyOf(PlaceKind::Closed), anyText(), anyIdentity(), anyBool() ? anyRect() : QRect()};
    output.shape = {anyOf(Turn::Left),
                    anyBool(),
                    anyBool(),
                    {anyNumber(0, kMostMargin), anyNumber(0, kMostMargin), anyNumber(0, kMostMargin),
                     anyNumber(0, kMostMargin)}};
    output.ground = anyOf(Ground::SeeThrough);
    output.keyColour = anyColour();
    output.isAbove = anyBool();
    output.hidesPointer = anyBool();
    return output;
}

} // namespace mivanta::samples
