// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/song/Song.h"
#include <QSyntaxHighlighter>
#include <QTextBlock>
#include <functional>

namespace mivanta {

/// Shows emphasis without touching the document, so that showing it is no edit.
class WordsHighlighter : public QSyntaxHighlighter {
public:
    WordsHighlighter(QTextDocument* document, std::function<const Line*(int)> lineOf)
        : QSyntaxHighlighter(document),
          m_lineOf(std::move(lineOf)) {}

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
    }

private:
    std::function<const Line*(int)> m_lineOf;
};

} // namespace mivanta
