// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/legibility/Legibility.h"
#include <QWidget>

namespace mivanta {

/// The hall seen from the side: the screen, the rows, and how large the letters arrive at the last one.
class HallView : public QWidget {
    Q_OBJECT
public:
    explicit HallView(QWidget* parent = nullptr);
    void setHall(const Output& output, const LetterHeights& letters);
    /// What the picture says, in words.
    [[nodiscard]] QString verdict() const;

    [[nodiscard]] QSize sizeHint() const override;

protected:
    void paintEvent(QPaintEvent* event) override;

private:
    void paintPerson(QPainter& painter, double x, double floor, double metre, bool isLast) const;

    Output m_output;
    LetterHeights m_letters;
    Legibility m_legibility;
};

} // namespace mivanta
