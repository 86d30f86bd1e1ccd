// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/order/UsedMedia.h"
#include "core/theme/LookPictures.h"
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

QStringList mediaOf(const Service& service) {
    QStringList names;
    for (const Item& item : service.items) {
        if (const auto* set = std::get_if<PictureItem>(&item.content))
            for (const OrderPicture& picture : set->pictures)
                addOnce(names, {picture.name});
        if (item.plan.sound)
            addOnce(names, {item.plan.sound->name});
    }
    eachLook(
        service, [&](const Look& look) { addOnce(names, picturesOf(look)); },
        [&](const LookChoice& choice) {
            addOnce(names, picturesOf(choice.own));
            for (const SlideObject& object : choice.objects)
                if (const QString* picture = object.picture())
                    addOnce(names, {*picture});
        });
    return names;
}

void renameMedia(Service& service, const QString& from, const QString& to) {
    for (Item& item : service.items) {
        if (auto* set = std::get_if<PictureItem>(&item.content))
            for (OrderPicture& picture : set->pictures)
                if (picture.name == from)
                    picture.name = to;
        if (item.plan.sound && item.plan.sound->name == from)
            item.plan.sound->name = to;
    }
    eachLook(
        service, [&](Look& look) { renamePicture(look, from, to); },
        [&](LookChoice& choice) {
            renamePicture(choice.own, from, to);
            for (SlideObject& object : choice.objects)
                if (QString* picture = object.picture(); picture && *picture == from)
                    *picture = to;
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
