// SPDX-License-Identifier: GPL-3.0-or-later
#include "formats/PlainText.h"
#include "core/base/Said.h"
#include "core/song/LyricSheet.h"
#include "core/song/PartEdits.h"
#include "core/song/WholeText.h"
#include "formats/SongBuilder.h"

namespace mivanta {

namespace {

class PlainTextParser {
public:
    explicit PlainTextParser(QString fallbackTitle) : m_builder(std::move(fallbackTitle)) {}

    std::vector<ReadSong> parse(const QString& text) {
        for (const SheetLine& line : readLyricSheet(text.split(u'\n')))
            take(line);
        finishSection();
        auto song = m_builder.build();
        return song ? std::vector<ReadSong>{std::move(*song)} : std::vector<ReadSong>{};
    }

private:
    void take(const SheetLine& line) {
        switch (line.kind) {
        case SheetLineKind::Words:
            addWords(line);
            break;
        case SheetLineKind::Blank:
            if (!m_isHeaded)
                finishSection();
            else
                m_breakNext = !m_section.lines.empty();
            break;
        case SheetLineKind::Heading:
            startSection(line);
            break;
        case SheetLineKind::Repeat:
            if (!m_section.lines.empty())
                m_times = line.times;
            break;
        case SheetLineKind::Rule:
            m_breakNext = !m_section.lines.empty();
            break;
        case SheetLineKind::Comment: {
            QString& said = m_section.lines.empty() ? m_section.comment : m_comment;
            said += (said.isEmpty() ? QString() : QStringLiteral("; ")) + line.text;
            break;
        }
        case SheetLineKind::Detail:
            if (!m_builder.setOrder(line.name, line.text, line.from + 1))
                m_builder.setDetail(line.name, line.text);
            break;
        case SheetLineKind::LeftOut:
            m_builder.warn(
                line.from + 1,
                Said::tr("\u201c%1\u201d was left out: it is no words of the song.").arg(line.text));
            break;
        }
    }

    void addWords(const SheetLine& line) {
        Line words = tidied(readMarkedLine(line.text, !m_isHashed)); // under "# …" every bracket is a chord
        words.breakBefore = std::exchange(m_breakNext, false);
        words.comment = std::exchange(m_comment, {});
        if (m_section.fileLine == 0)
            m_section.fileLine = line.from + 1;
        m_section.lines.push_back(std::move(words));
    }

    void startSection(const SheetLine& line) {
        finishSection();
        m_isHeaded = !line.hasWords;
        m_isHashed = line.isHashed;
        m_section.heading = line.heading;
        m_section.fileLine = line.from + 1;
        m_times = line.times;
    }

    void finishSection() {
        SongBuilder::Section section = std::exchange(m_section, {});
        const bool isThere = section.heading || !section.lines.empty();
        for (int i = 0; i < m_times && isThere; ++i)
            m_builder.addSection(section);
        m_isHeaded = false;
        m_breakNext = false;
        m_times = 1;
    }

    SongBuilder m_builder;
    SongBuilder::Section m_section;
    QString m_comment; ///< for the musicians, before the next line
    int m_times = 1;   ///< how often the section is sung in a row
    bool m_isHeaded = false;
    bool m_isHashed = false; ///< the heading was written as "# …"
    bool m_breakNext = false;
};

} // namespace

std::vector<ReadSong> parsePlainText(const QString& text, const QString& fallbackTitle) {
    return PlainTextParser(fallbackTitle).parse(text);
}

} // namespace mivanta
