// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/run/Covers.h"
#include "core/legibility/Legibility.h"
#include <QRegularExpression>
#include <algorithm>

namespace mivanta {

std::vector<std::pair<int, int>> blanksIn(const QString& message) {
    static const QRegularExpression blank(QStringLiteral("_{3,}"));
    std::vector<std::pair<int, int>> blanks;
    for (auto at = blank.globalMatch(message); at.hasNext();) {
        const auto match = at.next();
        blanks.emplace_back(int(match.capturedStart()), int(match.capturedLength()));
    }
    return blanks;
}

ItemWords houseCardWords(const HouseCard& card, const Service& service) {
    if (!card.picture.isEmpty())
        return PictureItem{{}, {{card.picture, {}}}, PictureFit::Fill};
    QStringList lines = card.words.split(u'\n');
    if (card.words.trimmed().isEmpty())
        lines = {service.title, service.place};
    lines.removeAll(QString());
    if (lines.isEmpty())
        return PauseItem{};
    SpokenText text;
    text.title = lines.front();
    text.kind = TextKind::Notice;
    text.namesRoles = false;
    for (const QString& line : lines)
        text.lines.push_back({{}, line, {}, false});
    return textItem(std::move(text));
}

Scene onPlainGround(Scene scene) {
    if (scene.look.backdrop.kind == BackdropKind::None)
        return scene;
    Backdrop plain;
    plain.kind = BackdropKind::Plain;
    plain.colour = isLight(scene.look.words.colour) ? Colour{0, 0, 0, 255} : Colour{255, 255, 255, 255};
    scene.look.backdrop = plain;
    scene.film.reset();
    std::erase_if(scene.look.objects, [](const SlideObject& object) { return !object.inFront; });
    return scene;
}

namespace {

Scene testCardOf(const Scene& scene) {
    Scene card;
    card.output = scene.output;
    card.size = scene.size;
    card.ground = scene.ground;
    card.look.transition.kind = TransitionKind::Cut;
    card.look.backdropTransition.kind = TransitionKind::Cut;
    card.isTestCard = true;
    card.unseen = scene.film;
    card.origin = scene.origin;
    return card;
}

} // namespace

Scene covered(Scene scene, const Output& output, const Covers& covers, const Scene* card) {
    scene.ground = output.groundColour();
    const SceneOrigin from = scene.origin;
    const std::optional<FilmPlay> film = scene.film;
    if (covers.testCards.contains(output.name))
        return testCardOf(scene);
    switch (covers.on(output.name)) {
    case Curtain::Open:
        scene.curtain = Curtain::Open;
        break;
    case Curtain::Plain:
        scene = onPlainGround(std::move(scene));
        scene.curtain = Curtain::Open;
        break;
    case Curtain::WordsOff:
        scene.curtain = Curtain::WordsOff;
        break;
    case Curtain::HouseCard:
        if (card) {
            scene = *card;
            scene.ground = output.groundColour();
            scene.curtain = Curtain::Open;
        } else {
            scene.curtain = Curtain::Black;
        }
        break;
    case Curtain::Black:
        scene.curtain = Curtain::Black;
        break;
    }
    if (film && (scene.curtain == Curtain::Black || scene.film != film)) {
        scene.unseen = film;
        if (scene.curtain == Curtain::Black)
            scene.film.reset();
    }
    scene.origin = from;
    scene.origin.curtain = covers.on(output.name);
    const bool isCalled = covers.callOut && covers.callOut->isOn(output.name) && output.layers.callOuts;
    scene.callOut = isCalled && scene.curtain != Curtain::Black ? covers.callOut->text : QString();
    return scene;
}

std::vector<Scene> withScreens(std::vector<Scene> all, const std::vector<Output>& outputs) {
    const auto hall = std::find_if(outputs.begin(), outputs.end(),
                                   [](const Output& output) { return output.isInTheHall(); });
    std::vector<Scene> plain; // a picture in a picture has none in it
    for (Scene scene : all) {
        std::erase_if(scene.look.objects, [](const SlideObject& o) { return o.is<ScreenObject>(); });
        plain.push_back(std::move(scene));
    }
    for (Scene& scene : all)
        std::erase_if(scene.look.objects, [&](SlideObject& object) {
            auto* screen = std::get_if<ScreenObject>(&object.what);
            if (!screen)
                return false;
            if (screen->output.isEmpty() && hall != outputs.end())
                screen->output = hall->name;
            const auto shown = std::find_if(plain.begin(), plain.end(),
                                            [&](const Scene& each) { return each.output == screen->output; });
            if (shown == plain.end() || shown->output == scene.output)
                return true;
            const bool isKnown = std::any_of(scene.elsewhere.begin(), scene.elsewhere.end(),
                                             [&](const Scene& s) { return s.output == shown->output; });
            if (!isKnown)
                scene.elsewhere.push_back(*shown);
            return false;
        });
    return all;
}

} // namespace mivanta
