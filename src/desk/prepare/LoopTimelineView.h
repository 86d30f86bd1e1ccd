// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/timing/LoopPlan.h"
#include <QAbstractScrollArea>

namespace mivanta {

/// A loop as it goes by: each showing as a block on a line of time, with its begin and end and what follows.
/// From the whole of it down to one round; the wheel with Ctrl, + and - change that.
class LoopTimelineView : public QAbstractScrollArea {
    Q_OBJECT
public:
    explicit LoopTimelineView(QWidget* parent = nullptr);

    /// What blocks are called and what comes at the end, for people.
    struct Names {
        QStringList members; ///< like the plan's
        QString follows;     ///< empty = nothing comes by itself
    };
    void setPlan(const LoopPlan& plan, const Names& names);
    /// 0 = the whole of it, 1 = one round.
    void setZoom(double zoom);
    [[nodiscard]] double zoom() const { return m_zoom; }
    /// Where a preview is, ms; nothing = none is.
    void setPlayed(std::optional<qint64> ms);
    [[nodiscard]] QSize sizeHint() const override;

Q_SIGNALS:
    void zoomChanged(double zoom);
    void clicked(const mivanta::LoopStill& still);

protected:
    void paintEvent(QPaintEvent* event) override;
    void resizeEvent(QResizeEvent* event) override;
    void mouseReleaseEvent(QMouseEvent* event) override;
    void wheelEvent(QWheelEvent* event) override;
    void keyPressEvent(QKeyEvent* event) override;
    bool viewportEvent(QEvent* event) override; ///< tool tips

private:
    [[nodiscard]] qint64 length() const; ///< ms that are drawn
    [[nodiscard]] double perMs() const;  ///< px
    [[nodiscard]] int xOf(qint64 ms) const;
    [[nodiscard]] int showingAt(QPoint at) const;
    [[nodiscard]] QString timeText(qint64 ms) const;
    [[nodiscard]] QRect lane() const;
    void follow();
    void paintBlocks(QPainter& painter) const;
    void paintTimes(QPainter& painter) const;
    void paintEnd(QPainter& painter) const;

    LoopPlan m_plan;
    Names m_names;
    double m_zoom = 0;
    std::optional<qint64> m_played;
};

} // namespace mivanta
