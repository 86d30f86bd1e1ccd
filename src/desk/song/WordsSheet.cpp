// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/song/WordsSheet.h"
#include "core/base/TextDifference.h"
#include "desk/kit/Style.h"
#include "desk/song/WordsHighlighter.h"
#include "desk/song/WordsMetrics.h"
#include <QAbstractTextDocumentLayout>
#include <QContextMenuEvent>
#include <QKeyEvent>
#include <QLineEdit>
#include <QMimeData>
#include <QScopedValueRollback>
#include <QScrollBar>
#include <QTextBlock>

namespace mivanta {

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
    m_chordBox->setFont(monoFont(0.9, TextWeight::Bold));
    m_chordBox->installEventFilter(this);
    m_chordBox->hide();
    connect(document(), &QTextDocument::contentsChange, this, [this](int at) {
        if (m_toHighlight)
            highlightNow();
        else if (m_changeIs == Change::Typed) {
            const QScopedValueRollback taking(m_changeIs, Change::TakenIn);
            textChangedAt(at);
        }
    });
    connect(this, &QTextEdit::cursorPositionChanged, this, [this] {
        if (m_changeIs == Change::Typed)
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
    const bool isWord = change.removed + change.inserted.size() == 1 && change.inserted != u"\n" &&
                        before.mid(change.at, change.removed) != u"\n";
    const int line = document()->findBlock(change.at).blockNumber();
    Q_EMIT edited(tr("typing"), isWord ? line + 1 : 0);
    Q_EMIT placeChanged(place());
}

/// What of the parts each block shows, but for its chords' names.
std::vector<WordsSheet::Shown> WordsSheet::blocksOf(const std::vector<Part>& parts) {
    std::vector<Shown> blocks;
    for (size_t p = 0; p < parts.size(); ++p) {
        const Part& part = parts[p];
        for (size_t l = 0; l < part.lines.size(); ++l) {
            const Line& line = part.lines[l];
            int top = line.chords.empty() ? 0 : chordRoom();
            if (!line.comment.isEmpty())
                top += commentRoom();
            if (line.breakBefore)
                top += breakRoom();
            if (l == 0)
                top += cardPadding() + (p > 0 ? cardGap() : 0) + (part.comment.isEmpty() ? 0 : commentRoom());
            blocks.push_back({line.words, line.emphasis, top, !line.chords.empty()});
        }
    }
    return blocks;
}

WordsSheet::Change WordsSheet::ownChange() const {
    return m_changeIs == Change::Typed ? Change::Shown : m_changeIs;
}

/// Brings the document up to the parts, touching only the blocks that differ: a song may have thousands.
void WordsSheet::showText() {
    const QScopedValueRollback showing(m_changeIs, ownChange());
    m_placeOf.clear();
    for (int p = 0; p < int(m_parts.size()); ++p)
        for (int l = 0; l < int(m_parts[size_t(p)].lines.size()); ++l)
            m_placeOf.push_back({p, l, 0});
    std::vector<Shown> next = blocksOf(m_parts);
    const auto [left, right] = std::mismatch(m_shown.begin(), m_shown.end(), next.begin(), next.end());
    const auto from = right - next.begin();
    std::ptrdiff_t behind = 0; // blocks at the end that stay
    const auto most = std::ptrdiff_t(std::min(m_shown.size(), next.size())) - from;
    while (behind < most &&
           m_shown[m_shown.size() - 1 - size_t(behind)] == next[next.size() - 1 - size_t(behind)])
        ++behind;
    m_shown = std::move(next);
    const TextDifference change = differenceOf(textOf(*document()), flatText(m_parts), INT_MAX);
    if (change.removed > 0 || !change.inserted.isEmpty()) {
        QTextCursor cursor(document());
        cursor.setPosition(change.at);
        cursor.setPosition(change.at + change.removed, QTextCursor::KeepAnchor);
        cursor.insertText(change.inserted);
    }
    layOutBlocks(int(from), int(m_shown.size()) - int(behind));
    viewport()->update();
}

/// The look of the blocks [from, to).
void WordsSheet::layOutBlocks(int from, int to) {
    QTextCursor edit(document());
    edit.beginEditBlock(); // laid out once, at its end
    const auto each = [&](const auto& work) {
        QTextBlock block = document()->findBlockByNumber(from);
        for (int b = from; b < to && block.isValid(); ++b, block = block.next())
            work(block, m_shown[size_t(b)]);
    };
    const auto setFormat = [](const QTextBlock& block, const QTextBlockFormat& format) {
        if (block.blockFormat() != format)
            QTextCursor(block).setBlockFormat(format);
    };
    each([&](const QTextBlock& block, const Shown& shown) {
        QTextBlockFormat format;
        format.setTopMargin(shown.top);
        format.setLeftMargin(gutter() + spaced(3));
        format.setRightMargin(spaced(3));
        if (block.blockFormat().lineHeightType() != QTextBlockFormat::SingleHeight && shown.hasChords)
            format.setLineHeight(chordRoom(), QTextBlockFormat::LineDistanceHeight);
        setFormat(block, format);
    });
    if (!m_shown.empty() && document()->rootFrame()->frameFormat().topMargin() != m_shown.front().top) {
        QTextFrameFormat frame = document()->rootFrame()->frameFormat();
        frame.setTopMargin(m_shown.front().top); // a document leaves its first block's margin out
        frame.setBottomMargin(spaced(4));
        document()->rootFrame()->setFrameFormat(frame);
    }
    edit.endEditBlock();
    edit.beginEditBlock();
    each([&](const QTextBlock& block, const Shown& shown) {
        if (!shown.hasChords)
            return;
        QTextBlockFormat format = block.blockFormat(); // the rows after a wrap need room for chords, too
        if (block.layout()->lineCount() > 1)
            format.setLineHeight(chordRoom(), QTextBlockFormat::LineDistanceHeight);
        else
            format.setLineHeight(0, QTextBlockFormat::SingleHeight);
        setFormat(block, format);
    });
    edit.endEditBlock();
    highlight({from, to});
}

/// Marks emphasis and misspelt words anew. Done while the document tells of a change, so that it is laid out
/// once and not once for each block.
void WordsSheet::highlight(std::pair<int, int> blocks) {
    m_toHighlight = blocks;
    if (m_changeIs == Change::TakenIn) {
        highlightNow();
        m_toHighlight.reset();
        return;
    }
    const QScopedValueRollback showing(m_changeIs, Change::Shown);
    const QTextBlock first = document()->begin();
    QTextCursor(first).setBlockFormat(first.blockFormat());
    m_toHighlight.reset();
}

void WordsSheet::highlightNow() {
    const auto [from, to] = *m_toHighlight;
    QTextCursor edit(document());
    edit.beginEditBlock();
    QTextBlock block = document()->findBlockByNumber(from);
    for (int b = from; b < to && block.isValid(); ++b, block = block.next())
        m_highlighter->rehighlightBlock(block);
    edit.endEditBlock();
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
    highlight({0, int(m_shown.size())});
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
    const QScopedValueRollback showing(m_changeIs, ownChange());
    layOutBlocks(0, int(m_shown.size())); // lines wrap elsewhere
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

#include "moc_WordsSheet.cpp"
