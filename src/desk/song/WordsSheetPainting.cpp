// SPDX-License-Identifier: GPL-3.0-or-later
// How the words' cards are drawn, and what lies at a height of them.
#include "core/song/Chords.h"
#include "desk/song/WordsMetrics.h"
#include "desk/song/WordsSheet.h"
#include <QAbstractTextDocumentLayout>
#include <QPainter>
#include <QScrollBar>
#include <QTextBlock>

namespace mivanta {

QRectF WordsSheet::blockArea(const QTextBlock& block) const {
    return document()->documentLayout()->blockBoundingRect(block).translated(-horizontalScrollBar()->value(),
                                                                             -verticalScrollBar()->value());
}

/// The first block of the part at the top of what is seen.
QTextBlock WordsSheet::firstSeen() const {
    QTextBlock block = cursorForPosition(QPoint(0, 0)).block();
    const auto partOf = [&](const QTextBlock& of) { return m_placeOf[size_t(of.blockNumber())].part; };
    if (block.blockNumber() >= int(m_placeOf.size()))
        return document()->begin();
    while (block.previous().isValid() && partOf(block.previous()) == partOf(block))
        block = block.previous();
    return block;
}

void WordsSheet::paintEvent(QPaintEvent* event) {
    {
        QPainter painter(viewport());
        paintCards(painter);
    }
    QTextEdit::paintEvent(event);
    QPainter painter(viewport());
    paintAbove(painter);
}

void WordsSheet::paintCards(QPainter& painter) {
    const Palette& colours = day();
    QTextBlock block = firstSeen();
    for (auto b = size_t(std::max(0, block.blockNumber())); b < m_placeOf.size() && block.isValid();) {
        const int p = m_placeOf[b].part;
        const Part& part = m_parts[size_t(p)];
        const QRectF first = blockArea(block);
        QRectF last = first;
        const double top = block.blockFormat().topMargin() - (p > 0 ? cardGap() : 0);
        for (; b < m_placeOf.size() && m_placeOf[b].part == p && block.isValid(); ++b, block = block.next())
            last = blockArea(block);
        const QRectF card(gutter(), first.top() - top, viewport()->width() - gutter(),
                          last.bottom() + cardPadding() - first.top() + top);
        if (card.bottom() < 0)
            continue;
        if (card.top() > viewport()->height())
            break;
        painter.fillRect(card, colours.sheet);
        painter.fillRect(QRectF(card.left(), card.top(), 3, card.height()),
                         part.bandOnly ? colours.quiet : colours.accent);
        const int wide = gutter() - spaced(3);
        painter.setFont(textFont(1.0, TextWeight::Bold));
        painter.setPen(colours.accent);
        const QRectF name(0, card.top() + cardPadding() / 2.0, wide, painter.fontMetrics().height());
        painter.drawText(name, Qt::AlignRight | Qt::AlignVCenter,
                         painter.fontMetrics().elidedText(part.label(), Qt::ElideRight, wide));
        painter.setFont(textFont(0.85));
        painter.setPen(colours.quiet);
        const QString note = part.bandOnly ? tr("band only") : m_notes.value(p);
        painter.drawText(name.translated(0, name.height()), Qt::AlignRight | Qt::AlignVCenter, note);
    }
}

void WordsSheet::paintAbove(QPainter& painter) {
    const Palette& colours = day();
    const QFont chordFont = monoFont(0.9, TextWeight::Bold);
    const QFontMetrics chordMetrics(chordFont);
    QTextBlock block = firstSeen();
    for (auto b = size_t(std::max(0, block.blockNumber())); b < m_placeOf.size() && block.isValid();
         ++b, block = block.next()) {
        const Line& line = *lineOf(int(b));
        const Part& part = m_parts[size_t(m_placeOf[b].part)];
        const QRectF area = blockArea(block);
        if (area.bottom() < 0)
            continue;
        if (area.top() - block.blockFormat().topMargin() > viewport()->height())
            break;
        const double left = gutter() + spaced(3);
        double above = area.top() - (line.chords.empty() ? 0 : chordRoom());
        const QString& comment =
            m_placeOf[b].line == 0 && line.comment.isEmpty() ? part.comment : line.comment;
        if (!comment.isEmpty()) {
            painter.setFont([] {
                QFont font = textFont(0.9);
                font.setItalic(true);
                return font;
            }());
            painter.setPen(colours.quiet);
            above -= commentRoom();
            painter.drawText(
                QRectF(left, above, viewport()->width() - left, commentRoom()), Qt::AlignVCenter,
                painter.fontMetrics().elidedText(comment, Qt::ElideRight, int(viewport()->width() - left)));
        }
        if (line.breakBefore) {
            const QString words = tr("slide break");
            painter.setFont(textFont(0.8));
            const double y = above - breakRoom() / 2.0;
            const double wide = painter.fontMetrics().horizontalAdvance(words) + spaced(3);
            const double middle = (left + viewport()->width()) / 2;
            painter.setPen(QPen(colours.line, 1, Qt::DashLine));
            painter.drawLine(QPointF(left, y), QPointF(middle - wide / 2, y));
            painter.drawLine(QPointF(middle + wide / 2, y), QPointF(viewport()->width() - spaced(3), y));
            painter.setPen(colours.quiet);
            painter.drawText(QRectF(middle - wide / 2, y - breakRoom() / 2.0, wide, breakRoom()),
                             Qt::AlignCenter, words);
        }
        double free = 0; // a chord never stands over the one before it
        double lastTop = -1;
        for (const ChordMark& chord : line.chords) {
            QTextCursor cursor(block);
            cursor.setPosition(block.position() + std::min(chord.position, int(block.length()) - 1));
            const QRect caret = cursorRect(cursor);
            if (caret.top() != lastTop)
                free = 0;
            lastTop = caret.top();
            const double x = std::max(free, double(caret.left()));
            painter.setFont(chordFont);
            painter.setPen(isChord(chord.name) ? colours.marker.darker(130)
                                               : colours.warning); // 4.5:1 on paper
            painter.drawText(QPointF(x, caret.top() - chordRoom() + chordMetrics.ascent()), chord.name);
            free = x + chordMetrics.horizontalAdvance(chord.name) + spaced(1);
        }
    }
}

int WordsSheet::breakAt(int y) const {
    QTextBlock block = firstSeen();
    for (auto b = size_t(std::max(0, block.blockNumber())); b < m_placeOf.size() && block.isValid();
         ++b, block = block.next()) {
        const double top = blockArea(block).top() - block.blockFormat().topMargin();
        if (top > y)
            break;
        if (lineOf(int(b))->breakBefore && y >= top && y < top + breakRoom())
            return int(b);
    }
    return -1;
}

int WordsSheet::partAt(int y) const {
    QTextBlock block = firstSeen();
    int part = 0;
    for (auto b = size_t(std::max(0, block.blockNumber())); b < m_placeOf.size() && block.isValid();
         ++b, block = block.next()) {
        if (blockArea(block).top() - block.blockFormat().topMargin() > y)
            break;
        part = m_placeOf[b].part;
    }
    return part;
}

} // namespace mivanta
