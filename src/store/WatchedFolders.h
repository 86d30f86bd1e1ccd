// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/base/Result.h"
#include "core/media/MediumKind.h"
#include <functional>
#include <vector>

namespace mivanta {

/// A picture, film or sound where it lies.
struct FolderFile {
    QString path; ///< inside its folder
    MediumKind kind = MediumKind::Picture;
    qint64 bytes = 0;
    qint64 changedAt = 0; ///< ms since 1970, UTC
    friend bool operator==(const FolderFile&, const FolderFile&) = default;
};

/// A few files by which a folder is known again under another name, as a stick has in another socket.
struct FolderMark {
    QString path; ///< inside it
    qint64 bytes = 0;
    QByteArray digest; ///< of quickDigest()
    friend bool operator==(const FolderMark&, const FolderMark&) = default;
};

/// A folder of this computer, or of what is plugged into it, whose media are shown with the library's.
struct WatchedFolder {
    QString path;
    int files = 0; ///< when it was read last
    std::vector<FolderMark> marks;
    QStringList followed; ///< folders inside it ("" is itself) that loops may follow: somebody said so here
    friend bool operator==(const WatchedFolder&, const WatchedFolder&) = default;
};

inline constexpr int kMostFolderFiles = 200'000; ///< of one folder
inline constexpr int kMostWatchedFolders = 100;
inline constexpr int kMostFollowed = 100; ///< of one folder

/// The media in a folder and the folders inside it, by their paths. Hidden ones and links to folders are
/// passed by. `goOn` is asked now and then; false ends it. Any thread.
[[nodiscard]] Result<std::vector<FolderFile>> readMediaFolder(const QString& path,
                                                              const std::function<bool()>& goOn = {});
/// Changes whenever a file comes into one of its folders, or leaves it; 0 when it is not there. Costs a look
/// at each folder, and none at a file.
[[nodiscard]] quint64 folderState(const QString& path);

/// Of a file's length, beginning and end: equal ones hold the same, but for what was made to deceive. Empty
/// when it cannot be read.
[[nodiscard]] QByteArray quickDigest(const QString& path);

/// Some of a folder's files, spread over it.
[[nodiscard]] std::vector<FolderMark> marksOf(const QString& path, const std::vector<FolderFile>& files);
/// Where a folder is now that is not where it was: below one of `roots`, with most of its marks. Empty when
/// it is nowhere.
[[nodiscard]] QString findFolderAgain(const WatchedFolder& folder, const QStringList& roots);

[[nodiscard]] QByteArray watchedFoldersToJson(const std::vector<WatchedFolder>& folders);
[[nodiscard]] Result<std::vector<WatchedFolder>> watchedFoldersFromJson(const QByteArray& json,
                                                                        const QString& where);

} // namespace mivanta
