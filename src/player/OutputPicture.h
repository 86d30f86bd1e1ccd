// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "player/PreparedFrames.h"
#include <QElapsedTimer>
#include <QPainter>
#include <QTimer>

namespace mivanta {

/// What one output shows: a picture, or one turning into the next. Lives on the GUI thread; draws ready
/// pictures only.
class OutputPicture : public QObject {
    Q_OBJECT
public:
    OutputPicture(PreparedFrames& frames, QString name, QObject* parent = nullptr);

    /// Shows the scene as soon as its picture is ready; until then the one before stays.
    void show(const Scene& scene, quint64 take, bool cut);
    /// The size that pictures are drawn at, px; empty when there is no window.
    void setSize(QSize size);
    /// Draws what is shown now into the area. Black when there is nothing yet.
    void paint(QPainter& painter, const QRect& area) const;
    /// The small picture of what is shown now; null when there is nothing yet.
    [[nodiscard]] QImage smallPicture() const;
    [[nodiscard]] const QString& name() const { return m_name; }
    [[nodiscard]] const std::optional<Scene>& scene() const { return m_scene; }
    [[nodiscard]] QSize size() const { return m_size; }

Q_SIGNALS:
    void changed();             ///< draw it now
    void settled(quint64 take); ///< the take's picture is fully shown (after changed() was handled)

private:
    void ready(const FramePtr& frame);
    void start(const FramePtr& frame);
    void tick();
    [[nodiscard]] double progress() const;

    PreparedFrames& m_frames;
    QString m_name;
    QSize m_size;
    std::optional<Scene> m_scene; ///< wanted
    QByteArray m_wantedKey;       ///< empty when its picture is shown or turning up
    quint64 m_take = 0;
    bool m_cut = false;
    FramePtr m_old;
    FramePtr m_new;
    QElapsedTimer m_fade;
    int m_fadeMs = 0; ///< 0 = not turning
    QTimer m_ticks;
};

} // namespace mivanta
