// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/run/Cards.h"
#include <QWidget>

namespace mivanta {

/// One slide of the open lane, large enough to read from a metre away. Amber slab: on screen. Amber outline:
/// taken, but a curtain hides it. Dashed outline: next. Dimmed: past. Words that do not fit are marked with
/// an ellipsis.
class LaneCard : public QWidget {
    Q_OBJECT
public:
    enum class State { Coming, Next, OnScreen, Covered, Past };

    LaneCard(const Card& card, QWidget* parent = nullptr);
    struct Mark {
        State state = State::Coming;
        int step = -1;          ///< that is shown or next, for the ticks
        bool holdsNext = false; ///< also when it is on screen
        QString cover{};        ///< name of the curtain over it
    };
    void setMark(const Mark& mark);
    [[nodiscard]] State state() const { return m_mark.state; }
    [[nodiscard]] const Card& card() const { return m_card; }
    /// The height that shows every line at this width, each wrapped to two rows at most.
    [[nodiscard]] int wantedHeight(int width) const;

Q_SIGNALS:
    void looked();
    void taken();

protected:
    void paintEvent(QPaintEvent* event) override;
    void mousePressEvent(QMouseEvent* event) override;
    void mouseDoubleClickEvent(QMouseEvent* event) override;

private:
    void paintTicks(QPainter& painter) const;
    [[nodiscard]] QString tag() const;
    [[nodiscard]] const CardVoice* voiceAt(size_t line) const;
    [[nodiscard]] QColor colourOf(size_t line, const QColor& words) const;

    Card m_card;
    Mark m_mark;
};

} // namespace mivanta
