// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/song/Emphasis.h"
#include "core/song/WordsEdit.h"
#include <QTextEdit>

class QLineEdit;

namespace mivanta {

class WordsHighlighter;

/// The words of a song as cards, one for each part, edited as one text: chords stand over their letters,
/// slide breaks between their lines. Holds a copy of the parts; every change of it is told by edited().
class WordsSheet : public QTextEdit {
    Q_OBJECT
public:
    explicit WordsSheet(QWidget* parent = nullptr);

    /// Shows these parts; the caret stays where it is as far as it can. Tells nothing.
    void setParts(const std::vector<Part>& parts);
    [[nodiscard]] const std::vector<Part>& parts() const { return m_parts; }
    /// A few words under a part's name, by index; empty = none.
    void setNotes(const QStringList& notes);

    /// Words that this finds wrong are marked; call markSpelling() when it knows more.
    void setSpelling(const std::function<bool(const QString&)>& isWrong);
    void markSpelling();
    /// The misspelt word at the caret; empty = none is there.
    [[nodiscard]] QString wrongWord() const;
    void replaceWord(const QString& word);

    [[nodiscard]] WordsPlace place() const;
    void setPlace(const WordsPlace& place);
    [[nodiscard]] int selectedLength() const;

    // What the keys and buttons do at the caret.
    void toggleBreak();
    void toggleEmphasis(Weight weight);
    void editChord();

Q_SIGNALS:
    /// The parts are now these. `typing` tells apart changes of words by keys, one line at a time (0 = none).
    void edited(const QString& what, int typing);
    void pasted(const QString& text);
    void partMenuWanted(int part, const QPoint& globalPlace);
    void undoWanted();
    void redoWanted();
    void placeChanged(const mivanta::WordsPlace& place);

protected:
    void paintEvent(QPaintEvent* event) override;
    void keyPressEvent(QKeyEvent* event) override;
    void mousePressEvent(QMouseEvent* event) override;
    void resizeEvent(QResizeEvent* event) override;
    void contextMenuEvent(QContextMenuEvent* event) override;
    bool event(QEvent* event) override;
    void insertFromMimeData(const QMimeData* source) override;
    bool eventFilter(QObject* watched, QEvent* event) override;

private:
    /// Whose change it is that the document tells of.
    enum class Change {
        Typed,   ///< a person's: the parts follow it
        TakenIn, ///< a person's, while the parts follow it and the document follows them
        Shown,   ///< the sheet's own, which brings the document up to the parts
    };
    [[nodiscard]] Change ownChange() const;
    void textChangedAt(int at);
    void showText();
    /// What a block shows.
    struct Shown {
        QString words;
        std::vector<Emphasis> emphasis;
        int top = 0; ///< room above it
        bool hasChords = false;
        friend bool operator==(const Shown&, const Shown&) = default;
    };
    [[nodiscard]] static std::vector<Shown> blocksOf(const std::vector<Part>& parts);
    void layOutBlocks(int from, int to);
    void highlight(std::pair<int, int> blocks);
    void highlightNow();
    void changeHere(const QString& what, const std::function<void(std::vector<Part>&)>& work);
    void finishChord(bool keep);
    void paintCards(QPainter& painter);
    void paintAbove(QPainter& painter);
    [[nodiscard]] QTextBlock firstSeen() const;
    [[nodiscard]] QRectF blockArea(const QTextBlock& block) const;
    [[nodiscard]] const Line* lineOf(int block) const;
    /// The line whose break rule is at the height, as a block number; -1 = none.
    [[nodiscard]] int breakAt(int y) const;
    [[nodiscard]] int partAt(int y) const;

    std::vector<Part> m_parts;
    std::vector<WordsPlace> m_placeOf; ///< by block number; column 0
    std::vector<Shown> m_shown;        ///< by block number
    QStringList m_notes;
    WordsHighlighter* m_highlighter;
    QLineEdit* m_chordBox;
    WordsPlace m_chordPlace;
    std::optional<std::pair<int, int>> m_toHighlight; ///< [from, to)
    Change m_changeIs = Change::Typed;
};

} // namespace mivanta
