// SPDX-License-Identifier: GPL-3.0-or-later
#include "store/ServiceStore.h"
#include "core/base/Said.h"
#include "formats/ServiceFile.h"
#include "store/SafeFiles.h"
#include "store/ServicePack.h"
#include <QCryptographicHash>
#include <QDateTime>
#include <QFile>
#include <QFileInfo>
#include <algorithm>

namespace mivanta {

using namespace Qt::StringLiterals;

namespace {

constexpr qint64 kWholeHash = 16 << 20;
constexpr qint64 kEndHash = 1 << 20;

FileStamp stampOf(const QByteArray& bytes) {
    return {bytes.size(), QCryptographicHash::hash(bytes, QCryptographicHash::Sha1)};
}

} // namespace

Result<FileStamp> stampOfFile(const QString& path) {
    QFile file(path);
    if (!file.open(QIODevice::ReadOnly))
        return failure(Said::tr("the service file cannot be opened: %1").arg(file.errorString()), path,
                       Said::tr("Check that it is there and that you may read it."));
    if (file.size() <= kWholeHash)
        return stampOf(file.readAll());
    QByteArray ends = file.read(kEndHash);
    file.seek(file.size() - kEndHash);
    ends += file.read(kEndHash);
    ends += QByteArray::number(QFileInfo(path).lastModified().toMSecsSinceEpoch());
    return FileStamp{file.size(), QCryptographicHash::hash(ends, QCryptographicHash::Sha1)};
}

Result<OpenedService> openService(const QString& path) {
    const auto stamp = stampOfFile(path);
    if (!stamp)
        return tl::unexpected(stamp.error());
    const auto zip = ZipReader::openFile(path, kMostUnpacked);
    if (!zip)
        return failure(Said::tr("this is no service file, or it is damaged: %1").arg(zip.error().what), path,
                       Said::tr("Use an older copy of the file, or the library's backups."));
    auto service = readServiceZip(*zip, path);
    if (!service)
        return tl::unexpected(service.error());
    const QStringList entries = zip->entries();
    const bool isPacked = std::any_of(entries.begin(), entries.end(), [](const QString& entry) {
        return entry.startsWith(QLatin1String(kMediaFolder)) || entry.startsWith(QLatin1String(kFontFolder));
    });
    return OpenedService{std::move(*service), *stamp, isPacked};
}

Result<void> checkUnchanged(const QString& path, const std::optional<FileStamp>& expected) {
    if (!expected || !QFile::exists(path))
        return {};
    const auto stamp = stampOfFile(path);
    if (!stamp || *stamp != *expected)
        return failure(Said::tr("the file was changed by another program since it was opened"), path,
                       Said::tr("Save under another name, so that neither version is lost."));
    return {};
}

Result<FileStamp> saveService(const Service& service, const QString& path,
                              const std::optional<FileStamp>& expected) {
    if (auto unchanged = checkUnchanged(path, expected); !unchanged)
        return tl::unexpected(unchanged.error());
    const auto bytes = serviceToZip(service);
    if (!bytes)
        return tl::unexpected(bytes.error());
    if (auto done = writeSafely(path, *bytes, [&] { return checkUnchanged(path, expected); }); !done)
        return tl::unexpected(done.error());
    return stampOf(*bytes);
}

} // namespace mivanta
