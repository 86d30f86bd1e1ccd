// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/run/Scene.h"
#include <QColor>
#include <QPainter>
#include <QPainterPath>
#include <QRawFont>
#include <QTextLayout>
#include <vector>

namespace mivanta {

[[nodiscard]] inline QColor toColor(const Colour& c) {
    return QColor(c.red, c.green, c.blue, c.alpha);
}

/// A box in shares of the picture, in px.
[[nodiscard]] inline QRectF onPicture(const QRectF& box, QSize size) {
    return {box.x() * size.width(), box.y() * size.height(), box.width() * size.width(),
            box.height() * size.height()};
}

/// The outlines of letters. Kept one by one: Qt fills many small paths several times faster than one
/// large path of the same letters.
using Letters = std::vector<QPainterPath>;

void fillLetters(QPainter& painter, const Letters& letters, const QColor& colour);
[[nodiscard]] QRectF boundsOf(const Letters& letters);

/// A sign that has colours of its own and no outline, as emoji have; placed by its baseline.
struct ColourSign {
    QRawFont font;
    quint32 glyph = 0;
    QPointF at;
};

/// Stretches of letters that are drawn for themselves: verse numbers and roles' names, and what stands out.
struct LetterKinds {
    Letters plain;
    Letters numbers;
    Letters emphasised;
    std::vector<ColourSign> signs;
};

void drawSigns(QPainter& painter, const std::vector<ColourSign>& signs);

/// One row of text laid out on a line of its own, in the direction that its letters ask for.
class RowLayout {
public:
    RowLayout(const QString& text, const QFont& font, const std::vector<Emphasis>& emphasis = {},
              const std::vector<NumberSpan>& numbers = {});

    [[nodiscard]] double width() const { return m_line.isValid() ? m_line.naturalTextWidth() : 0; }
    /// Distance of a character's leading edge from the row's left edge.
    [[nodiscard]] double edgeOf(int character) const {
        return m_line.isValid() ? m_line.cursorToX(character) : 0;
    }
    [[nodiscard]] bool isRightToLeft() const { return m_layout.text().isRightToLeft(); }
    /// Signs with colours of their own are left out.
    void addTo(Letters& letters, QPointF baseline) const;
    void addTo(LetterKinds& letters, QPointF baseline) const;

private:
    void addRange(Letters& letters, std::vector<ColourSign>& signs, QPointF baseline, int from, int to) const;

    QTextLayout m_layout;
    std::vector<Emphasis> m_emphasis;
    std::vector<NumberSpan> m_numbers;
    double m_raise = 0; ///< px
    QTextLine m_line;
};

/// The left edge of something so wide, aligned in a box.
[[nodiscard]] double leftEdge(const QRectF& box, double width, HorizontalAlign align);

/// "Left" means where a reader starts: on the right for a script written from there.
[[nodiscard]] HorizontalAlign readingAlign(HorizontalAlign align, bool rightToLeft);

} // namespace mivanta
