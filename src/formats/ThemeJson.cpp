// SPDX-License-Identifier: GPL-3.0-or-later
#include "formats/ThemeJson.h"
#include "core/base/Said.h"
#include "formats/LookJson.h"
#include <QJsonDocument>

namespace mivanta {

using namespace Qt::StringLiterals;

QJsonObject themeToJson(const Theme& theme) {
    QJsonObject json = lookToJson(theme.look);
    json.insert(u"mivanta-theme"_s, kThemeFormat);
    json.insert(u"id"_s, theme.id);
    json.insert(u"name"_s, theme.name);
    return json;
}

Result<Theme> themeFromJson(const QJsonObject& json, const QString& where) {
    const int version = json[u"mivanta-theme"_s].toInt(1);
    if (version > kThemeFormat)
        return failure(Said::tr("the theme was made by a newer Mivanta (format %1; this one reads up to %2)")
                           .arg(QString::number(version), QString::number(kThemeFormat)),
                       where, Said::tr("Install the newer version on this computer."));
    Theme theme{json[u"id"_s].toString(), json[u"name"_s].toString(), {}};
    if (theme.id.isEmpty() || theme.name.isEmpty())
        return failure(Said::tr("a theme has no id or no name"), where,
                       Said::tr("The file is damaged; use another copy."));
    theme.look = lookFromJson(json);
    return theme;
}

Result<Theme> readTheme(QIODevice& device, const QString& where) {
    QJsonParseError error;
    const auto document = QJsonDocument::fromJson(device.readAll(), &error);
    if (!document.isObject())
        return failure(Said::tr("this is no theme: %1").arg(error.errorString()), where,
                       Said::tr("Choose another file."));
    return themeFromJson(document.object(), where);
}

} // namespace mivanta
