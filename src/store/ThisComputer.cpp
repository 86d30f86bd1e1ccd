// SPDX-License-Identifier: GPL-3.0-or-later
#include "store/ThisComputer.h"
#include "core/base/Said.h"
#include "formats/LiveInputsJson.h"
#include "formats/OutputsJson.h"
#include "formats/RunSettingsJson.h"
#include "store/SafeFiles.h"
#include <QDir>
#include <QFile>
#include <QStandardPaths>

namespace mivanta {

using namespace Qt::StringLiterals;

QString ThisComputer::usualFolder() {
    return QStandardPaths::writableLocation(QStandardPaths::GenericDataLocation) +
           u"/mivanta/this-computer"_s;
}

/// Of a file here, else of the one that an earlier program kept in the library's folder.
QString ThisComputer::place(const QString& name, const LibraryAddress& library) const {
    const QString here = m_folder + u'/' + name;
    return QFile::exists(here) ? here : library.folder() + u'/' + name;
}

Result<std::vector<Output>> ThisComputer::outputs(const LibraryAddress& library) const {
    QFile file(place(u"outputs.json"_s, library));
    if (!file.exists())
        return usualOutputs();
    if (!file.open(QIODevice::ReadOnly))
        return failure(Said::tr("the outputs cannot be read: %1").arg(file.errorString()), file.fileName(),
                       Said::tr("Check its permissions."));
    return outputsFromJson(file.readAll(), file.fileName());
}

Result<void> ThisComputer::saveOutputs(const std::vector<Output>& outputs) const {
    QDir().mkpath(m_folder);
    return writeSafely(m_folder + u"/outputs.json"_s, outputsToJson(outputs));
}

Result<RunSettings> ThisComputer::runSettings(const LibraryAddress& library) const {
    QFile file(place(u"run.json"_s, library));
    if (!file.exists())
        return usualRunSettings();
    if (!file.open(QIODevice::ReadOnly))
        return failure(Said::tr("the settings for running cannot be read: %1").arg(file.errorString()),
                       file.fileName(), Said::tr("Check its permissions."));
    return runSettingsFromJson(file.readAll(), file.fileName());
}

Result<void> ThisComputer::saveRunSettings(const RunSettings& settings) const {
    QDir().mkpath(m_folder);
    return writeSafely(m_folder + u"/run.json"_s, runSettingsToJson(settings));
}

Result<std::vector<WatchedFolder>> ThisComputer::watchedFolders() const {
    QFile file(m_folder + u"/media-folders.json"_s);
    if (!file.exists())
        return std::vector<WatchedFolder>();
    if (!file.open(QIODevice::ReadOnly))
        return failure(Said::tr("the watched folders cannot be read: %1").arg(file.errorString()),
                       file.fileName(), Said::tr("Check its permissions."));
    return watchedFoldersFromJson(file.readAll(), file.fileName());
}

Result<void> ThisComputer::saveWatchedFolders(const std::vector<WatchedFolder>& folders) const {
    QDir().mkpath(m_folder);
    return writeSafely(m_folder + u"/media-folders.json"_s, watchedFoldersToJson(folders));
}

Result<std::vector<LiveInput>> ThisComputer::liveInputs() const {
    QFile file(m_folder + u"/live-inputs.json"_s);
    if (!file.exists())
        return std::vector<LiveInput>();
    if (!file.open(QIODevice::ReadOnly))
        return failure(Said::tr("the live inputs cannot be read: %1").arg(file.errorString()),
                       file.fileName(), Said::tr("Check its permissions."));
    return liveInputsFromJson(file.readAll(), file.fileName());
}

Result<void> ThisComputer::saveLiveInputs(const std::vector<LiveInput>& inputs) const {
    QDir().mkpath(m_folder);
    return writeSafely(m_folder + u"/live-inputs.json"_s, liveInputsToJson(inputs));
}

QString ThisComputer::unsavedFolder(const LibraryAddress& library) const {
    QString folder = m_folder + u"/unsaved/"_s + library.key();
    QDir().mkpath(folder);
    return folder;
}

} // namespace mivanta
