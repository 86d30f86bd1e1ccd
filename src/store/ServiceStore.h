// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/base/Result.h"
#include "core/order/Service.h"
#include <optional>

namespace mivanta {

/// What a file looked like when it was read or written, to tell whether another program changed it.
struct FileStamp {
    qint64 size = -1;
    QByteArray hash; ///< SHA-1 of its bytes; of a large file, of its beginning, its end and its time
    friend bool operator==(const FileStamp&, const FileStamp&) = default;
};

struct OpenedService {
    Service service;
    FileStamp stamp;
    bool isPacked = false; ///< the file holds media, too
};

[[nodiscard]] Result<OpenedService> openService(const QString& path);

/// Writes the file safely (store/SafeFiles). With `expected`, refuses when the file there is another by now,
/// also when it becomes so while this one is being written.
[[nodiscard]] Result<FileStamp> saveService(const Service& service, const QString& path,
                                            const std::optional<FileStamp>& expected);

/// Fails when there is a file and it is another one than `expected`.
[[nodiscard]] Result<void> checkUnchanged(const QString& path, const std::optional<FileStamp>& expected);
[[nodiscard]] Result<FileStamp> stampOfFile(const QString& path);

} // namespace mivanta
