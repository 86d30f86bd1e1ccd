// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/media/Medium.h"
#include <vector>

namespace mivanta {

class FolderWatch;
class MediaBook;
class MediaTwins;

/// A medium in a list: one of the library, or a file of a watched folder.
struct ShownMedium {
    Medium medium;        ///< without a name: a file that is not in the library
    QString folder;       ///< the watched folder; empty = the library
    QString path;         ///< its file inside that folder
    qint64 changedAt = 0; ///< of such a file, ms since 1970, UTC
    QString folded;       ///< what is searched: title, caption, path
    QByteArray digest;    ///< of MediaTwins
    friend bool operator==(const ShownMedium&, const ShownMedium&) = default;

    /// Names it, also when the lists are made anew: of its file in the library, or all of its path.
    [[nodiscard]] QString key() const { return folder.isEmpty() ? medium.name : filePath(); }
    /// Of a file in a watched folder.
    [[nodiscard]] QString filePath() const { return folder + u'/' + path; }
    [[nodiscard]] bool isInLibrary() const { return folder.isEmpty(); }
};

/// What of the media is looked at.
struct MediaShelf {
    enum class Kind { Everything, Starred, UsedLately, Library, Folder };
    Kind kind = Kind::Everything;
    QString folder; ///< for Folder: a watched folder, or a folder inside it
    friend bool operator==(const MediaShelf&, const MediaShelf&) = default;
};

/// All of the library and of the folders that are here, in that order.
[[nodiscard]] std::vector<ShownMedium> allMedia(const MediaBook& book, const FolderWatch& folders,
                                                const MediaTwins& twins);
[[nodiscard]] bool isOn(const ShownMedium& shown, const MediaShelf& shelf);
/// What of them lies on a shelf and passes the filter, in its order, as indices. Files that hold the same are
/// shown once.
[[nodiscard]] std::vector<int> mediaOn(const std::vector<ShownMedium>& all, const MediaShelf& shelf,
                                       const MediaFilter& filter);

} // namespace mivanta
