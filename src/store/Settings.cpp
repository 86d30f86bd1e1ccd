// SPDX-License-Identifier: GPL-3.0-or-later
#include "store/Settings.h"
#include "core/base/Said.h"
#include "formats/OutputsJson.h"
#include "formats/PassageJson.h"
#include "formats/RunSettingsJson.h"
#include "formats/ThemeJson.h"
#include "store/SafeFiles.h"
#include <QDir>
#include <QFile>
#include <QJsonDocument>
#include <QLoggingCategory>
#include <QStandardPaths>

namespace mivanta {

using namespace Qt::StringLiterals;

Result<std::vector<Output>> loadOutputs(const QString& libraryFolder) {
    QFile file(libraryFolder + u"/outputs.json"_s);
    if (!file.exists())
        return usualOutputs();
    if (!file.open(QIODevice::ReadOnly))
        return failure(Said::tr("the outputs cannot be read: %1").arg(file.errorString()), file.fileName(),
                       Said::tr("Check its permissions."));
    return outputsFromJson(file.readAll(), file.fileName());
}

Result<void> saveOutputs(const QString& libraryFolder, const std::vector<Output>& outputs) {
    return writeSafely(libraryFolder + u"/outputs.json"_s, outputsToJson(outputs));
}

Result<RunSettings> loadRunSettings(const QString& libraryFolder) {
    QFile file(libraryFolder + u"/run.json"_s);
    if (!file.exists())
        return usualRunSettings();
    if (!file.open(QIODevice::ReadOnly))
        return failure(Said::tr("the settings for running cannot be read: %1").arg(file.errorString()),
                       file.fileName(), Said::tr("Check its permissions."));
    return runSettingsFromJson(file.readAll(), file.fileName());
}

Result<void> saveRunSettings(const QString& libraryFolder, const RunSettings& settings) {
    return writeSafely(libraryFolder + u"/run.json"_s, runSettingsToJson(settings));
}

PassageLayout loadUsualLayout(const QString& libraryFolder) {
    QFile file(libraryFolder + u"/passages.json"_s);
    if (!file.open(QIODevice::ReadOnly))
        return {};
    return layoutFromJson(QJsonDocument::fromJson(file.readAll()).object());
}

Result<void> saveUsualLayout(const QString& libraryFolder, const PassageLayout& layout) {
    return writeSafely(libraryFolder + u"/passages.json"_s, QJsonDocument(layoutToJson(layout)).toJson());
}

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

QString usualLibraryFolder() {
    return QStandardPaths::writableLocation(QStandardPaths::GenericDataLocation) + u"/mivanta/library"_s;
}

} // namespace mivanta
