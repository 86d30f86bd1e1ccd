// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/run/Scene.h"
#include <QCache>
#include <QHash>
#include <QObject>
#include <QPixmap>
#include <QThreadPool>
#include <memory>

namespace mivanta {

class PicturesInTime;

/// Small pictures of scenes, drawn on other threads and remembered. GUI thread.
class ThumbnailStore : public QObject {
    Q_OBJECT
public:
    explicit ThumbnailStore(QObject* parent = nullptr);
    ~ThumbnailStore() override;

    /// Where pictures are; without it there are none.
    void setPictures(const QString& folder, const QString& cacheFolder);
    /// Draws everything anew, as when files have come.
    void forget();
    /// The picture at a size in device px, or a null one; then ready() follows.
    [[nodiscard]] QPixmap get(const Scene& scene, QSize size);

Q_SIGNALS:
    void ready();

private:
    std::shared_ptr<PicturesInTime> m_source;
    QThreadPool m_pool;
    QCache<QByteArray, QPixmap> m_pictures; ///< cost in KiB
    QHash<QByteArray, bool> m_drawing;
};

} // namespace mivanta
