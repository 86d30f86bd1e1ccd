// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/run/Cards.h"
#include <QWidget>

namespace mivanta {

/// A row, or several, of the parts of an item in the order in which they come.
class Chips : public QWidget {
    Q_OBJECT
public:
    explicit Chips(QWidget* parent = nullptr);
    void setChips(std::vector<PartChip> chips);
    [[nodiscard]] QSize sizeHint() const override;
    [[nodiscard]] bool hasHeightForWidth() const override { return true; }
    [[nodiscard]] int heightForWidth(int width) const override;

    /// Draws chips into an area on one line; returns the x behind the last one. What does not fit is counted.
    static int paintLine(QPainter& painter, const QRect& area, const std::vector<PartChip>& chips,
                         const QColor& line, const QColor& text);

protected:
    void paintEvent(QPaintEvent* event) override;

private:
    [[nodiscard]] std::vector<QRect> layoutFor(int width) const;
    std::vector<PartChip> m_chips;
};

} // namespace mivanta
