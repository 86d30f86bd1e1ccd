// SPDX-License-Identifier: GPL-3.0-or-later
#include "session/readings/ThumbnailStore.h"
#include "link/SceneCodec.h"
#include "media/PicturesInTime.h"
#include "render/SceneRenderer.h"
#include <QTimer>

namespace mivanta {

namespace {
constexpr int kMostKib = 96 * 1024;
constexpr int kPatienceMs = 1500; // with a disk that hangs; then a picture is drawn without its own
constexpr int kAgainMs = 2000;
} // namespace

ThumbnailStore::ThumbnailStore(QObject* parent) : QObject(parent), m_pictures(kMostKib) {
    m_pool.setMaxThreadCount(1);
}

ThumbnailStore::~ThumbnailStore() {
    m_pool.clear();
    m_pool.waitForDone();
}

void ThumbnailStore::setPictures(const QString& folder, const QString& cacheFolder) {
    m_source =
        std::make_shared<PicturesInTime>(std::make_shared<PictureProxies>(folder, cacheFolder), kPatienceMs);
    forget();
}

void ThumbnailStore::forget() {
    m_pictures.clear();
    Q_EMIT ready();
}

QPixmap ThumbnailStore::get(const Scene& scene, QSize size) {
    if (size.isEmpty())
        return {};
    const QByteArray key =
        sceneKey(scene) + QByteArray::number(size.width()) + 'x' + QByteArray::number(size.height());
    if (const QPixmap* known = m_pictures.object(key))
        return *known;
    if (m_drawing.contains(key))
        return {};
    m_drawing.insert(key, true);
    const auto late = std::make_shared<std::atomic<bool>>(false);
    const RenderSources sources{PicturesInTime::loader(m_source, late)};
    m_pool.start([this, scene, size, key, sources, late] {
        const QImage image = renderScene(scene, size, sources);
        QMetaObject::invokeMethod(
            this,
            [this, image, key, isLate = late->load()] {
                m_drawing.remove(key);
                m_pictures.insert(key, new QPixmap(QPixmap::fromImage(image)),
                                  int(image.sizeInBytes() / 1024) + 1);
                Q_EMIT ready();
                if (isLate)
                    QTimer::singleShot(kAgainMs, this, [this, key] {
                        m_pictures.remove(key);
                        Q_EMIT ready();
                    });
            },
            Qt::QueuedConnection);
    });
    return {};
}

} // namespace mivanta

#include "moc_ThumbnailStore.cpp"
