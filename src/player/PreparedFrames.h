// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/run/Scene.h"
#include <QHash>
#include <QImage>
#include <QList>
#include <QObject>
#include <QThreadPool>
#include <memory>

namespace mivanta {

/// A picture that is ready to be shown. Immutable once made.
struct Frame {
    QByteArray key;
    QImage full;  ///< opaque, as large as it is shown; null for an output without a window
    QImage small; ///< for the desks; see-through where the scene is
};
using FramePtr = std::shared_ptr<const Frame>;

/// Draws scenes on other threads and remembers the pictures used last. Lives on the GUI thread.
class PreparedFrames : public QObject {
    Q_OBJECT
public:
    explicit PreparedFrames(QObject* parent = nullptr);
    ~PreparedFrames() override;

    /// The picture of a scene at a size, or null; then it is drawn before others and ready() will tell.
    /// An empty size asks for the small picture only.
    [[nodiscard]] FramePtr get(const Scene& scene, QSize size);
    /// Has the picture drawn when there is time, unless it is there.
    void prepare(const Scene& scene, QSize size);

    [[nodiscard]] static QByteArray keyOf(const Scene& scene, QSize size);

Q_SIGNALS:
    void ready(const mivanta::FramePtr& frame);

private:
    enum class Urgency { WhenThereIsTime, Now };
    void draw(const Scene& scene, QSize size, const QByteArray& key, Urgency urgency);
    void finished(const FramePtr& frame);

    QThreadPool m_ahead;  ///< one thread: the other core is for painting
    QThreadPool m_urgent; ///< what is waited for
    QHash<QByteArray, FramePtr> m_frames;
    QList<QByteArray> m_oldestFirst;
    QHash<QByteArray, Urgency> m_drawing;
};

} // namespace mivanta
