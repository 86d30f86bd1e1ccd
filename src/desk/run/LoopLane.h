// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "session/Session.h"
#include <QTimer>
#include <QWidget>

class QPushButton;

namespace mivanta {

/// The head of a loop on the Run desk, over the lanes of its members: its times, its line of time with the
/// place in it, and arming.
class LoopLane : public QWidget {
    Q_OBJECT
public:
    LoopLane(Session& session, const ItemId& loop, QWidget* parent = nullptr);
    [[nodiscard]] const ItemId& loop() const { return m_loop; }
    /// What stands at the right of its title.
    [[nodiscard]] QString facts() const;
    [[nodiscard]] QSize sizeHint() const override;

protected:
    void paintEvent(QPaintEvent* event) override;
    void mousePressEvent(QMouseEvent* event) override;
    void mouseDoubleClickEvent(QMouseEvent* event) override;
    void resizeEvent(QResizeEvent* event) override;

private:
    void refresh();
    void look();
    void paintPlace(QPainter& painter, const QRect& area) const;

    Session& m_session;
    ItemId m_loop;
    QPushButton* m_arm;
    QTimer m_ticks; ///< while it is armed
};

} // namespace mivanta
