// SPDX-License-Identifier: GPL-3.0-or-later
#include "formats/PlainText.h"
#include "formats/SongBuilder.h"
#include <QRegularExpression>

namespace mivanta {

namespace {

struct FoundHeading {
    std::optional<PartHeading> heading;
    QString name; ///< when it is marked as a heading but names no known part
};

/// `mayBeBare`: the line stands at the head of a block, so a plain "Chorus" counts.
std::optional<FoundHeading> findHeading(const QString& line, bool mayBeBare) {
    static const QRegularExpression bracketed(QStringLiteral("^\\[([^\\]]+)\\]:?$"));
    static const QRegularExpression hashed(QStringLiteral("^#{1,6}\\s*(.+?)\\s*#*$"));
    static const QRegularExpression colon(QStringLiteral("^([^:]+):$"));
    for (const auto* marked : {&hashed, &bracketed, &colon}) {
        const auto match = marked->match(line);
        if (!match.hasMatch())
            continue;
        QString words = match.captured(1).trimmed();
        if (words.endsWith(u':'))
            words.chop(1);
        if (const auto heading = readPartHeading(words))
            return FoundHeading{heading, {}};
        if (marked == &hashed)
            return FoundHeading{std::nullopt, words};
    }
    const auto heading = readPartHeading(line);
    if (heading && (mayBeBare || heading->number > 0))
        return FoundHeading{heading, {}};
    return std::nullopt;
}

class PlainTextParser {
public:
    PlainTextParser(const QString& text, QString fallbackTitle)
        : m_lines(text.split(u'\n')),
          m_builder(std::move(fallbackTitle)) {
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
        static const QRegularExpression detail(QStringLiteral("^([A-Za-z][A-Za-z _\\-]{1,24}):\\s*(\\S.*)$"));
        qsizetype at = 0;
        for (; at < m_lines.size(); ++at) {
            const auto match = detail.match(m_lines[at]);
            if (m_lines[at].isEmpty())
                continue;
            if (match.hasMatch() && match.captured(1).toLower() == QLatin1String("order"))
                m_builder.setOrder(match.captured(2), int(at) + 1);
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
        } else if (const auto found = findHeading(line, headOfBlock)) {
            startSection(*found, index + 1);
        } else {
            Line words = readChordLine(line, true);
            words.breakBefore = std::exchange(m_breakNext, false);
            if (m_section.fileLine == 0)
                m_section.fileLine = index + 1;
            m_section.lines.push_back(std::move(words));
        }
    }

    void startSection(const FoundHeading& found, int fileLine) {
        finishSection();
        m_headed = true;
        m_section.heading = found.heading;
        m_section.name = found.name;
        m_section.bandOnly = found.heading && found.heading->bandOnly;
        m_section.fileLine = fileLine;
    }

    void finishSection() {
        m_builder.addSection(std::exchange(m_section, {}));
        m_headed = false;
        m_breakNext = false;
    }

    QStringList m_lines;
    SongBuilder m_builder;
    SongBuilder::Section m_section;
    bool m_headed = false;
    bool m_breakNext = false;
};

} // namespace

std::vector<ReadSong> parsePlainText(const QString& text, const QString& fallbackTitle) {
    return PlainTextParser(text, fallbackTitle).parse();
}

} // namespace mivanta
