// SPDX-License-Identifier: GPL-3.0-or-later
#include "store/MediaFiles.h"
#include "core/base/MediaName.h"
#include "core/base/Said.h"
#include "store/Database.h"
#include "store/SafeFiles.h"
#include <QCryptographicHash>
#include <QDir>
#include <QFile>
#include <QFileInfo>
#include <QStandardPaths>

namespace mivanta {

using namespace Qt::StringLiterals;

namespace {

constexpr qint64 kLargestFile = 512LL << 20;

QString nameFor(const QByteArray& bytes, const QString& title) {
    return QString::fromLatin1(QCryptographicHash::hash(bytes, QCryptographicHash::Sha256).toHex()) + u'.' +
           mediaSuffix(title);
}

} // namespace

MediaFiles::MediaFiles(Database& database, QString folder)
    : m_database(database),
      m_folder(std::move(folder)) {}

QString MediaFiles::pathOf(const QString& name) const {
    return m_folder + u'/' + name;
}

Result<StoredMedium> MediaFiles::bringIn(const QString& path) {
    QFile file(path);
    if (!file.open(QIODevice::ReadOnly))
        return failure(file.errorString(), path, Said::tr("Choose another file."));
    if (file.size() > kLargestFile)
        return failure(Said::tr("the file is larger than 512 MB"), path, Said::tr("Make it smaller first."));
    return bringIn(file.readAll(), QFileInfo(path).fileName());
}

Result<StoredMedium> MediaFiles::bringIn(const QByteArray& bytes, const QString& title) {
    if (!QDir().mkpath(m_folder))
        return failure(Said::tr("the folder for media could not be made"), m_folder,
                       Said::tr("Check that you may write there."));
    const StoredMedium medium{nameFor(bytes, title), title};
    // One that is there, and is not what it was, is written anew.
    const auto there = contentHash(pathOf(medium.name));
    if (!there || !medium.name.startsWith(*there))
        if (auto written = writeSafely(pathOf(medium.name), bytes); !written)
            return tl::unexpected(written.error());
    if (auto kept = note(medium); !kept)
        return tl::unexpected(kept.error());
    return medium;
}

Result<void> MediaFiles::note(const StoredMedium& medium) {
    auto kept = m_database.change(u"INSERT INTO medium(name, title, added_at) VALUES (?, ?, ?)"
                                  " ON CONFLICT(name) DO NOTHING"_s,
                                  {medium.name, medium.title, QDateTime::currentMSecsSinceEpoch()});
    if (!kept)
        return tl::unexpected(kept.error());
    return {};
}

Result<void> MediaFiles::moveIn(const QString& path, const QString& name, const QString& title) {
    if (auto placed = replaceFile(path, pathOf(name)); !placed)
        return placed;
    return note({name, title.isEmpty() ? name : title});
}

Result<std::vector<StoredMedium>> MediaFiles::all() {
    return m_database.all(u"SELECT name, title FROM medium ORDER BY added_at DESC, name"_s, {},
                          [](const Row& row) {
                              return StoredMedium{row.text(0), row.text(1)};
                          });
}

QString mediaFolderOf(const QString& libraryFolder) {
    return libraryFolder + u"/media"_s;
}

QString pictureCacheFolder(const QString& libraryFolder) {
    const QByteArray which =
        QCryptographicHash::hash(libraryFolder.toUtf8(), QCryptographicHash::Sha1).toHex();
    return QStandardPaths::writableLocation(QStandardPaths::GenericCacheLocation) + u"/mivanta/pictures-"_s +
           QString::fromLatin1(which.left(12));
}

} // namespace mivanta
