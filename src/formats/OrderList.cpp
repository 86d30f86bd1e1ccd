// SPDX-License-Identifier: GPL-3.0-or-later
#include "formats/OrderList.h"
#include "core/order/ItemPlan.h"
#include "formats/Csv.h"
#include <QRegularExpression>
#include <algorithm>

namespace mivanta {

using namespace Qt::StringLiterals;

namespace {

constexpr qsizetype kLongestLabel = 40;
constexpr qsizetype kLongestLeader = 40;
constexpr qsizetype kMostLines = 2000;

enum class Column { Time, Length, Title, Kind, Leader, Note };

std::optional<Column> columnNamed(const QString& name) {
    static const std::vector<std::pair<Column, QStringList>> names{
        {Column::Time, {u"time"_s, u"begin"_s, u"start"_s, u"when"_s}},
        {Column::Length, {u"length"_s, u"duration"_s, u"minutes"_s, u"takes"_s}},
        {Column::Title, {u"title"_s, u"item"_s, u"song"_s, u"what"_s, u"element"_s}},
        {Column::Kind, {u"kind"_s, u"type"_s, u"place"_s, u"part"_s}},
        {Column::Leader, {u"leader"_s, u"led by"_s, u"who"_s, u"person"_s}}, // for machines
        {Column::Note, {u"note"_s, u"remark"_s, u"comment"_s}}};
    const QString key = name.trimmed().toLower();
    for (const auto& [column, beginnings] : names)
        for (const QString& beginning : beginnings)
            if (key.startsWith(beginning))
                return column;
    return std::nullopt;
}

/// Of a row of column names; nothing when it is none.
std::optional<QMap<Column, int>> columnsOf(const QStringList& cells) {
    QMap<Column, int> columns;
    for (int i = 0; i < cells.size(); ++i)
        if (const auto column = columnNamed(cells[i]); column && !columns.contains(*column))
            columns.insert(*column, i);
    return columns.size() >= 2 && columns.contains(Column::Title) ? std::optional(columns) : std::nullopt;
}

/// "about 4 min" as well as "4 min".
std::optional<int> lengthFrom(QString text) {
    static const QRegularExpression about(u"^(about|ca\\.?|~)\\s*"_s,
                                          QRegularExpression::CaseInsensitiveOption);
    return durationFrom(text.remove(about).trimmed());
}

OrderLine lineOfRow(const QStringList& cells, const QMap<Column, int>& columns) {
    const auto cell = [&](Column column) { return cells.value(columns.value(column, -1)).trimmed(); };
    OrderLine line;
    line.written = cell(Column::Title);
    line.words = line.written;
    const QString kind = cell(Column::Kind);
    if (kind.startsWith(u"head"_s, Qt::CaseInsensitive))
        line.kind = OrderLine::Kind::Heading;
    else
        line.label = kind;
    line.leader = cell(Column::Leader);
    line.note = cell(Column::Note);
    line.at = timeFrom(cell(Column::Time));
    line.seconds = lengthFrom(cell(Column::Length));
    return line;
}

bool isInCapitals(const QString& text) {
    const auto letters = std::count_if(text.begin(), text.end(), [](QChar c) { return c.isLetter(); });
    return letters > 3 && text == text.toUpper() && text != text.toLower() &&
           std::none_of(text.begin(), text.end(), [](QChar c) { return c.isDigit(); });
}

/// Takes off what stands before a line: quote marks, bullets, its number and its time.
QString withoutBeginning(QString text, OrderLine& line) {
    static const QRegularExpression quotes(u"^(>\\s*)+"_s);
    static const QRegularExpression bullet(u"^([-*\u2022\u2013\u00b7]|\\d{1,2}[.)](?!\\d))\\s+"_s);
    static const QRegularExpression time(u"^(\\d{1,2}[:.]\\d{2})(\\s*(h|am|pm|Uhr))?\\s*[-\u2013:,]?\\s+"_s,
                                         QRegularExpression::CaseInsensitiveOption);
    text = text.remove(quotes).trimmed();
    text.remove(bullet);
    if (const auto match = time.match(text); match.hasMatch())
        if (const auto at = timeFrom(match.captured(1))) {
            line.at = at;
            text = text.mid(match.capturedLength());
        }
    return text.remove(bullet).trimmed();
}

/// Takes off what stands in brackets at the end, when it says how long or who.
QString withoutAside(const QString& text, OrderLine& line) {
    static const QRegularExpression aside(u"\\s*[(\\[]([^()\\[\\]]+)[)\\]]\\s*$"_s);
    static const QRegularExpression unit(u"\\d\\s*(s|sec|min|h)"_s,
                                         QRegularExpression::CaseInsensitiveOption);
    QString rest = text;
    for (auto match = aside.match(rest); match.hasMatch(); match = aside.match(rest)) {
        const QString inside = match.captured(1).trimmed();
        const auto seconds = inside.contains(unit) ? lengthFrom(inside) : std::nullopt;
        if (seconds)
            line.seconds = seconds;
        else if (inside.size() > 2 && inside.size() <= kLongestLeader && inside.front().isUpper() &&
                 line.leader.isEmpty() && !inside.contains(QRegularExpression(u"\\d"_s)))
            line.leader = inside;
        else
            break;
        rest = rest.left(match.capturedStart());
    }
    return rest.trimmed();
}

OrderLine lineOf(const QString& raw) {
    static const QRegularExpression label(u"^([^:\\d]{2,}?):\\s+(.*)$"_s);
    static const QRegularExpression open(u"^(\\?+|tb[acd]|\\.\\.\\.|\u2026|-+)$"_s,
                                         QRegularExpression::CaseInsensitiveOption);
    OrderLine line;
    line.written = raw.trimmed();
    QString text = withoutBeginning(line.written, line);
    if (text.startsWith(u'#') || (text.endsWith(u':') && text.size() > 1) || isInCapitals(text)) {
        line.kind = OrderLine::Kind::Heading;
        while (text.startsWith(u'#'))
            text.remove(0, 1);
        line.words = (text.endsWith(u':') ? text.chopped(1) : text).trimmed();
        return line;
    }
    text = withoutAside(text, line);
    if (const auto match = label.match(text); match.hasMatch() && match.capturedLength(1) <= kLongestLabel) {
        line.label = match.captured(1).trimmed();
        text = match.captured(2).trimmed();
    }
    line.words = open.match(text).hasMatch() ? QString() : text;
    return line;
}

} // namespace

std::vector<OrderLine> orderLinesOf(const QString& text) {
    std::vector<OrderLine> lines;
    const auto rows = csvRows(text, csvSeparator(text));
    if (const auto columns = rows.empty() ? std::nullopt : columnsOf(rows.front().cells)) {
        for (size_t i = 1; i < rows.size() && lines.size() < size_t(kMostLines); ++i)
            if (OrderLine line = lineOfRow(rows[i].cells, *columns);
                !line.words.isEmpty() || !line.label.isEmpty())
                lines.push_back(std::move(line));
        return lines;
    }
    for (const QString& raw : text.split(u'\n')) {
        if (raw.trimmed() == u"--" || lines.size() >= size_t(kMostLines))
            break; // the signature
        if (OrderLine line = lineOf(raw); !line.words.isEmpty() || !line.label.isEmpty())
            lines.push_back(std::move(line));
    }
    return lines;
}

} // namespace mivanta
