// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/parts/ThumbnailStore.h"
#include "link/SceneCodec.h"
#include "media/PictureProxies.h"
#include "render/SceneRenderer.h"

namespace mivanta {

namespace {
constexpr int kMostKib = 96 * 1024;
}

ThumbnailStore::ThumbnailStore(QObject* parent) : QObject(parent), m_pictures(kMostKib) {
    m_pool.setMaxThreadCount(1);
}

ThumbnailStore::~ThumbnailStore() {
    m_pool.clear();
    m_pool.waitForDone();
}

void ThumbnailStore::setPictures(const QString& folder, const QString& cacheFolder) {
    m_proxies = std::make_shared<PictureProxies>(folder, cacheFolder);
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
    const RenderSources sources{PictureProxies::loader(m_proxies)};
    m_pool.start([this, scene, size, key, sources] {
        const QImage image = renderScene(scene, size, sources);
        QMetaObject::invokeMethod(
            this,
            [this, image, key] {
                m_drawing.remove(key);
                m_pictures.insert(key, new QPixmap(QPixmap::fromImage(image)),
                                  int(image.sizeInBytes() / 1024) + 1);
                Q_EMIT ready();
            },
            Qt::QueuedConnection);
    });
    return {};
}

} // namespace mivanta
