// SPDX-License-Identifier: GPL-3.0-or-later
#include "player/LiveLook.h"
#include <algorithm>

namespace mivanta {

namespace {

constexpr int kEveryMs = 150;

/// Smooth, and not at the cost of all of its pixels.
QImage smallOne(const QImage& picture) {
    const QSize size = picture.size().scaled(message::LivePicture::kLargest, Qt::KeepAspectRatio);
    if (size.width() >= picture.width())
        return picture.copy();
    return picture.scaled(size * 2, Qt::IgnoreAspectRatio, Qt::FastTransformation)
        .scaled(size, Qt::IgnoreAspectRatio, Qt::SmoothTransformation);
}

} // namespace

LiveLook::LiveLook(Films& films, QObject* parent) : QObject(parent), m_films(films) {
    m_ticks.setInterval(kEveryMs);
    connect(&m_ticks, &QTimer::timeout, this, &LiveLook::tell);
}

void LiveLook::set(const std::vector<LiveInputId>& inputs) {
    std::vector<Looked> looked;
    for (const LiveInputId& input : inputs)
        looked.push_back({input, m_films.open(liveFilm(input))});
    m_looked = std::move(looked);
    if (m_looked.empty())
        m_ticks.stop();
    else
        m_ticks.start();
}

void LiveLook::tell() {
    for (Looked& each : m_looked) {
        const FilmPicture now = each.film->picture();
        if (now.number == std::exchange(each.number, now.number) || now.image.isNull())
            continue;
        Q_EMIT made({each.input, smallOne(now.image)});
    }
}

} // namespace mivanta

#include "moc_LiveLook.cpp"
