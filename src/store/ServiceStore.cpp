// SPDX-License-Identifier: GPL-3.0-or-later
#include "store/ServiceStore.h"
#include "formats/ServiceFile.h"
#include <QBuffer>
#include <QCryptographicHash>
#include <QFile>
#include <QSaveFile>
#include <unistd.h>

namespace mivanta {

using namespace Qt::StringLiterals;

namespace {

FileStamp stampOf(const QByteArray& bytes) {
    return {bytes.size(), QCryptographicHash::hash(bytes, QCryptographicHash::Sha1)};
}

} // namespace

Result<OpenedService> openService(const QString& path) {
    QFile file(path);
    if (!file.open(QIODevice::ReadOnly))
        return failure(u"the service file cannot be opened: "_s + file.errorString(), path,
                       u"Check that it is there and that you may read it."_s);
    QByteArray bytes = file.readAll();
    QBuffer buffer(&bytes);
    buffer.open(QIODevice::ReadOnly);
    auto service = readServiceFile(buffer, path);
    if (!service)
        return tl::unexpected(service.error());
    return OpenedService{std::move(*service), stampOf(bytes)};
}

Result<void> writeSafely(const QString& path, const QByteArray& bytes) {
    QSaveFile file(path);
    const auto failed = [&] {
        return failure(u"the file could not be written: "_s + file.errorString(), path,
                       u"Check the free space and that you may write there, or save under another name."_s);
    };
    if (!file.open(QIODevice::WriteOnly))
        return failed();
    if (file.write(bytes) != bytes.size() || !file.flush() || ::fsync(file.handle()) != 0) {
        auto error = failed();
        file.cancelWriting();
        return error;
    }
    if (!file.commit())
        return failed();
    return {};
}

Result<FileStamp> saveService(const Service& service, const QString& path,
                              const std::optional<FileStamp>& expected) {
    if (expected && QFile::exists(path)) {
        QFile file(path);
        if (!file.open(QIODevice::ReadOnly) || stampOf(file.readAll()) != *expected)
            return failure(u"the file was changed by another program since it was opened"_s, path,
                           u"Save under another name, so that neither version is lost."_s);
    }
    const auto bytes = serviceToZip(service);
    if (!bytes)
        return tl::unexpected(bytes.error());
    if (auto done = writeSafely(path, *bytes); !done)
        return tl::unexpected(done.error());
    return stampOf(*bytes);
}

} // namespace mivanta
