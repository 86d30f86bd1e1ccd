// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/kit/Folders.h"
#include "core/base/Said.h"
#include <QDir>
#include <QFileInfo>
#include <QSettings>
#include <QStandardPaths>

namespace mivanta {

namespace {

/// In the settings; never changes.
QString keyOf(FolderKind kind) {
    static const QStringList names{QStringLiteral("services"),  QStringLiteral("songs"),
                                   QStringLiteral("scripture"), QStringLiteral("texts"),
                                   QStringLiteral("themes"),    QStringLiteral("pictures"),
                                   QStringLiteral("films"),     QStringLiteral("sounds"),
                                   QStringLiteral("exports"),   QStringLiteral("missing")};
    return QStringLiteral("folders/") + names[int(kind)];
}

QString existing(QStandardPaths::StandardLocation location) {
    const QString folder = QStandardPaths::writableLocation(location);
    return QFileInfo(folder).isDir() ? folder : QDir::homePath();
}

QString usualFolder(FolderKind kind) {
    switch (kind) {
    case FolderKind::Services: {
        const QString folder =
            QStandardPaths::writableLocation(QStandardPaths::DocumentsLocation) +
            QStringLiteral("/Services") /* the same in all languages: files stay where they are */;
        return QDir().mkpath(folder) ? folder : QDir::homePath();
    }
    case FolderKind::Pictures:
        return existing(QStandardPaths::PicturesLocation);
    case FolderKind::Films:
        return existing(QStandardPaths::MoviesLocation);
    case FolderKind::Sounds:
        return existing(QStandardPaths::MusicLocation);
    case FolderKind::Exports:
        return existing(QStandardPaths::DocumentsLocation);
    case FolderKind::Songs:
    case FolderKind::Scripture:
    case FolderKind::Texts:
    case FolderKind::Themes:
    case FolderKind::Missing:
        return existing(QStandardPaths::DownloadLocation);
    }
    return QDir::homePath();
}

} // namespace

QString folderFor(FolderKind kind) {
    const QString last = QSettings().value(keyOf(kind)).toString();
    return !last.isEmpty() && QFileInfo(last).isDir() ? last : usualFolder(kind);
}

void noteFile(FolderKind kind, const QString& path) {
    if (!path.isEmpty())
        noteFolder(kind, QFileInfo(path).absolutePath());
}

void noteFolder(FolderKind kind, const QString& folder) {
    if (!folder.isEmpty())
        QSettings().setValue(keyOf(kind), QFileInfo(folder).absoluteFilePath());
}

} // namespace mivanta
