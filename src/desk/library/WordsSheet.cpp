// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/library/WordsSheet.h"
#include "core/base/TextDifference.h"
#include "core/song/Chords.h"
#include "desk/library/WordsHighlighter.h"
#include "desk/parts/Style.h"
#include <QAbstractTextDocumentLayout>
#include <QContextMenuEvent>
#include <QKeyEvent>
#include <QLineEdit>
#include <QMimeData>
#include <QPainter>
#include <QScrollBar>
#include <QTextBlock>

namespace mivanta {

namespace {

int gutter() {
    return spaced(24);
}
int cardPadding() {
    return spaced(2);
}
/// From the last line of a card to the top of the next one, the padding below that line included.
int cardGap() {
    return cardPadding() + spaced(3);
}
int chordRoom() {
    return QFontMetrics(monoFont(0.9, true)).height();
}
int breakRoom() {
    return spaced(6);
}
int commentRoom() {
    return QFontMetrics(textFont(0.9)).height();
}

} // namespace

WordsSheet::WordsSheet(QWidget* parent) : QTextEdit(parent) {
    setObjectName(QStringLiteral("words-sheet"));
    setAccessibleName(tr("Words of the song"));
    setAcceptRichText(false);
    setUndoRedoEnabled(false); // the draft undoes
    setFrameShape(QFrame::NoFrame);
    setTabChangesFocus(true);
    setHorizontalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
    setStyleSheet(QStringLiteral("QTextEdit { background: transparent; border: none; }"));
    viewport()->setAutoFillBackground(false);
    document()->setDocumentMargin(0);
    m_highlighter = new WordsHighlighter(document(), [this](int block) { return lineOf(block); });
    m_chordBox = new QLineEdit(viewport());
    m_chordBox->setObjectName(QStringLiteral("chord-box"));
    m_chordBox->setAccessibleName(tr("Chord"));
    m_chordBox->setToolTip(tr("The chord over this letter; Enter sets it, empty takes it away"));
    m_chordBox->setFont(monoFont(0.9, true));
    m_chordBox->installEventFilter(this);
    m_chordBox->hide();
    connect(document(), &QTextDocument::contentsChange, this, [this](int at) {
        if (!m_showing)
            textChangedAt(at);
    });
    connect(this, &QTextEdit::cursorPositionChanged, this, [this] {
        if (!m_showing)
            Q_EMIT placeChanged(place());
    });
}

void WordsSheet::setParts(const std::vector<Part>& parts) {
    m_parts = parts;
    giveEveryPartALine(m_parts);
    showText();
}

void WordsSheet::setNotes(const QStringList& notes) {
    m_notes = notes;
    viewport()->update();
}

namespace {

/// The document's text, its lines parted by '\n'.
QString textOf(const QTextDocument& document) {
    QString text = document.toRawText();
    return text.replace(QChar::ParagraphSeparator, u'\n').replace(QChar::LineSeparator, u' ');
}

} // namespace

void WordsSheet::textChangedAt(int at) {
    const QString before = flatText(m_parts);
    const TextDifference change = differenceOf(before, textOf(*document()), at);
    if (m_parts.empty() || (change.removed == 0 && change.inserted.isEmpty()))
        return; // only its look changed
    replaceText(m_parts, change.at, change.removed, change.inserted);
    takeChordOutOfBrackets(m_parts, change.at);
    showText(); // places of blocks, room for chords
    const bool isWord = change.removed + change.inserted.size() == 1 && change.inserted != u"\n";
    const int line = document()->findBlock(change.at).blockNumber();
    Q_EMIT edited(tr("typing"), isWord ? line + 1 : 0);
    Q_EMIT placeChanged(place());
}

/// Brings the document up to the parts, touching only what differs.
void WordsSheet::showText() {
    m_showing = true;
    m_placeOf.clear();
    for (int p = 0; p < int(m_parts.size()); ++p)
        for (int l = 0; l < int(m_parts[size_t(p)].lines.size()); ++l)
            m_placeOf.push_back({p, l, 0});
    const TextDifference change = differenceOf(textOf(*document()), flatText(m_parts), INT_MAX);
    if (change.removed > 0 || !change.inserted.isEmpty()) {
        QTextCursor cursor(document());
        cursor.setPosition(change.at);
        cursor.setPosition(change.at + change.removed, QTextCursor::KeepAnchor);
        cursor.insertText(change.inserted);
    }
    layOutBlocks();
    m_highlighter->rehighlight();
    m_showing = false;
    viewport()->update();
}

void WordsSheet::layOutBlocks() {
    QTextBlock block = document()->begin();
    for (const WordsPlace& place : m_placeOf) {
        const Part& part = m_parts[size_t(place.part)];
        const Line& line = part.lines[size_t(place.line)];
        int top = line.chords.empty() ? 0 : chordRoom();
        if (!line.comment.isEmpty())
            top += commentRoom();
        if (line.breakBefore)
            top += breakRoom();
        if (place.line == 0)
            top += cardPadding() + (place.part > 0 ? cardGap() : 0) +
                   (part.comment.isEmpty() ? 0 : commentRoom());
        QTextBlockFormat format;
        format.setTopMargin(top);
        format.setLeftMargin(gutter() + spaced(3));
        format.setRightMargin(spaced(3));
        if (!line.chords.empty() && block.layout()->lineCount() > 1) // the rows after a wrap need room, too
            format.setLineHeight(chordRoom(), QTextBlockFormat::LineDistanceHeight);
        if (block.isValid() && block.blockFormat() != format)
            QTextCursor(block).setBlockFormat(format);
        if (block == document()->begin() && document()->rootFrame()->frameFormat().topMargin() != top) {
            QTextFrameFormat frame = document()->rootFrame()->frameFormat();
            frame.setTopMargin(top); // a document leaves its first block's margin out
            frame.setBottomMargin(spaced(4));
            document()->rootFrame()->setFrameFormat(frame);
        }
        block = block.next();
    }
}

const Line* WordsSheet::lineOf(int block) const {
    if (block < 0 || block >= int(m_placeOf.size()))
        return nullptr;
    const WordsPlace& place = m_placeOf[size_t(block)];
    return &m_parts[size_t(place.part)].lines[size_t(place.line)];
}

void WordsSheet::setSpelling(const std::function<bool(const QString&)>& isWrong) {
    m_highlighter->isWrong = isWrong;
    markSpelling();
}

void WordsSheet::markSpelling() {
    m_showing = true;
    m_highlighter->rehighlight();
    m_showing = false;
}

QString WordsSheet::wrongWord() const {
    QTextCursor cursor = textCursor();
    cursor.select(QTextCursor::WordUnderCursor);
    const QString word = WordsHighlighter::spelledWord(cursor.selectedText());
    return !word.isEmpty() && m_highlighter->isWrong && m_highlighter->isWrong(word) ? word : QString();
}

void WordsSheet::replaceWord(const QString& word) {
    QTextCursor cursor = textCursor();
    cursor.select(QTextCursor::WordUnderCursor);
    cursor.insertText(word);
}

WordsPlace WordsSheet::place() const {
    return placeAt(m_parts, std::min(textCursor().selectionStart(), int(document()->characterCount()) - 1));
}

int WordsSheet::selectedLength() const {
    return textCursor().selectionEnd() - textCursor().selectionStart();
}

void WordsSheet::setPlace(const WordsPlace& place) {
    QTextCursor cursor = textCursor();
    cursor.setPosition(std::min(offsetOf(m_parts, place), document()->characterCount() - 1));
    setTextCursor(cursor);
    ensureCursorVisible();
    // What stands above the line is seen with it.
    const QTextBlock block = cursor.block();
    const double top = blockArea(block).top() - block.blockFormat().topMargin();
    if (top < 0)
        verticalScrollBar()->setValue(verticalScrollBar()->value() + int(top) - 1);
}

void WordsSheet::resizeEvent(QResizeEvent* event) {
    QTextEdit::resizeEvent(event);
    m_showing = true;
    layOutBlocks(); // lines wrap elsewhere
    m_showing = false;
}

void WordsSheet::changeHere(const QString& what, const std::function<void(std::vector<Part>&)>& work) {
    if (m_parts.empty())
        return;
    work(m_parts);
    showText();
    Q_EMIT edited(what, 0);
}

void WordsSheet::toggleBreak() {
    const WordsPlace at = place();
    changeHere(tr("slide break"), [&](std::vector<Part>& parts) { mivanta::toggleBreak(parts, at); });
}

void WordsSheet::toggleEmphasis(Weight weight) {
    const WordsPlace from = place();
    const WordsPlace to = placeAt(m_parts, textCursor().selectionEnd());
    changeHere(weight == Weight::Bold ? tr("bold") : tr("italic"),
               [&](std::vector<Part>& parts) { toggleWeight(parts, from, to, weight); });
}

void WordsSheet::editChord() {
    if (m_parts.empty())
        return;
    m_chordPlace = place();
    const Line& line = m_parts[size_t(m_chordPlace.part)].lines[size_t(m_chordPlace.line)];
    m_chordBox->clear();
    for (const ChordMark& chord : line.chords)
        if (chord.position == m_chordPlace.column)
            m_chordBox->setText(chord.name);
    m_chordBox->selectAll();
    const QRect caret = cursorRect();
    m_chordBox->setGeometry(caret.left() - spaced(1),
                            std::max(0, caret.top() - m_chordBox->sizeHint().height()), spaced(18),
                            m_chordBox->sizeHint().height());
    m_chordBox->show();
    m_chordBox->setFocus();
}

void WordsSheet::finishChord(bool keep) {
    const QString name = m_chordBox->text().trimmed();
    m_chordBox->hide();
    setFocus();
    if (!keep)
        return;
    changeHere(tr("chord"), [&](std::vector<Part>& parts) {
        setChord(parts[size_t(m_chordPlace.part)].lines[size_t(m_chordPlace.line)], m_chordPlace.column,
                 name);
    });
}

bool WordsSheet::eventFilter(QObject* watched, QEvent* event) {
    if (watched == m_chordBox && event->type() == QEvent::KeyPress) {
        const int key = static_cast<QKeyEvent*>(event)->key();
        if (key == Qt::Key_Return || key == Qt::Key_Enter || key == Qt::Key_Escape) {
            finishChord(key != Qt::Key_Escape);
            return true;
        }
    }
    if (watched == m_chordBox && event->type() == QEvent::FocusOut && m_chordBox->isVisible())
        m_chordBox->hide();
    return QTextEdit::eventFilter(watched, event);
}

// Painting

QRectF WordsSheet::blockArea(const QTextBlock& block) const {
    return document()->documentLayout()->blockBoundingRect(block).translated(-horizontalScrollBar()->value(),
                                                                             -verticalScrollBar()->value());
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
    QTextBlock block = document()->begin();
    for (size_t b = 0; b < m_placeOf.size() && block.isValid();) {
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
        painter.setFont(textFont(1.0, true));
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
    const QFont chordFont = monoFont(0.9, true);
    const QFontMetrics chordMetrics(chordFont);
    QTextBlock block = document()->begin();
    for (size_t b = 0; b < m_placeOf.size() && block.isValid(); ++b, block = block.next()) {
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
    QTextBlock block = document()->begin();
    for (size_t b = 0; b < m_placeOf.size() && block.isValid(); ++b, block = block.next()) {
        const Line& line = *lineOf(int(b));
        if (!line.breakBefore)
            continue;
        const double top = blockArea(block).top() - block.blockFormat().topMargin();
        if (y >= top && y < top + breakRoom())
            return int(b);
    }
    return -1;
}

int WordsSheet::partAt(int y) const {
    QTextBlock block = document()->begin();
    int part = 0;
    for (size_t b = 0; b < m_placeOf.size() && block.isValid(); ++b, block = block.next())
        if (blockArea(block).top() - block.blockFormat().topMargin() <= y)
            part = m_placeOf[b].part;
    return part;
}

// Keys and mouse

bool WordsSheet::event(QEvent* event) {
    // These keys are the editor's while the words have the focus, whatever they are elsewhere.
    if (event->type() == QEvent::ShortcutOverride) {
        const auto* key = static_cast<QKeyEvent*>(event);
        const bool control = (key->modifiers() & Qt::ControlModifier) != 0;
        if (control && (key->key() == Qt::Key_I || key->key() == Qt::Key_B || key->key() == Qt::Key_K)) {
            event->accept();
            return true;
        }
    }
    return QTextEdit::event(event);
}

void WordsSheet::keyPressEvent(QKeyEvent* event) {
    const bool control = event->modifiers() == Qt::ControlModifier;
    const bool isEnter = event->key() == Qt::Key_Return || event->key() == Qt::Key_Enter;
    if (event->matches(QKeySequence::Undo))
        Q_EMIT undoWanted();
    else if (event->matches(QKeySequence::Redo) ||
             (event->key() == Qt::Key_Z && event->modifiers() == (Qt::ControlModifier | Qt::ShiftModifier)))
        Q_EMIT redoWanted();
    else if (control && isEnter)
        toggleBreak();
    else if (control && event->key() == Qt::Key_K)
        editChord();
    else if (control && event->key() == Qt::Key_B)
        toggleEmphasis(Weight::Bold);
    else if (control && event->key() == Qt::Key_I)
        toggleEmphasis(Weight::Italic);
    else if (isEnter && event->modifiers() == Qt::ShiftModifier)
        insertPlainText(QStringLiteral("\n"));
    else if (event->modifiers() == (Qt::ControlModifier | Qt::ShiftModifier) && isEnter)
        event->ignore(); // splitting the part is an action of the editor
    else
        QTextEdit::keyPressEvent(event);
}

void WordsSheet::mousePressEvent(QMouseEvent* event) {
    const QPoint at = event->position().toPoint();
    if (at.x() < gutter() && !m_parts.empty()) {
        const int part = partAt(at.y());
        setPlace({part, 0, 0});
        Q_EMIT partMenuWanted(part, event->globalPosition().toPoint());
        return;
    }
    if (const int block = breakAt(at.y()); block >= 0) {
        const WordsPlace place = m_placeOf[size_t(block)];
        setPlace(place);
        changeHere(tr("slide break"), [&](std::vector<Part>& parts) {
            parts[size_t(place.part)].lines[size_t(place.line)].breakBefore = false;
        });
        return;
    }
    QTextEdit::mousePressEvent(event);
}

void WordsSheet::contextMenuEvent(QContextMenuEvent* event) {
    if (m_parts.empty())
        return;
    const bool byKey = event->reason() == QContextMenuEvent::Keyboard;
    if (!byKey && !textCursor().hasSelection())
        setTextCursor(cursorForPosition(event->pos()));
    Q_EMIT partMenuWanted(byKey ? place().part : partAt(event->pos().y()),
                          byKey ? viewport()->mapToGlobal(cursorRect().bottomLeft()) : event->globalPos());
}

void WordsSheet::insertFromMimeData(const QMimeData* source) {
    if (source->hasText())
        Q_EMIT pasted(source->text());
}

} // namespace mivanta
