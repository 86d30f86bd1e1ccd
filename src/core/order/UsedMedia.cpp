// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/order/UsedMedia.h"
#include "core/theme/LookMedia.h"
#include <algorithm>

namespace mivanta {

namespace {

/// Every place in a service that a look is kept; `Services` is const where nothing is changed.
template <typename Services, typename OnLook, typename OnChoice>
void eachLook(Services& service, OnLook onLook, OnChoice onChoice) {
    onLook(service.theme.look);
    for (auto& theme : service.themes)
        onLook(theme.look);
    onChoice(service.look);
    for (auto& kind : service.kinds)
        onChoice(kind);
    for (auto& item : service.items) {
        onChoice(item.look.choice);
        for (auto& slide : item.look.slides)
            onChoice(slide.choice);
    }
}

void addOnce(QStringList& names, const QStringList& more) {
    for (const QString& name : more)
        if (!name.isEmpty() && !names.contains(name))
            names << name;
}

} // namespace

QStringList mediaOf(const ItemWords& words) {
    QStringList names;
    if (const auto* set = std::get_if<PictureItem>(&words))
        for (const OrderPicture& picture : set->pictures)
            addOnce(names, {picture.name});
    if (const auto* film = std::get_if<FilmItem>(&words))
        addOnce(names, {film->name});
    if (const auto* text = std::get_if<TextItem>(&words))
        addOnce(names, {text->text->picture});
    if (const auto* music = std::get_if<MusicItem>(&words))
        for (const MusicPiece& piece : music->pieces)
            addOnce(names, {piece.name});
    return names;
}

QStringList mediaOf(const Item& item) {
    QStringList names = mediaOf(item.words);
    if (item.plan.sound)
        addOnce(names, {item.plan.sound->name});
    if (item.plan.track)
        addOnce(names, {item.plan.track->name});
    return names;
}

QStringList mediaOf(const Service& service) {
    QStringList names;
    for (const Item& item : service.items)
        addOnce(names, mediaOf(item));
    eachLook(
        service, [&](const Look& look) { addOnce(names, mediaOf(look)); },
        [&](const LookChoice& choice) {
            addOnce(names, mediaOf(choice.own));
            for (const SlideObject& object : choice.objects)
                if (const QString* medium = object.medium())
                    addOnce(names, {*medium});
        });
    return names;
}

void renameMedia(Service& service, const QString& from, const QString& to) {
    for (Item& item : service.items) {
        if (auto* set = std::get_if<PictureItem>(&item.words))
            for (OrderPicture& picture : set->pictures)
                if (picture.name == from)
                    picture.name = to;
        if (auto* film = std::get_if<FilmItem>(&item.words); film && film->name == from)
            film->name = to;
        if (auto* text = std::get_if<TextItem>(&item.words); text && text->text->picture == from) {
            SpokenText renamed = *text->text;
            renamed.picture = to;
            text->text = std::make_shared<const SpokenText>(std::move(renamed));
        }
        if (auto* music = std::get_if<MusicItem>(&item.words))
            for (MusicPiece& piece : music->pieces)
                if (piece.name == from)
                    piece.name = to;
        if (item.plan.sound && item.plan.sound->name == from)
            item.plan.sound->name = to;
        if (item.plan.track && item.plan.track->name == from)
            item.plan.track->name = to;
    }
    eachLook(
        service, [&](Look& look) { renameMedium(look, from, to); },
        [&](LookChoice& choice) {
            renameMedium(choice.own, from, to);
            for (SlideObject& object : choice.objects)
                if (QString* medium = object.medium(); medium && *medium == from)
                    *medium = to;
        });
}

std::vector<UsedFont> fontsOf(const Service& service) {
    std::vector<UsedFont> fonts;
    const auto add = [&](const WordsLook& words) {
        const UsedFont font{words.family, words.weight};
        if (!font.family.isEmpty() && std::find(fonts.begin(), fonts.end(), font) == fonts.end())
            fonts.push_back(font);
    };
    eachLook(
        service, [&](const Look& look) { add(look.words); },
        [&](const LookChoice& choice) {
            Look on = service.theme.look;
            choice.own.applyTo(on);
            add(on.words);
        });
    return fonts;
}

} // namespace mivanta
