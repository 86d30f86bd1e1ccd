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

namespace mivanta {

using namespace Qt::StringLiterals;

namespace {

constexpr qint64 kLargestFile = 64LL << 30;

QString nameFor(const QString& hash, const QString& title) {
    return hash + u'.' + mediaSuffix(title);
}

} // namespace

MediaFiles::MediaFiles(Database& database, QString folder)
    : m_database(database),
      m_folder(std::move(folder)) {}

QString MediaFiles::pathOf(const QString& name) const {
    return m_folder + u'/' + name;
}

Result<StoredMedium> MediaFiles::bringIn(const QString& path, const std::function<bool()>& goOn) {
    if (QFileInfo(path).size() > kLargestFile)
        return failure(Said::tr("the file is larger than 64 GB"), path, Said::tr("Make it smaller first."));
    const auto hash = contentHash(path, goOn);
    if (!hash)
        return failure(hash.error().what, path, Said::tr("Choose another file."));
    const QString title = QFileInfo(path).fileName();
    return stored({nameFor(*hash, title), title}, [&](const QString& to) -> Result<void> {
        const auto copied = copySafely(path, to, goOn);
        if (!copied)
            return tl::unexpected(copied.error());
        if (*copied == *hash)
            return {};
        QFile::remove(to);
        return failure(Said::tr("the file was changed while it was copied"), path,
                       Said::tr("Wait until it is complete, and bring it in again."));
    });
}

Result<StoredMedium> MediaFiles::bringIn(const QByteArray& bytes, const QString& title) {
    const QByteArray hash = QCryptographicHash::hash(bytes, QCryptographicHash::Sha256).toHex();
    return stored({nameFor(QString::fromLatin1(hash), title), title},
                  [&](const QString& to) { return writeSafely(to, bytes); });
}

/// One that is there, and is not what it was, is written anew.
Result<StoredMedium> MediaFiles::stored(const StoredMedium& medium,
                                        const std::function<Result<void>(const QString& to)>& write) {
    if (!QDir().mkpath(m_folder))
        return failure(Said::tr("the folder for media could not be made"), m_folder,
                       Said::tr("Check that you may write there."));
    const auto there = contentHash(pathOf(medium.name));
    if (!there || !medium.name.startsWith(*there))
        if (auto written = write(pathOf(medium.name)); !written)
            return tl::unexpected(written.error());
    if (auto kept = note(medium); !kept)
        return tl::unexpected(kept.error());
    return medium;
}

Result<void> MediaFiles::note(const StoredMedium& medium) {
    // One that comes again leaves the bin, and is looked at again when it was damaged or missing.
    auto kept = m_database.change(u"INSERT INTO medium(name, title, added_at, bytes) VALUES (?, ?, ?, ?)"
                                  " ON CONFLICT(name) DO UPDATE SET deleted_at = NULL, problem = '',"
                                  " looked_at = CASE problem WHEN '' THEN looked_at END"_s,
                                  {medium.name, medium.title, QDateTime::currentMSecsSinceEpoch(),
                                   QFileInfo(pathOf(medium.name)).size()});
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

} // namespace mivanta
