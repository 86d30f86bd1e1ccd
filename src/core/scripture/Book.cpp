// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/scripture/Book.h"
#include "core/base/Fold.h"
#include <QHash>

namespace mivanta {

namespace {

/// Code, OSIS abbreviation, English name, further abbreviations.
constexpr const char* kBooks[] = {
    "GEN|Gen|Genesis|gn",
    "EXO|Exod|Exodus|ex",
    "LEV|Lev|Leviticus|lv",
    "NUM|Num|Numbers|nm|nb",
    "DEU|Deut|Deuteronomy|dt",
    "JOS|Josh|Joshua|jsh",
    "JDG|Judg|Judges|jdg|jg|jgs|jdgs",
    "RUT|Ruth|Ruth|rth|ru",
    "1SA|1Sam|1 Samuel|1sm",
    "2SA|2Sam|2 Samuel|2sm",
    "1KI|1Kgs|1 Kings|1kgs|1kg",
    "2KI|2Kgs|2 Kings|2kgs|2kg",
    "1CH|1Chr|1 Chronicles|1chron",
    "2CH|2Chr|2 Chronicles|2chron",
    "EZR|Ezra|Ezra",
    "NEH|Neh|Nehemiah",
    "EST|Esth|Esther",
    "JOB|Job|Job|jb",
    "PSA|Ps|Psalms|psalm|ps|pss|psm",
    "PRO|Prov|Proverbs|pr|prv",
    "ECC|Eccl|Ecclesiastes|qoh|qoheleth",
    "SNG|Song|Song of Songs|sos|songofsolomon|canticles|canticle|sg",
    "ISA|Isa|Isaiah|is",
    "JER|Jer|Jeremiah|jr",
    "LAM|Lam|Lamentations",
    "EZK|Ezek|Ezekiel|ezk",
    "DAN|Dan|Daniel|dn",
    "HOS|Hos|Hosea",
    "JOL|Joel|Joel|jl",
    "AMO|Amos|Amos|am",
    "OBA|Obad|Obadiah|ob",
    "JON|Jonah|Jonah|jnh",
    "MIC|Mic|Micah|mi",
    "NAM|Nah|Nahum|na",
    "HAB|Hab|Habakkuk|hb",
    "ZEP|Zeph|Zephaniah|zp",
    "HAG|Hag|Haggai|hg",
    "ZEC|Zech|Zechariah|zc",
    "MAL|Mal|Malachi|ml",
    "MAT|Matt|Matthew|mt",
    "MRK|Mark|Mark|mk|mr|mrk",
    "LUK|Luke|Luke|lk",
    "JHN|John|John|jn|jhn",
    "ACT|Acts|Acts|ac|actsoftheapostles",
    "ROM|Rom|Romans|rm",
    "1CO|1Cor|1 Corinthians",
    "2CO|2Cor|2 Corinthians",
    "GAL|Gal|Galatians|gl",
    "EPH|Eph|Ephesians",
    "PHP|Phil|Philippians|phil|php|pp",
    "COL|Col|Colossians",
    "1TH|1Thess|1 Thessalonians",
    "2TH|2Thess|2 Thessalonians",
    "1TI|1Tim|1 Timothy|1tm",
    "2TI|2Tim|2 Timothy|2tm",
    "TIT|Titus|Titus|tt",
    "PHM|Phlm|Philemon|phm|phlm|pm",
    "HEB|Heb|Hebrews",
    "JAS|Jas|James|jas|jm",
    "1PE|1Pet|1 Peter|1pt",
    "2PE|2Pet|2 Peter|2pt",
    "1JN|1John|1 John|1jn|1jhn",
    "2JN|2John|2 John|2jn|2jhn",
    "3JN|3John|3 John|3jn|3jhn",
    "JUD|Jude|Jude|jd",
    "REV|Rev|Revelation|rv|apocalypse|revelations",
    "TOB|Tob|Tobit|tb",
    "JDT|Jdt|Judith|jdt|jth",
    "ESG|EsthGr|Esther (Greek)|greekesther",
    "WIS|Wis|Wisdom|ws|wisdomofsolomon",
    "SIR|Sir|Sirach|ecclesiasticus|ecclus|bensira",
    "BAR|Bar|Baruch",
    "LJE|EpJer|Letter of Jeremiah|epjer",
    "S3Y|PrAzar|Song of the Three Young Men|prazar|prayerofazariah",
    "SUS|Sus|Susanna",
    "BEL|Bel|Bel and the Dragon",
    "1MA|1Macc|1 Maccabees|1mc",
    "2MA|2Macc|2 Maccabees|2mc",
    "3MA|3Macc|3 Maccabees|3mc",
    "4MA|4Macc|4 Maccabees|4mc",
    "1ES|1Esd|1 Esdras",
    "2ES|2Esd|2 Esdras",
    "MAN|PrMan|Prayer of Manasseh|prman",
    "PS2|AddPs|Psalm 151",
    "ODA|Odes|Odes",
    "PSS|PssSol|Psalms of Solomon|psssol",
    "EZA|4Ezra|Apocalypse of Ezra",
    "5EZ|5Ezra|5 Ezra",
    "6EZ|6Ezra|6 Ezra",
    "DAG|DanGr|Daniel (Greek)|greekdaniel",
    "2BA|2Bar|2 Baruch",
    "LBA|EpBar|Letter of Baruch",
    "JUB|Jub|Jubilees",
    "ENO|1En|Enoch|1enoch",
    "LAO|EpLao|Laodiceans",
};

/// "II", "Second", "2nd" at the head of a name, followed by more.
QString leadingNumber(const QString& word) {
    static const QHash<QString, QString> numbers{
        {QStringLiteral("i"), QStringLiteral("1")},     {QStringLiteral("ii"), QStringLiteral("2")},
        {QStringLiteral("iii"), QStringLiteral("3")},   {QStringLiteral("iv"), QStringLiteral("4")},
        {QStringLiteral("first"), QStringLiteral("1")}, {QStringLiteral("second"), QStringLiteral("2")},
        {QStringLiteral("third"), QStringLiteral("3")}, {QStringLiteral("fourth"), QStringLiteral("4")},
        {QStringLiteral("1st"), QStringLiteral("1")},   {QStringLiteral("2nd"), QStringLiteral("2")},
        {QStringLiteral("3rd"), QStringLiteral("3")},   {QStringLiteral("4th"), QStringLiteral("4")},
        {QStringLiteral("one"), QStringLiteral("1")},   {QStringLiteral("two"), QStringLiteral("2")},
        {QStringLiteral("three"), QStringLiteral("3")},
    };
    return numbers.value(word);
}

} // namespace

std::optional<BookCode> BookCode::fromText(QStringView text) {
    if (text.size() != 3)
        return std::nullopt;
    BookCode book;
    for (const QChar c : text) {
        const ushort u = c.toUpper().unicode();
        if (!(u >= 'A' && u <= 'Z') && !(u >= '0' && u <= '9'))
            return std::nullopt;
        book.m_code = book.m_code << 8 | u;
    }
    return book;
}

QString BookCode::text() const {
    if (isNull())
        return {};
    return QString(QChar(m_code >> 16 & 0xff)) + QChar(m_code >> 8 & 0xff) + QChar(m_code & 0xff);
}

const std::vector<KnownBook>& knownBooks() {
    static const std::vector<KnownBook> books = [] {
        std::vector<KnownBook> result;
        for (const char* line : kBooks) {
            const QStringList fields = QString::fromLatin1(line).split(u'|');
            result.push_back({*BookCode::fromText(fields[0]), fields[1], fields[2], fields.mid(3)});
        }
        return result;
    }();
    return books;
}

int BookCode::rank() const {
    static const QHash<quint32, int> ranks = [] {
        QHash<quint32, int> result;
        for (const KnownBook& book : knownBooks())
            result.insert(book.code.m_code, int(result.size()));
        return result;
    }();
    return ranks.value(m_code, int(ranks.size()));
}

const KnownBook* knownBook(BookCode code) {
    const auto rank = size_t(code.rank());
    return rank < knownBooks().size() ? &knownBooks()[rank] : nullptr;
}

std::optional<BookCode> bookFromOsis(QStringView osis) {
    for (const KnownBook& book : knownBooks())
        if (book.osis.compare(osis, Qt::CaseInsensitive) == 0)
            return book.code;
    return std::nullopt;
}

QString englishName(BookCode code) {
    const KnownBook* book = knownBook(code);
    return book ? book->name : code.text();
}

QString bookKey(const QString& name) {
    QStringList words = searchWords(name);
    if (words.size() > 1)
        if (const QString number = leadingNumber(words.front()); !number.isEmpty())
            words.front() = number;
    return words.join(QString());
}

std::optional<BookCode> bookFromName(const QString& name) {
    static const QHash<QString, BookCode> byKey = [] {
        QHash<QString, BookCode> result;
        for (const KnownBook& book : knownBooks()) {
            for (const QString& other : book.abbreviations + QStringList{book.osis, book.code.text()})
                if (!result.contains(bookKey(other)))
                    result.insert(bookKey(other), book.code);
            result.insert(bookKey(book.name), book.code);
        }
        return result;
    }();
    const auto at = byKey.constFind(bookKey(name));
    return at == byKey.constEnd() ? std::nullopt : std::optional(*at);
}

} // namespace mivanta
