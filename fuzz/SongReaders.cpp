// SPDX-License-Identifier: GPL-3.0-or-later
#include "Reader.h"
#include "core/song/PartEdits.h"
#include "core/song/SongBounds.h"
#include "core/song/WholeText.h"
#include "formats/Csv.h"
#include "formats/OfficeText.h"
#include "formats/RtfText.h"
#include "formats/SongCsv.h"
#include "formats/SongJson.h"
#include "formats/SongReader.h"
#include "formats/SongWriter.h"
#include "formats/TextFile.h"
#include "formats/TextJson.h"
#include "formats/Zip.h"

namespace mivanta::fuzz {

namespace {

using namespace Qt::StringLiterals;

Result<std::vector<ReadSong>> songsOf(const QByteArray& bytes, const QString& name) {
    return fromDevice(bytes, [&](QIODevice& device) { return readSongs(device, name); });
}

/// Marks that point into the words do so.
void requireWhole(const Line& line) {
    for (const ChordMark& chord : line.chords)
        require(chord.position >= 0 && chord.position <= line.words.size(), "chords stand in their line");
    for (const Emphasis& mark : line.emphasis)
        require(mark.from >= 0 && mark.to > mark.from && mark.to <= line.words.size(),
                "emphasis is of letters of its line");
}

void requireGood(const Song& song) {
    require(!song.title.trimmed().isEmpty(), "a song has a title");
    for (const Part& part : song.parts)
        for (const Line& line : part.lines)
            requireWhole(line);
    for (const SungPart& sung : song.singingOrder)
        require(sung.isEmptySlide() || song.part(sung.part) != nullptr, "what is sung is there");
    if (!excessOf(song).isEmpty())
        return; // refused by what stores it
    const auto again = songFromJson(songToJson(song), u"x"_s);
    require(again.has_value(), "a song that was read can be stored");
    require(sameContent(*again, song), "a song that was stored comes back equal");
}

void requireGood(const Result<std::vector<ReadSong>>& read) {
    if (!read)
        return requireReason(read.error());
    require(!read->empty(), "no songs are an error");
    for (const ReadSong& song : *read)
        requireGood(song.song);
}

/// What the writer makes of a song is read as one song, and written the same again.
void requireStable(const Song& song, QString (*write)(const Song&), const QString& name) {
    if (!excessOf(song).isEmpty())
        return;
    const auto once = songsOf(write(song).toUtf8(), name);
    require(once && once->size() == 1, "a song that was written is read as one");
    const QString text = write(once->front().song);
    const auto twice = songsOf(text.toUtf8(), name);
    require(twice && twice->size() == 1, "a song that was written again is read as one");
    requireEqual(write(twice->front().song).toUtf8(), text.toUtf8(), "writing it again changes nothing");
}

void readChordPro(const QByteArray& bytes) {
    const auto read = songsOf(bytes, u"a.cho"_s);
    requireGood(read);
    if (read)
        requireStable(read->front().song, chordProText, u"a.cho"_s);
}

void readPlainText(const QByteArray& bytes) {
    const auto read = songsOf(bytes, u"a.txt"_s);
    requireGood(read);
    if (read)
        requireStable(read->front().song, plainSongText, u"a.txt"_s);
}

/// What is typed is tidied when it is stored.
std::vector<Part> tidyParts(const QString& text, const std::vector<Part>& before) {
    Song song;
    song.parts = readWholeText(text, before);
    return tidied(std::move(song)).parts;
}

void readWords(const QByteArray& bytes) {
    const std::vector<Part> parts = tidyParts(QString::fromUtf8(bytes), {});
    for (const Part& part : parts)
        for (const Line& line : part.lines)
            requireWhole(line);
    const QString text = wholeText(parts);
    requireEqual(wholeText(tidyParts(text, parts)).toUtf8(), text.toUtf8(),
                 "words that were written come back equal");
}

void readCsv(const QByteArray& bytes) {
    const QString text = QString::fromUtf8(bytes);
    for (const CsvRow& row : csvRows(text, csvSeparator(text)))
        require(!row.cells.isEmpty(), "a row has a cell");
    requireGood(songsOf(bytes, u"a.csv"_s));
}

void readRtf(const QByteArray& bytes) {
    if (const auto text = rtfText(bytes); !text)
        requireReason(text.error());
    requireGood(songsOf(bytes, u"a.rtf"_s));
}

constexpr const char* kPresentation =
    "<p:presentation><p:sldIdLst><p:sldId r:id='r1'/><p:sldId r:id='r2'/></p:sldIdLst></p:presentation>";
constexpr const char* kRelations =
    "<Relationships><Relationship Id='r1' Target='slides/slide1.xml'/><Relationship Id='r2' "
    "Target='slides/slide2.xml'/></Relationships>";

/// The first byte says what the others are a part of: ZIP files are packed here, so that what is changed is
/// what they hold.
void readOffice(const QByteArray& bytes) {
    if (bytes.isEmpty())
        return;
    const QByteArray rest = bytes.mid(1);
    const auto packed = [&](const QString& name, const std::vector<ZipEntry>& entries) {
        if (const auto zip = zipOf(entries))
            requireGood(songsOf(*zip, name));
    };
    switch (bytes[0]) {
    case 'd':
        return packed(u"a.docx"_s, {{u"word/document.xml"_s, rest}});
    case 'o':
        return packed(u"a.odt"_s, {{u"content.xml"_s, rest}});
    case 'q':
        return packed(u"a.odp"_s, {{u"content.xml"_s, rest}});
    case 's':
        return packed(u"a.pptx"_s, {{u"ppt/presentation.xml"_s, kPresentation},
                                    {u"ppt/_rels/presentation.xml.rels"_s, kRelations},
                                    {u"ppt/slides/slide1.xml"_s, rest},
                                    {u"ppt/slides/slide2.xml"_s, "<p:sld/>"}});
    case 'r': {
        const qsizetype middle = rest.indexOf('\n');
        return packed(u"a.pptx"_s,
                      {{u"ppt/presentation.xml"_s, rest.left(middle)},
                       {u"ppt/_rels/presentation.xml.rels"_s, rest.mid(middle + 1)},
                       {u"ppt/slides/slide1.xml"_s, "<p:sld><a:p><a:t>one</a:t></a:p></p:sld>"}});
    }
    default:
        return requireGood(songsOf(rest, bytes[0] & 1 ? u"a.docx"_s : u"a.pptx"_s));
    }
}

void readText(const QByteArray& bytes) {
    const auto read = fromDevice(bytes, [](QIODevice& device) { return readTextFile(device, u"a.txt"_s); });
    if (!read)
        return requireReason(read.error());
    require(!read->text.title.trimmed().isEmpty(), "a text has a title");
    const auto again = textFromJson(textToJson(read->text), u"x"_s);
    require(!again || textToJson(*again) == textToJson(read->text),
            "a text that was stored comes back equal");
    const QByteArray written = textFileOf(read->text).toUtf8();
    const auto twice =
        fromDevice(written, [](QIODevice& device) { return readTextFile(device, u"a.txt"_s); });
    require(twice.has_value(), "a text that was written is read again");
}

std::vector<QByteArray> chordPro() {
    return {"{title: Tide}\n{artist: Ada}\n{key: G}\n{start_of_verse: Verse 1}\nWhen the [G]bell\n{eov}\n"
            "{soc}\n[C]Sing\n{eoc}\n{comment: softly}\n{sot}\ne|--0--|\n{eot}\n{new_song}\n{t:Two}\nwords\n",
            "{title:A}\n{order: V1 C2}\n{start_of_chorus}\n*x* __y__ \\[z\n{end_of_chorus}\n{chorus}\n"};
}

std::vector<QByteArray> songFiles() {
    auto all = filesIn(u"data/demo/songs"_s);
    const auto more = chordPro();
    all.insert(all.end(), more.begin(), more.end());
    return all;
}

std::vector<QByteArray> plainFiles() {
    auto all = filesIn(u"data/demo/songs"_s);
    all.push_back("Tide\nWords by Ada\n\nVerse 1\nC    G\nwhen the bell\n---\nis still\n\nChorus "
                  "2x\nsing\n\nOrder: V1 C\n");
    return all;
}

std::vector<QByteArray> wordsSeeds() {
    return {"# Verse 1\n> softly\nWhen the [G]harbour bell\n---\nthere's a *lantern* and __bold__ **more**\n"
            "# Intro (band only)\n[C] [G]\n\\# no heading\n"};
}

std::vector<QByteArray> csv() {
    return {"title;Words by;Mood;Books\nTide;\"Ada; Bo\";calm;Shore Hymnal 12\n\"Two\nlines\";;;\n",
            "Title,Key,Words\nA,G,\"# Verse 1\nwords \"\"said\"\"\"\n", "title\tauthor\nTide\tAda\n"};
}

std::vector<QByteArray> rtf() {
    return {
        "{\\rtf1\\ansi\\ansicpg1252{\\fonttbl{\\f0 Serif;}}{\\*\\generator x;}\\pard Verse 1\\par "
        "When {\\b the} {\\i bell}\\line is \\u233\\'e9 still\\par\\par\\uc2\\u1488ab {\\field{\\*\\fldinst "
        "HYPERLINK \"x\"}{\\fldrslt y}}\\tab\\emdash\\bin3 abc\\par}",
        "{\\rtf1\\mac\\deff0{\\stylesheet{\\s1 Heading;}}\\plain\\f0 one\\page two\\sect three}"};
}

std::vector<QByteArray> office() {
    return {
        "d<w:document><w:p><w:r><w:rPr><w:b/></w:rPr><w:t>Verse 1</w:t></w:r></w:p><w:p><w:r><w:t>Shine "
        "on</w:t><w:br/><w:tab/></w:r><w:del><w:r><w:t>x</w:t></w:r></w:del></w:p></w:document>",
        "o<office:document-content><office:automatic-styles><style:style style:name='T1' "
        "style:parent-style-name='T2'><style:text-properties fo:font-weight='bold'/></style:style>"
        "</office:automatic-styles><office:body><text:p text:style-name='T1'>Verse 1</text:p><text:p>Shine"
        "<text:s text:c='3'/><text:line-break/>on</text:p></office:body></office:document-content>",
        "q<office:document-content><office:body><draw:page><text:p>one</text:p></draw:page><draw:page>"
        "<text:p>two</text:p></draw:page></office:body></office:document-content>",
        "s<p:sld><a:p><a:r><a:rPr b='1'/><a:t>the wind</a:t></a:r><a:br/></a:p></p:sld>",
        QByteArray("r") + kPresentation + '\n' + kRelations};
}

std::vector<QByteArray> texts() {
    return filesIn(u"data/demo/texts"_s);
}

} // namespace

std::vector<Reader> songReaders() {
    return {{"chordpro", readChordPro, songFiles},
            {"text", readPlainText, plainFiles},
            {"words", readWords, wordsSeeds},
            {"csv", readCsv, csv},
            {"rtf", readRtf, rtf},
            {"office", readOffice, office},
            {"spoken", readText, texts}};
}

} // namespace mivanta::fuzz
