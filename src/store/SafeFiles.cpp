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

Result<void> writeSafely(const QString& path, const QByteArray& bytes,
                         const std::function<Result<void>()>& beforeReplacing) {
    QSaveFile file(path);
    const auto failed = [&] {
        return failure(
            Said::tr("the file could not be written: %1").arg(file.errorString()), path,
            Said::tr("Check the free space and that you may write there, or save under another name."));
    };
    if (!file.open(QIODevice::WriteOnly))
        return failed();
    if (file.write(bytes) != bytes.size() || !file.flush() || ::fsync(file.handle()) != 0) {
        auto error = failed();
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

Result<QString> contentHash(const QString& path) {
    QFile file(path);
    QCryptographicHash hash(QCryptographicHash::Sha256);
    if (!file.open(QIODevice::ReadOnly) || !hash.addData(&file))
        return failure(Said::tr("the file cannot be read: %1").arg(file.errorString()), path);
    return QString::fromLatin1(hash.result().toHex());
}

} // namespace mivanta
