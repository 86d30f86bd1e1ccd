// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/theme/LookPictures.h"

namespace mivanta {

QStringList picturesOf(const Look& look) {
    QStringList names;
    const auto add = [&](const QString& name) {
        if (!name.isEmpty() && !names.contains(name))
            names << name;
    };
    add(look.backdrop.picture);
    for (const SlideObject& object : look.objects)
        if (const QString* picture = object.picture())
            add(*picture);
    return names;
}

void renamePicture(Look& look, const QString& from, const QString& to) {
    if (look.backdrop.picture == from)
        look.backdrop.picture = to;
    for (SlideObject& object : look.objects)
        if (QString* picture = object.picture(); picture && *picture == from)
            *picture = to;
}

QStringList picturesOf(const LookOverrides& overrides) {
    Look bare;
    bare.backdrop.picture.clear();
    bare.objects.clear();
    overrides.applyTo(bare);
    return picturesOf(bare);
}

void renamePicture(LookOverrides& overrides, const QString& from, const QString& to) {
    Look changed;
    overrides.applyTo(changed);
    renamePicture(changed, from, to);
    for (const LookProperty* property : overrides.properties())
        overrides.set(*property, property->get(changed));
}

} // namespace mivanta
