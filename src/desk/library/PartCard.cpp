// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/library/PartCard.h"
#include "desk/parts/Style.h"
#include <QPainter>
#include <QTextLayout>

namespace mivanta {

namespace {

int sideWidth() {
    return spaced(22);
}
int margin() {
    return spaced(3);
}

} // namespace

PartCard::PartCard(Part part, QWidget* parent) : QWidget(parent), m_part(std::move(part)) {
    QSizePolicy policy(QSizePolicy::Expanding, QSizePolicy::Minimum);
    policy.setHeightForWidth(true);
    setSizePolicy(policy);
    QStringList words;
    for (const Line& line : m_part.lines)
        words << line.words;
    setAccessibleName(m_part.label());
    setAccessibleDescription(words.join(u'\n'));
}

int PartCard::narrowest() {
    return spaced(60);
}

QSize PartCard::sizeHint() const {
    return {spaced(120), heightForWidth(std::max(width(), narrowest()))};
}

int PartCard::heightForWidth(int width) const {
    return layOut(width, nullptr);
}

void PartCard::paintEvent(QPaintEvent*) {
    QPainter painter(this);
    const Palette& colours = day();
    const QRect sheet(sideWidth(), 0, width() - sideWidth(), height());
    painter.fillRect(sheet, colours.sheet);
    painter.fillRect(QRect(sheet.left(), 0, 3, height()), colours.accent);
    painter.setPen(colours.accent);
    painter.setFont(textFont(1.0, true));
    const QRect side(0, spaced(1.5), sideWidth() - spaced(2), height());
    const QString label = painter.fontMetrics().elidedText(m_part.label(), Qt::ElideRight, side.width());
    painter.drawText(side, Qt::AlignRight | Qt::AlignTop, label);
    painter.setPen(colours.quiet);
    painter.setFont(textFont(0.85));
    if (m_part.bandOnly)
        painter.drawText(side.adjusted(0, spaced(4.5), 0, 0), Qt::AlignRight | Qt::AlignTop, tr("band only"));
    layOut(width(), &painter);
}

int PartCard::layOut(int width, QPainter* painter) const {
    const int left = sideWidth() + margin();
    const int room = std::max(40, width - left - margin());
    int y = spaced(2);
    if (!m_part.comment.isEmpty())
        y = layOutLine(Line{{}, {}, false, m_part.comment}, left, y, room, painter);
    for (const Line& line : m_part.lines) {
        if (line.breakBefore) {
            if (painter) {
                painter->setPen(QPen(day().line, 1, Qt::DashLine));
                painter->drawLine(left, y + spaced(2.5), left + room, y + spaced(2.5));
                const QString text = tr("slide break");
                painter->setFont(textFont(0.85));
                const int wide = painter->fontMetrics().horizontalAdvance(text) + spaced(3);
                const QRect box(left + (room - wide) / 2, y, wide, spaced(5));
                painter->fillRect(box, day().sheet);
                painter->setPen(day().quiet);
                painter->drawText(box, Qt::AlignCenter, text);
            }
            y += spaced(5);
        }
        y = layOutLine(line, left, y, room, painter);
    }
    return std::max(y + spaced(2), spaced(10));
}

int PartCard::layOutLine(const Line& line, int left, int top, int width, QPainter* painter) const {
    const QFont font = textFont(1.1);
    const QFont chordFont = monoFont(0.95, true);
    const int chordHeight = QFontMetrics(chordFont).height();
    if (!line.comment.isEmpty()) {
        const QFont noteFont = [] {
            QFont f = textFont(0.95);
            f.setItalic(true);
            return f;
        }();
        if (painter) {
            painter->setFont(noteFont);
            painter->setPen(day().quiet);
            painter->drawText(QRect(left, top, width, spaced(5)), Qt::AlignLeft | Qt::AlignVCenter,
                              painter->fontMetrics().elidedText(line.comment, Qt::ElideRight, width));
        }
        top += spaced(5);
    }
    QTextLayout layout(line.words.isEmpty() ? QStringLiteral(" ") : line.words, font);
    layout.beginLayout();
    int y = top;
    double chordEnd = 0;
    const bool wordless = line.words.isEmpty();
    for (QTextLine row = layout.createLine(); row.isValid(); row = layout.createLine()) {
        row.setLineWidth(width);
        const bool last = row.textStart() + row.textLength() >= layout.text().size();
        bool any = false;
        chordEnd = 0;
        for (const ChordMark& chord : line.chords) {
            if (chord.position < row.textStart() ||
                (chord.position >= row.textStart() + row.textLength() && !last))
                continue;
            const double x = std::max(chordEnd, row.cursorToX(chord.position));
            any = true;
            chordEnd = x + QFontMetricsF(chordFont).horizontalAdvance(chord.name + u' ') +
                       (wordless ? spaced(3) : 0);
            if (painter) {
                painter->setFont(chordFont);
                painter->setPen(QColor(0x9A5200));
                painter->drawText(QPointF(left + x, y + QFontMetricsF(chordFont).ascent()), chord.name);
            }
        }
        y += any ? chordHeight : 0;
        row.setPosition(QPointF(0, y - top));
        if (!wordless || !any)
            y += int(row.height()) + 1;
    }
    layout.endLayout();
    if (painter && !wordless) {
        painter->setPen(day().text);
        layout.draw(painter, QPointF(left, top));
    }
    return y;
}

} // namespace mivanta
