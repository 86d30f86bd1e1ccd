// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/scripture/BookNames.h"
#include <QHash>
#include <QRegularExpression>

namespace mivanta {

namespace {

/// Code, then the German, the French and the Spanish names; several with a comma between.
constexpr const char* kNames[] = {
    "GEN|1. Mose,1. Buch Mose,Genesis|Genèse|Génesis",
    "EXO|2. Mose,2. Buch Mose,Exodus|Exode|Éxodo",
    "LEV|3. Mose,3. Buch Mose,Levitikus|Lévitique|Levítico",
    "NUM|4. Mose,4. Buch Mose,Numeri|Nombres|Números",
    "DEU|5. Mose,5. Buch Mose,Deuteronomium|Deutéronome|Deuteronomio",
    "JOS|Josua|Josué|Josué",
    "JDG|Richter|Juges|Jueces",
    "RUT|Rut,Ruth|Ruth|Rut",
    "1SA|1. Samuel|1 Samuel|1 Samuel",
    "2SA|2. Samuel|2 Samuel|2 Samuel",
    "1KI|1. Könige,1. Kön|1 Rois|1 Reyes",
    "2KI|2. Könige,2. Kön|2 Rois|2 Reyes",
    "1CH|1. Chronik|1 Chroniques|1 Crónicas",
    "2CH|2. Chronik|2 Chroniques|2 Crónicas",
    "EZR|Esra|Esdras|Esdras",
    "NEH|Nehemia|Néhémie|Nehemías",
    "EST|Ester,Esther|Esther|Ester",
    "JOB|Hiob,Ijob|Job|Job",
    "PSA|Psalm,Psalmen,Der Psalter|Psaumes,Psaume|Salmos,Salmo",
    "PRO|Sprüche,Sprichwörter,Sprüche Salomos|Proverbes|Proverbios",
    "ECC|Prediger,Kohelet,Prediger Salomo|Ecclésiaste,L'Ecclésiaste,Qohéleth|Eclesiastés",
    ("SNG|Hoheslied,Hohelied,Hohelied Salomos,Das Hohelied|Cantique des Cantiques,Cantique|"
     "Cantares,Cantar de los Cantares"),
    "ISA|Jesaja|Ésaïe,Isaïe|Isaías",
    "JER|Jeremia|Jérémie|Jeremías",
    "LAM|Klagelieder,Klagelieder Jeremias|Lamentations|Lamentaciones",
    "EZK|Hesekiel,Ezechiel|Ézéchiel|Ezequiel",
    "DAN|Daniel|Daniel|Daniel",
    "HOS|Hosea|Osée|Oseas",
    "JOL|Joel|Joël|Joel",
    "AMO|Amos|Amos|Amós",
    "OBA|Obadja|Abdias|Abdías",
    "JON|Jona|Jonas|Jonás",
    "MIC|Micha|Michée|Miqueas",
    "NAM|Nahum|Nahum|Nahúm",
    "HAB|Habakuk|Habacuc,Habakuk|Habacuc",
    "ZEP|Zefanja,Zephanja|Sophonie|Sofonías",
    "HAG|Haggai|Aggée|Hageo,Ageo",
    "ZEC|Sacharja|Zacharie|Zacarías",
    "MAL|Maleachi|Malachie|Malaquías",
    "MAT|Matthäus,Mt|Matthieu|Mateo",
    "MRK|Markus|Marc|Marcos",
    "LUK|Lukas|Luc|Lucas",
    "JHN|Johannes|Jean|Juan",
    "ACT|Apostelgeschichte,Apg|Actes,Actes des Apôtres|Hechos,Hechos de los Apóstoles",
    "ROM|Römer,Römerbrief|Romains|Romanos",
    "1CO|1. Korinther|1 Corinthiens|1 Corintios",
    "2CO|2. Korinther|2 Corinthiens|2 Corintios",
    "GAL|Galater|Galates|Gálatas",
    "EPH|Epheser|Éphésiens|Efesios",
    "PHP|Philipper|Philippiens|Filipenses",
    "COL|Kolosser|Colossiens|Colosenses",
    "1TH|1. Thessalonicher|1 Thessaloniciens|1 Tesalonicenses",
    "2TH|2. Thessalonicher|2 Thessaloniciens|2 Tesalonicenses",
    "1TI|1. Timotheus|1 Timothée|1 Timoteo",
    "2TI|2. Timotheus|2 Timothée|2 Timoteo",
    "TIT|Titus|Tite|Tito",
    "PHM|Philemon|Philémon|Filemón",
    "HEB|Hebräer|Hébreux|Hebreos",
    "JAS|Jakobus|Jacques|Santiago",
    "1PE|1. Petrus|1 Pierre|1 Pedro",
    "2PE|2. Petrus|2 Pierre|2 Pedro",
    "1JN|1. Johannes|1 Jean|1 Juan",
    "2JN|2. Johannes|2 Jean|2 Juan",
    "3JN|3. Johannes|3 Jean|3 Juan",
    "JUD|Judas|Jude|Judas",
    "REV|Offenbarung,Offenbarung des Johannes|Apocalypse,Apocalypse de Jean|Apocalipsis",
    "TOB|Tobit,Tobias|Tobie|Tobías",
    "JDT|Judit|Judith|Judit",
    "WIS|Weisheit,Weisheit Salomos|Sagesse|Sabiduría",
    "SIR|Sirach,Jesus Sirach|Siracide,Ecclésiastique|Eclesiástico",
    "BAR|Baruch|Baruch|Baruc",
    "1MA|1. Makkabäer|1 Maccabées,1 Maccabees|1 Macabeos",
    "2MA|2. Makkabäer|2 Maccabées|2 Macabeos",
};

const QHash<QString, BookCode>& byOtherNames() {
    static const QHash<QString, BookCode> all = [] {
        QHash<QString, BookCode> result;
        for (const char* line : kNames) {
            const QStringList fields = QString::fromUtf8(line).split(u'|');
            const BookCode code = *BookCode::fromText(fields[0]);
            for (const QString& language : fields.mid(1))
                for (const QString& name : language.split(u','))
                    if (!result.contains(bookKey(name)))
                        result.insert(bookKey(name), code);
        }
        return result;
    }();
    return all;
}

/// "The First Epistle of Paul the Apostle to the Corinthians" is "1 Corinthians"; "The Revelation of St John
/// the Divine" is "Revelation".
QString shortened(const QString& name) {
    static const QRegularExpression number(
        QStringLiteral("\\b(first|second|third|fourth|1st|2nd|3rd|4th|[1-4]|i{1,3}|iv)\\b"),
        QRegularExpression::CaseInsensitiveOption);
    static const QRegularExpression author(
        QStringLiteral("\\s+(?:of|to)\\s+(?:jesus "
                       "christ\\s+to\\s+)?(?:(?:the\\s+)?(?:holy\\s+)?(?:apostle\\s+)?(?:st\\.?|saint)\\s+)?"
                       "(?:john|paul|peter|james|jude|moses|jeremiah|david|solomon)"
                       "(?:\\s+(?:the\\s+(?:apostle|divine|theologian|prophet|evangelist)))?(?=\\s|$)"),
        QRegularExpression::CaseInsensitiveOption);
    static const QRegularExpression kind(
        QStringLiteral(
            "^(?:the\\s+)?(?:holy\\s+)?(?:(?:general\\s+)?(?:epistle|letter|book|gospel|prophecy)s?\\s+)"
            "(?:of|to|according\\s+to|from)?\\s*(?:the\\s+)?(?:prophet\\s+)?(?:st\\.?\\s+|saint\\s+)?(?:"
            "to\\s+(?:the\\s+)?)?"),
        QRegularExpression::CaseInsensitiveOption);
    static const QRegularExpression article(
        QStringLiteral("^(?:the|la|le|les|el|das|der|die)\\s+|^(?:st\\.?|saint)\\s+"),
        QRegularExpression::CaseInsensitiveOption);
    QString rest = name.simplified();
    QString figure;
    if (const auto match = number.match(rest); match.hasMatch()) {
        figure = match.captured(1) + u' ';
        rest = (rest.left(match.capturedStart()) + rest.mid(match.capturedEnd())).simplified();
    }
    const bool isAuthors = author.match(rest).hasMatch();
    QString plain = rest;
    if (isAuthors && !bookFromName(figure + QString(rest).remove(kind)))
        plain.remove(author);
    plain = plain.simplified().remove(kind).remove(article);
    if (plain.startsWith(QLatin1String("to the "), Qt::CaseInsensitive))
        plain = plain.mid(7);
    return figure + plain;
}

} // namespace

std::optional<BookCode> bookFromAnyName(const QString& name) {
    for (const QString& form : {name, shortened(name)}) {
        if (const auto book = bookFromName(form))
            return book;
        if (const auto at = byOtherNames().constFind(bookKey(form)); at != byOtherNames().constEnd())
            return *at;
    }
    return std::nullopt;
}

} // namespace mivanta
