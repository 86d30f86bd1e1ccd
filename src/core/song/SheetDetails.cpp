// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/song/SheetDetails.h"
#include <QRegularExpression>
#include <algorithm>

namespace mivanta {

using namespace Qt::StringLiterals;

namespace {

struct KnownDetail {
    const char* name;                 ///< as it is told
    std::vector<const char*> written; ///< in lower case, without spaces, "_", "-" and "by"
};

const std::vector<KnownDetail>& known() {
    static const std::vector<KnownDetail> all{
        {"title", {"title", "t", "titel", "titre", "titulo"}},
        {"subtitle", {"subtitle", "st", "othertitle", "alternativetitle"}},
        {"words",
         {"lyricist", "words", "lyrics", "artist", "author", "", "written", "text", "paroles", "letra"}},
        {"music", {"composer", "music", "tune", "melody", "melodie", "musik", "musique", "musica", "música"}},
        {"words+music",
         {"words&music", "lyrics&music", "music&words", "music&lyrics", "text&melodie", "text&musik",
          "worte&weise", "paroles&musique", "letra&musica", "letra&música"}},
        {"translation", {"translator", "translation", "translated", "übersetzung", "traduction", "trans."}},
        {"arrangement", {"arranger", "arrangement", "arranged", "arr", "arr.", "satz"}},
        {"copyright", {"copyright"}},
        {"licence",
         {"licence", "license", "licencenumber", "licenceno", "licensenumber", "licenseno", "licenceno.",
          "licenseno."}},
        {"book", {"book", "hymnal", "songbook"}},
        {"key", {"key", "tonart"}},
        {"tempo", {"tempo", "bpm"}},
        {"time", {"time", "timesignature"}},
        {"capo", {"capo"}},
        {"topic", {"topic", "topics"}},
        {"language", {"language"}},
        {"notes", {"note", "notes"}},
        {"theme", {"theme"}},
        {"track", {"track", "backingtrack"}},
        {"order_name", {"ordername"}},
        {"order", {"order"}},
        {"other_order", {"otherorder"}},
    };
    return all;
}

std::vector<SheetDetail> detail(const QString& name, const QString& value) {
    if (name == "words+music"_L1)
        return {{u"words"_s, value}, {u"music"_s, value}};
    return {{name, value}};
}

std::vector<SheetDetail> writtenDetail(const QString& line) {
    static const QRegularExpression shape(u"^(\\p{L}[\\p{L} _.&\\-]{1,32}?)\\s?:(?:\\s+(.*))?$"_s);
    const auto match = shape.match(line);
    const QString name = match.hasMatch() ? detailNamed(match.captured(1)) : QString();
    return name.isEmpty() ? std::vector<SheetDetail>() : detail(name, match.captured(2).trimmed());
}

/// "Words and music by I. Tarnwell": what is named, then "by". Just "by" asks for names.
std::vector<SheetDetail> saidBy(const QString& line) {
    static const QRegularExpression by(
        u"^(?:(\\p{L}[\\p{L} &,/]{2,28}?)\\s+)?(?:by|von|par|de|por)\\s+(.+)$"_s,
        QRegularExpression::CaseInsensitiveOption);
    const auto match = by.match(line);
    if (!match.hasMatch() || !looksLikeNames(match.captured(2)))
        return {};
    const QString said = match.captured(1);
    if (said.isEmpty())
        return line.startsWith("by"_L1, Qt::CaseInsensitive) ? detail(u"words"_s, match.captured(2))
                                                             : std::vector<SheetDetail>();
    const QString name = detailNamed(said);
    static const QStringList people{u"words"_s, u"music"_s, u"words+music"_s, u"translation"_s,
                                    u"arrangement"_s};
    return people.contains(name) ? detail(name, match.captured(2)) : std::vector<SheetDetail>();
}

std::vector<SheetDetail> arranger(const QString& line) {
    static const QRegularExpression short_(u"^(arr|trans|tr)\\.\\s+(.+)$"_s,
                                           QRegularExpression::CaseInsensitiveOption);
    const auto match = short_.match(line);
    if (!match.hasMatch() || !looksLikeNames(match.captured(2)))
        return {};
    return detail(match.captured(1).startsWith(u'a', Qt::CaseInsensitive) ? u"arrangement"_s
                                                                          : u"translation"_s,
                  match.captured(2));
}

/// What musicians write without a colon.
std::vector<SheetDetail> figure(const QString& line) {
    struct Shape {
        QString name;
        QRegularExpression shape;
    };
    const auto shape = [](const QString& name, const QString& pattern) {
        return Shape{name, QRegularExpression(pattern, QRegularExpression::CaseInsensitiveOption)};
    };
    static const std::vector<Shape> shapes{
        shape(u"key"_s, u"^key\\s*(?:of|-|=|in)?\\s*([A-H](?:#|b|is|es)?m?)$"_s),
        shape(u"capo"_s, u"^capo\\s*(?:on|at|=|-)?\\s*(\\d{1,2})(?:st|nd|rd|th)?(?:\\s+fret)?$"_s),
        shape(u"tempo"_s, u"^(?:tempo|bpm)\\s*(?:=|-)?\\s*(\\d{2,3})$"_s),
        shape(u"tempo"_s, u"^(?:\\S\\s*=\\s*)?(\\d{2,3})\\s*bpm$"_s),
        shape(u"time"_s, u"^(?:time\\s*)?(\\d{1,2}/(?:2|4|8|16))(?:\\s+time)?$"_s),
        shape(u"licence"_s,
              u"^(?:song\\s+)?licen[cs]e\\s*(?:no\\.?|number|nr\\.?|#)?\\s*:?\\s*(\\d[\\d -]{2,}\\d)$"_s),
    };
    for (const Shape& each : shapes)
        if (const auto match = each.shape.match(line); match.hasMatch())
            return detail(each.name, match.captured(1));
    return {};
}

/// "Shore Hymnal 203", "Hymn no. 203", "#203".
std::vector<SheetDetail> bookNumber(const QString& line) {
    static const QRegularExpression named(
        u"^(.*\\b(?:hymnal|hymn ?book|song ?book|psalter|gesangbuch|liederbuch|cantiques?|himnario))"
        "[\\s,]*(?:no\\.?|nr\\.?|n\u00ba|#)?\\s*(\\d{1,4}[a-z]?)$"_s,
        QRegularExpression::CaseInsensitiveOption);
    static const QRegularExpression bare(
        u"^(?:(?:hymn|song|lied)\\s*)?(?:no\\.?|nr\\.?|number|#)\\s*(\\d{1,4}[a-z]?)$"_s,
        QRegularExpression::CaseInsensitiveOption);
    if (const auto match = named.match(line); match.hasMatch())
        return detail(u"book"_s, match.captured(1).trimmed() + u" #"_s + match.captured(2));
    if (const auto match = bare.match(line); match.hasMatch())
        return detail(u"book"_s, u"#"_s + match.captured(1));
    return {};
}

/// Several details on one line, between "/", "|", ";" or "·".
QStringList apart(const QString& line) {
    static const QRegularExpression between(
        u"\\s*[/"
        u"|;\u00b7\u2022]\\s*(?=(?:words|music|lyrics|text|melod|musik|tune|arr|trans|key|capo|tempo|\u00a9"
        "|copyright|paroles|musique|letra|m[uú]sica)\\b)"_s,
        QRegularExpression::CaseInsensitiveOption);
    return line.split(between, Qt::SkipEmptyParts);
}

QString inOrdinaryLetters(const QString& title) {
    const bool isShouted = title.size() > 3 && title == title.toUpper() && title != title.toLower();
    if (!isShouted)
        return title;
    static const QStringList small{u"a"_s,  u"an"_s,  u"and"_s,  u"as"_s, u"at"_s,
                                   u"by"_s, u"for"_s, u"from"_s, u"in"_s, u"of"_s,
                                   u"on"_s, u"or"_s,  u"the"_s,  u"to"_s, u"with"_s};
    QStringList words = title.toLower().split(u' ');
    for (qsizetype i = 0; i < words.size(); ++i)
        if ((i == 0 || !small.contains(words[i])) && !words[i].isEmpty())
            words[i][0] = words[i][0].toUpper();
    return words.join(u' ');
}

} // namespace

QString detailNamed(const QString& name) {
    static const QRegularExpression by(u"\\s+by$"_s);
    static const QRegularExpression und(u"\\s+(?:and|und|et|y|e)\\s+|\\s*[,/]\\s*"_s);
    QString plain = name.toLower().trimmed();
    if (plain == "by"_L1)
        plain.clear();
    plain.remove(by);
    plain.replace(und, u"&"_s);
    plain.remove(u' ').remove(u'_').remove(u'-');
    for (const KnownDetail& each : known())
        for (const char* written : each.written)
            if (plain == QString::fromUtf8(written))
                return QString::fromLatin1(each.name);
    return {};
}

bool isCopyright(const QString& line) {
    static const QRegularExpression said(u"^copyright\\b(?!:)"_s, QRegularExpression::CaseInsensitiveOption);
    return line.startsWith(QChar(0x00a9)) || line.startsWith("(c) "_L1, Qt::CaseInsensitive) ||
           said.match(line).hasMatch();
}

std::vector<SheetDetail> detailsOf(const QString& line, bool writtenOnly) {
    if (writtenOnly)
        return writtenDetail(line);
    std::vector<SheetDetail> all;
    for (const QString& piece : apart(line)) {
        const QString part = withoutBrackets(piece.trimmed());
        std::vector<SheetDetail> found;
        if (isCopyright(part))
            found = detail(u"copyright"_s, part);
        for (const auto& way : {writtenDetail, saidBy, arranger, figure, bookNumber})
            if (found.empty())
                found = way(part);
        if (found.empty())
            return {}; // a line is a detail as a whole, or words
        all.insert(all.end(), found.begin(), found.end());
    }
    return all;
}

std::vector<SheetDetail> titleDetails(const QString& line) {
    static const QRegularExpression numbered(
        u"^(?:no\\.?\\s*|nr\\.?\\s*|#)?(\\d{1,4})(?:[.:)]|\\s+[-\u2013]|)\\s+(\\S.*)$"_s,
        QRegularExpression::CaseInsensitiveOption);
    static const QRegularExpression dashed(u"^(.+?)\\s+(?:[-\u2013\u2014|/]|by|von)\\s+(.+)$"_s);
    static const QRegularExpression bracketed(u"^(.+?)\\s*\\(([^)]+)\\)$"_s);
    std::vector<SheetDetail> details;
    QString title = line;
    if (title.endsWith(u':'))
        title.chop(1);
    if (const auto match = numbered.match(title); match.hasMatch()) {
        details.push_back({u"book"_s, u"#"_s + match.captured(1)});
        title = match.captured(2);
    }
    for (const auto* shape : {&dashed, &bracketed})
        if (const auto match = shape->match(title); match.hasMatch() && looksLikeNames(match.captured(2))) {
            title = match.captured(1);
            details.push_back({u"words"_s, inOrdinaryLetters(match.captured(2))});
            break;
        }
    if (title.size() > 2 && title.startsWith(u'"') && title.endsWith(u'"'))
        title = title.mid(1, title.size() - 2);
    details.insert(details.begin(), {u"title"_s, inOrdinaryLetters(title.trimmed())});
    return details;
}

bool looksLikeNames(const QString& line) {
    static const QRegularExpression joining(u"\\s*(?:,|;|&|\\band\\b|\\bund\\b|\\bet\\b|\\by\\b)\\s*"_s);
    static const QRegularExpression word(
        u"^(?:\\p{Lu}[\\p{L}'\u2019-]*\\.?|de|van|von|der|la|du|af|st\\.?)$"_s);
    static const QRegularExpression years(u"\\s*\\(?(?:\\d{4})(?:\\s*[-\u2013]\\s*\\d{4})?\\)?$"_s);
    const QStringList people = line.split(joining, Qt::SkipEmptyParts);
    return !people.isEmpty() && people.size() <= 6 &&
           std::all_of(people.begin(), people.end(), [&](QString person) {
               const QStringList words = person.remove(years).split(u' ', Qt::SkipEmptyParts);
               return words.size() >= 2 && words.size() <= 5 && words.back().front().isUpper() &&
                      std::all_of(words.begin(), words.end(),
                                  [&](const QString& each) { return word.match(each).hasMatch(); });
           });
}

QString withoutBrackets(const QString& line) {
    return line.size() > 2 && line.startsWith(u'(') && line.endsWith(u')') && line.count(u'(') == 1
               ? line.mid(1, line.size() - 2).trimmed()
               : line;
}

} // namespace mivanta
