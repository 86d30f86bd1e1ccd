// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/song/Song.h"
#include "desk/kit/Style.h"
#include <QRegularExpression>
#include <QSyntaxHighlighter>
#include <QTextBlock>
#include <functional>

namespace mivanta {

/// Shows emphasis and misspelt words without touching the document, so that showing it is no edit.
class WordsHighlighter : public QSyntaxHighlighter {
public:
    WordsHighlighter(QTextDocument* document, std::function<const Line*(int)> lineOf)
        : QSyntaxHighlighter(document),
          m_lineOf(std::move(lineOf)) {}

    /// Whether a word is misspelt; nothing = spelling is not looked at.
    std::function<bool(const QString&)> isWrong;

    /// A word as dictionaries have it: plain apostrophes, none at its end.
    [[nodiscard]] static QString spelledWord(QString word) {
        word.replace(QChar(0x2019), u'\'');
        while (word.endsWith(u'\''))
            word.chop(1);
        return word;
    }

protected:
    void highlightBlock(const QString&) override {
        const Line* line = m_lineOf(currentBlock().blockNumber());
        if (!line)
            return;
        for (const Emphasis& e : line->emphasis) {
            QTextCharFormat format;
            if (e.bold)
                format.setFontWeight(QFont::Bold);
            format.setFontItalic(e.italic);
            setFormat(e.from, e.to - e.from, format);
        }
        markSpelling(line->words);
    }

private:
    /// A wavy line under words that are wrong.
    void markSpelling(const QString& words) {
        if (!isWrong)
            return;
        static const QRegularExpression word(QStringLiteral("[\\p{L}\\p{M}][\\p{L}\\p{M}'\u2019]+"));
        for (auto at = word.globalMatch(words); at.hasNext();) {
            const auto match = at.next();
            if (!isWrong(spelledWord(match.captured())))
                continue;
            const int from = int(match.capturedStart());
            QTextCharFormat marked = format(from); // with its emphasis
            marked.setUnderlineStyle(QTextCharFormat::WaveUnderline);
            marked.setUnderlineColor(day().warning);
            setFormat(from, int(match.capturedLength()), marked);
        }
    }

    std::function<const Line*(int)> m_lineOf;
};

} // namespace mivanta
