// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/song/LyricSheet.h"
#include "core/song/PasteCleanup.h"
#include "core/song/SheetColumns.h"
#include "core/song/SheetDetails.h"
#include "core/song/SheetHeadings.h"
#include <QRegularExpression>
#include <algorithm>

namespace mivanta {

using namespace Qt::StringLiterals;

namespace {

/// Signs that stand around a song on a web page or a printed sheet.
bool isDebris(const QString& line) {
    static const QRegularExpression page(
        u"^(?:[-\u2013\u2014|]?\\s*(?:page|seite|p\\.)\\s*\\d+(?:\\s*(?:of|/"
        u"|von)\\s*\\d+)?\\s*[-\u2013\u2014|]?"
        "|[-\u2013\u2014]\\s*\\d{1,3}\\s*[-\u2013\u2014]|\\d{1,3}\\s*/\\s*\\d{1,3}|\\d{1,3})$"_s,
        QRegularExpression::CaseInsensitiveOption);
    static const QRegularExpression web(
        u"^(?:(?:https?://|www\\.)\\S+|\\S+@\\S+\\.\\w+"
        "|(?:print|share|tweet|embed|download|advertisement|ad|subscribe|log ?in|sign "
        "(?:in|up)|menu|home|lyrics"
        "|copy(?: link| lyrics)?|add to (?:playlist|favou?rites)|you might also like|report (?:a "
        ")?(?:problem|error)"
        "|transpose|chords?|view (?:chords|lyrics)|next|previous|back(?: to top)?|see all|show more|comments?"
        "|[\\d.,]+[km]? (?:views|likes|shares)|sent from my \\w+|home (?:>|\u203a|\u00bb) .*)[.!:]?)$"_s,
        QRegularExpression::CaseInsensitiveOption);
    return page.match(line).hasMatch() || web.match(line).hasMatch();
}

class SheetReader {
public:
    explicit SheetReader(const QStringList& lines) {
        for (const QString& line : lines)
            m_isMarked = m_isMarked || line.startsWith("# "_L1);
        const NumberedLines columns = m_isMarked ? asTheyAre(lines) : withColumnsApart(lines);
        NumberedLines chords = withChordsInWords(columns.lines);
        for (int& from : chords.from)
            from = columns.from[size_t(from)];
        m_lines = std::move(chords.lines);
        m_from = std::move(chords.from);
        for (QString& line : m_lines)
            line = line.replace(u'\t', u' ').trimmed();
    }

    std::vector<SheetLine> read() {
        const qsizetype body = readHead();
        m_end = m_isMarked ? m_lines.size() : footBegins(body);
        for (m_at = body; m_at < m_end; ++m_at)
            readLine();
        for (; m_at < m_lines.size(); ++m_at)
            readFootLine();
        return std::move(m_result);
    }

private:
    static NumberedLines asTheyAre(const QStringList& lines) {
        NumberedLines same{lines, {}, 0};
        for (int i = 0; i < int(lines.size()); ++i)
            same.from.push_back(i);
        return same;
    }

    SheetLine& add(SheetLineKind kind, const QString& text = {}) {
        m_result.push_back({kind, text, m_from[size_t(std::min(m_at, m_lines.size() - 1))]});
        return m_result.back();
    }

    void addDetails(const std::vector<SheetDetail>& details) {
        for (const SheetDetail& detail : details)
            add(SheetLineKind::Detail, detail.value).name = detail.name;
    }

    [[nodiscard]] bool isHeading(qsizetype at) const {
        return at < m_lines.size() && readSheetHeading(m_lines[at], true, m_isMarked);
    }

    /// A blank line, the end, a heading or a detail follows.
    [[nodiscard]] bool standsAlone(qsizetype at) const {
        return at + 1 >= m_lines.size() || m_lines[at + 1].isEmpty() || isHeading(at + 1) ||
               !detailsOf(m_lines[at + 1], m_isMarked).empty();
    }

    /// The details and the title, in whatever order. Returns where the words begin.
    qsizetype readHead() {
        bool hasTitle = false;
        bool isBelowTitle = false; // with nothing but details between
        for (m_at = 0; m_at < m_lines.size(); ++m_at) {
            const QString& line = m_lines[m_at];
            if (line.isEmpty())
                continue;
            if (const auto details = detailsOf(line, m_isMarked); !details.empty()) {
                addDetails(details);
                for (const SheetDetail& detail : details)
                    hasTitle = hasTitle || detail.name == "title"_L1;
                continue;
            }
            if (!m_isMarked && isDebris(line) && (blockIsDebris(m_lines.size()) || standsAlone(m_at))) {
                add(SheetLineKind::LeftOut, line);
                continue;
            }
            if (isHeading(m_at))
                break;
            if (!hasTitle && isTitle(m_at)) {
                m_isMarked ? addDetails({{u"title"_s, line}}) : addDetails(titleDetails(line));
                hasTitle = isBelowTitle = true;
                continue;
            }
            if (isBelowTitle && !m_isMarked && isNames(m_at)) {
                addDetails({{u"words"_s, withoutBrackets(line)}});
                isBelowTitle = false;
                continue;
            }
            break;
        }
        return m_at;
    }

    /// A line that stands alone, or that others follow which can only be names and the first part's heading.
    [[nodiscard]] bool isTitle(qsizetype at) const {
        if (standsAlone(at))
            return words(at) <= kLongestTitle && !isNumberedVerse(at);
        return !m_isMarked && at + 2 < m_lines.size() && looksLikeNames(withoutBrackets(m_lines[at + 1])) &&
               standsAlone(at + 1) && words(at) <= kLongestTitle && hasWordsBehind(at + 2);
    }

    [[nodiscard]] int words(qsizetype at) const { return int(m_lines[at].count(u' ')) + 1; }

    /// "1. …" where "2. …" follows at the head of a later block.
    [[nodiscard]] bool isNumberedVerse(qsizetype at) const {
        static const QRegularExpression first(u"^\\(?1[.):/]\\s"_s);
        static const QRegularExpression second(u"^\\(?2[.):/]\\s"_s);
        return first.match(m_lines[at]).hasMatch() &&
               std::any_of(m_lines.begin() + at, m_lines.end(),
                           [](const QString& line) { return second.match(line).hasMatch(); });
    }

    /// Names alone on a line below the title, before a blank line or a heading, with the words still to come.
    [[nodiscard]] bool isNames(qsizetype at) const {
        return standsAlone(at) && looksLikeNames(withoutBrackets(m_lines[at])) && hasWordsBehind(at + 1) &&
               (at == 0 || !m_lines[at - 1].isEmpty() || m_lines[at].startsWith(u'('));
    }

    [[nodiscard]] bool hasWordsBehind(qsizetype at) const {
        return std::any_of(m_lines.begin() + std::min(at, m_lines.size()), m_lines.end(),
                           [](const QString& line) { return !line.isEmpty(); });
    }

    /// Behind the last block that has words in it: details and debris only.
    [[nodiscard]] qsizetype footBegins(qsizetype body) const {
        qsizetype foot = m_lines.size();
        for (qsizetype at = m_lines.size() - 1; at > body; --at) {
            const QString& line = m_lines[at];
            if (line.isEmpty() || isDebris(line) || !detailsOf(line, m_isMarked).empty())
                foot = at;
            else
                break;
        }
        const bool isHeaded = foot > 0 && isHeading(foot - 1);
        while (foot < m_lines.size() && !m_lines[foot].isEmpty() && !isCopyright(m_lines[foot]) &&
               (isHeaded || detailsOf(m_lines[foot], false).empty()))
            ++foot; // a number that stands right below words, or a heading's only line, belongs to them
        return foot;
    }

    void readFootLine() {
        const QString& line = m_lines[m_at];
        const auto details = detailsOf(line, m_isMarked);
        if (!details.empty())
            addDetails(details);
        else if (!line.isEmpty())
            add(SheetLineKind::LeftOut, line);
    }

    void readLine() {
        static const QRegularExpression rule(u"^-{3,}$"_s);
        const QString& line = m_lines[m_at];
        const bool isHead = m_at == 0 || m_lines[m_at - 1].isEmpty() || !m_hasWords;
        if (line.isEmpty()) {
            add(SheetLineKind::Blank);
            return;
        }
        if (rule.match(line).hasMatch()) {
            add(SheetLineKind::Rule);
        } else if (isCopyright(line)) {
            addDetails({{u"copyright"_s, line}});
        } else if (m_isHeaded && line.startsWith(u'>')) {
            add(SheetLineKind::Comment, line.mid(1).trimmed());
        } else if (const auto heading = readSheetHeading(line, isHead, m_isMarked)) {
            addHeading(*heading);
        } else if (m_isMarked) {
            addWords(line);
        } else if (const int times = repeatAlone(line); times > 1) {
            add(SheetLineKind::Repeat).times = times;
        } else if (isHead && isDebris(line) && blockIsDebris(m_end)) {
            add(SheetLineKind::LeftOut, line);
        } else {
            const RepeatedLine repeated = repeatAtEnd(line);
            for (int i = 0; i < repeated.times; ++i)
                addWords(repeated.words);
        }
    }

    void addWords(const QString& words) {
        m_hasWords = true;
        add(SheetLineKind::Words, words);
    }

    void addHeading(const SheetHeading& heading) {
        SheetLine& line = add(SheetLineKind::Heading);
        line.heading = heading.heading;
        line.times = heading.times;
        line.isHashed = heading.isHashed;
        line.hasWords = !heading.words.isEmpty();
        m_isHeaded = !line.hasWords;
        m_hasWords = false;
        if (!heading.words.isEmpty())
            addWords(heading.words);
    }

    /// Every line from here to the next blank one.
    [[nodiscard]] bool blockIsDebris(qsizetype end) const {
        for (qsizetype at = m_at; at < end && !m_lines[at].isEmpty(); ++at)
            if (!isDebris(m_lines[at]))
                return false;
        return true;
    }

    static constexpr int kLongestTitle = 14; ///< words
    QStringList m_lines;
    std::vector<int> m_from;
    std::vector<SheetLine> m_result;
    qsizetype m_at = 0;
    qsizetype m_end = 0;
    bool m_isMarked = false;
    bool m_isHeaded = false;
    bool m_hasWords = false; ///< since the last heading
};

} // namespace

std::vector<SheetLine> readLyricSheet(const QStringList& lines) {
    return lines.isEmpty() ? std::vector<SheetLine>() : SheetReader(lines).read();
}

} // namespace mivanta
