// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/run/Covers.h"
#include "core/legibility/Legibility.h"
#include <QRegularExpression>

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
    std::erase_if(scene.look.objects, [](const SlideObject& object) { return !object.inFront; });
    return scene;
}

Scene covered(Scene scene, const Covers& covers, const Scene* card) {
    const QString output = scene.output;
    switch (covers.on(output)) {
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
            scene.curtain = Curtain::Open;
        } else {
            scene.curtain = Curtain::Black;
        }
        break;
    case Curtain::Black:
        scene.curtain = Curtain::Black;
        break;
    }
    const bool isCalled = covers.callOut && covers.callOut->isOn(output);
    scene.callOut = isCalled && scene.curtain != Curtain::Black ? covers.callOut->text : QString();
    return scene;
}

} // namespace mivanta
