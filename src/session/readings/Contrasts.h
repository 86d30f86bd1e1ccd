// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/legibility/Legibility.h"
#include "core/run/Scene.h"
#include "render/RenderSources.h"
#include "session/work/LeavableWorker.h"
#include <QCache>
#include <QObject>
#include <QSet>
#include <QTimer>

namespace mivanta {

class PictureProxies;

/// The contrast of slides, measured on their rendered pictures on another thread and kept. GUI thread.
class Contrasts : public QObject {
    Q_OBJECT
public:
    explicit Contrasts(QObject* parent = nullptr);
    /// Where pictures are; without it there are none.
    void setPictures(const QString& folder, const QString& cacheFolder);

    /// Pictures are others by now: what was measured is measured again when it is asked for.
    void forget();

    enum class Urgency { WhenThereIsTime, Seen };
    /// What measuredContrast() says; nothing while it is being measured, then measured() tells.
    [[nodiscard]] std::optional<double> of(const Scene& scene, RoomLight light,
                                           Urgency urgency = Urgency::Seen);
    [[nodiscard]] bool isMeasuring() const { return !m_measuring.isEmpty(); }

Q_SIGNALS:
    void measured(); ///< some of those that were asked for; at most a few times a second

private:
    void keep(const QByteArray& key, double contrast);

    LeavableWorker m_worker;
    std::shared_ptr<PictureProxies> m_pictures;
    QCache<QByteArray, double> m_known;
    QSet<QByteArray> m_measuring;
    QTimer m_soon;
};

} // namespace mivanta
