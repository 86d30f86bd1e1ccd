// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "media/PictureProxies.h"
#include <QHash>
#include <atomic>

namespace mivanta {

/// Pictures from a disk that may be slow or hang: each is fetched on a thread of its own, and whoever asks
/// waits for so long and no longer. Any thread.
class PicturesInTime {
public:
    /// `patience`: ms.
    PicturesInTime(std::shared_ptr<PictureProxies> proxies, int patience);
    ~PicturesInTime();

    /// As PictureProxies::picture(); when it does not come in time, null, with `late` set. It is fetched on,
    /// and there when it is asked for later.
    [[nodiscard]] QImage picture(const QString& name, QSize size, std::atomic<bool>& late);

    /// picture() as a function that keeps both alive; an empty one without pictures.
    using Late = std::shared_ptr<std::atomic<bool>>;
    [[nodiscard]] static PictureProxies::Loader loader(std::shared_ptr<PicturesInTime> pictures, Late late);

private:
    struct Fetch;
    [[nodiscard]] std::shared_ptr<Fetch> fetchOf(const QString& name, QSize size);

    std::shared_ptr<PictureProxies> m_proxies;
    int m_patience;
    QMutex m_lock;
    QHash<QString, std::shared_ptr<Fetch>> m_fetching;
};

} // namespace mivanta
