// SPDX-License-Identifier: GPL-3.0-or-later
#include "session/readings/Contrasts.h"
#include "core/base/LeavableWork.h"
#include "link/SceneCodec.h"
#include "media/PictureProxies.h"
#include "render/LegibilityMeasure.h"
#include <QCoreApplication>
#include <QPointer>
#include <sys/resource.h>

namespace mivanta {

namespace {
constexpr int kMostKnown = 20'000; // slides
constexpr int kSoonMs = 80;
constexpr int kNice = 10;
constexpr int kLeftAfterMs = 1000;
} // namespace

Contrasts::Contrasts(QObject* parent)
    : QObject(parent),
      m_pool(std::make_unique<QThreadPool>()),
      m_known(kMostKnown) {
    m_pool->setMaxThreadCount(1);
    m_soon.setSingleShot(true);
    m_soon.setInterval(kSoonMs);
    connect(&m_soon, &QTimer::timeout, this, &Contrasts::measured);
}

Contrasts::~Contrasts() {
    m_pool->clear();
    // What hangs on a disk that does not answer is left to itself; it knows nothing of what goes here.
    if (!m_pool->waitForDone(kLeftAfterMs)) {
        static_cast<void>(m_pool.release());
        ++leftWorks();
    }
}

void Contrasts::setPictures(const QString& folder, const QString& cacheFolder) {
    m_pictures = std::make_shared<PictureProxies>(folder, cacheFolder);
    m_known.clear();
}

std::optional<double> Contrasts::of(const Scene& scene, RoomLight light, Urgency urgency) {
    if (scene.rows.empty())
        return contrastReached({});
    const QByteArray key = sceneKey(scene) + char('0' + int(light));
    if (const double* known = m_known.object(key))
        return *known;
    if (m_measuring.contains(key))
        return std::nullopt;
    m_measuring.insert(key);
    const RenderSources sources{PictureProxies::loader(m_pictures)};
    m_pool->start(
        [guard = QPointer<Contrasts>(this), scene, light, key, sources] {
            setpriority(PRIO_PROCESS, 0, kNice); // Linux: of this thread, which does nothing else
            const double contrast = measuredContrast(scene, light, sources);
            if (QCoreApplication* app = QCoreApplication::instance()) // lasts longer than anything here
                QMetaObject::invokeMethod(
                    app,
                    [guard, key, contrast] {
                        if (guard)
                            guard->keep(key, contrast);
                    },
                    Qt::QueuedConnection);
        },
        urgency == Urgency::Seen ? 1 : 0);
    return std::nullopt;
}

void Contrasts::keep(const QByteArray& key, double contrast) {
    m_measuring.remove(key);
    m_known.insert(key, new double(contrast));
    if (!m_soon.isActive())
        m_soon.start();
}

} // namespace mivanta
