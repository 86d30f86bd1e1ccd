// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/order/UsedMedia.h"
#include "core/theme/LookPictures.h"
#include <algorithm>
#include <functional>

namespace mivanta {

namespace {

/// Every place in a service that a look is kept.
struct LookVisitor {
    std::function<void(Look&)> look;
    std::function<void(LookChoice&)> choice;

    void visit(Service& service) const {
        look(service.theme.look);
        for (Theme& theme : service.themes)
            look(theme.look);
        choice(service.look);
        for (LookChoice& kind : service.kinds)
            choice(kind);
        for (Item& item : service.items) {
            choice(item.look.choice);
            for (SlideLook& slide : item.look.slides)
                choice(slide.choice);
        }
    }
};

void addOnce(QStringList& names, const QStringList& more) {
    for (const QString& name : more)
        if (!name.isEmpty() && !names.contains(name))
            names << name;
}

} // namespace

QStringList picturesOf(const Service& service) {
    QStringList names;
    for (const Item& item : service.items)
        if (const auto* set = std::get_if<PictureItem>(&item.content))
            for (const OrderPicture& picture : set->pictures)
                addOnce(names, {picture.name});
    Service copy = service; // the visitor may change what it visits
    LookVisitor{[&](Look& look) { addOnce(names, picturesOf(look)); },
                [&](LookChoice& choice) {
                    addOnce(names, picturesOf(choice.own));
                    for (const SlideObject& object : choice.objects)
                        addOnce(names, {object.picture});
                }}
        .visit(copy);
    return names;
}

void renamePicture(Service& service, const QString& from, const QString& to) {
    for (Item& item : service.items)
        if (auto* set = std::get_if<PictureItem>(&item.content))
            for (OrderPicture& picture : set->pictures)
                if (picture.name == from)
                    picture.name = to;
    LookVisitor{[&](Look& look) { renamePicture(look, from, to); },
                [&](LookChoice& choice) {
                    renamePicture(choice.own, from, to);
                    for (SlideObject& object : choice.objects)
                        if (object.picture == from)
                            object.picture = to;
                }}
        .visit(service);
}

std::vector<UsedFont> fontsOf(const Service& service) {
    std::vector<UsedFont> fonts;
    const auto add = [&](const WordsLook& words) {
        const UsedFont font{words.family, words.weight};
        if (!font.family.isEmpty() && std::find(fonts.begin(), fonts.end(), font) == fonts.end())
            fonts.push_back(font);
    };
    Service copy = service;
    LookVisitor{[&](Look& look) { add(look.words); },
                [&](LookChoice& choice) {
                    Look on = service.theme.look;
                    choice.own.applyTo(on);
                    add(on.words);
                }}
        .visit(copy);
    return fonts;
}

} // namespace mivanta
