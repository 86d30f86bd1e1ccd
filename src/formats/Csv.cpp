// SPDX-License-Identifier: GPL-3.0-or-later
#include "formats/Csv.h"
#include <algorithm>
#include <utility>

namespace mivanta {

using namespace Qt::StringLiterals;

namespace {

QString cell(const QString& value) {
    static const QString special = u",;\t\"\r\n"_s;
    const bool quotes =
        std::any_of(value.begin(), value.end(), [](QChar c) { return special.contains(c); }) ||
        value.startsWith(u' ') || value.endsWith(u' ');
    if (!quotes)
        return value;
    QString escaped = value;
    return u'"' + escaped.replace(u'"', u"\"\""_s) + u'"';
}

} // namespace

QString csvRow(const QStringList& cells) {
    QStringList written;
    for (const QString& value : cells)
        written << cell(value);
    return written.join(u',') + u"\r\n"_s;
}

std::vector<CsvRow> csvRows(const QString& text, QChar separator) {
    std::vector<CsvRow> rows;
    CsvRow row{{}, 1};
    QString value;
    bool quoted = false;
    int line = 1;
    const auto endRow = [&] {
        row.cells << std::exchange(value, {});
        if (row.cells.size() > 1 || !row.cells.front().isEmpty())
            rows.push_back(row);
        row = {{}, line};
    };
    for (qsizetype i = 0; i < text.size(); ++i) {
        const QChar c = text[i];
        line += c == u'\n' ? 1 : 0;
        if (quoted) {
            if (c != u'"')
                value += c;
            else if (i + 1 < text.size() && text[i + 1] == u'"')
                value += text[++i];
            else
                quoted = false;
        } else if (c == u'"' && value.isEmpty()) {
            quoted = true;
        } else if (c == separator) {
            row.cells << std::exchange(value, {});
        } else if (c == u'\n') {
            endRow();
        } else if (c != u'\r') {
            value += c;
        }
    }
    endRow();
    return rows;
}

QChar csvSeparator(const QString& text) {
    const QString first = text.section(u'\n', 0, 0);
    QChar best = u',';
    for (const QChar c : {QChar(u';'), QChar(u'\t')})
        if (first.count(c) > first.count(best))
            best = c;
    return best;
}

} // namespace mivanta
