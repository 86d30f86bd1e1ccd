// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/song/Song.h"
#include <QWidget>

namespace mivanta {

/// One part of a song to read: its name at the side, its words on paper, chords above them.
class PartCard : public QWidget {
    Q_OBJECT
public:
    explicit PartCard(Part part, QWidget* parent = nullptr);
    [[nodiscard]] QSize sizeHint() const override;
    [[nodiscard]] QSize minimumSizeHint() const override { return {narrowest(), sizeHint().height()}; }
    [[nodiscard]] bool hasHeightForWidth() const override { return true; }
    [[nodiscard]] int heightForWidth(int width) const override;

protected:
    void paintEvent(QPaintEvent* event) override;

private:
    [[nodiscard]] static int narrowest();
    /// Lays the lines out, painting them when there is a painter. Returns the height that they take.
    int layOut(int width, QPainter* painter) const;
    int layOutLine(const Line& line, int left, int top, int width, QPainter* painter) const;

    Part m_part;
};

} // namespace mivanta
