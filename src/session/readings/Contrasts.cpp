// SPDX-License-Identifier: GPL-3.0-or-later
#include "session/readings/Contrasts.h"
#include "link/SceneCodec.h"
#include "media/PictureProxies.h"
#include "render/LegibilityMeasure.h"
#include <sys/resource.h>

namespace mivanta {

namespace {
constexpr int kMostKnown = 20'000; // slides
constexpr int kSoonMs = 80;
constexpr int kNice = 10;
} // namespace

Contrasts::Contrasts(QObject* parent) : QObject(parent), m_known(kMostKnown) {
    m_soon.setSingleShot(true);
    m_soon.setInterval(kSoonMs);
    connect(&m_soon, &QTimer::timeout, this, &Contrasts::measured);
}

void Contrasts::setPictures(const QString& folder, const QString& cacheFolder) {
    m_pictures = std::make_shared<PictureProxies>(folder, cacheFolder);
    m_known.clear();
}

void Contrasts::forget() {
    m_known.clear();
    m_soon.start();
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
    const RenderSources sources{PictureProxies::loader(m_pictures), {}, PictureProxies::lengths(m_pictures)};
    m_worker.run(
        this,
        [scene, light, sources] {
            setpriority(PRIO_PROCESS, 0, kNice); // Linux: of this thread, which does nothing else
            return measuredContrast(scene, light, sources);
        },
        [this, key](double contrast) { keep(key, contrast); }, urgency == Urgency::Seen ? 1 : 0);
    return std::nullopt;
}

void Contrasts::keep(const QByteArray& key, double contrast) {
    m_measuring.remove(key);
    m_known.insert(key, new double(contrast));
    if (!m_soon.isActive())
        m_soon.start();
}

} // namespace mivanta

#include "moc_Contrasts.cpp"
