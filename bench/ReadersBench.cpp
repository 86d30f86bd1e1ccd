// SPDX-License-Identifier: GPL-3.0-or-later
#include "ReadersBench.h"
#include "formats/OfficeText.h"
#include "formats/OrderList.h"
#include "formats/Osis.h"
#include "formats/SongReader.h"
#include "formats/Usfm.h"
#include "formats/VerseLines.h"
#include "formats/Zip.h"
#include <QBuffer>
#include <ctime>
#include <functional>

namespace mivanta {

using namespace Qt::StringLiterals;

namespace {

/// A file that has so many of something.
struct Shape {
    QString name;
    std::function<QByteArray(int count)> make;
    std::function<void(const QByteArray&)> read;
};

std::function<void(const QByteArray&)> songs(const QString& fileName) {
    return [fileName](QByteArray bytes) {
        QBuffer buffer(&bytes);
        buffer.open(QIODevice::ReadOnly);
        static_cast<void>(readSongs(buffer, fileName));
    };
}

template <typename Read>
std::function<void(const QByteArray&)> scripture(Read read) {
    return [read](QByteArray bytes) {
        QBuffer buffer(&bytes);
        buffer.open(QIODevice::ReadOnly);
        static_cast<void>(read(buffer, u"bench"_s));
    };
}

QByteArray docxOf(const QByteArray& body) {
    return zipOf({{u"word/document.xml"_s, "<w:document>" + body + "</w:document>"}}).value_or(QByteArray());
}

/// `before`, then `each` with its number for every %, then `after`.
std::function<QByteArray(int)> repeated(const QByteArray& before, const QByteArray& each,
                                        const QByteArray& after = {}) {
    return [before, each, after](int count) {
        QByteArray all = before;
        for (int i = 0; i < count; ++i)
            all += QByteArray(each).replace('%', QByteArray::number(i));
        return all + after;
    };
}

std::vector<Shape> shapes() {
    const auto text = songs(u"a.txt"_s);
    const auto chordPro = songs(u"a.cho"_s);
    const auto usfm = scripture(readUsfm);
    const auto osis = scripture(readOsis);
    const auto verses = scripture(readVerseLines);
    const QByteArray usfmHead = "\\id LUK\n\\c 1\n\\v 1 ";
    const auto packed = [](std::function<QByteArray(int)> body) {
        return [body = std::move(body)](int count) { return docxOf(body(count)); };
    };
    const auto docx = [](const QByteArray& bytes) { static_cast<void>(officeText(bytes, u"a.docx"_s)); };
    const auto rtf = [](const QByteArray& bytes) { static_cast<void>(officeText(bytes, u"a.rtf"_s)); };
    return {
        {u"text, stanzas"_s, repeated("", "line % of it\nand another one\n\n"), text},
        {u"text, stanzas that are alike"_s, repeated("", "the same line\nand another one\n\n"), text},
        {u"text, headings"_s, repeated("", "Verse %\nline % of it\n\n"), text},
        {u"text, lines"_s, repeated("Verse 1\n", "line % of it\n"), text},
        {u"text, one long line"_s, repeated("Verse 1\n", "word% "), text},
        {u"text, open brackets"_s, repeated("Verse 1\nwords ", "["), text},
        {u"text, open tags"_s, repeated("Verse 1\n", "words <b class=\"x\n"), text},
        {u"text, signs of web pages"_s, repeated("Verse 1\n", "words &amp;&#x41;&nbsp\n"), text},
        {u"text, emphasis in emphasis"_s, repeated("# Verse 1\n", "*a __b "), text},
        {u"text, chords over words"_s, repeated("Verse 1\n", "G    Em   C    D\nwords of line %\n"), text},
        {u"text, authors"_s, repeated("Title: A\nWords: ", "Ada % and ", "Bo\n\nVerse 1\nwords\n"), text},
        {u"text, columns"_s, repeated("", "left % of it          right % of it\n"), text},
        {u"text, repeats"_s, repeated("Verse 1\nwords\n\nChorus\nshine\n\n", "Chorus (2x)\n\n"), text},
        {u"ChordPro, open brackets"_s, repeated("{title: A}\n", "[G words "), chordPro},
        {u"ChordPro, chords"_s, repeated("{title: A}\n", "[G]wo[Em]rds\n"), chordPro},
        {u"ChordPro, chords in one line"_s, repeated("{title: A}\n", "[G]wo[Em]rds "), chordPro},
        {u"ChordPro, sections"_s, repeated("{title: A}\n", "{start_of_verse}\nwords %\n{end_of_verse}\n"),
         chordPro},
        {u"ChordPro, open braces"_s, repeated("{title: A}\n", "{comment: words\n"), chordPro},
        {u"table, rows"_s, repeated("Title,Text\n", "Song %,\"words\"\n"), songs(u"a.csv"_s)},
        {u"table, one open quote"_s, repeated("Title,Text\n", "\"Song %,words\n"), songs(u"a.csv"_s)},
        {u"table, columns"_s, repeated("Title,", "Column %,", "\na,b\n"), songs(u"a.csv"_s)},
        {u"text document, paragraphs"_s, packed(repeated("", "<w:p><w:r><w:t>words %</w:t></w:r></w:p>")),
         docx},
        {u"text document, runs"_s,
         packed(repeated("<w:p>", "<w:r><w:rPr><w:b/></w:rPr><w:t>a</w:t></w:r>", "</w:p>")), docx},
        {u"text document, attributes"_s, packed(repeated("<w:p ", "a%='x' ", "/>")), docx},
        {u"RTF, switches"_s, repeated("{\\rtf1 ", "\\b a\\b0 \\i b\\i0 ", "}"), rtf},
        {u"RTF, paragraphs"_s, repeated("{\\rtf1 ", "words %\\par\n", "}"), rtf},
        {u"RTF, groups"_s, repeated("{\\rtf1 ", "{words}", "}"), rtf},
        {u"USFM, verses"_s, repeated("\\id LUK\n\\c 1\n", "\\v % words\n"), usfm},
        {u"USFM, styles"_s, repeated(usfmHead, "\\nd a "), usfm},
        {u"USFM, nested styles"_s, repeated(usfmHead, "\\+nd a "), usfm},
        {u"USFM, milestones"_s, repeated(usfmHead, "\\qt-s |sid=\"x\" words "), usfm},
        {u"USFM, notes"_s, repeated(usfmHead, "\\f + \\ft note "), usfm},
        {u"USFM, chapters"_s, repeated("\\id LUK\n", "\\c 1\n\\v 1 words\n"), usfm},
        {u"OSIS, verses"_s,
         repeated("<osis><osisText><div type='book' osisID='Luke'><chapter osisID='Luke.1'>",
                  "<verse osisID='Luke.1.1'>words</verse>", "</chapter></div></osisText></osis>"),
         osis},
        {u"OSIS, attributes"_s, repeated("<osis><osisText ", "a%='x' ", "></osisText></osis>"), osis},
        {u"OSIS, wrong tags"_s,
         repeated("<osis><osisText><div type='book' osisID='Luke'><chapter osisID='Luke.1'>",
                  "<verse osisID='Luke.1.1'>words</hi></verse>", "</chapter></div></osisText></osis>"),
         osis},
        {u"verse lines"_s, repeated("", "Luke 1:% words\n"), verses},
        {u"verse lines, books nobody knows"_s, repeated("", "Harbour% 1:1 words\n"), verses},
        {u"order list, lines"_s, repeated("", "Song %\n"),
         [](const QByteArray& bytes) { static_cast<void>(orderLinesOf(QString::fromUtf8(bytes))); }},
        {u"order list, one line"_s, repeated("", "word "),
         [](const QByteArray& bytes) { static_cast<void>(orderLinesOf(QString::fromUtf8(bytes))); }},
    };
}

/// The shortest of three, so that a neighbour's work does not count.
double timeOf(const Shape& shape, const QByteArray& bytes) {
    double best = 1e9;
    for (int i = 0; i < 3; ++i) {
        const std::clock_t begin = std::clock(); // of this program's own work
        shape.read(bytes);
        best = std::min(best, double(std::clock() - begin) * 1000 / CLOCKS_PER_SEC);
    }
    return best;
}

} // namespace

void benchReaders(Figures& figures) {
    constexpr double kLongEnoughMs = 100; // that a ratio says something
    constexpr int kMost = 1 << 18;
    for (const Shape& shape : shapes()) {
        int count = 250;
        double once = timeOf(shape, shape.make(count));
        while (once < kLongEnoughMs && count < kMost)
            once = timeOf(shape, shape.make(count *= 2));
        const double twice = timeOf(shape, shape.make(count * 2));
        figures.add(u"%1 (%2): twice as many"_s.arg(shape.name).arg(count), twice / once, u"times"_s);
    }
}

} // namespace mivanta
