// SPDX-License-Identifier: GPL-3.0-or-later
#include "media/PicturesInTime.h"
#include <QElapsedTimer>
#include <QWaitCondition>
#include <thread>

namespace mivanta {

/// Shared with its thread, which nobody waits for: it may hang for as long as the disk does.
struct PicturesInTime::Fetch {
    QMutex lock;
    QWaitCondition isDone;
    bool done = false;
    QImage image;
    QElapsedTimer since;
};

PicturesInTime::PicturesInTime(std::shared_ptr<PictureProxies> proxies, int patience)
    : m_proxies(std::move(proxies)),
      m_patience(patience) {}

PicturesInTime::~PicturesInTime() = default;

PictureProxies::Loader PicturesInTime::loader(std::shared_ptr<PicturesInTime> pictures, Late late) {
    if (!pictures)
        return {};
    return [pictures = std::move(pictures), late = std::move(late)](const QString& name, QSize size) {
        return pictures->picture(name, size, *late);
    };
}

std::shared_ptr<PicturesInTime::Fetch> PicturesInTime::fetchOf(const QString& name, QSize size) {
    const QString key = QStringLiteral("%1 %2x%3").arg(name).arg(size.width()).arg(size.height());
    const QMutexLocker lock(&m_lock);
    m_fetching.removeIf([&](const auto& entry) { // those that came after nobody waited any more
        const QMutexLocker done(&entry.value()->lock);
        return entry.value()->done && entry.key() != key;
    });
    if (const auto known = m_fetching.constFind(key); known != m_fetching.constEnd()) {
        const QMutexLocker done(&(*known)->lock);
        if (!(*known)->done)
            return *known;
    }
    auto fetch = std::make_shared<Fetch>();
    fetch->since.start();
    m_fetching.insert(key, fetch);
    std::thread([fetch, proxies = m_proxies, name, size] {
        QImage image = proxies->picture(name, size);
        const QMutexLocker lock(&fetch->lock);
        fetch->image = std::move(image);
        fetch->done = true;
        fetch->isDone.wakeAll();
    }).detach();
    return fetch;
}

QImage PicturesInTime::picture(const QString& name, QSize size, std::atomic<bool>& late) {
    if (QImage known = m_proxies->knownPicture(name, size); !known.isNull())
        return known;
    const auto fetch = fetchOf(name, size);
    const QMutexLocker lock(&fetch->lock);
    while (!fetch->done) {
        const qint64 left = m_patience - fetch->since.elapsed();
        if (left <= 0 || !fetch->isDone.wait(&fetch->lock, static_cast<unsigned long>(left)))
            break;
    }
    late = late || !fetch->done;
    return fetch->image;
}

} // namespace mivanta
