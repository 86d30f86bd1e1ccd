// SPDX-License-Identifier: GPL-3.0-or-later
#include "Reader.h"
#include "core/scripture/ReferenceParser.h"
#include "formats/Osis.h"
#include "formats/PassageJson.h"
#include "formats/Usfm.h"
#include "formats/VerseLines.h"
#include <QJsonArray>

namespace mivanta::fuzz {

namespace {

using namespace Qt::StringLiterals;

constexpr int kHighestNumber = 999;

void requireGood(const Result<ScriptureText>& read) {
    if (!read)
        return requireReason(read.error());
    for (const ScriptureBook& book : read->books) {
        const Verse* before = nullptr;
        for (const Verse& verse : book.verses) {
            require(verse.chapter > 0 && verse.chapter <= kHighestNumber, "chapters are counted from 1");
            require(verse.number > 0 && verse.number <= verse.lastNumber &&
                        verse.lastNumber <= kHighestNumber,
                    "verses are counted from 1, and rise");
            require(!before ||
                        std::pair(before->chapter, before->number) < std::pair(verse.chapter, verse.number),
                    "no verse is there twice");
            require(piecesFromJson(piecesToJson(verse), verse.words()) == verse.pieces,
                    "a verse that was stored comes back equal");
            before = &verse;
        }
    }
    const Outline outline = read->outline();
    require(outline.books.size() == read->books.size(), "an outline has every book");
    require(read->missing(20).size() <= 21, "not more gaps are named than were asked for");
}

void readUsfmFile(const QByteArray& bytes) {
    requireGood(fromDevice(bytes, [](QIODevice& device) { return readUsfm(device, u"a.usfm"_s); }));
}

void readOsisFile(const QByteArray& bytes) {
    requireGood(fromDevice(bytes, [](QIODevice& device) { return readOsis(device, u"a.xml"_s); }));
}

void readVersesFile(const QByteArray& bytes) {
    requireGood(fromDevice(bytes, [](QIODevice& device) { return readVerseLines(device, u"a.txt"_s); }));
}

Outline someBooks() {
    Outline outline;
    outline.translation = u"QST"_s;
    outline.language = u"de"_s;
    for (const char* code : {"GEN", "PSA", "LUK", "JHN", "1CO", "JUD"}) {
        OutlineBook book;
        book.code = *BookCode::fromText(QString::fromLatin1(code));
        book.name = QString::fromLatin1(code);
        for (int chapter = 1; chapter <= (book.name == u"JUD"_s ? 1 : 30); ++chapter)
            book.chapters.push_back({chapter, 20 + chapter, {3}});
        outline.books.push_back(std::move(book));
    }
    return outline;
}

void readReference(const QByteArray& bytes) {
    static const Outline outline = someBooks();
    const Understanding understood = understandReference(QString::fromUtf8(bytes), outline);
    if (understood.state != ReferenceState::Understood)
        return;
    for (const VerseRange& range : understood.reference.ranges) {
        const OutlineBook* book = outline.book(range.book);
        require(book && book->chapter(range.from.chapter) && book->chapter(range.to.chapter),
                "what is understood is there");
        require(range.from.chapter <= range.to.chapter, "no range is turned round");
    }
    const Understanding again = understandReference(understood.text, outline);
    requireEqual(again.text.toUtf8(), understood.text.toUtf8(), "a reference as it is written is understood");
    require(again.reference == understood.reference, "a reference as it is written is the same");
}

std::vector<QByteArray> usfm() {
    return {
        "\\id LUK x\n\\h Luke\n\\toc1 Luke\n\\mt Luke\n\\c 5\n\\s head\n\\p\n\\v 1 by \\nd the\\nd* lake\n",
        "\\id GEN\n\\c 1\n\\q1\n\\v 2-3 two \\w boats|lemma=\"x\"\\w* \\qs Selah\\qs*\n\\v 4a a\n\\v 4b b\\f "
        "+ "
        "\\ft note\\f*\n",
        "\\id PSA\n\\c 2\n\\d of Ada\n\\v 1 x \\qt-s |who=\"x\"\\*x\\qt-e\\*\n\\b\n\\li1 \\add "
        "x\\add*\n\\esb\nx\n"
        "\\esbe\n\\ca 6\\ca*\n\\c 3\n\\v 1 y\n"};
}

std::vector<QByteArray> osis() {
    return {
        "<osis><osisText osisIDWork='X' xml:lang='en'><header><work osisWork='X'><title>T</title><rights>R"
        "</rights></work></header><div type='book' osisID='Luke'><chapter osisID='Luke.5'><verse "
        "osisID='Luke.5.1 Luke.5.2'>a <note>x</note><hi type='bold'>b</hi></verse></chapter></div></osisText>"
        "</osis>",
        "<osis><osisText><div type='book' osisID='Ps'><title type='main'>Psalm</title><chapter "
        "osisID='Ps.23'><lg><l><verse sID='a' osisID='Ps.23.1'/>c<lb/>d &amp; e<verse eID='a'/></l></lg>"
        "</chapter></div></osisText></osis>"};
}

std::vector<QByteArray> verses() {
    return {"Luke 5:1 by the lake\nLuke 5:2-3 two boats\nLuke\t5\t4\tgo out\n",
            "Gen|1|1|at first\nGen|1|2|x\n", "LUK 5.1;words\nLUK 5.2;\"more\"\n"};
}

std::vector<QByteArray> references() {
    return {"luke 5:1-11, 27-39; 6:1",
            "1co13.4-7,13;14.1",
            "Jude 5",
            "Gen 1:31-2:3",
            "PSA twenty-third",
            "LUK 5 v 3ff",
            "4a",
            "verses 1 to 11 of LUK 5",
            "LUK 5,1-11",
            "see (LUK 5:3 to the end)"};
}

} // namespace

std::vector<Reader> scriptureReaders() {
    return {{"usfm", readUsfmFile, usfm},
            {"osis", readOsisFile, osis},
            {"verses", readVersesFile, verses},
            {"references", readReference, references}};
}

} // namespace mivanta::fuzz
