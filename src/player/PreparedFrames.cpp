// SPDX-License-Identifier: GPL-3.0-or-later
#include "player/PreparedFrames.h"
#include "link/FrameBoard.h"
#include "link/SceneCodec.h"
#include "render/SceneRenderer.h"
#include <QPainter>
#include <sys/resource.h>

namespace mivanta {

namespace {

constexpr int kAheadNice = 15;
constexpr qsizetype kMostFrames = 24; // 8 MB each at 1080p

FramePtr drawn(const Scene& scene, QSize size, const QByteArray& key) {
    auto frame = std::make_shared<Frame>();
    frame->key = key;
    const QSize small = scene.size.scaled(FrameBoard::kWidth, FrameBoard::kHeight, Qt::KeepAspectRatio);
    if (size.isEmpty()) {
        frame->small = renderScene(scene, small);
        return frame;
    }
    const QImage picture = renderScene(scene, size);
    frame->small = picture.scaled(small, Qt::IgnoreAspectRatio, Qt::SmoothTransformation)
                       .convertToFormat(QImage::Format_ARGB32_Premultiplied);
    // On a screen there is only black behind a see-through picture.
    frame->full = QImage(size, QImage::Format_RGB32);
    frame->full.fill(Qt::black);
    QPainter painter(&frame->full);
    painter.drawImage(0, 0, picture);
    return frame;
}

} // namespace

PreparedFrames::PreparedFrames(QObject* parent) : QObject(parent) {
    m_ahead.setMaxThreadCount(1);
    m_urgent.setMaxThreadCount(2);
}

PreparedFrames::~PreparedFrames() {
    m_ahead.clear();
    m_ahead.waitForDone();
    m_urgent.waitForDone();
}

QByteArray PreparedFrames::keyOf(const Scene& scene, QSize size) {
    return sceneKey(scene) + QByteArray::number(size.width()) + 'x' + QByteArray::number(size.height());
}

FramePtr PreparedFrames::get(const Scene& scene, QSize size) {
    const QByteArray key = keyOf(scene, size);
    const auto known = m_frames.constFind(key);
    if (known == m_frames.constEnd()) {
        draw(scene, size, key, Urgency::Now);
        return {};
    }
    m_oldestFirst.removeOne(key);
    m_oldestFirst << key;
    return *known;
}

void PreparedFrames::prepare(const Scene& scene, QSize size) {
    const QByteArray key = keyOf(scene, size);
    if (!m_frames.contains(key))
        draw(scene, size, key, Urgency::WhenThereIsTime);
}

void PreparedFrames::draw(const Scene& scene, QSize size, const QByteArray& key, Urgency urgency) {
    const auto drawing = m_drawing.constFind(key);
    if (drawing != m_drawing.constEnd() && *drawing >= urgency)
        return;
    m_drawing[key] = urgency;
    QThreadPool& pool = urgency == Urgency::Now ? m_urgent : m_ahead;
    pool.start([this, scene, size, key, urgency] {
        // Drawing ahead gives way to painting and to the desks. (Linux: "0" is the calling thread.)
        if (urgency == Urgency::WhenThereIsTime)
            setpriority(PRIO_PROCESS, 0, kAheadNice);
        FramePtr frame = drawn(scene, size, key);
        QMetaObject::invokeMethod(
            this, [this, frame] { finished(frame); }, Qt::QueuedConnection);
    });
}

void PreparedFrames::finished(const FramePtr& frame) {
    m_drawing.remove(frame->key);
    if (!m_frames.contains(frame->key)) {
        m_frames.insert(frame->key, frame);
        m_oldestFirst << frame->key;
        while (m_oldestFirst.size() > kMostFrames)
            m_frames.remove(m_oldestFirst.takeFirst());
    }
    Q_EMIT ready(frame);
}

} // namespace mivanta
