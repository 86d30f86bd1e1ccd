// SPDX-License-Identifier: GPL-3.0-or-later
#include "store/UnsavedFile.h"
#include "core/base/Said.h"
#include "store/SafeFiles.h"
#include <QFile>
#include <QJsonDocument>

namespace mivanta {

using namespace Qt::StringLiterals;

UnsavedFile::UnsavedFile(const QString& libraryFolder, const QString& what)
    : m_path(libraryFolder + u"/unsaved-%1.json"_s.arg(what)) {}

Result<void> UnsavedFile::write(const QJsonObject& json) const {
    return writeSafely(m_path, QJsonDocument(json).toJson(QJsonDocument::Compact));
}

Result<std::optional<QJsonObject>> UnsavedFile::read() const {
    QFile file(m_path);
    if (!file.exists())
        return std::optional<QJsonObject>();
    if (!file.open(QIODevice::ReadOnly))
        return failure(Said::tr("unsaved work of last time cannot be read: %1").arg(file.errorString()),
                       m_path, Said::tr("Check the file's permissions."));
    const auto document = QJsonDocument::fromJson(file.readAll());
    if (!document.isObject())
        return failure(Said::tr("unsaved work of last time is damaged"), m_path,
                       Said::tr("The file stays as it is; delete it once you do not need it."));
    return std::optional(document.object());
}

void UnsavedFile::clear() const {
    QFile::remove(m_path);
}

} // namespace mivanta
