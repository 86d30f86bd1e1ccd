// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/text/TextFields.h"
#include "core/text/TextMarks.h"
#include "desk/kit/Style.h"
#include <QSyntaxHighlighter>

namespace mivanta {

/// Shows what a text's marks mean while it is typed: roles, slide breaks, fields; what all say is bold.
class RoleHighlighter : public QSyntaxHighlighter {
public:
    using QSyntaxHighlighter::QSyntaxHighlighter;

protected:
    /// A line's state tells the next one whether all speak.
    void highlightBlock(const QString& line) override {
        constexpr int kAll = 1;
        QTextCharFormat mark;
        mark.setForeground(day().accent);
        mark.setFontWeight(QFont::Bold);
        int state = std::max(0, previousBlockState());
        if (line.trimmed().startsWith(QLatin1String("---"))) {
            setFormat(0, int(line.size()), mark);
        } else {
            const RoleMark role = roleMarkOf(line);
            if (role.ends || !role.role.isEmpty()) {
                setFormat(0, role.words, mark);
                state = role.role.compare(QLatin1String("All"), Qt::CaseInsensitive) == 0 ? kAll : 0;
            }
            if (state == kAll)
                for (int i = role.words; i < int(line.size()); ++i) {
                    QTextCharFormat bold = format(i);
                    bold.setFontWeight(QFont::Bold);
                    setFormat(i, 1, bold);
                }
            QTextCharFormat field;
            field.setForeground(day().marker);
            for (const TextField& at : fieldsIn(line))
                setFormat(at.from, at.to - at.from, field);
        }
        setCurrentBlockState(state);
    }
};

} // namespace mivanta
