// SPDX-License-Identifier: GPL-3.0-or-later
#include "player/OutputPicture.h"
#include <algorithm>

namespace mivanta {

namespace {
constexpr int kTickMs = 16;
}

OutputPicture::OutputPicture(PreparedFrames& frames, QString name, QObject* parent)
    : QObject(parent),
      m_frames(frames),
      m_name(std::move(name)) {
    m_ticks.setTimerType(Qt::PreciseTimer);
    m_ticks.setInterval(kTickMs);
    connect(&m_ticks, &QTimer::timeout, this, &OutputPicture::tick);
    connect(&m_frames, &PreparedFrames::ready, this, &OutputPicture::ready);
}

void OutputPicture::show(const Scene& scene, quint64 take, bool cut) {
    m_scene = scene;
    m_take = take;
    m_cut = cut;
    m_wantedKey = PreparedFrames::keyOf(scene, m_size);
    if (const FramePtr frame = m_frames.get(scene, m_size))
        start(frame);
}

void OutputPicture::ready(const FramePtr& frame) {
    if (!m_wantedKey.isEmpty() && frame->key == m_wantedKey)
        start(frame);
}

void OutputPicture::start(const FramePtr& frame) {
    m_wantedKey.clear();
    const bool same = m_new && m_new->key == frame->key;
    const bool fades = !m_cut && !same && m_new && m_scene->look.transition.kind == TransitionKind::Fade &&
                       m_scene->look.transition.milliseconds > 0;
    if (same && m_fadeMs > 0)
        return; // it is turning up already; settled() follows at its end
    if (fades) {
        if (m_fadeMs > 0) { // a take during a fade goes on from what is seen
            auto seen = std::make_shared<Frame>(*m_new);
            if (!seen->full.isNull()) {
                QPainter painter(&seen->full);
                paint(painter, seen->full.rect());
            }
            seen->small = smallPicture();
            m_old = seen;
        } else {
            m_old = m_new;
        }
        m_fadeMs = m_scene->look.transition.milliseconds;
        m_fade.start();
        m_ticks.start();
    } else {
        m_old.reset();
        m_fadeMs = 0;
        m_ticks.stop();
    }
    m_new = frame;
    Q_EMIT changed();
    if (m_fadeMs == 0)
        Q_EMIT settled(m_take);
}

double OutputPicture::progress() const {
    return m_fadeMs <= 0 ? 1.0 : std::clamp(double(m_fade.elapsed()) / m_fadeMs, 0.0, 1.0);
}

void OutputPicture::tick() {
    const bool over = progress() >= 1.0;
    if (over) {
        m_fadeMs = 0;
        m_old.reset();
        m_ticks.stop();
    }
    Q_EMIT changed();
    if (over)
        Q_EMIT settled(m_take);
}

void OutputPicture::setSize(QSize size) {
    if (size == m_size)
        return;
    m_size = size;
    if (m_scene)
        show(*m_scene, m_take, true);
}

void OutputPicture::paint(QPainter& painter, const QRect& area) const {
    const auto draw = [&](const FramePtr& frame, double opacity) {
        painter.setOpacity(opacity);
        if (!frame || frame->full.isNull())
            painter.fillRect(area, Qt::black);
        else if (frame->full.size() == area.size())
            painter.drawImage(area.topLeft(), frame->full);
        else
            painter.drawImage(area, frame->full); // for the moment after the window's size changed
    };
    if (m_fadeMs > 0)
        draw(m_old, 1.0);
    draw(m_new, progress());
    painter.setOpacity(1.0);
}

QImage OutputPicture::smallPicture() const {
    if (!m_new || m_fadeMs == 0 || !m_old)
        return m_new ? m_new->small : QImage();
    QImage mixed(m_new->small.size(), QImage::Format_ARGB32_Premultiplied);
    mixed.fill(Qt::transparent);
    QPainter painter(&mixed);
    painter.setCompositionMode(QPainter::CompositionMode_Plus);
    painter.setOpacity(1.0 - progress());
    painter.drawImage(mixed.rect(), m_old->small);
    painter.setOpacity(progress());
    painter.drawImage(0, 0, m_new->small);
    return mixed;
}

} // namespace mivanta
