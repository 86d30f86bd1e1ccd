// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/base/Result.h"
#include <QByteArray>
#include <functional>

namespace mivanta {

/// Writes the whole file beside the old one, has it reach the disk, then puts it in the old one's place; on
/// any failure the old one is as it was. `beforeReplacing` is asked when all is written, and may forbid it.
[[nodiscard]] Result<void> writeSafely(const QString& path, const QByteArray& bytes,
                                       const std::function<Result<void>()>& beforeReplacing = {});

/// The same for what only this user may read.
[[nodiscard]] Result<void> writePrivately(const QString& path, const QByteArray& bytes);

/// Copies a file in the same way, piece by piece, and says the SHA-256 of what was copied, in hex. `goOn` is
/// asked between pieces; false ends it, and nothing was changed.
[[nodiscard]] Result<QString> copySafely(const QString& from, const QString& to,
                                         const std::function<bool()>& goOn = {});

/// Puts a file in the place of another, or of none, on the same disk, and has that reach the disk.
[[nodiscard]] Result<void> replaceFile(const QString& from, const QString& to);

/// What was renamed, made or removed in a folder is so after a power cut, too.
void syncFolder(const QString& folder);
/// The same for what a file holds; false when it did not reach the disk.
[[nodiscard]] bool syncFile(const QString& path);

/// The SHA-256 of what a file holds in hex, as names of media begin with it. `goOn` as above.
[[nodiscard]] Result<QString> contentHash(const QString& path, const std::function<bool()>& goOn = {});

} // namespace mivanta
