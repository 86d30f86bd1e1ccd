// SPDX-License-Identifier: GPL-3.0-or-later
#include "formats/PlainText.h"
#include "core/song/PartEdits.h"
#include "core/song/PasteCleanup.h"
#include "core/song/WholeText.h"
#include "formats/SongBuilder.h"
#include <QRegularExpression>

namespace mivanta {

namespace {

class PlainTextParser {
public:
    PlainTextParser(const QString& text, QString fallbackTitle) : m_builder(std::move(fallbackTitle)) {
        NumberedLines numbered = withChordsInWords(text.split(u'\n'));
        m_lines = std::move(numbered.lines);
        m_from = std::move(numbered.from);
        for (QString& line : m_lines)
            line = line.replace(u'\t', u' ').trimmed();
    }

    std::vector<ReadSong> parse() {
        qsizetype at = readDetails();
        for (; at < m_lines.size(); ++at)
            readLine(int(at));
        finishSection();
        auto song = m_builder.build();
        return song ? std::vector<ReadSong>{std::move(*song)} : std::vector<ReadSong>{};
    }

private:
    /// "Name: value" lines at the head of the file, with the title before, among or behind them on a line of
    /// its own. Returns what comes next.
    qsizetype readDetails() {
        static const QRegularExpression detail(
            QStringLiteral("^([A-Za-z][A-Za-z _\\-]{1,24}):(?:\\s+(.*))?$"));
        qsizetype at = 0;
        for (; at < m_lines.size(); ++at) {
            const auto match = detail.match(m_lines[at]);
            if (m_lines[at].isEmpty())
                continue;
            if (match.hasMatch() && m_builder.setOrder(match.captured(1), match.captured(2), fileLine(at)))
                continue;
            else if (match.hasMatch() && m_builder.setDetail(match.captured(1), match.captured(2)))
                continue;
            else if (m_builder.details().title.isEmpty() && standsAlone(at))
                m_builder.details().title = m_lines[at];
            else
                break;
        }
        return at;
    }

    /// The line is no heading, and a blank line, details or a heading follow it.
    [[nodiscard]] bool standsAlone(qsizetype at) const {
        if (at + 1 >= m_lines.size() || m_lines[at].isEmpty() || findHeading(m_lines[at], true))
            return false;
        return m_lines[at + 1].isEmpty() || findHeading(m_lines[at + 1], true).has_value();
    }

    void readLine(int index) {
        const QString& line = m_lines[index];
        const bool headOfBlock = index == 0 || m_lines[index - 1].isEmpty() || m_section.lines.empty();
        static const QRegularExpression rule(QStringLiteral("^-{3,}$"));
        if (line.isEmpty()) {
            if (!m_headed)
                finishSection();
            else
                m_breakNext = !m_section.lines.empty();
        } else if (rule.match(line).hasMatch()) {
            m_breakNext = !m_section.lines.empty();
        } else if (line.startsWith(QChar(0x00a9)) ||
                   line.startsWith(QLatin1String("(c) "), Qt::CaseInsensitive)) {
            m_builder.details().copyright = line;
        } else if (m_headed && line.startsWith(u'>')) {
            QString& said = m_section.lines.empty() ? m_section.comment : m_comment;
            said += (said.isEmpty() ? QString() : QStringLiteral("; ")) + line.mid(1).trimmed();
        } else if (const auto found = findHeading(line, headOfBlock)) {
            startSection(*found, index);
        } else {
            Line words = tidied(readMarkedLine(line, !m_hashed)); // under "# …" every bracket is a chord
            words.breakBefore = std::exchange(m_breakNext, false);
            words.comment = std::exchange(m_comment, {});
            if (m_section.fileLine == 0)
                m_section.fileLine = fileLine(index);
            m_section.lines.push_back(std::move(words));
        }
    }

    void startSection(const PartHeading& found, int index) {
        finishSection();
        m_headed = true;
        m_section.heading = found;
        m_hashed = m_lines[index].startsWith(u'#');
        m_section.fileLine = fileLine(index);
    }

    void finishSection() {
        m_builder.addSection(std::exchange(m_section, {}));
        m_headed = false;
        m_breakNext = false;
    }

    [[nodiscard]] int fileLine(qsizetype index) const { return m_from[size_t(index)] + 1; }

    QStringList m_lines;
    std::vector<int> m_from; ///< the line of the file, from 0
    SongBuilder m_builder;
    SongBuilder::Section m_section;
    QString m_comment; ///< for the musicians, before the next line
    bool m_headed = false;
    bool m_hashed = false; ///< the heading was written as "# …"
    bool m_breakNext = false;
};

} // namespace

std::vector<ReadSong> parsePlainText(const QString& text, const QString& fallbackTitle) {
    return PlainTextParser(text, fallbackTitle).parse();
}

} // namespace mivanta
