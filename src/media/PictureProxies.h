// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/base/Result.h"
#include <QCache>
#include <QHash>
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

/// Where the picture that a live input gave lately is kept, in the folder of scaled pictures.
[[nodiscard]] QString livePicturePath(const QString& cacheFolder, const QString& input);

/// Pictures of a library's media folder, scaled to what screens need. Decoding is streamed, so that it costs
/// little more memory than the result; what was scaled once is kept in a cache on the disk, the oldest going
/// first when that grows beyond its limit. Any thread; a call may take a second the first time.
class PictureProxies {
public:
    PictureProxies(const QString& pictureFolder, QString cacheFolder,
                   qint64 mostCacheBytes = kUsualCacheBytes);
    /// Of files that lie elsewhere: where the one of a name does; empty = there is none. Called on any
    /// thread.
    using PathOf = std::function<QString(const QString& name)>;
    PictureProxies(PathOf pathOf, QString cacheFolder, qint64 mostCacheBytes = kUsualCacheBytes);

    /// The picture, the moment of a film (filmMomentName()) or what a live input gave lately, at least as
    /// large as `size` in both directions or as large as it is; null when it is missing or broken.
    [[nodiscard]] QImage picture(const QString& name, QSize size);

    /// The same when it is in memory already, else null. Never waits for a disk.
    [[nodiscard]] QImage knownPicture(const QString& name, QSize size);

    /// Of a film, seconds; 0 = it is not known. May take ten seconds the first time.
    [[nodiscard]] double filmLength(const QString& name);

    /// picture() as a function that keeps the proxies alive; an empty one without them.
    using Loader = std::function<QImage(const QString& name, QSize size)>;
    [[nodiscard]] static Loader loader(std::shared_ptr<PictureProxies> proxies);
    /// filmLength() likewise.
    using Lengths = std::function<double(const QString& name)>;
    [[nodiscard]] static Lengths lengths(std::shared_ptr<PictureProxies> proxies);

private:
    /// Where the copy for this size is kept; empty for what is no name of a picture.
    [[nodiscard]] QString proxyPathOf(const QString& name, QSize covered) const;
    [[nodiscard]] QImage knownAt(const QString& proxyPath);
    [[nodiscard]] QImage made(const QString& name, QSize covered, const QString& proxyPath);
    void trimCache() const;

    static constexpr qint64 kUsualCacheBytes = 512LL << 20;
    PathOf m_pathOf;
    QString m_cache;
    qint64 m_mostCacheBytes;
    QMutex m_knownLock;
    QCache<QString, QImage> m_known;  ///< by proxy path; cost in kB
    QHash<QString, double> m_lengths; ///< of films, seconds, by name; under the same lock
    QSemaphore m_making{1}; ///< one at a time, so that memory stays bounded; more only while a disk hangs
};

} // namespace mivanta
