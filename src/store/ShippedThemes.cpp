// SPDX-License-Identifier: GPL-3.0-or-later
#include "store/ShippedThemes.h"
#include "formats/ThemeJson.h"
#include <QDir>
#include <QFile>

namespace mivanta {

using namespace Qt::StringLiterals;

std::vector<Theme> shippedThemes() {
    std::vector<Theme> themes;
    QStringList names = QDir(u":/mivanta/themes"_s).entryList({u"*.json"_s}, QDir::Files, QDir::Name);
    const QString usual = u"dusk-water.json"_s;
    names.removeOne(usual);
    names.prepend(usual);
    for (const QString& name : names) {
        QFile file(u":/mivanta/themes/"_s + name);
        if (!file.open(QIODevice::ReadOnly))
            qFatal("a shipped theme is missing: %s", qPrintable(name));
        auto theme = readTheme(file, file.fileName());
        if (!theme)
            qFatal("a shipped theme is broken: %s", qPrintable(theme.error().text()));
        themes.push_back(std::move(*theme));
    }
    return themes;
}

} // namespace mivanta
