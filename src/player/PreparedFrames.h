// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/run/Scene.h"
#include "media/PicturesInTime.h"
#include "player/Frame.h"
#include "render/RenderSources.h"
#include <QHash>
#include <QList>
#include <QObject>
#include <QThreadPool>
#include <deque>

namespace mivanta {

/// Draws scenes on other threads and remembers the pictures used last, and the backdrops apart from them.
/// Lives on the GUI thread.
class PreparedFrames : public QObject {
    Q_OBJECT
public:
    explicit PreparedFrames(QObject* parent = nullptr);
    ~PreparedFrames() override;

    /// Where pictures are; without it there are none.
    void setPictures(const QString& folder, const QString& cacheFolder);

    /// Draws everything anew from now on, as when files have come. What is on screen stays.
    void forget();

    /// The picture of a scene at a size, or null; then it is drawn before others and ready() will tell. What
    /// came without a picture that was late is not remembered.
    /// An empty size asks for the small picture only. Clocks show `now`.
    [[nodiscard]] FramePtr get(const Scene& scene, QSize size, const QDateTime& now = {});
    /// Has the picture drawn when there is time, unless it is there; one after the other.
    void prepare(const Scene& scene, QSize size);
    /// What still waits to be drawn ahead is not wanted any more.
    void prepareNoMore() { m_toPrepare.clear(); }
    [[nodiscard]] size_t waiting() const { return m_toPrepare.size(); }
    /// What the pictures that are remembered take, at most some 400 MB at 1080p.
    [[nodiscard]] qsizetype bytes() const;

    /// Equal for equal pictures; clocks and countdowns count by what they say.
    [[nodiscard]] static QByteArray keyOf(const Scene& scene, QSize size, const QDateTime& now = {});

Q_SIGNALS:
    void ready(const mivanta::FramePtr& frame);

private:
    enum class Urgency { WhenThereIsTime, Now };
    struct Job {
        Scene scene;
        QSize size;
        QByteArray key;
        QByteArray behindKey;
        BehindPtr behind; ///< null = to be drawn
        RenderSources sources;
        std::shared_ptr<std::atomic<bool>> isLate; ///< set while drawing
    };
    [[nodiscard]] static FramePtr drawn(const Job& job);
    void draw(const Scene& scene, QSize size, const QByteArray& key, const QDateTime& now, Urgency urgency);
    void finished(const FramePtr& frame);
    void prepareNext();

    QThreadPool m_ahead;  ///< one thread: the other core is for painting
    QThreadPool m_urgent; ///< what is waited for
    std::shared_ptr<PicturesInTime> m_pictures;
    QHash<QByteArray, FramePtr> m_frames;
    QList<QByteArray> m_oldestFirst;
    QHash<QByteArray, std::weak_ptr<const BehindLayer>> m_behind; ///< those that some frame holds
    QHash<QByteArray, Urgency> m_drawing;
    std::deque<std::pair<Scene, QSize>> m_toPrepare;
    bool m_isPreparing = false; ///< one of them is being drawn
};

} // namespace mivanta
