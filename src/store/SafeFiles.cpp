// SPDX-License-Identifier: GPL-3.0-or-later
#include "store/SafeFiles.h"
#include "core/base/Said.h"
#include <QCryptographicHash>
#include <QFile>
#include <QFileInfo>
#include <QSaveFile>
#include <cstdio>
#include <cstring>
#include <fcntl.h>
#include <unistd.h>

namespace mivanta {

using namespace Qt::StringLiterals;

namespace {

constexpr qsizetype kPiece = 1 << 20;

bool syncPath(const QString& path, int flags) {
    const int handle = ::open(QFile::encodeName(path).constData(), flags | O_CLOEXEC);
    if (handle < 0)
        return false;
    const bool isSynced = ::fsync(handle) == 0;
    ::close(handle);
    return isSynced;
}

} // namespace

void syncFolder(const QString& folder) {
    static_cast<void>(syncPath(folder, O_RDONLY | O_DIRECTORY));
}

bool syncFile(const QString& path) {
    return syncPath(path, O_RDONLY);
}

Result<void> replaceFile(const QString& from, const QString& to) {
    if (std::rename(QFile::encodeName(from).constData(), QFile::encodeName(to).constData()) != 0)
        return failure(Said::tr("the file could not be put in its place: %1")
                           .arg(QString::fromLocal8Bit(std::strerror(errno))),
                       to, Said::tr("Check that you may write there."));
    syncFolder(QFileInfo(to).absolutePath());
    return {};
}

namespace {

/// `write` puts what is to be in the file into it; an error of its own comes first.
Result<void> writtenSafely(const QString& path, const std::function<Result<bool>(QSaveFile&)>& write,
                           const std::function<Result<void>()>& beforeReplacing) {
    QSaveFile file(path);
    const auto failed = [&] {
        return failure(
            Said::tr("the file could not be written: %1").arg(file.errorString()), path,
            Said::tr("Check the free space and that you may write there, or save under another name."));
    };
    if (!file.open(QIODevice::WriteOnly))
        return failed();
    const auto written = write(file);
    if (!written || !*written || !file.flush() || ::fsync(file.handle()) != 0) {
        auto error = written ? failed() : tl::unexpected(written.error());
        file.cancelWriting();
        return error;
    }
    if (beforeReplacing)
        if (auto allowed = beforeReplacing(); !allowed) {
            file.cancelWriting();
            return allowed;
        }
    if (!file.commit())
        return failed();
    syncFolder(QFileInfo(path).absolutePath());
    return {};
}

} // namespace

Result<void> writeSafely(const QString& path, const QByteArray& bytes,
                         const std::function<Result<void>()>& beforeReplacing) {
    return writtenSafely(
        path, [&](QSaveFile& file) -> Result<bool> { return file.write(bytes) == bytes.size(); },
        beforeReplacing);
}

Result<void> writePrivately(const QString& path, const QByteArray& bytes) {
    return writtenSafely(path,
                         [&](QSaveFile& file) -> Result<bool> {
                             return file.setPermissions(QFile::ReadOwner | QFile::WriteOwner) &&
                                    file.write(bytes) == bytes.size();
                         },
                         {});
}

namespace {

tl::unexpected<Error> stopped(const QString& path) {
    return failure(Said::tr("it was stopped"), path, Said::tr("Nothing was changed."));
}

} // namespace

Result<QString> copySafely(const QString& from, const QString& to, const std::function<bool()>& goOn) {
    QCryptographicHash hash(QCryptographicHash::Sha256);
    QFile source(from);
    const auto unreadable = [&] {
        return failure(Said::tr("the file cannot be read: %1").arg(source.errorString()), from,
                       Said::tr("Choose another file, or look whether its stick is still there."));
    };
    if (!source.open(QIODevice::ReadOnly))
        return unreadable();
    const auto copied =
        writtenSafely(to,
                      [&](QSaveFile& file) -> Result<bool> {
                          QByteArray piece(kPiece, Qt::Uninitialized);
                          for (qint64 length = 1; length > 0;) {
                              length = source.read(piece.data(), piece.size());
                              if (length < 0)
                                  return unreadable();
                              if (goOn && !goOn())
                                  return stopped(from);
                              hash.addData(QByteArray::fromRawData(piece.constData(), length));
                              if (file.write(piece.constData(), length) != length)
                                  return false;
                          }
                          return true;
                      },
                      {});
    if (!copied)
        return tl::unexpected(copied.error());
    return QString::fromLatin1(hash.result().toHex());
}

Result<QString> contentHash(const QString& path, const std::function<bool()>& goOn) {
    QFile file(path);
    QCryptographicHash hash(QCryptographicHash::Sha256);
    QByteArray piece(kPiece, Qt::Uninitialized);
    qint64 length = file.open(QIODevice::ReadOnly) ? 1 : -1;
    while (length > 0) {
        length = file.read(piece.data(), piece.size());
        hash.addData(QByteArray::fromRawData(piece.constData(), std::max<qint64>(0, length)));
        if (goOn && !goOn())
            return stopped(path);
    }
    if (length < 0)
        return failure(Said::tr("the file cannot be read: %1").arg(file.errorString()), path);
    return QString::fromLatin1(hash.result().toHex());
}

} // namespace mivanta
