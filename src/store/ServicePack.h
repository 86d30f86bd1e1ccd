// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/order/UsedMedia.h"
#include "formats/Zip.h"
#include "store/ServiceStore.h"
#include <QMap>

namespace mivanta {

class MediaFiles;

/// The folders inside a packed service.
inline constexpr const char* kMediaFolder = "media/";
inline constexpr const char* kFontFolder = "fonts/";
/// What a packed service may unpack to, in bytes.
inline constexpr qint64 kMostUnpacked = 64LL << 30;

/// One file that is packed with a service.
struct PackFile {
    QString entry; ///< in the packed file
    QString path;  ///< on this computer
    QString title;
    qint64 bytes = 0;
};

/// What packing a service would take along, known before anything is written.
struct PackList {
    std::vector<PackFile> files;
    QStringList missing;           ///< titles of media that are not on this computer
    std::vector<FontFile> leftOut; ///< fonts whose licence forbids it
    [[nodiscard]] qint64 bytes() const;
};

/// What is known of the media that a service shows: from the media folder and `titles`, by name; else what it
/// knew before.
[[nodiscard]] std::vector<MediaFact> mediaFactsOf(const Service& service, const QString& mediaFolder,
                                                  const QMap<QString, QString>& titles);
/// The facts of the media that are not in the folder.
[[nodiscard]] std::vector<MediaFact> missingMedia(const Service& service, const QString& mediaFolder);

/// Expects the service's media facts to be up to date.
[[nodiscard]] PackList packListOf(const Service& service, const QString& mediaFolder,
                                  const std::vector<FontFile>& fonts);
/// Writes the service with the list's files. The old file stays as it was until the new one is on the disk,
/// and when it fails or is stopped. With `expected`, refuses when the file there is another by now.
[[nodiscard]] Result<FileStamp> packService(const Service& service, const PackList& list, const QString& path,
                                            const std::optional<FileStamp>& expected,
                                            const ByteProgress& progress = {});

/// What came with a packed service.
struct UnpackedMedia {
    int added = 0;   ///< files that were not there
    int already = 0; ///< files that were there already
};
/// Brings the media of a packed service into the library, each once by its content, and its fonts into
/// `fontFolder`. A file with anything unsafe in it is refused before anything is written.
[[nodiscard]] Result<UnpackedMedia> bringInMedia(const QString& path, MediaFiles& media,
                                                 const QString& fontFolder);
/// Unpacks to a folder: the service without its media, media/ and fonts/. Refuses, writing nothing, when the
/// file is unsafe or damaged or when something of the same name is there. The path of the service file.
[[nodiscard]] Result<QString> unpackService(const QString& path, const QString& folder);

} // namespace mivanta
