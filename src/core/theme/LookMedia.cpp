// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/theme/LookMedia.h"

namespace mivanta {

QStringList mediaOf(const Look& look) {
    QStringList names;
    const auto add = [&](const QString& name) {
        if (!name.isEmpty() && !names.contains(name))
            names << name;
    };
    add(look.backdrop.picture);
    add(look.backdrop.film);
    for (const SlideObject& object : look.objects)
        if (const QString* medium = object.medium())
            add(*medium);
    return names;
}

void renameMedium(Look& look, const QString& from, const QString& to) {
    for (QString* name : {&look.backdrop.picture, &look.backdrop.film})
        if (*name == from)
            *name = to;
    for (SlideObject& object : look.objects)
        if (QString* medium = object.medium(); medium && *medium == from)
            *medium = to;
}

QStringList mediaOf(const LookOverrides& overrides) {
    Look bare;
    bare.backdrop.picture.clear();
    bare.backdrop.film.clear();
    bare.objects.clear();
    overrides.applyTo(bare);
    return mediaOf(bare);
}

void renameMedium(LookOverrides& overrides, const QString& from, const QString& to) {
    Look changed;
    overrides.applyTo(changed);
    renameMedium(changed, from, to);
    for (const LookProperty* property : overrides.properties())
        overrides.set(*property, property->get(changed));
}

} // namespace mivanta
