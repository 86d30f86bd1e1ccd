// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/song/SheetColumns.h"
#include "core/song/Chords.h"
#include <QMap>
#include <QRegularExpression>
#include <algorithm>

namespace mivanta {

using namespace Qt::StringLiterals;

namespace {

constexpr int kTabColumns = 8;
constexpr int kLeastLines = 3; ///< with words on both sides
constexpr int kWobble = 2;     ///< columns may begin so many characters apart

/// Tabs as spaces. What has one tab between words gets its right side into one column.
QStringList withSpacesForTabs(const QStringList& lines) {
    static const QRegularExpression oneTab(u"^(\\s*[^\\t]*\\S) *\\t+ *([^\\t]*)$"_s);
    qsizetype widest = 0;
    for (const QString& line : lines)
        if (const auto match = oneTab.match(line); match.hasMatch())
            widest = std::max(widest, match.capturedLength(1));
    QStringList spaced;
    for (const QString& line : lines) {
        if (const auto match = oneTab.match(line); match.hasMatch()) {
            spaced << match.captured(1).leftJustified(widest + kTabColumns) + match.captured(2);
            continue;
        }
        QString plain = line;
        spaced << plain.replace(u'\t', QString(kTabColumns, u' '));
    }
    return spaced;
}

/// Where the words behind the line's only wide gap begin; -1 = there is no such gap.
int rightOf(const QString& line) {
    static const QRegularExpression gap(u"(?<=\\S) {3,}(?=\\S)"_s);
    auto gaps = gap.globalMatch(line);
    if (!gaps.hasNext())
        return -1;
    const int at = int(gaps.next().capturedEnd());
    return gaps.hasNext() ? -1 : at;
}

} // namespace

NumberedLines withColumnsApart(const QStringList& lines) {
    NumberedLines same{lines, {}, 0};
    for (int i = 0; i < int(lines.size()); ++i)
        same.from.push_back(i);
    if (std::any_of(lines.begin(), lines.end(), [](const QString& line) { return isChordLine(line); }))
        return same; // gaps stand between chords
    const QStringList spaced = withSpacesForTabs(lines);
    QMap<int, int> begins; // how many lines have their right column there
    int filled = 0;
    for (const QString& line : spaced) {
        filled += line.trimmed().isEmpty() ? 0 : 1;
        if (const int at = rightOf(line); at > 0)
            ++begins[at];
    }
    int column = -1;
    int most = 0;
    for (auto at = begins.begin(); at != begins.end(); ++at) {
        int near = 0;
        for (int wobble = -kWobble; wobble <= kWobble; ++wobble)
            near += begins.value(at.key() + wobble);
        if (near > most) {
            most = near;
            column = at.key();
        }
    }
    // A gap in a line or two is a slip; columns go through most of the text.
    if (most < kLeastLines || most * 3 < filled)
        return same;
    NumberedLines left;
    NumberedLines right;
    for (int i = 0; i < int(spaced.size()); ++i) {
        const QString& line = spaced[i];
        const int own = rightOf(line);
        const int indent = int(line.size() - QStringView(line).trimmed().size());
        const bool isRightOnly = !line.trimmed().isEmpty() &&
                                 line.left(column - kWobble).trimmed().isEmpty() &&
                                 indent >= column - kWobble;
        const int at = own > 0 && std::abs(own - column) <= kWobble ? own
                       : isRightOnly                                ? 0
                                                                    : int(line.size());
        left.lines << line.left(at).trimmed();
        left.from.push_back(i);
        right.lines << line.mid(at).trimmed();
        right.from.push_back(i);
    }
    left.lines << QString();
    left.from.push_back(int(lines.size()) - 1);
    left.lines += right.lines;
    left.from.insert(left.from.end(), right.from.begin(), right.from.end());
    return left;
}

} // namespace mivanta
