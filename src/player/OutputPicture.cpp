// SPDX-License-Identifier: GPL-3.0-or-later
#include "player/OutputPicture.h"
#include <QDateTime>
#include <algorithm>
#include <utility>

namespace mivanta {

namespace {
constexpr int kTickMs = 16;
constexpr int kClockMs = 200; // so that a second is never missed by much
constexpr int kAgainMs = 1000;

bool isLive(const Scene& scene) {
    const auto& objects = scene.look.objects;
    return std::any_of(objects.begin(), objects.end(), [](const SlideObject& o) { return o.isLive(); }) ||
           std::any_of(scene.elsewhere.begin(), scene.elsewhere.end(), isLive);
}
} // namespace

OutputPicture::OutputPicture(PreparedFrames& frames, QString name, QObject* parent)
    : QObject(parent),
      m_frames(frames),
      m_name(std::move(name)) {
    m_ticks.setTimerType(Qt::PreciseTimer);
    m_ticks.setInterval(kTickMs);
    m_clock.setInterval(kClockMs);
    connect(&m_ticks, &QTimer::timeout, this, &OutputPicture::tick);
    connect(&m_clock, &QTimer::timeout, this, &OutputPicture::look);
    m_again.setSingleShot(true);
    m_again.setInterval(kAgainMs);
    connect(&m_again, &QTimer::timeout, this, [this] {
        if (m_scene && m_shown && m_shown->isLate && m_wantedKey.isEmpty())
            show(*m_scene, m_take, true);
    });
    connect(&m_frames, &PreparedFrames::ready, this, &OutputPicture::ready);
}

void OutputPicture::show(const Scene& scene, quint64 take, bool cut) {
    m_scene = scene;
    m_take = take;
    m_cut = cut;
    if (isLive(scene))
        m_clock.start();
    else
        m_clock.stop();
    const QDateTime now = QDateTime::currentDateTime();
    m_wantedKey = PreparedFrames::keyOf(scene, m_size, now);
    const FramePtr frame = m_frames.get(scene, m_size, now);
    m_wasReady = bool(frame);
    if (frame)
        start(frame);
}

/// A clock says something else now: the same scene has another picture.
void OutputPicture::look() {
    if (!m_scene || m_turning || !m_wantedKey.isEmpty() || !m_shown)
        return;
    const QDateTime now = QDateTime::currentDateTime();
    if (PreparedFrames::keyOf(*m_scene, m_size, now) != m_shown->key)
        show(*m_scene, m_take, true);
}

void OutputPicture::ready(const FramePtr& frame) {
    if (!m_wantedKey.isEmpty() && frame->key == m_wantedKey)
        start(frame);
}

void OutputPicture::start(const FramePtr& frame) {
    m_wantedKey.clear();
    const bool same = m_shown && m_shown->key == frame->key && m_shown->isLate == frame->isLate;
    if (frame->isLate)
        m_again.start();
    m_shownFact = shownOf(*m_scene);
    m_shownTake = m_take;
    if (same && m_turning) {
        Q_EMIT shownChanged();
        return; // it is turning up already; settled() follows at its end
    }
    // A take while one picture becomes another goes on from what is seen.
    const FramePtr from = m_turning ? m_turning->frozen(elapsed()) : m_shown;
    m_turning.reset();
    if (from && !same && !m_cut && bool(from->behind) == bool(frame->behind))
        m_turning.emplace(from, frame, m_scene->look.transition, m_scene->look.backdropTransition);
    if (m_turning && m_turning->duration() == 0)
        m_turning.reset();
    m_shown = frame;
    if (m_turning) {
        m_since.start();
        m_drawnAt = 0;
        m_ticks.start();
    } else {
        m_ticks.stop();
    }
    Q_EMIT changed({});
    Q_EMIT shownChanged();
    if (!m_turning)
        Q_EMIT settled(m_shownTake);
}

void OutputPicture::tick() {
    if (!m_turning)
        return;
    const int now = elapsed();
    const bool over = now >= m_turning->duration();
    const QRect part = m_turning->changedSince(std::exchange(m_drawnAt, now));
    if (over) {
        m_turning.reset();
        m_ticks.stop();
    }
    Q_EMIT changed(part);
    if (over)
        Q_EMIT settled(m_shownTake);
}

void OutputPicture::setSize(QSize size) {
    if (size == m_size)
        return;
    m_size = size;
    if (m_scene)
        show(*m_scene, m_take, true);
}

void OutputPicture::paint(QPainter& painter, const QRect& area) const {
    if (!m_shown || !m_shown->behind) {
        painter.fillRect(area, m_ground);
        return;
    }
    painter.save();
    QPoint origin = area.topLeft();
    const QSize size = m_shown->behind->image.size();
    if (size != area.size()) { // for the moment after the window's size changed
        painter.translate(origin);
        painter.scale(double(area.width()) / size.width(), double(area.height()) / size.height());
        origin = {};
    }
    if (m_turning) {
        m_turning->paint(painter, origin, elapsed());
    } else {
        painter.drawImage(origin, m_shown->behind->image);
        if (!m_shown->front.image.isNull())
            painter.drawImage(origin + m_shown->front.at, m_shown->front.image);
    }
    painter.restore();
}

QImage OutputPicture::smallPicture() const {
    if (m_turning)
        return m_turning->smallPicture(elapsed());
    return m_shown ? m_shown->small : QImage();
}

} // namespace mivanta
