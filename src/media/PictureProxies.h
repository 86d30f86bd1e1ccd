// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/base/Result.h"
#include <QCache>
#include <QImage>
#include <QMutex>
#include <QSemaphore>
#include <functional>
#include <memory>

namespace mivanta {

/// What is known of a picture without decoding it.
struct PictureFacts {
    QSize size; ///< px, upright
    bool hasAlpha = false;
};

/// Looks at a picture file: JPEG, PNG, WebP, GIF, TIFF or HEIF of at most `kMostPixels`. Any thread.
[[nodiscard]] Result<PictureFacts> lookAtPicture(const QString& path);
/// The same, once all of it was decoded: half a picture is none. It takes as long as that takes.
[[nodiscard]] Result<void> checkPicture(const QString& path);

inline constexpr qint64 kMostPixels = 400'000'000;

/// Pictures of a library's media folder, scaled to what screens need. Decoding is streamed, so that it costs
/// little more memory than the result; what was scaled once is kept in a cache on the disk, the oldest going
/// first when that grows beyond its limit. Any thread; a call may take a second the first time.
class PictureProxies {
public:
    PictureProxies(QString pictureFolder, QString cacheFolder, qint64 mostCacheBytes = 512LL << 20);

    /// The picture, at least as large as `size` in both directions or as large as it is; null when it is
    /// missing or broken.
    [[nodiscard]] QImage picture(const QString& name, QSize size);

    /// The same when it is in memory already, else null. Never waits for a disk.
    [[nodiscard]] QImage knownPicture(const QString& name, QSize size);

    /// picture() as a function that keeps the proxies alive; an empty one without them.
    using Loader = std::function<QImage(const QString& name, QSize size)>;
    [[nodiscard]] static Loader loader(std::shared_ptr<PictureProxies> proxies);

private:
    /// Where the copy for this size is kept; empty for what is no name of a picture.
    [[nodiscard]] QString proxyPathOf(const QString& name, QSize covered) const;
    [[nodiscard]] QImage knownAt(const QString& proxyPath);
    [[nodiscard]] QImage made(const QString& name, QSize covered, const QString& proxyPath);
    void trimCache() const;

    QString m_pictures;
    QString m_cache;
    qint64 m_mostCacheBytes;
    QMutex m_knownLock;
    QCache<QString, QImage> m_known; ///< by proxy path; cost in kB
    QSemaphore m_making{1}; ///< one at a time, so that memory stays bounded; more only while a disk hangs
};

/// Suffixes of the picture files that can be read, lower case.
[[nodiscard]] const QStringList& pictureSuffixes();

} // namespace mivanta
