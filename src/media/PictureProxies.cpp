// SPDX-License-Identifier: GPL-3.0-or-later
#include "media/PictureProxies.h"
#include "core/base/MediaName.h"
#include "core/base/Said.h"
#include "core/live/LiveInput.h"
#include "media/FilmLook.h"
#include <QDir>
#include <QFileInfo>
#include <QImageReader>
#include <QSaveFile>
#include <array>
#include <cmath>
#include <vips/vips.h>

namespace mivanta {

using namespace Qt::StringLiterals;

namespace {

constexpr int kKnownKb = 96 * 1024;
constexpr qint64 kMostBytesInPasses = 600LL * 1000 * 1000; ///< of a picture that is not read row by row
constexpr int kPatienceMs =
    700; // more than nearly every picture takes; then the disk of another one may hang
constexpr double kLongest = 2.5; // times the screen's width, of a picture much wider than the screen
constexpr int kJpegQuality = 92;

// What proxies are made for; a picture asked for at any size gets the next larger one.
constexpr std::array kCovered{QSize(480, 270), QSize(1920, 1080), QSize(3840, 2160)};

/// Frees what the C library hands out.
struct Unref {
    void operator()(VipsImage* image) const { g_object_unref(image); }
};
using Picture = std::unique_ptr<VipsImage, Unref>;

bool startVips() {
    static const bool started = [] {
        if (VIPS_INIT("mivanta") != 0)
            return false;
        vips_concurrency_set(1); // the other core is for painting
        vips_cache_set_max(0);
        return true;
    }();
    return started;
}

QString lastError() {
    QString text = QString::fromUtf8(vips_error_buffer()).simplified();
    vips_error_clear();
    return text;
}

/// Only readers of pictures that cameras and drawing programs make; others are not worth their risk.
bool isPictureReader(const char* reader) {
    const QString name = QString::fromLatin1(reader ? reader : "");
    for (const char* known : {"Jpeg", "Png", "Webp", "Nsgif", "Tiff", "Heif", "Spng"})
        if (name.contains(QLatin1String("Load") + QLatin1String(known), Qt::CaseInsensitive))
            return true;
    return false;
}

tl::unexpected<Error> noPicture(const QString& why, const QString& path) {
    return failure(Said::tr("this is no picture that can be shown: %1")
                       .arg((why.isEmpty() ? Said::tr("it is damaged") : why)),
                   path, Said::tr("Save it as JPEG or PNG and bring that in."));
}

Result<Picture> opened(const QString& path) {
    if (!startVips())
        return failure(lastError(), path);
    const QByteArray name = QFile::encodeName(path);
    if (!isPictureReader(vips_foreign_find_load(name.constData()))) {
        static_cast<void>(lastError());
        return noPicture(
            QFileInfo::exists(path) ? Said::tr("it is of another kind") : Said::tr("it is not there"), path);
    }
    Picture image(vips_image_new_from_file(name.constData(), "access", VIPS_ACCESS_SEQUENTIAL, nullptr));
    if (!image)
        return noPicture(lastError(), path);
    const qint64 pixels = qint64(vips_image_get_width(image.get())) * vips_image_get_height(image.get());
    if (pixels <= 0 || pixels > kMostPixels)
        return noPicture(Said::tr("it has %1 million pixels").arg(pixels / 1'000'000), path);
    // One that comes in several passes is in memory as a whole before its first row is known.
    const bool isInPasses = vips_image_get_typeof(image.get(), "interlaced") != 0 ||
                            vips_image_get_typeof(image.get(), "jpeg-multiscan") != 0;
    const qint64 bytes = pixels * qint64(VIPS_IMAGE_SIZEOF_PEL(image.get()));
    if (isInPasses && bytes > kMostBytesInPasses)
        return noPicture(Said::tr("it would take %1 MB of memory").arg(bytes / 1'000'000), path);
    return image;
}

/// Decodes all of it, in small, and fails where it is cut off or damaged.
Result<void> decodesWhole(const QString& path) {
    constexpr int kSmall = 32;
    VipsImage* out = nullptr;
    if (vips_thumbnail(QFile::encodeName(path).constData(), &out, kSmall, "fail_on", VIPS_FAIL_ON_TRUNCATED,
                       nullptr) != 0)
        return noPicture(lastError(), path);
    const Picture thumbnail(out);
    size_t length = 0;
    const std::unique_ptr<void, decltype(&g_free)> data(vips_image_write_to_memory(thumbnail.get(), &length),
                                                        &g_free);
    if (!data)
        return noPicture(lastError(), path);
    return {};
}

QSize sizeOf(VipsImage* image) {
    const QSize size(vips_image_get_width(image), vips_image_get_height(image));
    return vips_image_get_orientation_swap(image) ? size.transposed() : size;
}

/// Large enough to cover, never larger than the picture, and of a bounded length.
QSize proxySize(QSize picture, QSize covered) {
    double scale =
        std::max(double(covered.width()) / picture.width(), double(covered.height()) / picture.height());
    scale = std::min({scale, 1.0, kLongest * covered.width() / picture.width(),
                      kLongest * covered.width() / picture.height()});
    return {std::max(1, int(std::lround(picture.width() * scale))),
            std::max(1, int(std::lround(picture.height() * scale)))};
}

/// Decoded and scaled as it streams past.
QImage scaled(const QString& path, QSize size) {
    VipsImage* out = nullptr;
    if (vips_thumbnail(QFile::encodeName(path).constData(), &out, size.width(), "height", size.height(),
                       "size", VIPS_SIZE_FORCE, nullptr) != 0) {
        qWarning("a picture could not be read: %s", qPrintable(lastError()));
        return {};
    }
    Picture thumbnail(out);
    VipsImage* rgb = nullptr;
    if (vips_colourspace(thumbnail.get(), &rgb, VIPS_INTERPRETATION_sRGB, nullptr) != 0)
        return {};
    Picture colours(rgb);
    VipsImage* bytes = nullptr;
    if (vips_cast_uchar(colours.get(), &bytes, nullptr) != 0)
        return {};
    Picture flat(bytes);
    size_t length = 0;
    const std::unique_ptr<void, decltype(&g_free)> data(vips_image_write_to_memory(flat.get(), &length),
                                                        &g_free);
    if (!data) {
        qWarning("a picture is broken: %s", qPrintable(lastError()));
        return {};
    }
    const int width = vips_image_get_width(flat.get());
    const int height = vips_image_get_height(flat.get());
    const int bands = vips_image_get_bands(flat.get());
    if (bands != 3 && bands != 4)
        return {};
    const auto format = bands == 3 ? QImage::Format_RGB888 : QImage::Format_RGBA8888;
    return QImage(static_cast<const uchar*>(data.get()), width, height, qsizetype(width) * bands, format)
        .convertToFormat(bands == 3 ? QImage::Format_RGB32 : QImage::Format_ARGB32_Premultiplied);
}

QImage loaded(const QString& path) {
    QImageReader reader(path);
    const QImage image = reader.read();
    return image.isNull()
               ? image
               : image.convertToFormat(image.hasAlphaChannel() ? QImage::Format_ARGB32_Premultiplied
                                                               : QImage::Format_RGB32);
}

} // namespace

Result<PictureFacts> lookAtPicture(const QString& path) {
    const auto image = opened(path);
    if (!image)
        return tl::unexpected(image.error());
    return PictureFacts{sizeOf(image->get()), bool(vips_image_hasalpha(image->get()))};
}

Result<void> checkPicture(const QString& path) {
    const auto facts = lookAtPicture(path);
    return facts ? decodesWhole(path) : tl::unexpected(facts.error());
}

PictureProxies::PictureProxies(const QString& pictureFolder, QString cacheFolder, qint64 mostCacheBytes)
    : PictureProxies([pictureFolder](const QString& name) { return mediaPath(pictureFolder, name); },
                     std::move(cacheFolder), mostCacheBytes) {}

PictureProxies::PictureProxies(PathOf pathOf, QString cacheFolder, qint64 mostCacheBytes)
    : m_pathOf(std::move(pathOf)),
      m_cache(std::move(cacheFolder)),
      m_mostCacheBytes(mostCacheBytes),
      m_known(kKnownKb) {}

PictureProxies::Loader PictureProxies::loader(std::shared_ptr<PictureProxies> proxies) {
    if (!proxies)
        return {};
    return [proxies = std::move(proxies)](const QString& name, QSize size) {
        return proxies->picture(name, size);
    };
}

PictureProxies::Lengths PictureProxies::lengths(std::shared_ptr<PictureProxies> proxies) {
    if (!proxies)
        return {};
    return [proxies = std::move(proxies)](const QString& name) { return proxies->filmLength(name); };
}

double PictureProxies::filmLength(const QString& name) {
    const QString path = m_pathOf(name);
    if (path.isEmpty())
        return 0;
    {
        const QMutexLocker lock(&m_knownLock);
        if (const auto known = m_lengths.constFind(name); known != m_lengths.constEnd())
            return *known;
    }
    const auto facts = lookAtFilm(path);
    const QMutexLocker lock(&m_knownLock);
    return m_lengths[name] = facts ? facts->seconds : 0;
}

namespace {
QSize coveredFor(QSize size) {
    QSize covered = kCovered.back();
    for (auto each = kCovered.rbegin(); each != kCovered.rend(); ++each)
        if (each->width() >= size.width() && each->height() >= size.height())
            covered = *each;
    return covered;
}
} // namespace

QString PictureProxies::proxyPathOf(const QString& name, QSize covered) const {
    const auto moment = filmMomentOf(name);
    return m_pathOf(moment ? moment->film : name).isEmpty()
               ? QString()
               : u"%1/%2-%3"_s.arg(m_cache, name).arg(covered.width());
}

QImage PictureProxies::knownAt(const QString& proxyPath) {
    const QMutexLocker lock(&m_knownLock);
    const QImage* image = m_known.object(proxyPath);
    return image ? *image : QImage();
}

QImage PictureProxies::knownPicture(const QString& name, QSize size) {
    return knownAt(proxyPathOf(name, coveredFor(size)));
}

QString livePicturePath(const QString& cacheFolder, const QString& input) {
    const LiveInputId id = LiveInputId::fromText(input); // nothing else is part of a path
    return id.isNull() ? QString() : u"%1/live-%2.jpg"_s.arg(cacheFolder, id.text());
}

QImage PictureProxies::picture(const QString& name, QSize size) {
    if (const QString input = livePictureOf(name); !input.isEmpty())
        return QImage(livePicturePath(m_cache, input)); // another one every minute: never kept in memory
    const QSize covered = coveredFor(size);
    const QString proxyPath = proxyPathOf(name, covered);
    if (proxyPath.isEmpty())
        return {};
    if (QImage image = knownAt(proxyPath); !image.isNull())
        return image;
    const bool isAlone = m_making.tryAcquire(1, kPatienceMs);
    const QSemaphoreReleaser release(isAlone ? &m_making : nullptr);
    if (QImage image = knownAt(proxyPath); !image.isNull()) // made while waiting
        return image;
    QImage image = loaded(proxyPath);
    if (image.isNull()) {
        image = made(name, covered, proxyPath);
        // The first time shows the very same as every later one, though keeping it lost a little.
        if (const QImage kept = loaded(proxyPath); !kept.isNull())
            image = kept;
    }
    if (image.isNull())
        return image;
    const QMutexLocker lock(&m_knownLock);
    m_known.insert(proxyPath, new QImage(image), std::max<qsizetype>(1, image.sizeInBytes() / 1024));
    return image;
}

namespace {

Result<QImage> pictureCovering(const QString& path, QSize covered) {
    const auto facts = lookAtPicture(path);
    if (!facts)
        return tl::unexpected(facts.error());
    return scaled(path, proxySize(facts->size, covered));
}

} // namespace

QImage PictureProxies::made(const QString& name, QSize covered, const QString& proxyPath) {
    const auto moment = filmMomentOf(name);
    const auto image = moment ? pictureOfFilm(m_pathOf(moment->film), moment->seconds, covered)
                              : pictureCovering(m_pathOf(name), covered);
    if (!image) {
        qWarning("%s", qPrintable(image.error().text()));
        return {};
    }
    QDir().mkpath(m_cache);
    QSaveFile file(proxyPath); // a cache that cannot be written only costs time
    if (!image->isNull() && file.open(QIODevice::WriteOnly) &&
        image->save(&file, image->hasAlphaChannel() ? "PNG" : "JPEG",
                    image->hasAlphaChannel() ? -1 : kJpegQuality) &&
        file.commit())
        trimCache();
    return *image;
}

void PictureProxies::trimCache() const {
    qint64 bytes = 0;
    for (const QFileInfo& file : QDir(m_cache).entryInfoList(QDir::Files, QDir::Time)) { // newest first
        bytes += file.size();
        if (bytes > m_mostCacheBytes)
            QFile::remove(file.filePath());
    }
}

} // namespace mivanta
