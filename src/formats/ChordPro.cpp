// SPDX-License-Identifier: GPL-3.0-or-later
#include "formats/ChordPro.h"
#include "core/base/Said.h"
#include "formats/ChordProLine.h"
#include "formats/SongBuilder.h"
#include <QHash>
#include <QRegularExpression>
#include <QSet>

namespace mivanta {

namespace {

QString longName(const QString& name) {
    static const QHash<QString, QString> forms{{QStringLiteral("soc"), QStringLiteral("start_of_chorus")},
                                               {QStringLiteral("eoc"), QStringLiteral("end_of_chorus")},
                                               {QStringLiteral("sov"), QStringLiteral("start_of_verse")},
                                               {QStringLiteral("eov"), QStringLiteral("end_of_verse")},
                                               {QStringLiteral("sob"), QStringLiteral("start_of_bridge")},
                                               {QStringLiteral("eob"), QStringLiteral("end_of_bridge")},
                                               {QStringLiteral("sot"), QStringLiteral("start_of_tab")},
                                               {QStringLiteral("eot"), QStringLiteral("end_of_tab")},
                                               {QStringLiteral("sog"), QStringLiteral("start_of_grid")},
                                               {QStringLiteral("eog"), QStringLiteral("end_of_grid")},
                                               {QStringLiteral("c"), QStringLiteral("comment")},
                                               {QStringLiteral("ci"), QStringLiteral("comment")},
                                               {QStringLiteral("cb"), QStringLiteral("comment")},
                                               {QStringLiteral("comment_italic"), QStringLiteral("comment")},
                                               {QStringLiteral("comment_box"), QStringLiteral("comment")},
                                               {QStringLiteral("highlight"), QStringLiteral("comment")},
                                               {QStringLiteral("ns"), QStringLiteral("new_song")}};
    return forms.value(name, name);
}

/// Directives that only say how a page is printed.
bool isPrintingOnly(const QString& name) {
    static const QSet<QString> names{
        QStringLiteral("new_page"),  QStringLiteral("np"),           QStringLiteral("new_physical_page"),
        QStringLiteral("npp"),       QStringLiteral("column_break"), QStringLiteral("colb"),
        QStringLiteral("columns"),   QStringLiteral("col"),          QStringLiteral("define"),
        QStringLiteral("chord"),     QStringLiteral("grid"),         QStringLiteral("g"),
        QStringLiteral("no_grid"),   QStringLiteral("ng"),           QStringLiteral("titles"),
        QStringLiteral("pagetype"),  QStringLiteral("diagrams"),     QStringLiteral("image"),
        QStringLiteral("album"),     QStringLiteral("year"),         QStringLiteral("duration"),
        QStringLiteral("sorttitle"), QStringLiteral("transpose")};
    static const QRegularExpression style(
        QStringLiteral("^(text|chord|tab|chorus|footer|grid|tab|title|toc|label)(font|size|colou?r)$|^[tc]["
                       "fs]$|^x_")); // for machines
    return names.contains(name) || style.match(name).hasMatch();
}

class ChordProParser {
public:
    explicit ChordProParser(QString fallbackTitle)
        : m_fallbackTitle(std::move(fallbackTitle)),
          m_builder(m_fallbackTitle) {}

    std::vector<ReadSong> parse(const QString& text) {
        for (const QString& line : text.split(u'\n')) {
            ++m_lineNumber;
            readLine(line);
        }
        finishSong();
        return std::move(m_songs);
    }

private:
    void readLine(const QString& raw) {
        const QString line = raw.trimmed();
        if (line.startsWith(u'#'))
            return;
        if (line.startsWith(u'{')) {
            readDirective(line);
        } else if (line.isEmpty()) {
            if (m_inside)
                m_breakNext = !m_section.lines.empty();
            else
                finishSection();
        } else {
            addWords(raw);
        }
    }

    void readDirective(const QString& line) {
        static const QRegularExpression shape(QStringLiteral(
            "^\\{\\s*([A-Za-z_]+)(-[A-Za-z0-9_]+!?)?\\s*(?::|\\s|(?=\\}|$))\\s*(.*?)\\s*(\\}?)\\s*$"));
        const auto match = shape.match(line);
        if (!match.hasMatch()) {
            m_builder.warn(
                m_lineNumber,
                Said::tr("this directive was not understood and was left out: %1").arg(line.left(80)));
            return;
        }
        if (match.captured(4).isEmpty())
            m_builder.warn(
                m_lineNumber,
                Said::tr("the directive is never closed with \"}\"; it was read to the end of its line."));
        if (!match.captured(2).isEmpty())
            return; // for another instrument or user
        obey(longName(match.captured(1).toLower()), match.captured(3));
    }

    void obey(const QString& name, const QString& value) {
        if (name.startsWith(QLatin1String("start_of_")))
            startSection(name.mid(9), value);
        else if (name.startsWith(QLatin1String("end_of_")))
            endSection(name.mid(7));
        else if (name == QLatin1String("chorus"))
            recallChorus(value);
        else if (name == QLatin1String("comment"))
            addComment(value);
        else if (name == QLatin1String("new_song"))
            finishSong();
        else if (name == QLatin1String("meta"))
            setDetail(value.section(u' ', 0, 0), value.section(u' ', 1).trimmed());
        else if (!isPrintingOnly(name))
            setDetail(name, value);
    }

    void setDetail(const QString& name, const QString& value) {
        if (!m_builder.setOrder(name, value, m_lineNumber) && !m_builder.setDetail(name, value))
            m_builder.warn(m_lineNumber,
                           Said::tr("\"%1\" is no detail that Mivanta knows; it was left out.").arg(name));
    }

    void startSection(const QString& kind, QString label) {
        if (m_inside)
            m_builder.warn(m_section.fileLine,
                           Said::tr("this section is never closed; it was ended where the next one starts."));
        finishSection();
        static const QRegularExpression attribute(QStringLiteral("label\\s*=\\s*\"([^\"]*)\""));
        if (const auto match = attribute.match(label); match.hasMatch())
            label = match.captured(1);
        m_inside = true;
        m_sectionKind = kind;
        m_section.fileLine = m_lineNumber;
        m_section.bandOnly = kind == QLatin1String("tab") || kind == QLatin1String("grid");
        m_section.comment = std::exchange(m_pendingComment, {});
        setHeading(label, kind);
    }

    void setHeading(const QString& label, const QString& kind) {
        const auto ofKind = readPartHeading(QString(kind).replace(u'_', u' '));
        bool isNumber = false;
        if (const int number = label.toInt(&isNumber); isNumber && number > 0 && ofKind)
            m_section.heading = PartHeading{ofKind->kind, number, {}, {}};
        else if (!label.isEmpty())
            m_section.heading = readAnyHeading(label);
        else if (ofKind)
            m_section.heading = ofKind;
        else
            m_section.heading = readAnyHeading(m_section.bandOnly ? QStringLiteral("Instrumental")
                                                                  : kind.left(1).toUpper() + kind.mid(1));
    }

    void endSection(const QString& kind) {
        if (!m_inside)
            m_builder.warn(m_lineNumber,
                           Said::tr("a section ends here that never started; it was passed over."));
        else if (kind != m_sectionKind)
            m_builder.warn(m_lineNumber,
                           Said::tr("\"end_of_%1\" ends the section \"%2\".").arg(kind, m_sectionKind));
        finishSection();
    }

    void recallChorus(const QString& label) {
        finishSection();
        SongBuilder::Section again;
        again.heading = readPartHeading(label).value_or(PartHeading{PartKind::Chorus, 0, {}, {}});
        again.fileLine = m_lineNumber;
        m_builder.addSection(again);
    }

    /// A comment that names a part and stands outside any section is a heading, as many files write it.
    void addComment(const QString& value) {
        QString words = value;
        if (words.endsWith(u':'))
            words.chop(1);
        if (const auto heading = readPartHeading(words); heading && !m_inside) {
            finishSection();
            m_section.heading = heading;
            m_section.fileLine = m_lineNumber;
            m_headed = true;
            return;
        }
        m_pendingComment += (m_pendingComment.isEmpty() ? QString() : QStringLiteral("; ")) + value;
    }

    void addWords(const QString& raw) {
        Line line = readChordProLine(raw);
        if (m_section.lines.empty() && !m_inside && !m_headed)
            m_section.fileLine = m_lineNumber;
        line.breakBefore = std::exchange(m_breakNext, false);
        if (m_inside || m_headed || !m_section.lines.empty())
            line.comment = std::exchange(m_pendingComment, {});
        else
            m_section.comment = std::exchange(m_pendingComment, {});
        m_section.lines.push_back(std::move(line));
    }

    void finishSection() {
        if (!m_pendingComment.isEmpty() && !m_section.lines.empty()) {
            QString& comment = m_section.comment;
            comment +=
                (comment.isEmpty() ? QString() : QStringLiteral("; ")) + std::exchange(m_pendingComment, {});
        }
        const bool waitsForWords = m_headed && m_section.lines.empty() && !m_inside;
        if (waitsForWords)
            return; // a blank line between the heading and its words
        m_builder.addSection(std::exchange(m_section, {}));
        m_inside = false;
        m_headed = false;
        m_breakNext = false;
    }

    void finishSong() {
        if (m_inside)
            m_builder.warn(m_section.fileLine,
                           Said::tr("this section is never closed; it was ended where the song ends."));
        m_headed = false;
        finishSection();
        if (!m_pendingComment.isEmpty())
            m_builder.setDetail(QStringLiteral("notes"), std::exchange(m_pendingComment, {}));
        if (auto song = m_builder.build())
            m_songs.push_back(std::move(*song));
        m_builder = SongBuilder(m_fallbackTitle);
    }

    QString m_fallbackTitle;
    SongBuilder m_builder;
    SongBuilder::Section m_section;
    QString m_sectionKind;
    QString m_pendingComment;
    bool m_inside = false; ///< between a start_of_ and its end_of_
    bool m_headed = false; ///< under a comment that is a heading
    bool m_breakNext = false;
    int m_lineNumber = 0;
    std::vector<ReadSong> m_songs;
};

} // namespace

std::vector<ReadSong> parseChordPro(const QString& text, const QString& fallbackTitle) {
    return ChordProParser(fallbackTitle).parse(text);
}

} // namespace mivanta
